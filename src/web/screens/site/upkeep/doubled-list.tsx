import { ToWin } from '../../../ui/earned.tsx';
import { None } from '../../../ui/empty.tsx';
import type { Upkeep } from '../../../workers/site-upkeep.ts';
import { PostLink } from './post-link.tsx';

/** Titles and descriptions that several posts have. */
export function DoubledList({ found }: { found: Upkeep }) {
  if (found.doubled.length === 0) return <None>Every title and description stands once.</None>;
  return (
    <ul aria-label="Doubled listings" className="max-w-4xl">
      {found.doubled.map(({ what, text, ids }) => (
        <li key={`${what} ${ids.join()}`} className="border-t py-3 first:border-t-0">
          <p className="break-words">
            <span className="text-soft">The {what}</span> “{text}”{' '}
            <span className="text-soft">stands for</span>
          </p>
          <ul className="mt-1">
            {ids.map((id) => (
              <li key={id} className="flex flex-wrap items-baseline gap-x-3 break-words pl-3">
                <PostLink id={id} found={found} />
                {what !== 'meta description' && (found.doubledGain.get(id) ?? 0) > 0 && (
                  <ToWin points={found.doubledGain.get(id)!} />
                )}
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}
