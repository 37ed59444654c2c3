import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { LookItem } from '../../../../core/release/index.ts';
import type { PostRow } from '../../../data/post-rows.ts';
import { overrule } from '../../../data/releases.ts';
import { attempt } from '../../../state/attempt.ts';
import { AddForm } from '../../../ui/add-form.tsx';
import { Button } from '../../../ui/button.tsx';
import { ToWin } from '../../../ui/earned.tsx';

type Overruled = NonNullable<PostRow['overruled']>[number];

/** One thing that holds the post back, with the way to let it pass. */
function Must({
  item,
  passed,
  postId,
  onLead,
}: {
  item: LookItem;
  passed: Overruled | undefined;
  postId: string;
  onLead: () => void;
}) {
  const [asking, setAsking] = useState(false);
  const keep = (why: string) => {
    setAsking(false);
    attempt(overrule(postId, item.id, why, new Date().toISOString()), 'That could not be kept');
  };
  return (
    <li className="border-t py-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <button
          type="button"
          onClick={onLead}
          className={`min-w-0 flex-1 basis-64 rounded text-left break-words hover:underline ${passed ? 'text-soft line-through' : ''}`}
        >
          {item.text}
        </button>
        {item.gain > 0 && !passed && <ToWin points={item.gain} />}
        <Button
          look="word"
          className="text-[13px]"
          aria-expanded={passed ? undefined : asking}
          onClick={() => (passed ? keep('') : setAsking(!asking))}
        >
          {passed ? 'Hold it back again' : 'Let it pass'}
        </Button>
      </div>
      {passed && <p className="mt-0.5 text-[13px] text-soft">Let pass: {passed.why}</p>}
      {asking && !passed && (
        <AddForm
          label="Why it may go out as it is"
          placeholder="Why it may go out as it is"
          action="Let it pass"
          small
          onAdd={keep}
          className="mt-2 max-w-xl"
        />
      )}
    </li>
  );
}

/** What the last look found: what must be mended before the post goes out, and what should be. */
export function LookList({
  items,
  overruled,
  postId,
}: {
  items: readonly LookItem[];
  overruled: readonly Overruled[];
  postId: string;
}) {
  const navigate = useNavigate();
  const lead = ({ at, field, criterion, place }: LookItem) => {
    if (at === 'release') {
      document.querySelector<HTMLElement>('[data-place="filing"] input')?.focus();
      return;
    }
    if (at === 'site') navigate('/site');
    else if (at === 'target') navigate(`/posts/${postId}/target`, { state: { focus: 'keyword' } });
    else navigate(`/posts/${postId}/${at}`, { state: { led: { field, criterion, place } } });
  };
  const musts = items.filter(({ level }) => level === 'must');
  const shoulds = items.filter(({ level }) => level === 'should');
  const passedOf = (id: string) => overruled.find(({ item }) => item === id);
  const open = musts.filter(({ id }) => !passedOf(id)).length;
  return (
    <div className="mb-8 grid grid-cols-2 gap-x-8 gap-y-6 max-[1180px]:grid-cols-1">
      <section aria-label="Must be mended">
        <h2 className="mb-1.5 flex items-baseline gap-3 font-serif text-xl font-semibold">
          Must be mended
          <span className="font-sans text-[13px] font-normal text-soft">
            {open === 0 ? 'nothing holds it back' : `${open} to go`}
          </span>
        </h2>
        {musts.length === 0 ? (
          <p className="border-t py-2 text-soft">
            Title, address, text, pictures and links are as they have to be.
          </p>
        ) : (
          <ul>
            {musts.map((item) => (
              <Must
                key={item.id}
                item={item}
                passed={passedOf(item.id)}
                postId={postId}
                onLead={() => lead(item)}
              />
            ))}
          </ul>
        )}
      </section>
      <section aria-label="Should be mended">
        <h2 className="mb-1.5 font-serif text-xl font-semibold">Should be mended</h2>
        {shoulds.length === 0 ? (
          <p className="border-t py-2 text-soft">Nothing is left to win.</p>
        ) : (
          <ul>
            {shoulds.map((item) => (
              <li key={item.id} className="flex items-baseline gap-3 border-t py-2">
                <button
                  type="button"
                  onClick={() => lead(item)}
                  className="min-w-0 flex-1 rounded text-left break-words hover:underline"
                >
                  {item.text}
                </button>
                {item.gain > 0 && <ToWin points={item.gain} />}
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
