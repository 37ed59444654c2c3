import { memo, type ReactNode } from 'react';
import type { LeftOutRun } from '../../../../core/talk/index.ts';
import type { SaidLine } from '../../../workers/talk.ts';
import { TimeButton } from './time-button.tsx';

/** How a word of the transcript stands to the draft. */
type Standing = 'kept' | 'spare' | 'missing';
const LOOKS: Record<Standing, string> = {
  kept: '',
  spare: 'text-soft line-through decoration-soft/50',
  missing: 'said-missing',
};
const TITLES: Record<Standing, string | undefined> = {
  kept: undefined,
  spare: 'Left out: no text needs it',
  missing: 'Not in the draft',
};

/** Which words the draft leaves out, by index. */
const missingWords = (leftOut: readonly LeftOutRun[]): ReadonlySet<number> => {
  const out = new Set<number>();
  for (const { from, to } of leftOut) for (let at = from; at < to; at++) out.add(at);
  return out;
};

/** The transcript as it was said: times in the gutter, fillers struck out, what the draft lacks underlined. */
export function SaidLines({
  lines,
  leftOut,
  shown,
  onTime,
}: {
  lines: readonly SaidLine[];
  leftOut: readonly LeftOutRun[];
  /** The run of words in hand; null: none. */
  shown: LeftOutRun | null;
  onTime: (seconds: number) => void;
}) {
  const missing = missingWords(leftOut);
  return (
    <ol aria-label="What was said" className="pb-10 font-serif text-[15px] leading-[1.6]">
      {lines.map((line) => {
        const to = line.from + line.words.length;
        const inHand = shown !== null && shown.from < to && shown.to > line.from;
        const lacks = line.words.map((_, at) => missing.has(line.from + at)).join();
        return (
          <Line key={line.from} line={line} missing={missing} lacks={lacks} inHand={inHand} onTime={onTime} />
        );
      })}
    </ol>
  );
}

interface LineProps {
  line: SaidLine;
  missing: ReadonlySet<number>;
  /** Which of its words are missing, as text: only that changes how it looks. */
  lacks: string;
  inHand: boolean;
  onTime: (seconds: number) => void;
}

const Line = memo(
  function Line({ line: { start, speaker, from, words }, missing, inHand, onTime }: LineProps) {
    const runs: { standing: Standing; text: string }[] = [];
    words.forEach(([shown, isLeft], at) => {
      const standing: Standing = isLeft ? 'spare' : missing.has(from + at) ? 'missing' : 'kept';
      const last = runs.at(-1);
      if (last?.standing === standing) last.text += shown;
      else runs.push({ standing, text: shown });
    });
    return (
      <li
        id={`said-${from}`}
        className={`grid grid-cols-[3.6rem_1fr] gap-x-3 [contain-intrinsic-size:auto_1.6em] [content-visibility:auto] ${inHand ? 'bg-ochre-wash' : ''}`}
      >
        <TimeButton seconds={start} onTime={onTime} />
        <p className="min-w-0 break-words">
          {speaker && <strong className="font-sans text-[13px] font-semibold">{speaker} </strong>}
          {runs.map(
            ({ standing, text }, at): ReactNode =>
              standing === 'kept' ? (
                text
              ) : (
                // biome-ignore lint/suspicious/noArrayIndexKey: runs of a line have no other name
                <span key={at} className={LOOKS[standing]} title={TITLES[standing]}>
                  {text}
                </span>
              ),
          )}
        </p>
      </li>
    );
  },
  (a, b) => a.line === b.line && a.lacks === b.lacks && a.inHand === b.inHand && a.onTime === b.onTime,
);
