import { useEffect, useState } from 'react';
import { canBeReworded, type ReusedPart, type ReuseFrom, wordingAsk } from '../../../../core/reuse/index.ts';
import { writingOf } from '../../../../core/site/index.ts';
import { readAnswer, type TextRequest, withValue } from '../../../../core/writing/index.ts';
import { changeGeneration } from '../../../data/generations.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { askText, filledWish, NOWHERE, requestFor, type TextWish } from '../../../state/writing/ask-text.ts';
import type { TextInHand } from '../../../state/writing/text-run.ts';
import { Button } from '../../../ui/button.tsx';
import type { HeldPart } from '../../../workers/reuse.ts';
import { talkWorker } from '../../../workers/talk-client.ts';
import { RunLine } from '../write/help/run-line.tsx';
import { SentDialog } from '../write/help/sent-dialog.tsx';
import { useRun } from '../write/help/use-run.ts';
import { KIND_NAMES } from './kinds.ts';
import { PartRemarks } from './part-remarks.tsx';

/** Another wording of what was made, asked for from the text service that the house chose; it is held against the post, and taken or left. */
export function AskedWording({
  row,
  session,
  site,
  from,
  onTake,
}: {
  row: ReuseRow;
  session: PostSession;
  site: SiteRow;
  from: ReuseFrom;
  onTake: (parts: ReusedPart[]) => void;
}) {
  const [run, setRun] = useState<TextInHand | null>(null);
  const [sent, setSent] = useState<TextRequest | null>(null);
  if (!canBeReworded(row.kind)) return null;
  const wished = async (): Promise<TextWish> => {
    const wish = await filledWish(session, 'reuse', NOWHERE);
    const { parts, most, heads, now } = wordingAsk(row.kind, row.parts, from, row.wishes);
    let { values } = wish;
    for (const [id, value] of [
      ['what', KIND_NAMES[row.kind].name],
      ['parts', String(parts)],
      ['most', most === null ? '' : String(most)],
      ['heads', heads.join('\n')],
      ['now', now],
    ] as const)
      values = withValue(values, id, value);
    const pattern = {
      ...wish.pattern,
      rules: { ...wish.pattern.rules, pieces: parts > 1 ? parts : null, characters: most },
    };
    return { ...wish, pattern, values };
  };
  const ask = async () => setRun(askText(session, site, await wished(), crypto.randomUUID()));
  const show = async () => setSent(await requestFor(session, site, await wished()));
  return (
    <section aria-label="Another wording" className="mb-4 border-t pt-3 text-[13px]">
      <p className="flex flex-wrap items-center gap-3">
        <Button disabled={run?.isRunning ?? false} onClick={() => attempt(ask())}>
          {run ? 'Ask for yet another wording' : 'Ask for another wording'}
        </Button>
        <Button look="word" onClick={() => attempt(show())}>
          What is sent
        </Button>
        {!run && (
          <span className="text-soft">
            From the text service of the house; what it says is held against the post.
          </span>
        )}
      </p>
      {sent && <SentDialog request={sent} way={writingOf(site.house).way} onClose={() => setSent(null)} />}
      {run && (
        <Wording
          key={run.key}
          run={run}
          row={row}
          session={session}
          from={from}
          onTake={(parts) => {
            onTake(parts);
            setRun(null);
          }}
          onLeave={() => {
            run.stop();
            setRun(null);
          }}
        />
      )}
    </section>
  );
}

function Wording({
  run,
  row,
  session,
  from,
  onTake,
  onLeave,
}: {
  run: TextInHand;
  row: ReuseRow;
  session: PostSession;
  from: ReuseFrom;
  onTake: (parts: ReusedPart[]) => void;
  onLeave: () => void;
}) {
  const state = useRun(run);
  const isRunning = state.finish === 'running';
  const [read, setRead] = useState<{ parts: ReusedPart[]; held: HeldPart[] } | null>(null);
  // What it is another wording of: not what it is made into when it is taken.
  const [asked] = useState(row);
  const [begun] = useState(from);
  useEffect(() => {
    if (isRunning) return;
    let isOver = false;
    const look = async () => {
      const worker = await talkWorker();
      const { body } = session;
      const pieces = readAnswer(state.text, 'paragraphs');
      const parts = await worker.reworded(asked.kind, pieces, asked.parts, body, begun, asked.wishes);
      const [held] = await worker.held(body, session.document.fields.title, [parts]);
      if (!isOver) setRead({ parts, held });
    };
    attempt(look(), 'The answer could not be held against the post');
    return () => {
      isOver = true;
    };
  }, [isRunning, state.text, asked, begun, session]);
  return (
    <div className="mt-2">
      <p className="flex flex-wrap items-center gap-3">
        <RunLine state={state} />
        {isRunning && <Button onClick={() => run.stop()}>Stop</Button>}
      </p>
      <ol aria-label="The other wording" className="my-2 rounded-md border border-dashed px-4">
        {(read?.parts ?? readAnswer(state.text, 'paragraphs').map(bareTextPart)).map((part, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: pieces only ever grow at the end
          <li key={at} className="border-t border-dashed py-2 first:border-t-0">
            {part.head && <p className="font-serif text-[15px] font-semibold">{part.head}</p>}
            <p className="font-serif text-[15px] leading-[1.45] break-words whitespace-pre-line">
              {part.text}
            </p>
            {read && (
              <p className="mt-0.5 flex flex-wrap gap-x-3 text-soft tabular-nums">
                <PartRemarks kind={row.kind} text={part.text} wishes={row.wishes} held={read.held[at]} />
              </p>
            )}
          </li>
        ))}
      </ol>
      {state.note && <p className="mb-2 text-soft">{state.note}</p>}
      {!isRunning && (
        <p className="flex flex-wrap gap-3">
          <Button
            look="main"
            disabled={!read || read.parts.length === 0}
            onClick={() => {
              if (!read) return;
              onTake(read.parts);
              for (const id of state.rows)
                attempt(changeGeneration(id, () => ({ taken: 'whole', blocks: [] })));
            }}
          >
            Take this wording
          </Button>
          <Button onClick={onLeave}>Leave it</Button>
        </p>
      )}
    </div>
  );
}

const bareTextPart = (text: string): ReusedPart => ({ head: '', text, from: [] });
