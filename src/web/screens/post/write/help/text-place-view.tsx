import { ChevronLeft, ChevronRight, X } from 'lucide-react';
import { memo, useEffect, useMemo, useState } from 'react';
import { readable, type TextPiece, textPieces, wordsOf } from '../../../../../core/writing/index.ts';
import { useAppSelector } from '../../../../state/store.ts';
import {
  changePlace,
  closePlace,
  placeOf,
  type TextPlace,
  tryAgain,
} from '../../../../state/writing/text-places.ts';
import type { RunState } from '../../../../state/writing/text-run.ts';
import { Button } from '../../../../ui/button.tsx';
import { counted } from '../../../../ui/figures.ts';
import { IconButton } from '../../../../ui/icon-button.tsx';
import type { PieceCheck } from '../../../../workers/writing.ts';
import { usePost } from '../../frame/post-context.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';
import { RunLine } from './run-line.tsx';
import { stillThere, takeParagraph, takeSentence, takeWhole, wholeStep } from './take-pieces.ts';
import { TalkShare } from './talk-share.tsx';
import { useChecks } from './use-checks.ts';
import { useRun } from './use-run.ts';

/** A text that is not yet taken: as it comes, with what can be done with it. */
export function TextPlaceView({ place, body }: { place: TextPlace; body: BodyEditor }) {
  const run = place.runs[place.shown];
  const state = useRun(run);
  const { session } = usePost();
  const [pressed, setPressed] = useState('');
  const isRunning = state.finish === 'running';
  const pieces = useMemo(() => textPieces(state.text), [state.text]);
  const checks = useChecks(
    pieces.map(({ markdown }) => markdown),
    isRunning,
  );
  const gain = useGain(body, place, state);
  // What was taken is looked up in the draft: after an undo it is there no more.
  useAppSelector(({ openPost }) => openPost.report);
  const taken = place.taken.filter((one) => stillThere(body, one));
  const isTaken = (paragraph: number, sentence: number | null) =>
    taken.some(
      (one) =>
        one.paragraph === paragraph &&
        (one.sentence === null || sentence === null || one.sentence === sentence),
    );
  // What can be pressed stays as it was drawn; the place goes on.
  const placeNow = () => placeOf(session.id) ?? place;
  const takeAll = (how: 'here' | 'instead') => {
    const left =
      taken.length === 0
        ? state.text
        : pieces
            .filter((_, at) => !isTaken(at, null))
            .map(({ markdown }) => markdown)
            .join('\n\n');
    if (!left) return;
    if (takeWhole({ body, session }, place, left, how)) closePlace(session.id);
    else setPressed('What was selected is not there any more: take the text here instead.');
  };
  return (
    <section aria-label={`Not yet taken: ${place.pattern.name}`} className="font-sans text-[13px]">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="font-semibold">{place.pattern.name}</span>
        <RunLine state={state} />
        <span className="ml-auto flex items-center gap-1">
          {place.runs.length > 1 && (
            <>
              <IconButton
                name="The one before"
                icon={ChevronLeft}
                size={15}
                disabled={place.shown === 0}
                onClick={() => changePlace(place.key, ({ shown }) => ({ shown: shown - 1, taken: [] }))}
              />
              <span className="text-soft tabular-nums">
                {place.shown + 1} of {place.runs.length}
              </span>
              <IconButton
                name="The one after"
                icon={ChevronRight}
                size={15}
                disabled={place.shown === place.runs.length - 1}
                onClick={() => changePlace(place.key, ({ shown }) => ({ shown: shown + 1, taken: [] }))}
              />
            </>
          )}
          <IconButton name="Leave this text" icon={X} size={15} onClick={() => closePlace(session.id)} />
        </span>
      </header>
      <div className="my-2 font-serif text-[17px] leading-[1.5] text-soft">
        {pieces.map((piece, at) => (
          <Paragraph
            // biome-ignore lint/suspicious/noArrayIndexKey: pieces only ever grow at the end
            key={at}
            piece={piece}
            check={checks[at] ?? null}
            takenSentences={piece.sentences.map((_, sentence) => isTaken(at, sentence)).join()}
            onParagraph={
              isRunning && at === pieces.length - 1
                ? null
                : () => takeParagraph({ body, session }, placeNow(), piece, at)
            }
            onSentence={(sentence) => takeSentence({ body, session }, placeNow(), piece, at, sentence)}
          />
        ))}
        {isRunning && pieces.length === 0 && (
          <p className="font-sans text-[13px]">Looking at what is known…</p>
        )}
      </div>
      {!isRunning && <TalkShare text={state.text} />}
      {state.note && <p className="mb-2 text-soft">{state.note}</p>}
      <footer className="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-t border-dashed pt-2">
        {isRunning ? (
          <Button onClick={() => run.stop()}>Stop</Button>
        ) : (
          <>
            <Button look="main" disabled={pieces.length === 0} onClick={() => takeAll('here')}>
              {taken.length > 0 ? 'Take the rest' : place.hasSelection ? 'Take it beside' : 'Take it'}
            </Button>
            {place.hasSelection && (
              <Button disabled={pieces.length === 0} onClick={() => takeAll('instead')}>
                Instead of what was selected
              </Button>
            )}
            <Button onClick={() => tryAgain(place)}>Try again</Button>
          </>
        )}
        <span className="text-soft" role="status">
          {pressed ||
            (isRunning
              ? ''
              : [
                  counted(wordsOf([state.text]), 'word'),
                  taken.length > 0 ? `${counted(taken.length, 'piece')} taken` : '',
                  gain,
                ]
                  .filter(Boolean)
                  .join(' · '))}
        </span>
      </footer>
    </section>
  );
}

