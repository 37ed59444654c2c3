import type { AuditChange, ChangedPost } from '../../../../core/audit/index.ts';
import { None } from '../../../ui/empty.tsx';
import { GROUP_NAMES } from '../../../ui/ridge.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { Change } from './audit-summary.tsx';

const SHOWN = 200;

/** What rose and what fell since an earlier audit, and what came and went. */
export function ChangedPosts({ change }: { change: AuditChange }) {
  const { rose, fell, came, gone, fit, unfit } = change;
  if ([rose, fell, came, gone, fit, unfit].every((list) => list.length === 0))
    return <None>Every post stands as it did.</None>;
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
      <ChangedList name="Fell" posts={fell} none="None fell." />
      <ChangedList name="Rose" posts={rose} none="None rose." />
      <PlainList name="New since then" titles={came.map(({ title }) => title)} />
      <PlainList name="Not there any more" titles={gone} />
      <PlainList name="Pages that need work now" titles={unfit} />
      <PlainList name="Pages that are fit now" titles={fit} />
    </div>
  );
}

function ChangedList({ name, posts, none }: { name: string; posts: readonly ChangedPost[]; none: string }) {
  return (
    <section aria-label={name}>
      <h2 className="mb-1 font-semibold">
        {name} {posts.length}
      </h2>
      {posts.length === 0 && <p className="text-soft">{none}</p>}
      <ul>
        {posts.slice(0, SHOWN).map(({ id, title, before, after, group }) => (
          <li key={id} className="flex items-baseline gap-3 border-t py-1.5">
            <span className="min-w-0 flex-1 break-words">
              <WordLink quiet to={`/posts/${id}/write`}>
                {title}
              </WordLink>
              {group && (
                <span className="text-[13px] text-soft"> mostly {GROUP_NAMES[group].toLowerCase()}</span>
              )}
            </span>
            <span className="whitespace-nowrap">
              {after.toFixed(1)} <Change by={after - before} />
            </span>
          </li>
        ))}
        {posts.length > SHOWN && (
          <li className="border-t py-1.5 text-soft">And {posts.length - SHOWN} more.</li>
        )}
      </ul>
    </section>
  );
}

function PlainList({ name, titles }: { name: string; titles: readonly string[] }) {
  if (titles.length === 0) return null;
  return (
    <section aria-label={name}>
      <h2 className="mb-1 font-semibold">
        {name} {titles.length}
      </h2>
      <ul>
        {titles.slice(0, SHOWN).map((title) => (
          <li key={title} className="border-t py-1.5 break-words">
            {title}
          </li>
        ))}
        {titles.length > SHOWN && (
          <li className="border-t py-1.5 text-soft">And {titles.length - SHOWN} more.</li>
        )}
      </ul>
    </section>
  );
}
