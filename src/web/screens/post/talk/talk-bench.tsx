import { useCallback, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import {
  type AddedRun,
  chaptersOf,
  clock,
  isTranscriptFold,
  type LeftOutRun,
  withChapters,
} from '../../../../core/talk/index.ts';
import type { TalkRow } from '../../../data/talk-rows.ts';
import { changeTalk, removeTalk } from '../../../data/talks.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import { Panes } from '../../../ui/panes.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import type { TalkView } from '../../../workers/talk.ts';
import { talkWorker } from '../../../workers/talk-client.ts';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { FidelityLine, FidelitySteps, SectionBars } from './fidelity-panel.tsx';
import { liftRecording, type Recorder, RecordingBar } from './recording-bar.tsx';
import { RecordingFields } from './recording-fields.tsx';
import { SaidLines } from './said-lines.tsx';
import { SectionAsking } from './section-asking.tsx';
import { TimeButton } from './time-button.tsx';
import { TracedDraft } from './traced-draft.tsx';
import { UnspokenWords } from './unspoken-words.tsx';
import { askForPicture, useStill } from './use-still.ts';
import { useFidelity, useTalkView } from './use-talk.ts';

const nextId = () => crypto.randomUUID();

/** Brings the line that is said at a second into view. */
function showNear(
  prefix: string,
  places: readonly (readonly [id: string, seconds: number])[],
  seconds: number,
): void {
  let best: string | null = null;
  for (const [id, at] of places) if (at <= seconds + 0.5) best = id;
  document.getElementById(`${prefix}${best ?? places[0]?.[0]}`)?.scrollIntoView({ block: 'center' });
}

/** What was said at a second: its line without what no text needs. */
const saidAt = ({ lines }: TalkView, seconds: number): string =>
  (lines.findLast(({ start }) => start !== null && start <= seconds + 0.5)?.words ?? [])
    .flatMap(([shown, isLeft]) => (isLeft ? [] : [shown]))
    .join('');

/** A talk beside its post: what was said on the left, the draft on the right, and how much of it was said. */
export function TalkBench({ row, onOther }: { row: TalkRow; onOther: () => void }) {
  const { session } = usePost();
  const view = useTalkView(row);
  const account = useFidelity(session, row);
  const words = useAppSelector((state) => state.openPost.words);
  const recorder = useRef<Recorder>(null);
  const [isVideo, setIsVideo] = useState(false);
  const [second, setSecond] = useState<number | null>(null);
  const [added, setAdded] = useState<{ run: AddedRun; at: number } | null>(null);
  const [left, setLeft] = useState<{ run: LeftOutRun; at: number } | null>(null);
  const navigate = useNavigate();
  const still = useStill(session, recorder, account);

  const play = useCallback(
    (seconds: number) => {
      setSecond(seconds);
      recorder.current?.play(seconds);
      showNear(
        'said-',
        (view?.lines ?? []).flatMap(({ from, start }) =>
          start === null ? [] : [[String(from), start] as const],
        ),
        seconds,
      );
      showNear('traced-', account?.times ?? [], seconds);
    },
    [view, account],
  );
  if (!view) return <Waiting name="Reading the talk" className="m-6 h-60" />;

  const makeDraft = async () => {
    const draft = await (await talkWorker()).draftOf(session.id, {
      address: row.address,
      kind: row.kind,
      title: row.title,
    });
    if (!draft) return;
    // The text as it stands now, not as it stood when the button was drawn.
    const had = session.body.blocks.some(({ text }) => text.trim() !== '');
    if (had) attempt(session.keepVersion('aside'));
    const takeBack = session.change({ draft });
    offerUndo(
      had
        ? 'The draft is the talk now; what stood there is kept as a version.'
        : 'The draft is the talk now.',
      takeBack,
    );
  };
  const putChapters = () => {
    if (!account) return;
    const chapters = chaptersOf(account);
    offerUndo(
      `${counted(chapters.length, 'chapter')} below the recording.`,
      session.change({ draft: withChapters(session.body, chapters, nextId) }),
    );
  };
  const putTranscript = async () => {
    const fold = await (await talkWorker()).foldOf(session.id);
    if (!fold) return;
    const rest = session.body.blocks.filter((block) => !isTranscriptFold(block));
    offerUndo(
      'The whole transcript stands at the end, in a fold.',
      session.change({ draft: { version: 1, blocks: [...rest, fold] } }),
    );
  };
  const remove = async () => {
    const takeBack = await removeTalk(session.id);
    liftRecording(session.id);
    offerUndo('The talk is no longer with this post.', takeBack, 8000);
  };
  const hasEmbed = session.body.blocks.some(
    ({ embed }) => embed?.kind === 'video' || embed?.kind === 'audio',
  );
  const canName = account !== null && chaptersOf(account).length > 1;

  const said = (
    <section aria-label="The talk" className="flex min-h-0 flex-1 flex-col">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b px-5 py-2.5">
        <h2 className="font-serif text-lg font-semibold">What was said</h2>
        <p className="text-[13px] text-soft">
          {view.timed ? `${clock(view.seconds)}, ` : ''}
          {counted(view.words, 'word')},{' '}
          {counted(view.left, 'filler and false start', 'fillers and false starts')} struck out
        </p>
        <RecordingBar row={row} ref={recorder} onVideo={setIsVideo} />
        {second !== null && words > 0 && (
          <Editable>
            <Button onClick={() => askForPicture(session, account, second, saidAt(view, second))}>
              Ask for a picture at {clock(second)}
            </Button>
          </Editable>
        )}
        {isVideo && (
          <Editable>
            <Button onClick={() => attempt(still(), 'No picture could be taken')}>
              Put this still into the post
            </Button>
          </Editable>
        )}
      </header>
      <div className="min-h-0 flex-1 overflow-auto px-4 pt-3">
        <SaidLines
          lines={view.lines}
          leftOut={words > 0 ? (account?.leftOut ?? []) : []}
          shown={left?.run ?? null}
          onTime={play}
        />
      </div>
    </section>
  );
  const made = (
    <section aria-label="The post" className="flex min-h-0 flex-1 flex-col">
      <header className="space-y-2 border-b px-5 py-2.5 text-[13px]">
        {words === 0 ? (
          <>
            <h2 className="font-serif text-lg font-semibold">The post</h2>
            <p className="text-soft">
              {counted(view.sections, 'section')} were heard, each under words of the speaker. The draft is
              empty yet.
            </p>
          </>
        ) : account ? (
          <>
            <FidelityLine account={account} />
            <FidelitySteps
              account={account}
              addedAt={added?.at ?? null}
              leftAt={left?.at ?? null}
              onAdded={(run, at) => {
                setAdded({ run, at });
                document.getElementById(`traced-${run.blockId}`)?.scrollIntoView({ block: 'center' });
              }}
              onLeft={(run, at) => {
                setLeft({ run, at });
                const line = view.lines.findLast(({ from }) => from <= run.from);
                document.getElementById(`said-${line?.from}`)?.scrollIntoView({ block: 'center' });
              }}
            />
          </>
        ) : (
          <Waiting name="Holding the draft against the talk" className="h-10" />
        )}
        <Editable>
          <p className="flex flex-wrap gap-2">
            <Button look={words === 0 ? 'main' : 'plain'} onClick={() => attempt(makeDraft())}>
              {words === 0 ? 'Make this the draft' : 'Make the draft anew from the talk'}
            </Button>
            {words > 0 && (
              <>
                {hasEmbed && canName && (
                  <Button onClick={putChapters}>Put chapters below the recording</Button>
                )}
                <Button onClick={() => attempt(putTranscript())}>Put the whole transcript at the end</Button>
                <Button onClick={() => navigate('../write', { relative: 'path', state: { lens: 'talk' } })}>
                  Write
                </Button>
              </>
            )}
          </p>
        </Editable>
      </header>
      <div className="min-h-0 flex-1 overflow-auto px-4 pt-3">
        {words > 0 && account && (
          <>
            <div className="mb-4 px-1">
              <SectionBars
                account={account}
                onSection={(id) =>
                  document
                    .getElementById(`traced-${id || account.times[0]?.[0]}`)
                    ?.scrollIntoView({ block: 'start' })
                }
              />
            </div>
            <TracedDraft
              blocks={session.body.blocks}
              account={account}
              shown={added?.run ?? null}
              onTime={play}
            />
          </>
        )}
        <div className="mb-10 space-y-5 border-t px-1 pt-4">
          {words > 0 && <UnspokenWords session={session} at={row.at} onTime={play} />}
          <Heard view={view} onTime={play} />
          <SectionAsking at={row.at} account={account} onTime={play} />
          <RecordingFields row={row} onChange={(change) => attempt(changeTalk(row.postId, change))} />
          <p className="flex flex-wrap gap-4 text-[13px]">
            <Button look="word" onClick={onOther}>
              Bring another transcript
            </Button>
            <Button look="word" onClick={() => attempt(remove())}>
              Take the talk from this post
            </Button>
          </p>
        </div>
      </div>
    </section>
  );
  return (
    <Panes
      name="talk"
      main={said}
      side={made}
      sideName="the post"
      sideWidth={620}
      least={380}
      mainLeast={380}
      below={900}
    />
  );
}

/** What was heard in the talk beside its text: questions with their answers, what to pull out, and a summary. */
function Heard({
  view,
  onTime,
}: {
  view: NonNullable<ReturnType<typeof useTalkView>>;
  onTime: (seconds: number) => void;
}) {
  const lists: [name: string, lines: { text: string; start: number | null; more?: string }[]][] = [
    ['In three sentences', view.summary],
    ['Worth pulling out', view.quotations],
    [
      'Asked and answered',
      view.questions.map(({ question, answer, start }) => ({ text: question, more: answer, start })),
    ],
  ];
  return (
    <>
      {lists.map(([name, lines]) =>
        lines.length === 0 ? null : (
          <section key={name} aria-label={name} className="text-[13px]">
            <h3 className="mb-1 font-semibold">{name}</h3>
            <ul className="space-y-1.5">
              {lines.map(({ text, start, more }) => (
                <li
                  key={text}
                  className="grid grid-cols-[3.2rem_1fr] gap-x-3 font-serif text-[14px] leading-[1.45]"
                >
                  <TimeButton seconds={start} onTime={onTime} />
                  <span className="min-w-0 break-words">
                    {text}
                    {more && <span className="block text-soft">{more}</span>}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        ),
      )}
    </>
  );
}