/** What the score would be with all of a text taken, in words; empty while that is not known. */
function useGain(body: BodyEditor, place: TextPlace, { finish, text }: RunState): string {
  const { session } = usePost();
  const now = useAppSelector((state) => state.openPost.report?.score ?? null);
  const [would, setWould] = useState<{ text: string; score: number } | null>(null);
  useEffect(() => {
    if (finish === 'running' || finish === 'failed' || text.trim() === '') return;
    let isOver = false;
    const step = wholeStep(
      { body, session },
      text,
      place.hasSelection && place.pattern.along.includes('selection') ? 'instead' : 'here',
    );
    if (!step) return;
    session
      .wouldScore(body.after(step.tr))
      .then((score) => {
        if (!isOver && score !== null) setWould({ text, score });
      })
      // Scoring that stopped says so itself.
      .catch(() => {});
    return () => {
      isOver = true;
    };
  }, [body, session, place, finish, text]);
  if (would?.text !== text || now === null) return '';
  const gain = would.score - now;
  return `the score would be ${would.score.toFixed(1)} (${gain < 0 ? '−' : '+'}${Math.abs(gain).toFixed(1)})`;
}

const LOOKS: Record<TextPiece['kind'], string> = {
  paragraph: '',
  heading: 'font-semibold text-ink',
  quote: 'border-l-[3px] border-sand pl-3',
  list: 'pl-4',
};

/** One paragraph: taken as a whole, or sentence by sentence. */
const Paragraph = memo(
  function Paragraph({
    piece,
    check,
    takenSentences,
    onParagraph,
    onSentence,
  }: {
    piece: TextPiece;
    check: PieceCheck | null;
    /** Which of its sentences stand in the draft. */
    takenSentences: string;
    /** Null: it is still coming. */
    onParagraph: (() => void) | null;
    onSentence: (sentence: number) => void;
  }) {
    const taken = takenSentences.split(',').map((one) => one === 'true');
    const isAll = taken.every(Boolean);
    let from = 0;
    return (
      <div className={`group mt-2 first:mt-0 ${LOOKS[piece.kind]}`}>
        {piece.sentences.map((sentence, at) => {
          const shown = readable(sentence);
          const start = from;
          from += shown.length + 1;
          const odd = check ? remarkOf(check, start, start + shown.length) : '';
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: sentences only ever grow at the end
            <span key={at} className={piece.kind === 'list' ? 'block' : ''}>
              <button
                type="button"
                disabled={taken[at] || onParagraph === null}
                title={taken[at] ? 'Taken' : [odd, 'Take this sentence'].filter(Boolean).join('. ')}
                onClick={() => onSentence(at)}
                className={`inline text-left enabled:hover:bg-sea/10 enabled:hover:text-ink disabled:opacity-100 ${taken[at] ? 'text-soft/50 line-through' : ''} ${odd ? 'underline decoration-ochre decoration-dotted decoration-2 underline-offset-4' : ''}`}
              >
                {shown}
              </button>{' '}
            </span>
          );
        })}
        {check && check.unsupported.length + check.shared.length > 0 && (
          <p className="font-sans text-[12px] text-ochre">{checkInWords(check)}</p>
        )}
        {onParagraph && !isAll && piece.sentences.length > 1 && (
          <Button look="word" className="font-sans text-[12px]" onClick={onParagraph}>
            Take this {piece.kind === 'list' ? 'list' : 'paragraph'}
          </Button>
        )}
      </div>
    );
  },
  (before, after) =>
    before.piece.markdown === after.piece.markdown &&
    before.check === after.check &&
    before.takenSentences === after.takenSentences &&
    (before.onParagraph === null) === (after.onParagraph === null),
);

/** What is said of a stretch of a piece; empty: nothing. */
const remarkOf = ({ unsupported, shared }: PieceCheck, start: number, end: number): string =>
  [
    ...unsupported
      .filter((one) => one.start < end && one.end > start)
      .map(({ quote }) => `Check this: ${quote}`),
    ...shared
      .filter((one) => one.start < end && one.end > start)
      .map(({ page }) => `As on a page of ${page}`),
  ].join('. ');

const KINDS = { figure: 'a figure', name: 'a name', quote: 'a quotation' } as const;

/** What stands out in a piece, in a line. */
function checkInWords({ unsupported, shared }: PieceCheck): string {
  const pages = [...new Set(shared.map(({ page }) => page))];
  return [
    unsupported.length > 0
      ? `Check this: ${unsupported.map(({ kind, quote }) => `${quote} (${KINDS[kind]} that no source has)`).join(', ')}.`
      : '',
    pages.length > 0 ? `Word for word as on a page of ${pages.join(', ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
