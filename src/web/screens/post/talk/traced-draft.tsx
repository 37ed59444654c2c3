import type { ReactNode } from 'react';
import type { Block } from '../../../../core/draft/index.ts';
import type { AddedRun, FidelityAccount } from '../../../../core/talk/index.ts';
import { TimeButton } from './time-button.tsx';

/** A block's words, those that nobody said marked. */
function words({ id, text }: Block, added: readonly AddedRun[], shown: AddedRun | null): ReactNode[] {
  const parts: ReactNode[] = [];
  let from = 0;
  for (const run of added) {
    if (run.blockId !== id) continue;
    const inHand = shown !== null && shown.blockId === id && shown.start === run.start;
    parts.push(
      text.slice(from, run.start),
      <mark
        key={run.start}
        title={run.weighty ? 'Nobody said it, and it changes what was said' : 'Nobody said it'}
        className={`${run.weighty ? 'added-weighty' : 'added'} ${inHand ? 'in-hand' : ''}`}
      >
        {text.slice(run.start, run.end)}
      </mark>,
    );
    from = run.end;
  }
  return [...parts, text.slice(from)];
}

/** The draft to read beside its talk: the second of each block in the gutter, added words marked quietly. */
export function TracedDraft({
  blocks,
  account,
  shown,
  onTime,
}: {
  blocks: readonly Block[];
  account: FidelityAccount;
  shown: AddedRun | null;
  onTime: (seconds: number) => void;
}) {
  const times = new Map(account.times);
  const starts = new Map(account.sections.map(({ blockId, start }) => [blockId, start]));
  return (
    <div className="pb-10 font-serif text-[15px] leading-[1.6]">
      {blocks.map((block) => {
        if (block.kind === 'kept' || block.text.trim() === '') return null;
        const isHeading = block.kind === 'heading';
        const seconds = (isHeading ? starts.get(block.id) : times.get(block.id)) ?? null;
        const isItem = block.path.some(({ type }) => type === 'item');
        const shownWords = words(block, account.added, shown);
        return (
          <div
            key={block.id}
            id={`traced-${block.id}`}
            className={`grid grid-cols-[3.6rem_1fr] gap-x-3 ${isHeading ? 'mt-4' : 'mb-2'}`}
          >
            <TimeButton seconds={seconds} onTime={onTime} />
            {isHeading ? (
              <h3 className="min-w-0 text-[17px] leading-snug font-semibold break-words">{shownWords}</h3>
            ) : (
              <p
                className={`min-w-0 break-words ${isItem ? 'border-l-2 border-sand pl-3' : ''} ${block.kind === 'embed' ? 'font-sans text-[13px] text-soft' : ''}`}
              >
                {block.kind === 'embed' ? `Recording: ${block.text || block.embed?.href}` : shownWords}
              </p>
            )}
          </div>
        );
      })}
    </div>
  );
}
