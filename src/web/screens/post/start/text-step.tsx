import { useState } from 'react';
import { wholeProfile } from '../../../../core/criteria/index.ts';
import { readMarkdown } from '../../../../core/draft/index.ts';
import { outlineFromDraft, unwrittenHeadings, withPlannedHeadings } from '../../../../core/outline/index.ts';
import { readable, textPieces, wishedLength, wordsOf } from '../../../../core/writing/index.ts';
import { changeGeneration } from '../../../data/generations.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { filledWish, NOWHERE, runFor, sectionParts } from '../../../state/writing/ask-text.ts';
import type { TextInHand } from '../../../state/writing/text-run.ts';
import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import { WordsField } from '../../../ui/words-field.tsx';
import { usePost } from '../frame/post-context.ts';
import { useStudyRow } from '../study/use-study-row.ts';
import { RunLine } from '../write/help/run-line.tsx';
import { useRun } from '../write/help/use-run.ts';
import { guidedOf, keepGuided } from './guided.ts';

const nextId = () => crypto.randomUUID();

/** The whole text in view, section by section along the outline, until it is as long as was asked for. */
export function TextStep() {
  const { session, site } = usePost();
  const { outline, fields } = useAppSelector((state) => state.openPost);
  const study = useStudyRow(session.siteId, session.id) ?? null;
  const { limits } = wholeProfile(site.profile);
  const length = wishedLength(fields, study?.facts ?? null, limits.bodyWords);
  const [words, setWords] = useState<number | null>(Math.round((length.from + length.to) / 2));
  const [run, setRun] = useState(guidedOf(session.id).text);
  const open = unwrittenHeadings(session.body, outline);
  const ask = async () => {
    const { values, along } = await filledWish(session, 'section', NOWHERE);
    const wish = words ?? length.to;
    const parts = sectionParts(session, site, open, {
      words: wish,
      values,
      along,
    });
    const next = runFor(session, site, parts, { group: crypto.randomUUID(), until: wish });
    keepGuided(session.id, { text: next });
    setRun(next);
  };
  return (
    <>
      {outline.length === 0 ? (
        <p className="text-soft">Plan an outline first: the text is written section by section along it.</p>
      ) : (
        <div className="mb-4 flex flex-wrap items-end gap-4">
          <div className="w-44">
            <WordsField label="Until it has" value={words} onChange={setWords} note="Words." />
          </div>
          <Button
            className="mb-6"
            disabled={open.length === 0 || (run?.isRunning ?? false)}
            onClick={() => attempt(ask())}
          >
            {run ? 'Write it anew' : `Write ${counted(open.length, 'section')}`}
          </Button>
        </div>
      )}
      {run && <WholeText key={run.key} run={run} wished={words} />}
    </>
  );
}

function WholeText({ run, wished }: { run: TextInHand; wished: number | null }) {
  const { session } = usePost();
  const state = useRun(run);
  const [isPut, setIsPut] = useState(false);
  const isRunning = state.finish === 'running';
  const count = wordsOf([state.text]);
  const put = () => {
    const { outline } = session.content;
    // Planned headings are the outline's own, and those that wait give way.
    const own = withPlannedHeadings(readMarkdown(state.text, nextId).draft, session.body, outline).blocks;
    const ids = new Set(own.map(({ id }) => id));
    const draft = {
      ...session.body,
      blocks: [...session.body.blocks.filter(({ id }) => !ids.has(id)), ...own],
    };
    offerUndo(
      'The text stands in the post, marked until you edit or have read it.',
      session.change({ draft, outline: [...outlineFromDraft(draft, outline)] }),
    );
    for (const id of state.rows)
      attempt(changeGeneration(id, () => ({ taken: 'whole', blocks: own.map((block) => block.id) })));
    setIsPut(true);
  };
  return (
    <section aria-label="The text as it comes">
      <p className="mb-2 flex flex-wrap items-center gap-3 text-[13px]">
        <RunLine state={state} />
        {isRunning ? (
          <Button onClick={() => run.stop()}>Stop</Button>
        ) : (
          <span className="text-soft">
            {counted(count, 'word')}
            {wished ? ` of ${wished.toLocaleString('en')} wished for` : ''}
          </span>
        )}
      </p>
      <div className="max-h-[52vh] overflow-auto rounded-md border border-dashed px-5 py-3 font-serif text-[16px] leading-normal text-soft">
        {textPieces(state.text).map(({ markdown, kind }, at) => (
          <p
            // biome-ignore lint/suspicious/noArrayIndexKey: pieces only ever grow at the end
            key={at}
            className={`mt-2 whitespace-pre-line first:mt-0 ${kind === 'heading' ? 'pt-2 text-[18px] font-semibold text-ink' : kind === 'quote' ? 'border-l-[3px] border-sand pl-3' : ''}`}
          >
            {readable(markdown)}
          </p>
        ))}
      </div>
      {state.note && <p className="mt-1 text-[13px] text-soft">{state.note}</p>}
      <p className="mt-3">
        <Button look="main" disabled={isRunning || state.text.trim() === '' || isPut} onClick={put}>
          {isPut ? 'It stands in the post' : 'Put it into the post'}
        </Button>
      </p>
    </section>
  );
}
