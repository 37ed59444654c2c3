import { useState } from 'react';
import { toast } from 'sonner';
import { type TranslationFault, translationFaultInWords } from '../../../../core/site/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { mendTranslations } from '../../../state/site/mend-translations.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { None } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import type { Upkeep } from '../../../workers/site-upkeep.ts';
import { PostLink } from './post-link.tsx';

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
                {translationFaultInWords(fault, (id) => found.posts.get(id)?.title ?? id)}
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
