import { useEffect, useState } from 'react';
import { patternProblem } from '../../../../core/listing/index.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { TextField } from '../../../ui/field.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import type { PlannedOrder } from '../../../workers/site-order.ts';
import { SiteHeader } from '../site-header.tsx';
import { useSiteRows } from '../use-site-rows.ts';
import { BlogKnows } from './blog-knows.tsx';
import { MovedTable } from './moved-table.tsx';
import { effectInWords, Problems } from './order-preview.tsx';
import { Redirects } from './redirects.tsx';
import { TryAddress } from './try-address.tsx';
import { makeChange, planned } from './use-arranging.tsx';

/** Patterns that are often wished for. */
const COMMON = ['/{slug}', '/blog/{slug}', '/{category}/{slug}', '/{year}/{month}/{slug}'];
/** Milliseconds for which nothing is typed before the effect is worked out. */
const QUIET_FOR = 250;

/** The addresses of the blog: how those of its posts are made, what another pattern would do, and where old ones lead. */
export function Addresses() {
  const found = useSiteRows();
  if (!found) return <Waiting />;
  const { site, pages, posts } = found;
  return (
    <main className="h-full overflow-auto">
      <SiteHeader />
      <BlogKnows site={site} />
      <Pattern key={site.id} site={site} />
      <section aria-label="Try an address" className="mx-6 mb-6 max-w-4xl border-t pt-4">
        <TryAddress site={site} posts={posts} pages={pages} />
      </section>
      <Redirects site={site} />
    </main>
  );
}

/** What another pattern would come to; null: it is the one that holds, or none. */
function useEffectOf(site: SiteRow, pattern: string): PlannedOrder | null {
  const [plan, setPlan] = useState<{ pattern: string; plan: PlannedOrder } | null>(null);
  const isWanted = pattern !== site.addressPattern && patternProblem(pattern) === '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew whenever the site changes
  useEffect(() => {
    if (!isWanted) return;
    const stopping = new AbortController();
    const timer = setTimeout(
      () =>
        attempt(
          planned(site.id, { addressPattern: pattern }, stopping.signal).then((found) =>
            setPlan({ pattern, plan: found }),
          ),
          'It could not be worked out what would change',
        ),
      QUIET_FOR,
    );
    return () => {
      clearTimeout(timer);
      stopping.abort();
    };
  }, [site.id, site.revision, pattern, isWanted]);
  return isWanted && plan?.pattern === pattern ? plan.plan : null;
}

/** The pattern of the addresses of posts, with what another one would do to each. */
function Pattern({ site }: { site: SiteRow }) {
  const [typed, setTyped] = useState(site.addressPattern);
  useEffect(() => setTyped(site.addressPattern), [site.addressPattern]);
  const [busy, setBusy] = useState(false);
  const pattern = typed.trim();
  const plan = useEffectOf(site, pattern);
  const make = async () => {
    if (!plan) return;
    setBusy(true);
    try {
      await makeChange(site.id, plan, 'Posts have other addresses');
    } finally {
      setBusy(false);
    }
  };
  const problems = plan?.arrangement.problems ?? [];
  return (
    <section aria-label="Addresses of posts" className="mx-6 mb-6 max-w-4xl">
      <div className="max-w-xl">
        <TextField
          label="Address pattern of posts"
          value={typed}
          onChange={setTyped}
          problem={patternProblem(pattern)}
          list={COMMON}
          note="{slug} must stand in it; {category}, {year}, {month} and {day} can."
        />
      </div>
      {pattern !== site.addressPattern && patternProblem(pattern) === '' && (
        <div className="mt-3" aria-busy={plan === null}>
          {plan === null ? (
            <p className="text-soft">Looking at every post…</p>
          ) : (
            <>
              {problems.length > 0 ? (
                <Problems problems={problems} />
              ) : (
                <ul aria-label="What changes" className="mb-3 list-disc space-y-1 pl-5">
                  {effectInWords(plan).map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                  {plan.arrangement.moved.length === 0 && <li>No post has another address by it.</li>}
                </ul>
              )}
              <MovedTable moved={plan.arrangement.moved} />
              <div className="mt-3 flex gap-3">
                {problems.length === 0 && (
                  <Button
                    look="main"
                    disabled={busy}
                    onClick={() => attempt(make(), 'The addresses could not be changed')}
                  >
                    {busy ? 'Changing…' : 'Change the addresses'}
                  </Button>
                )}
                <Button disabled={busy} onClick={() => setTyped(site.addressPattern)}>
                  Leave them as they are
                </Button>
              </div>
            </>
          )}
        </div>
      )}
    </section>
  );
}
