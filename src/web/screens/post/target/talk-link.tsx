import { clock, lengthOf } from '../../../../core/talk/index.ts';
import { transcriptOf } from '../../../data/talks.ts';
import { counted } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import { useTalkRow } from '../talk/use-talk.ts';

/** The way to the talk that a post is made from, or to bring one. */
export function TalkLink({ postId }: { postId: string }) {
  const row = useTalkRow(postId);
  if (row === undefined) return null;
  const seconds = row ? lengthOf(transcriptOf(row)) : 0;
  return (
    <p className="text-[13px]">
      <span className="font-semibold">Talk</span>{' '}
      {row ? (
        <>
          {row.name || 'Pasted transcript'}, {seconds > 0 ? clock(seconds) : counted(row.cues.length, 'line')}
          . <WordLink to={`/posts/${postId}/talk`}>Beside the post</WordLink>
        </>
      ) : (
        <>
          <span className="text-soft">Was it said before it is written? </span>
          <WordLink to={`/posts/${postId}/talk`}>Bring a transcript</WordLink>
        </>
      )}
    </p>
  );
}
