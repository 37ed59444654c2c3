import {
  noLanguageRules,
  type PlacedRemark,
  REMARK_KINDS,
  type RemarkKind,
} from '../../../../../../core/proofreading/index.ts';
import type { House } from '../../../../../../core/site/index.ts';
import { changeHouse } from '../../../../../data/sites.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { offerUndo } from '../../../../../state/undo.ts';
import { Button } from '../../../../../ui/button.tsx';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';
import { RemarkGroup } from './remark-group.tsx';
import { useLanguage } from './use-language.ts';

type Rules = NonNullable<House['language']>;

/** The language of the post: spelling, doubled words, articles, house words, weak openings, passives. It costs no points. */
export function LanguageLens({ body }: Pick<LensProps, 'body'>) {
  const { site } = usePost();
  const { english, remarks } = useLanguage();
  const { off } = site.house.language ?? noLanguageRules();
  const change = async (work: (rules: Rules) => Rules, said: string) => {
    const takeBack = await changeHouse(site.id, (house) => ({
      ...house,
      language: work(house.language ?? noLanguageRules()),
    }));
    offerUndo(said, takeBack, 8000);
  };
  const setOff = (kind: RemarkKind, name: string, isOff: boolean) =>
    attempt(
      change(
        (rules) => ({
          ...rules,
          off: isOff ? [...rules.off, kind] : rules.off.filter((one) => one !== kind),
        }),
        isOff ? `“${name}” is not spoken of any more.` : `“${name}” is spoken of again.`,
      ),
    );
  const accept = (word: string) =>
    attempt(
      change((rules) => ({ ...rules, own: [...rules.own, word] }), `“${word}” is a word of the house now.`),
    );
  const byKind = new Map<RemarkKind, PlacedRemark[]>();
  for (const remark of remarks ?? []) {
    const known = byKind.get(remark.kind);
    if (known) known.push(remark);
    else byKind.set(remark.kind, [remark]);
  }
  const shown = REMARK_KINDS.filter(({ kind }) => byKind.has(kind));
  const silent = REMARK_KINDS.filter(({ kind }) => off.includes(kind));
  return (
    <section aria-label="Language" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {remarks === null ? (
        <Waiting name="Looking through the language" className="h-40" />
      ) : (
        <>
          <p className="mb-2 text-soft">
            {english === null
              ? 'Language is looked through in English alone; in others, house words are.'
              : `${english === 'GB' ? 'British' : 'American'} English. Nothing here costs points.`}
          </p>
          {shown.length === 0 && <p>Nothing to remark on.</p>}
          {shown.map(({ kind, name }) => (
            <RemarkGroup
              key={kind}
              kind={kind}
              name={name}
              remarks={byKind.get(kind)!}
              english={english}
              body={body}
              accept={accept}
              switchOff={() => setOff(kind, name, true)}
            />
          ))}
          {silent.length > 0 && (
            <p className="mt-5 border-t pt-2 text-soft">
              Switched off:{' '}
              {silent.map(({ kind, name }) => (
                <span key={kind} className="mr-3 inline-block">
                  {name}{' '}
                  <Button look="word" onClick={() => setOff(kind, name, false)}>
                    Switch on
                  </Button>
                </span>
              ))}
            </p>
          )}
        </>
      )}
    </section>
  );
}
