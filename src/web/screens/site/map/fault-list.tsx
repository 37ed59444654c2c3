import { useMemo, useState } from 'react';
import type { LinkFaultKind } from '../../../../core/site/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { changeOtherPost } from '../../../state/post/change-other-post.ts';
import { allTakenBack, offerUndo, type TakeBack } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { counted } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { SiteFault } from '../../../workers/site-map.ts';
import { LongLookLine } from '../long-look-line.tsx';
import type { LongLook } from '../use-long-look.ts';

/** What is wrong, as the list names it; the graver first. */
const KINDS: Record<LinkFaultKind, string> = {
  broken: 'Broken',
  gone: 'Gone for good',
  unpublished: 'Not published yet',
  redirected: 'Redirected',
  insecure: 'Not encrypted',
  itself: 'To itself',
  doubled: 'Doubled',
  vague: 'Words that say nothing',
};
const ORDER = Object.keys(KINDS) as LinkFaultKind[];
/** Kinds whose first way to mend changes nothing of what a reader finds: these are mended all at once. */
const SAFE: ReadonlySet<LinkFaultKind> = new Set(['redirected', 'insecure', 'doubled', 'itself']);
const SHOWN = 100;
const ALL = 'all';

/** What is wrong with the links of all posts: by kind, mended one by one, or all of a kind where that is safe. */
export function FaultList({ look }: { look: LongLook<SiteFault[]> }) {
  const [kind, setKind] = useState<LinkFaultKind | typeof ALL>(ALL);
  const [isBusy, setIsBusy] = useState(false);
  const { answer } = look;
  const counts = useMemo(() => {
    const found = new Map<LinkFaultKind, number>();
    for (const one of answer ?? []) found.set(one.kind, (found.get(one.kind) ?? 0) + 1);
    return found;
  }, [answer]);
  const shown = (answer ?? []).filter((one) => kind === ALL || one.kind === kind);
  const mendable = shown.filter((one) => SAFE.has(one.kind) && one.fixes.length > 0);
  const mend = async (faults: readonly SiteFault[], fix = 0) => {
    setIsBusy(true);
    const backs: TakeBack[] = [];
    const mended: SiteFault[] = [];
    try {
      // One change of a post for all that is wrong in it, and one version.
      const byPost = new Map<string, SiteFault[]>();
      for (const fault of faults) byPost.set(fault.postId, [...(byPost.get(fault.postId) ?? []), fault]);
      for (const [postId, own] of byPost) {
        const edits = own.flatMap(({ fixes }) => fixes[fix]?.edits ?? []);
        const back = await changeOtherPost(postId, edits, `Before ${counted(own.length, 'link')} mended`);
        if (!back) continue;
        backs.push(back);
        mended.push(...own);
      }
    } finally {
      setIsBusy(false);
      look.change((now) => now.filter((one) => !mended.includes(one)));
      if (backs.length > 0)
        offerUndo(
          `${counted(mended.length, 'link')} mended in ${counted(backs.length, 'post')}.`,
          async () => {
            const stays = await allTakenBack(backs)();
            look.change((now) => [...mended.filter((one) => !now.includes(one)), ...now]);
            return stays;
          },
        );
    }
  };
  return (
    <section aria-label="Faults of links" className="space-y-3 text-[13px]">
      {look.done === null && (
        <p className="flex flex-wrap items-center gap-2">
          <Button look={answer ? 'plain' : 'main'} onClick={look.look}>
            {answer ? 'Look again' : 'Look through all links'}
          </Button>
          {mendable.length > 0 && (
            <Button
              look="main"
              disabled={isBusy}
              onClick={() => attempt(mend(mendable), 'The links could not be mended')}
            >
              Mend {counted(mendable.length, 'link')}
            </Button>
          )}
        </p>
      )}
      <LongLookLine of={look} name="Looking through the links" />
      {answer && (
        <>
          <Choice
            aria-label="What is wrong"
            value={kind}
            onChange={setKind}
            options={[
              { value: ALL, name: `Everything, ${answer.length}` },
              ...ORDER.flatMap((one) => {
                const count = counts.get(one);
                return count ? [{ value: one, name: `${KINDS[one]}, ${count}` }] : [];
              }),
            ]}
          />
          {answer.length === 0 && <p>Every link leads where it should.</p>}
          {mendable.length > 0 && (
            <p className="text-soft">
              What is mended together leads to the same page, or takes off a link that stands above already or
              leads to its own post.
            </p>
          )}
          <ul aria-label="Links with faults">
            {[...shown]
              .sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind) || (a.title < b.title ? -1 : 1))
              .slice(0, SHOWN)
              .map((one) => (
                <li
                  key={`${one.postId} ${one.blockId} ${one.start} ${one.kind}`}
                  className="border-t py-1.5 first:border-t-0"
                >
                  <p className="break-words">
                    <span className="text-ochre">{KINDS[one.kind]}</span> “{one.quote || one.href}”{' '}
                    <span className="text-soft">in</span>{' '}
                    <WordLink quiet to={`/posts/${one.postId}/write`}>
                      {one.title}
                    </WordLink>
                  </p>
                  <p className="break-words text-soft">{one.says}</p>
                  <p className="flex flex-wrap gap-x-3">
                    {one.fixes.slice(0, 3).map((fix, at) => (
                      <Button
                        key={fix.label}
                        look="word"
                        disabled={isBusy}
                        onClick={() => attempt(mend([one], at), 'The link could not be mended')}
                      >
                        {fix.label}
                      </Button>
                    ))}
                  </p>
                </li>
              ))}
          </ul>
          {shown.length > SHOWN && (
            <p className="text-soft">And {counted(shown.length - SHOWN, 'further link')}.</p>
          )}
        </>
      )}
    </section>
  );
}
