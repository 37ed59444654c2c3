import { useRef, useState } from 'react';
import { keepTalk, MAX_RECORDING_BYTES } from '../../../data/talks.ts';
import { attempt } from '../../../state/attempt.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { droppedFiles } from '../../../ui/dropped-files.ts';
import { fileSize } from '../../../ui/figures.ts';
import { FileButton } from '../../../ui/file-button.tsx';
import { talkWorker } from '../../../workers/talk-client.ts';
import { usePost } from '../frame/post-context.ts';
import { layRecording } from './recording-bar.tsx';

const TRANSCRIPTS = '.vtt,.srt,.txt,.md,text/plain,text/vtt';
const RECORDINGS = 'audio/*,video/*';
const isRecording = (file: File) => /^(?:audio|video)\//.test(file.type);

/** A transcript is brought: pasted, as a file, or dropped, with its recording where there is one. */
export function BringTalk({ onDone }: { onDone: () => void }) {
  const { session } = usePost();
  const [text, setText] = useState('');
  const [name, setName] = useState('');
  const [recording, setRecording] = useState<File | null>(null);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  // Files that are being taken in, one after the other: what was chosen last stands there at the end.
  const [coming, setComing] = useState(0);
  const taking = useRef<Promise<void>>(Promise.resolve());
  const [over, setOver] = useState(false);
  const field = useRef<HTMLTextAreaElement>(null);

  const takeFiles = async (files: readonly File[]) => {
    const spoken = files.find((file) => !isRecording(file));
    const played = files.find(isRecording);
    if (played) setRecording(played);
    if (!spoken) return;
    const decode = async () => {
      const { text: words, problem: why } = await (await talkWorker()).decode(await spoken.arrayBuffer());
      setProblem(why ? `${spoken.name} ${why}` : '');
      if (why) return;
      setText(words);
      setName(spoken.name);
    };
    setComing((count) => count + 1);
    const own = taking.current.then(decode).finally(() => setComing((count) => count - 1));
    taking.current = own.catch(() => {});
    await own;
  };
  const read = async () => {
    setBusy(true);
    setProblem('');
    try {
      const { transcript, problem: why } = await (await talkWorker()).read(text);
      if (!transcript) {
        setProblem(name ? `${name}: ${why}` : why);
        field.current?.focus();
        return;
      }
      const takeBack = await keepTalk({
        postId: session.id,
        siteId: session.siteId,
        name,
        at: new Date().toISOString(),
        ...transcript,
        address: '',
        kind: recording?.type.startsWith('audio/') ? 'audio' : 'video',
        title: '',
      });
      if (recording) layRecording(session.id, session.siteId, recording);
      offerUndo('The talk lies with this post now.', takeBack);
      onDone();
    } finally {
      setBusy(false);
    }
  };
  return (
    <section
      aria-label="Bring a talk"
      className={`mx-auto my-8 w-full max-w-3xl rounded-md border bg-sheet px-6 py-6 ${over ? 'border-marram' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        attempt(droppedFiles(event.dataTransfer).then((files) => takeFiles(files.map(({ file }) => file))));
      }}
    >
      <h2 className="mb-1 font-serif text-xl font-semibold">A post from a talk</h2>
      <p className="mb-4 max-w-prose text-soft">
        Bring what was said at a workshop, in an interview or a video. Fillers and false starts go, sentences
        get capitals and stops, sections get headings, and every word stays the speaker’s own.
      </p>
      <label htmlFor="transcript" className="mb-1 block font-semibold">
        Transcript
      </label>
      <textarea
        id="transcript"
        ref={field}
        rows={11}
        value={text}
        aria-invalid={problem ? true : undefined}
        aria-describedby="transcript-note"
        placeholder={'0:00 so um thanks for coming\n0:04 the first thing is weight'}
        onChange={({ target }) => {
          setText(target.value);
          setName('');
        }}
        className="w-full rounded-md border bg-paper px-2.5 py-1.5 font-serif"
      />
      {problem ? (
        <p id="transcript-note" role="alert" className="mt-1 text-[13px] text-rust">
          {problem}
        </p>
      ) : (
        <p id="transcript-note" className="mt-1 text-[13px] text-soft">
          {name ? `From ${name}. ` : ''}WebVTT, SRT, lines with times of any kind, names in front, or plain
          words.
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <Button
          look="main"
          disabled={busy || coming > 0 || text.trim() === ''}
          onClick={() => attempt(read())}
        >
          {busy || coming > 0 ? 'Reading' : 'Read the talk'}
        </Button>
        <FileButton
          label="Transcript file"
          accept={TRANSCRIPTS}
          onFiles={(files) => attempt(takeFiles(files))}
        >
          Choose a transcript
        </FileButton>
        <FileButton
          label="Recording of the talk"
          accept={RECORDINGS}
          onFiles={([file]) => setRecording(file)}
        >
          {recording ? 'Another recording' : 'Add the recording'}
        </FileButton>
        <span className="text-[13px] text-soft">
          {recording
            ? `${recording.name}, ${fileSize(recording.size)}: plays here, is sent nowhere${
                recording.size > MAX_RECORDING_BYTES ? ', and has to be chosen again at the next visit' : ''
              }.`
            : 'The recording is for listening only: it stays on this machine.'}
        </span>
      </div>
    </section>
  );
}
