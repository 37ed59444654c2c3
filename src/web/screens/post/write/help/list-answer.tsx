import { useState } from 'react';
import { wholeProfile } from '../../../../../core/criteria/index.ts';
import {
  checkedPieces,
  type FieldValue,
  type Pattern,
  pieceWidth,
  readAnswer,
} from '../../../../../core/writing/index.ts';
import { changeGeneration } from '../../../../data/generations.ts';
import { attempt } from '../../../../state/attempt.ts';
import type { TextInHand } from '../../../../state/writing/text-run.ts';
import { Button } from '../../../../ui/button.tsx';
import { copyText } from '../../../../ui/copy-text.ts';
import { usePost } from '../../frame/post-context.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';
import { RunLine } from './run-line.tsx';
import { TAKE_WORDS, takeInto } from './take-into.ts';
import { useRun } from './use-run.ts';

/** An answer that is no text for the sheet: its pieces, each with its width where that counts, to be taken or copied. */
export function ListAnswer({
  run,
  pattern,
  values,
  body,
}: {
  run: TextInHand;
  pattern: Pattern;
  values: FieldValue[];
  body: BodyEditor;
}) {
  const state = useRun(run);
  const { session, site } = usePost();
  const [taken, setTaken] = useState<readonly string[]>([]);
  const isRunning = state.finish === 'running';
  const pieces = readAnswer(state.text, pattern.readAs);
  const limits = wholeProfile(site.profile).limits;
  const checked = checkedPieces(pieces, pattern, values, limits, site);
  const words = TAKE_WORDS[pattern.into];
  const take = async (piece: string) => {
    await takeInto(pattern, piece, { session, body });
    setTaken([...taken, piece]);
    for (const id of state.rows) await changeGeneration(id, () => ({ taken: 'part' }));
  };
  return (
    <section aria-label={`Answers: ${pattern.name}`} className="mt-3 border-t pt-3 text-[13px]">
      <p className="mb-2 flex flex-wrap items-baseline gap-x-3">
        <RunLine state={state} />
        {isRunning && (
          <Button look="word" onClick={() => run.stop()}>
            Stop
          </Button>
        )}
      </p>
      <ul>
        {checked.map(({ text, miss }) => {
          const width = pieceWidth(text, pattern, site);
          return (
            <li key={text} className="border-t py-1.5 first:border-t-0">
              <p className="font-serif text-[15px] leading-snug break-words">{text.replace(/^#+\s*/, '')}</p>
              {(width !== null || miss) && !isRunning && (
                <p className="text-soft">
                  {width !== null && <span className="tabular-nums">{Math.round(width)} pixels</span>}
                  {miss && <span className="text-ochre"> {miss}</span>}
                </p>
              )}
              {!isRunning && (
                <p className="flex flex-wrap gap-x-4">
                  {words && (
                    <Button look="word" disabled={taken.includes(text)} onClick={() => attempt(take(text))}>
                      {taken.includes(text) ? 'Taken' : words}
                    </Button>
                  )}
                  <Button
                    look="word"
                    className="font-normal text-soft"
                    onClick={() => attempt(copyText(text.replace(/^#+\s*/, ''), 'Copied.', 'answer.txt'))}
                  >
                    Copy
                  </Button>
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {state.note && <p className="mt-2 text-soft">{state.note}</p>}
    </section>
  );
}
