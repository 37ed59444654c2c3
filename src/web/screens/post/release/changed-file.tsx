import { useEffect, useState } from 'react';
import type { PostDocument } from '../../../../core/draft/index.ts';
import type { PostRelease } from '../../../data/post-rows.ts';
import { PublishingProblem, postThere } from '../../../services/publishing.ts';
import { failureInWords } from '../../../state/attempt.ts';
import { publishPost } from '../../../state/post/publish-post.ts';
import { useFolderChanges } from '../../../state/sending.ts';
import { Button } from '../../../ui/button.tsx';
import { usePost } from '../frame/post-context.ts';
import { ChangedThere } from './changed-there.tsx';

const FOLDER = { kind: 'folder' } as const;

/** Says when the post's file in the open folder was changed by somebody else, or is gone, and shows what differs. */
export function ChangedFile({ release, written }: { release: PostRelease; written: PostDocument }) {
  const { session, site } = usePost();
  const changes = useFolderChanges();
  const [found, setFound] = useState<'same' | 'changed' | 'gone'>('same');
  const [comparing, setComparing] = useState(false);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    if (changes === null) return;
    let isWanted = true;
    postThere(FOLDER, release.url).then(
      ({ version }) => isWanted && setFound(version === release.version ? 'same' : 'changed'),
      (error: unknown) => {
        // What cannot be looked at just now is as it was found last.
        if (isWanted && error instanceof PublishingProblem && /no file/.test(error.message)) setFound('gone');
      },
    );
    return () => {
      isWanted = false;
    };
  }, [changes, release.url, release.version]);
  if (found === 'same') return null;
  return (
    <div role="status" className="mt-2 border-l-[3px] border-ochre bg-ochre-wash px-3 py-2 text-[13px]">
      {found === 'gone' ? (
        'The file is gone from the folder. Publish anew to write it again.'
      ) : (
        <>
          The file was changed in the folder since it was sent.{' '}
          <Button look="word" onClick={() => setComparing(true)}>
            Compare
          </Button>
        </>
      )}
      {problem && <p className="mt-1 text-rust">{problem}</p>}
      {comparing && (
        <ChangedThere
          way={FOLDER}
          url={release.url}
          written={written}
          onClose={() => setComparing(false)}
          onOverwrite={() => {
            setComparing(false);
            publishPost(session, site, { ...release, version: null }, { kind: 'now' }).catch(
              (error: unknown) => setProblem(failureInWords(error)),
            );
          }}
        />
      )}
    </div>
  );
}
