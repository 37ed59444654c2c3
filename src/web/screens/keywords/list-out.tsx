import { useNavigate } from 'react-router';
import { changeList } from '../../data/lists.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';
import type { ListRow } from '../../data/research-rows.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { copyText } from '../../ui/copy-text.ts';
import { download } from '../../ui/download.ts';
import { counted } from '../../ui/figures.ts';
import { researchWorker } from '../../workers/research-client.ts';
import { listFileName } from './list-figures.ts';

/** Where a list goes: onto the clipboard, into a file, or to a post that is there. */
export function ListOut({ site, list, posts }: { site: SiteRow; list: ListRow; posts: readonly PostRow[] }) {
  const navigate = useNavigate();
  const none = list.phrases.length === 0;
  const copy = () =>
    copyText(
      list.phrases.join('\n'),
      `${counted(list.phrases.length, 'phrase')} copied, one a line.`,
      listFileName(list, 'txt'),
      'text/plain',
    );
  const save = async () =>
    download(
      listFileName(list, 'csv'),
      await (await researchWorker()).csvOf(site.id, list.region, list.phrases),
      'text/csv',
    );
  const attach = async (postId: string) => {
    const back = await changeList(list.id, () => ({ postId }));
    offerUndo(`"${list.name}" belongs to its post now.`, back, 10_000);
    // There its phrases are taken into the target, as far as they are wanted.
    navigate(`/posts/${postId}/target`, { state: { list: list.id } });
  };
  const open = posts.filter(({ deleted }) => !deleted);
  return (
    <>
      <Button onClick={copy} disabled={none}>
        Copy
      </Button>
      <Button onClick={() => attempt(save())} disabled={none}>
        Save as CSV
      </Button>
      {!list.postId && open.length > 0 && (
        <Choice
          aria-label="Give it to a post"
          value=""
          onChange={(postId) => postId && attempt(attach(postId))}
          className="max-w-44 px-2 py-1.5"
          options={[
            { value: '', name: 'Give it to a post' },
            ...open.map(({ id, fields }) => ({ value: id, name: fields.title || 'Untitled' })),
          ]}
        />
      )}
    </>
  );
}
