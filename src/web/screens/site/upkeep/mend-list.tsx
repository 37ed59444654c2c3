import { useState } from 'react';
import { toast } from 'sonner';
import { bytesInWords } from '../../../../core/draft/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { lightenPictures } from '../../../state/site/order-pictures.ts';
import { allTakenBack, offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { ToWin } from '../../../ui/earned.tsx';
import { None } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import type { Upkeep, UpkeepKind } from '../../../workers/site-upkeep.ts';
import { PostLink } from './post-link.tsx';

const NOTHING: Record<UpkeepKind, string> = {
  thin: 'Every post that readers have is long enough.',
  old: 'No post names a year that has passed, or words that age.',
  heavy: 'Every picture is light enough.',
  alt: 'Every picture has its alt text.',
};
const NAMES: Record<UpkeepKind, string> = {
  thin: 'Thin posts',
  old: 'Posts out of date',
  heavy: 'Posts with heavy pictures',
  alt: 'Posts with pictures without alt text',
};
const SHOWN = 300;

/** Posts in which something is to be mended, the most points to win first. */
export function MendList({
  kind,
  siteId,
  found,
  onMended,
}: {
  kind: UpkeepKind;
  siteId: string;
  found: Upkeep;
  /** Posts were changed: it has to be looked through anew. */
  onMended: () => void;
}) {
  const [done, setDone] = useState<number | null>(null);
  const lines = found.lines[kind];
  if (lines.length === 0) return <None>{NOTHING[kind]}</None>;
  const lighten = async () => {
    const ids = [...new Set(lines.map(({ postId }) => postId))];
    setDone(0);
    try {
      const { files, bytesBefore, bytesAfter, problems, backs } = await lightenPictures(siteId, ids, setDone);
      if (problems.length > 0) toast(problems.join(' '), { duration: 12_000 });
      if (backs.length > 0)
        offerUndo(
          `${counted(files, 'picture')} made lighter: ${bytesInWords(bytesBefore)} became ${bytesInWords(bytesAfter)}. The originals are kept.`,
          async () => {
            const stays = await allTakenBack(backs)();
            onMended();
            return stays;
          },
          20_000,
        );
      onMended();
    } finally {
      setDone(null);
    }
  };
  const points = lines.reduce((sum, { gain }) => sum + gain, 0);
  return (
    <>
      <p className="mb-2 flex flex-wrap items-center gap-3">
        <span className="text-soft">
          {points.toFixed(1)} points to win in{' '}
          {counted(new Set(lines.map(({ postId }) => postId)).size, 'post')}.
        </span>
        {kind === 'heavy' && (
          <Button
            disabled={done !== null}
            onClick={() => attempt(lighten(), 'The pictures could not be made lighter')}
          >
            {done === null ? 'Make all of them lighter' : `${counted(done, 'post')} done…`}
          </Button>
        )}
      </p>
      <ul aria-label={NAMES[kind]} className="max-w-4xl">
        {lines.slice(0, SHOWN).map(({ postId, gain, advice, quote }) => (
          <li key={`${postId} ${advice}`} className="flex gap-3 border-t py-2">
            <span className="w-12 shrink-0 text-right">
              <ToWin points={gain} />
            </span>
            <span className="min-w-0 break-words">
              <PostLink id={postId} found={found} />
              <span className="block text-[13px] text-soft">
                {advice}
                {quote && kind === 'old' && ` “${quote}”`}
              </span>
            </span>
          </li>
        ))}
        {lines.length > SHOWN && (
          <li className="border-t py-2 text-soft">And {lines.length - SHOWN} more.</li>
        )}
      </ul>
    </>
  );
}
