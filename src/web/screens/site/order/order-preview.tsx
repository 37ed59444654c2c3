import { Button } from '../../../ui/button.tsx';
import { DialogFrame } from '../../../ui/dialog-frame.tsx';
import { counted } from '../../../ui/figures.ts';
import type { PlannedOrder } from '../../../workers/site-order.ts';
import { MovedTable } from './moved-table.tsx';

/** Titles that are named; the others are counted. */
const NAMED = 8;

/** What a change would come to, in sentences. */
export function effectInWords({ arrangement, mend }: PlannedOrder): string[] {
  const { refiled, moved, newRedirects, ownOriginals } = arrangement;
  const posts = moved.filter(({ id }) => id !== null).length;
  const lists = moved.length - posts;
  return [
    refiled.length > 0 ? `${counted(refiled.length, 'post is', 'posts are')} filed elsewhere.` : '',
    posts > 0 ? `${counted(posts, 'post gets', 'posts get')} another address.` : '',
    lists > 0
      ? `The ${lists === 1 ? 'list of a category has' : `lists of ${lists} categories have`} another address.`
      : '',
    newRedirects > 0
      ? `${counted(newRedirects, 'old address leads', 'old addresses lead')} on from then on.`
      : '',
    mend.length > 0 ? `Links in ${counted(mend.length, 'post')} follow.` : '',
    ownOriginals.length > 0
      ? `${counted(ownOriginals.length, 'post names', 'posts name')} its own old address as the original: that is taken out.`
      : '',
  ].filter(Boolean);
}

/** A change of the blog's order before it is made: what it comes to, for each page whose address changes. */
export function OrderPreview({
  title,
  plan,
  onMake,
  onClose,
}: {
  title: string;
  plan: PlannedOrder;
  onMake: () => void;
  onClose: () => void;
}) {
  const { refiled, moved, problems } = plan.arrangement;
  return (
    <DialogFrame title={title} onClose={onClose}>
      <div className="min-h-0 flex-1 overflow-auto">
        {problems.length > 0 ? (
          <Problems problems={problems} />
        ) : (
          <ul aria-label="What changes" className="mb-3 list-disc space-y-1 pl-5">
            {effectInWords(plan).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
        {refiled.length > 0 && (
          <>
            <h3 className="mb-1 font-semibold">Filed elsewhere</h3>
            <ul aria-label="Filed elsewhere" className="mb-3">
              {refiled.slice(0, NAMED).map(({ id, title: post, before, after }) => (
                <li key={id} className="flex flex-wrap gap-x-3 border-t py-1">
                  <span className="min-w-0 flex-1 break-words">{post}</span>
                  <span className="text-soft">
                    {filedInWords(before)}, from now on{' '}
                    <span className="text-ink">{filedInWords(after)}</span>
                  </span>
                </li>
              ))}
              {refiled.length > NAMED && (
                <li className="border-t py-1 text-soft">
                  And {counted(refiled.length - NAMED, 'further post')}.
                </li>
              )}
            </ul>
          </>
        )}
        {moved.length > 0 && (
          <>
            <h3 className="mb-1 font-semibold">Addresses</h3>
            <MovedTable moved={moved} />
          </>
        )}
      </div>
      <div className="mt-4 flex justify-end gap-3">
        <Button onClick={onClose}>Leave it</Button>
        {problems.length === 0 && (
          <Button look="main" onClick={onMake}>
            {title}
          </Button>
        )}
      </div>
    </DialogFrame>
  );
}

/** Why a change cannot be made. */
export const Problems = ({ problems }: { problems: readonly string[] }) => (
  <div role="alert" className="mb-3 text-rust">
    <p className="font-semibold">It cannot be made so:</p>
    <ul className="list-disc pl-5">
      {problems.slice(0, NAMED).map((problem) => (
        <li key={problem} className="break-words">
          {problem}
        </li>
      ))}
      {problems.length > NAMED && <li>And {counted(problems.length - NAMED, 'further reason')}.</li>}
    </ul>
  </div>
);

const filedInWords = ({
  category,
  categories,
}: {
  category: string;
  categories: readonly string[];
}): string => [category || 'no main category', ...categories].join(', ');
