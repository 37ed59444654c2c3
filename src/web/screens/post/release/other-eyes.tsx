import { useState } from 'react';
import { toast } from 'sonner';
import { openComments, type Review } from '../../../../core/review/index.ts';
import { attempt, failureInWords } from '../../../state/attempt.ts';
import { bringAnswer, saveReviewFile } from '../../../state/post/review-file.ts';
import { setStatus } from '../../../state/post/set-status.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { counted } from '../../../ui/figures.ts';
import { FileButton } from '../../../ui/file-button.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { useZone } from '../../../ui/zone.ts';
import { usePost } from '../frame/post-context.ts';

/** Another pair of eyes: the post as a file to hand over, and the answer that comes back. */
export function OtherEyes({ review }: { review: Review | undefined }) {
  const { session, site } = usePost();
  const zone = useZone();
  const status = useAppSelector((state) => state.openPost.fields.status);
  const [withNotes, setWithNotes] = useState(false);
  const [problem, setProblem] = useState('');
  const hand = async () => {
    await saveReviewFile(session, site, withNotes);
    if (status === 'draft') setStatus(session, 'in-review');
  };
  const bring = async (file: File) => {
    setProblem('');
    try {
      toast(await bringAnswer(file), { duration: 12_000 });
    } catch (error) {
      setProblem(failureInWords(error));
    }
  };
  const open = review ? openComments(review).length : 0;
  return (
    <section aria-label="Another pair of eyes" className="mt-4 border-t pt-3 text-[13px]">
      <h3 className="mb-1 text-[14px] font-semibold">Another pair of eyes</h3>
      {review?.verdicts.map(({ reviewer, at, says }) => (
        <p key={reviewer}>
          {says === 'approved' ? 'Approved by' : 'Changes asked by'} {reviewer}
          {at && <span className="text-soft">, {dayInWords(at, zone)}</span>}
        </p>
      ))}
      {review && review.comments.length > 0 && (
        <p>
          <WordLink to={`/posts/${session.id}/write`} state={{ lens: 'review' }}>
            {open === 0 ? 'All comments are done' : counted(open, 'open comment')}
          </WordLink>
        </p>
      )}
      <CheckField checked={withNotes} onChange={setWithNotes} className="mt-1 flex items-center gap-1.5">
        With the notes of the score
      </CheckField>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping is a shortcut; the button inside does the same */}
      <div
        className="mt-2 flex flex-wrap gap-2"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          const [file] = event.dataTransfer.files;
          if (file) void bring(file);
        }}
      >
        <Button onClick={() => attempt(hand(), 'The review file could not be made')}>For review</Button>
        <FileButton
          label="Answer of a reviewer"
          accept=".json,.jsonld,application/json,application/ld+json"
          onFiles={([file]) => file && void bring(file)}
        >
          Bring an answer
        </FileButton>
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-rust">
          {problem}
        </p>
      )}
    </section>
  );
}
