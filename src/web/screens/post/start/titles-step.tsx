import { useState } from 'react';
import { readAnswer } from '../../../../core/writing/index.ts';
import { changeGeneration } from '../../../data/generations.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { askText, filledWish, NOWHERE } from '../../../state/writing/ask-text.ts';
import type { TextInHand } from '../../../state/writing/text-run.ts';
import { Button } from '../../../ui/button.tsx';
import { TextField } from '../../../ui/field.tsx';
import { usePost } from '../frame/post-context.ts';
import { RunLine } from '../write/help/run-line.tsx';
import { useRun } from '../write/help/use-run.ts';
import { guidedOf, keepGuided } from './guided.ts';

/** Five titles, each editable; the one that is taken is the post's. */
export function TitlesStep() {
  const { session, site } = usePost();
  const { title, keyword } = useAppSelector((state) => state.openPost.fields);
  const [run, setRun] = useState(guidedOf(session.id).titles);
  const ask = async () => {
    const wish = await filledWish(session, 'titles', NOWHERE);
    const next = askText(session, site, wish, crypto.randomUUID());
    keepGuided(session.id, { titles: next });
    setRun(next);
  };
  return (
    <>
      <TextField label="Title" value={title} onChange={(typed) => session.setFields({ title: typed })} />
      <p className="my-3">
        <Button disabled={keyword === '' && title === ''} onClick={() => attempt(ask())}>
          {run ? 'Five others' : 'Suggest five titles'}
        </Button>
        {keyword === '' && title === '' && (
          <span className="ml-3 text-[13px] text-soft">Say first what it is about.</span>
        )}
      </p>
      {run && <Titles run={run} onTake={(text) => session.setFields({ title: text })} taken={title} />}
    </>
  );
}

function Titles({ run, taken, onTake }: { run: TextInHand; taken: string; onTake: (title: string) => void }) {
  const state = useRun(run);
  const [edited, setEdited] = useState<Record<string, string>>({});
  return (
    <section aria-label="Suggested titles">
      <p className="mb-1 text-[13px]">
        <RunLine state={state} />
      </p>
      <ul>
        {readAnswer(state.text, 'lines').map((text) => {
          const now = Object.hasOwn(edited, text) ? edited[text] : text;
          return (
            <li key={text} className="flex items-center gap-3 border-t py-1.5">
              <input
                aria-label={`Suggested title: ${text}`}
                value={now}
                onChange={(event) => setEdited({ ...edited, [text]: event.target.value })}
                className="min-w-0 flex-1 rounded-md border border-transparent bg-transparent px-1.5 py-0.5 font-serif text-[17px] hover:border-line focus:border-line"
              />
              <Button
                look="word"
                disabled={taken === now}
                onClick={() => {
                  onTake(now);
                  for (const id of state.rows) attempt(changeGeneration(id, () => ({ taken: 'part' })));
                }}
              >
                {taken === now ? 'Taken' : 'Take it'}
              </Button>
            </li>
          );
        })}
      </ul>
      {state.note && <p className="mt-2 text-[13px] text-soft">{state.note}</p>}
    </section>
  );
}
