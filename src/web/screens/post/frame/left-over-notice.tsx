import { letLeftOverBe } from '../../../data/start-from.ts';
import { attempt } from '../../../state/attempt.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';

/** Tells how much of a post still stands as in the one it was begun from. */
export function LeftOverNotice({
  postId,
  leftOver,
}: {
  postId: string;
  leftOver: { title: string; blocks: string[] } | null;
}) {
  if (!leftOver || leftOver.blocks.length === 0) return null;
  const { title, blocks } = leftOver;
  const letBe = async () => {
    const before = await letLeftOverBe(postId);
    offerUndo('What stands there counts as this post’s own now.', () => letLeftOverBe(postId, before));
  };
  return (
    <p
      role="note"
      className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1 border-l-[3px] border-ochre bg-ochre-wash px-3 py-2 text-[13px]"
    >
      <span>
        {blocks.length === 1 ? 'One block still stands' : `${blocks.length} blocks still stand`} as in “
        {title}
        ”.
      </span>
      <Button look="word" onClick={() => attempt(letBe())}>
        Let it stay
      </Button>
    </p>
  );
}
