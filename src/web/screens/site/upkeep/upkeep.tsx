import { useEffect, useRef, useState } from 'react';
import { regionOf } from '../../../../core/site/index.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { Button } from '../../../ui/button.tsx';
import { Empty } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { researchWorker } from '../../../workers/research-client.ts';
import type { Upkeep } from '../../../workers/site-upkeep.ts';
import { LongLookLine } from '../long-look-line.tsx';
import { SiteHeader } from '../site-header.tsx';
import { useLongLook } from '../use-long-look.ts';
import { useSiteRows } from '../use-site-rows.ts';
import { ClashList } from './clash-list.tsx';
import { DoubledList } from './doubled-list.tsx';
import { LanguageList } from './language-list.tsx';
import { MendList } from './mend-list.tsx';
import { SameList } from './same-list.tsx';

const KINDS = [
  { id: 'clashes', name: 'On one target' },
  { id: 'same', name: 'Same text' },
  { id: 'doubled', name: 'Doubled listings' },
  { id: 'thin', name: 'Thin' },
  { id: 'old', name: 'Out of date' },
  { id: 'heavy', name: 'Heavy pictures' },
  { id: 'alt', name: 'No alt text' },
  { id: 'translations', name: 'Languages' },
] as const;
type Kind = (typeof KINDS)[number]['id'];

/** Posts up to which the whole site is looked through at once; more are when that is wished. */
const FEW = 300;

/** What the blog has gathered over the years that wants mending, by kind. */
export function UpkeepScreen() {
  const found = useSiteRows();
  if (!found) return <Waiting />;
  const { site, posts } = found;
  const phrases = posts.map(({ fields }) => fields.keyword).filter(Boolean);
  return <OfSite key={site.id} site={site} count={posts.length} phrases={phrases} />;
}

const countOf = (found: Upkeep, kind: Kind): number =>
  kind === 'clashes' || kind === 'same' || kind === 'doubled' || kind === 'translations'
    ? found[kind].length
    : found.lines[kind].length;

function OfSite({ site, count, phrases }: { site: SiteRow; count: number; phrases: readonly string[] }) {
  const look = useLongLook(async (worker, job, tell) => {
    const known = await (await researchWorker()).firstPages(site.id, regionOf(site), phrases);
    const pages = new Map(
      phrases.flatMap((phrase, at) => {
        const own = known[at];
        return own ? [[phrase, own] as const] : [];
      }),
    );
    return worker.upkeep(site.id, pages, job, tell);
  }, 'The posts could not be looked through');
  const [kind, setKind] = useState<Kind>('clashes');
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current || count === 0 || count > FEW) return;
    begun.current = true;
    look.look();
  }, [count, look]);
  const { answer } = look;
  return (
    <main className="flex h-full flex-col">
      <SiteHeader>
        {count > 0 && look.done === null && (
          <Button look={answer ? 'plain' : 'main'} onClick={look.look}>
            {answer ? 'Look again' : `Look through ${counted(count, 'post')}`}
          </Button>
        )}
        <LongLookLine of={look} name="Looking through the posts" />
      </SiteHeader>
      {count === 0 ? (
        <Empty title="There is nothing to keep up yet">
          Posts that want to be found for the same, texts that stand twice, what has aged: it stands here once
          there are posts.
        </Empty>
      ) : (
        answer && (
          <TabSet value={kind} onChange={setKind} className="flex min-h-0 flex-1 flex-col px-6 pb-4">
            <TabRow
              label="What wants mending"
              tabs={KINDS.map(({ id, name }) => ({ id, name, count: countOf(answer, id) }))}
            />
            {KINDS.map(({ id }) => (
              <TabPanel key={id} of={id} className="min-h-0 flex-1 overflow-auto pt-3">
                {id === 'clashes' ? (
                  <ClashList found={answer} />
                ) : id === 'same' ? (
                  <SameList found={answer} />
                ) : id === 'doubled' ? (
                  <DoubledList found={answer} />
                ) : id === 'translations' ? (
                  <LanguageList found={answer} onMended={look.look} />
                ) : (
                  <MendList kind={id} siteId={site.id} found={answer} onMended={look.look} />
                )}
              </TabPanel>
            ))}
          </TabSet>
        )
      )}
    </main>
  );
}
