import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Profile } from '../../../core/criteria/index.ts';
import type { ProfileEffect } from '../../../core/scoring/index.ts';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { jobsWorker } from '../../workers/jobs-client.ts';

/** Below this a change of a score is none that a reader would see. */
const VISIBLE = 0.05;
const MAX_ROWS = 12;
/** Milliseconds after the last key from which the effect is worked out. */
const AFTER = 300;

const signed = (gain: number) => `${gain > 0 ? '+' : '−'}${Math.abs(gain).toFixed(1)}`;
const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** What a profile would do to the posts of the site, worked out beside the page while it is set. */
export function ProfileEffectPanel({ siteId, profile }: { siteId: string; profile: Profile | null }) {
  const [effects, setEffects] = useState<ProfileEffect[] | null>(null);
  const [busy, setBusy] = useState(false);
  const [all, setAll] = useState(false);
  useEffect(() => {
    if (!profile) return;
    let stale = false;
    setBusy(true);
    const work = async () => {
      try {
        const found = await (await jobsWorker()).tryProfile(siteId, profile);
        if (!stale) setEffects(found);
      } finally {
        if (!stale) setBusy(false);
      }
    };
    const timer = setTimeout(() => attempt(work(), 'The effect could not be worked out'), AFTER);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [siteId, profile]);
  if (!effects) return <Waiting className="h-24" />;
  if (effects.length === 0) return <p className="text-soft">There are no posts yet that it could change.</p>;
  const moved = effects
    .filter(({ before, after }) => Math.abs(after - before) >= VISIBLE)
    .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before));
  const up = moved.filter(({ before, after }) => after > before).length;
  return (
    <div aria-busy={busy} className={busy ? 'opacity-60' : ''}>
      <p role="status" className="mb-2">
        {moved.length === 0 ? (
          `No score of your ${effects.length} ${effects.length === 1 ? 'post' : 'posts'} changes.`
        ) : (
          <>
            On average{' '}
            <span className="font-semibold">{meanOf(effects.map(({ before }) => before)).toFixed(1)}</span> →{' '}
            <span className="font-semibold">{meanOf(effects.map(({ after }) => after)).toFixed(1)}</span>; of{' '}
            {effects.length} {effects.length === 1 ? 'post' : 'posts'} {up} up, {moved.length - up} down.
          </>
        )}
      </p>
      {moved.length > 0 && (
        <table aria-label="Posts that change" className="w-full text-[13px]">
          <tbody>
            {(all ? moved : moved.slice(0, MAX_ROWS)).map(({ postId, title, before, after }) => (
              <tr key={postId} className="border-t">
                <td className="max-w-0 truncate py-1 pr-2" title={title}>
                  <Link to={`/posts/${postId}/write`} className="hover:text-sea hover:underline">
                    {title || 'Untitled'}
                  </Link>
                </td>
                <td className="w-26 py-1 text-right whitespace-nowrap text-soft">
                  {before.toFixed(1)} → {after.toFixed(1)}
                </td>
                <td
                  className={`w-14 py-1 text-right font-semibold ${after > before ? 'text-marram' : 'text-ochre'}`}
                >
                  {signed(after - before)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {moved.length > MAX_ROWS && (
        <Button
          look="word"
          className="border-t pt-1 text-[13px]"
          aria-expanded={all}
          onClick={() => setAll(!all)}
        >
          {all ? 'Show the first alone' : `and ${moved.length - MAX_ROWS} more`}
        </Button>
      )}
    </div>
  );
}
