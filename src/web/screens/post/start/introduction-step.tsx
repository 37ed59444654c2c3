import { useState } from 'react';
import { readMarkdown } from '../../../../core/draft/index.ts';
import { changeGeneration } from '../../../data/generations.ts';
import { attempt } from '../../../state/attempt.ts';
import { offerUndo } from '../../../state/undo.ts';
import { askText, filledWish, NOWHERE } from '../../../state/writing/ask-text.ts';
import type { TextInHand } from '../../../state/writing/text-run.ts';
import { Button } from '../../../ui/button.tsx';
import { usePost } from '../frame/post-context.ts';
import { RunLine } from '../write/help/run-line.tsx';
import { useRun } from '../write/help/use-run.ts';
import { guidedOf, keepGuided } from './guided.ts';

const nextId = () => crypto.randomUUID();

/** The introduction: asked for, changed, and put at the beginning of the post. */
export function IntroductionStep() {
  const { session, site } = usePost();
  const [run, setRun] = useState(guidedOf(session.id).introduction);
  const ask = async () => {
    const wish = await filledWish(session, 'introduction', NOWHERE);
    const next = askText(session, site, wish, crypto.randomUUID());
    keepGuided(session.id, { introduction: next, opening: null });
    setRun(next);
  };
  return (
    <>
      <p className="mb-3">
        <Button onClick={() => attempt(ask())}>{run ? 'Another' : 'Write an introduction'}</Button>
      </p>
      {run && <Opening key={run.key} run={run} />}
    </>
  );
}

function Opening({ run }: { run: TextInHand }) {
  const { session } = usePost();
  const state = useRun(run);
  const [own, setOwn] = useState(guidedOf(session.id).opening);
  const [isPut, setIsPut] = useState(false);
  const isRunning = state.finish === 'running';
  const text = own ?? state.text;
  const put = () => {
    const { blocks } = readMarkdown(text, nextId).draft;
    const draft = { ...session.body, blocks: [...blocks, ...session.body.blocks] };
    offerUndo('The introduction stands at the beginning of the post.', session.change({ draft }));
    for (const id of state.rows)
      attempt(changeGeneration(id, () => ({ taken: 'whole', blocks: blocks.map((block) => block.id) })));
    setIsPut(true);
  };
  return (
    <>
      <p className="mb-1 flex gap-3 text-[13px]">
        <RunLine state={state} />
        {isRunning && (
          <Button look="word" onClick={() => run.stop()}>
            Stop
          </Button>
        )}
      </p>
      <textarea
        aria-label="Introduction"
        rows={6}
        value={text}
        readOnly={isRunning}
        onChange={(event) => {
          setOwn(event.target.value);
          keepGuided(session.id, { opening: event.target.value });
        }}
        className="field-sizing-content min-h-32 w-full rounded-md border border-dashed px-3 py-2 font-serif text-[17px] leading-normal"
      />
      {state.note && <p className="mt-1 text-[13px] text-soft">{state.note}</p>}
      <p className="mt-3">
        <Button look="main" disabled={isRunning || text.trim() === '' || isPut} onClick={put}>
          {isPut ? 'It stands in the post' : 'Put it at the beginning of the post'}
        </Button>
      </p>
    </>
  );
}
