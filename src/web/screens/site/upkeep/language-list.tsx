import { useState } from 'react';
import { toast } from 'sonner';
import { translationIn } from '../../../../core/draft/index.ts';
import type { TranslationFault } from '../../../../core/site/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { mendTranslations } from '../../../state/site/mend-translations.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { None } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import { languageName } from '../../../ui/language-name.ts';
import type { Upkeep } from '../../../workers/site-upkeep.ts';
import { PostLink } from './post-link.tsx';

/** What is wrong, said of the post that it is mended in. */
function said({ kind, item, otherId, mend }: TranslationFault, titleOf: (id: string) => string): string {
  const other = otherId === null ? 'it' : `“${titleOf(otherId)}”`;
  const named = languageName(translationIn(item)?.language ?? '');
  switch (kind) {
    case 'unreadable':
      return `“${item}” is no language and address, such as “de /tasche”.`;
    case 'own-language':
      return `“${item}” says the language that the post itself is in.`;
    case 'twice':
      return `It names a second page in ${named}: “${item}”.`;
    case 'unknown':
      return `“${item}” leads to no other post of the site.`;
    case 'moved':
      return `“${item}” is an address of before: ${other} stands at ${mend?.address}.`;
    case 'unpublished':
      return `It names ${other}, which readers cannot open yet.`;
    case 'hidden':
      return `It and ${other} name each other, and search is asked to pass over one of them.`;
    case 'other-language':
      return `It names ${other} as ${named}, which is in ${languageName(mend?.language ?? '')}.`;
    case 'names-another':
      return `${other} names it; it names another page in ${named}: “${item}”.`;
    case 'not-back':
      return `${other} names it as the same in another language, and is not named back.`;
    case 'not-among':
      return `${other} is the same in ${languageName(mend?.language ?? '')}, by a third post, and is not named.`;
  }
}

/** Posts in several languages that do not name each other both ways. */
export function LanguageList({ found, onMended }: { found: Upkeep; onMended: () => void }) {
  const [busy, setBusy] = useState(false);
  const { translations: faults } = found;
  if (faults.length === 0) return <None>Every post in two languages names the other, both ways.</None>;
  const certain = faults.filter(({ mend }) => mend !== null);
  const mend = async (chosen: readonly TranslationFault[]) => {
    setBusy(true);
    try {
      const { posts, back, problem } = await mendTranslations(chosen);
      if (problem !== '') toast.error(problem, { duration: 12_000 });
      if (posts > 0)
        offerUndo(
          `The languages of ${counted(posts, 'post')} are put right. Publish what readers have again, so that search hears of it.`,
          async () => {
            const stays = await back();
            onMended();
            return stays;
          },
          20_000,
        );
      onMended();
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <p className="mb-2 flex flex-wrap items-center gap-3">
        <span className="text-soft">
          Search takes two posts for one in two languages only where each names the other.
        </span>
        {certain.length > 0 && (
          <Button
            disabled={busy}
            onClick={() => attempt(mend(certain), 'The languages could not be put right')}
          >
            Put right what is certain ({certain.length})
          </Button>
        )}
      </p>
      <ul aria-label="Languages that do not fit" className="max-w-4xl">
        {faults.map((fault) => (
          <li
            key={`${fault.postId} ${fault.kind} ${fault.item} ${fault.otherId}`}
            className="flex flex-wrap items-baseline gap-x-4 border-t py-2"
          >
            <span className="min-w-0 flex-1 break-words">
              <PostLink id={fault.postId} found={found} />
              <span className="block text-[13px] text-soft">
                {said(fault, (id) => found.posts.get(id)?.title ?? id)}
              </span>
            </span>
            {fault.mend && (
              <Button
                look="word"
                disabled={busy}
                onClick={() => attempt(mend([fault]), 'The languages could not be put right')}
              >
                {fault.item === '' ? 'Name it' : 'Put it right'}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
