import { type Ref, useEffect, useImperativeHandle, useRef, useState } from 'react';
import type { TalkRow } from '../../../data/talk-rows.ts';
import { keepRecording, MAX_RECORDING_BYTES, recordingOf } from '../../../data/talks.ts';
import { attempt } from '../../../state/attempt.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { FileButton } from '../../../ui/file-button.tsx';

/** What the recording can be asked for from elsewhere. */
export interface Recorder {
  /** Plays from a second on; answers whether there is anything to play. */
  play: (seconds: number) => boolean;
  /** The picture that a video shows now, with its second; null where there is none. */
  still: () => Promise<{ blob: Blob; seconds: number } | null>;
}

/** Recordings that are too large to be kept, by their post: they play until the page is left. */
const visiting = new Map<string, File>();

/** Lays a recording beside the talk of a post: kept with it, or for this visit where it is too large for that. */
export function layRecording(postId: string, siteId: string, file: File): void {
  visiting.set(postId, file);
  if (file.size <= MAX_RECORDING_BYTES)
    attempt(
      keepRecording({ postId, siteId, name: file.name, blob: file }),
      'The recording could not be kept: it plays until this page is left',
    );
}

/** Lets go of what was only laid there for this visit. */
export const liftRecording = (postId: string): boolean => visiting.delete(postId);

/** The recording of a talk, played from its file on this machine. */
export function RecordingBar({
  row,
  ref,
  onVideo,
}: {
  row: TalkRow;
  ref: Ref<Recorder>;
  /** Told whether a picture can be taken out of it. */
  onVideo: (isVideo: boolean) => void;
}) {
  const { postId, siteId } = row;
  const kept = useLiveQuery(async () => (await recordingOf(postId)) ?? null, [postId]);
  const [laid, setLaid] = useState<File | null>(() => visiting.get(postId) ?? null);
  const [address, setAddress] = useState('');
  const [problem, setProblem] = useState('');
  const player = useRef<HTMLVideoElement & HTMLAudioElement>(null);
  const file = laid ?? kept?.blob ?? null;
  const name = laid?.name ?? kept?.name ?? '';
  const isAudio = file?.type.startsWith('audio/') ?? false;
  useEffect(() => {
    if (!file) return;
    const made = URL.createObjectURL(file);
    setAddress(made);
    setProblem('');
    return () => URL.revokeObjectURL(made);
  }, [file]);
  const hasVideo = file !== null && !isAudio && problem === '';
  useEffect(() => onVideo(hasVideo), [hasVideo, onVideo]);
  useImperativeHandle(ref, () => ({
    play(seconds) {
      const own = player.current;
      if (!own || problem) return false;
      own.currentTime = seconds;
      own.play().catch(() => {});
      return true;
    },
    async still() {
      const own = player.current;
      if (!own || isAudio || own.videoWidth === 0) return null;
      const canvas = new OffscreenCanvas(own.videoWidth, own.videoHeight);
      canvas.getContext('2d')?.drawImage(own, 0, 0);
      return {
        blob: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.88 }),
        seconds: own.currentTime,
      };
    },
  }));
  const choose = ([chosen]: File[]) => {
    layRecording(postId, siteId, chosen);
    setLaid(chosen);
  };
  const own = {
    ref: player,
    src: address,
    controls: true,
    preload: 'metadata' as const,
    'aria-label': `Recording: ${name}`,
    onError: () => setProblem(`${name} cannot be played here. Choose it as .mp4, .webm, .mp3 or .ogg.`),
  };
  return (
    <div className="flex min-w-0 flex-wrap items-center gap-x-3 gap-y-1 text-[13px]">
      {file && address ? (
        isAudio ? (
          <audio {...own} className="h-9 w-80 max-w-full" />
        ) : (
          <video {...own} className="h-24 max-w-60 rounded-md border bg-ink" />
        )
      ) : (
        <span className="text-soft">No recording: times show the place.</span>
      )}
      <FileButton label="Recording of the talk" accept="audio/*,video/*" look="word" onFiles={choose}>
        {file ? 'Another file' : 'Add the recording'}
      </FileButton>
      {problem && (
        <span role="alert" className="text-rust">
          {problem}
        </span>
      )}
    </div>
  );
}
