import { useEffect, useState } from 'react';
import { postOfEntry } from '../../../../core/blog/index.ts';
import type { PostDocument } from '../../../../core/draft/index.ts';
import { postThere, type Way } from '../../../services/publishing.ts';
import { failureInWords } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { DialogFrame } from '../../../ui/dialog-frame.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { Comparison } from '../versions/comparison.tsx';

/** What stands on the blog beside what is written here, where somebody changed it there; nothing is put over it unasked. */
export function ChangedThere({
  way,
  url,
  written,
  onClose,
  onOverwrite,
}: {
  way: Way;
  url: string;
  written: PostDocument;
  onClose: () => void;
  onOverwrite: () => void;
}) {
  const [there, setThere] = useState<PostDocument | null>(null);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    let isWanted = true;
    postThere(way, url).then(
      ({ properties }) => isWanted && setThere(postOfEntry(properties)),
      (error: unknown) => isWanted && setProblem(failureInWords(error)),
    );
    return () => {
      isWanted = false;
    };
  }, [way, url]);
  // Only what a blog holds of a post is compared: the brief stays here.
  const before: PostDocument | null = there
    ? {
        fields: {
          ...written.fields,
          title: there.fields.title,
          metaTitle: there.fields.metaTitle,
          metaDescription: there.fields.metaDescription,
          excerpt: there.fields.excerpt,
          category: there.fields.category,
          author: there.fields.author,
        },
        draft: there.draft,
      }
    : null;
  return (
    <DialogFrame title="The post was changed on the blog" onClose={onClose} width="w-[min(1040px,96vw)]">
      <p className="mb-3 max-w-2xl text-soft">
        Since it was sent last, somebody changed it there. Take over by hand what shall stay; then send it.
        What stands on the blog is not kept here.
      </p>
      <div className="min-h-0 flex-1 overflow-auto">
        {problem ? (
          <p role="alert" className="text-rust">
            {problem}
          </p>
        ) : before ? (
          <Comparison before={before} after={written} names={['On the blog', 'Written here']} />
        ) : (
          <Waiting className="h-40" />
        )}
      </div>
      <div className="mt-4 flex flex-wrap justify-end gap-3">
        <Button onClick={onClose}>Leave it as it stands there</Button>
        <Button look="main" disabled={!before} onClick={onOverwrite}>
          Send mine in its place
        </Button>
      </div>
    </DialogFrame>
  );
}
