import { None } from '../../../ui/empty.tsx';
import type { PerformanceView } from '../../../workers/performance.ts';
import { EffectCard } from './effect-card.tsx';
import { PageLink } from './page-link.tsx';

const SHOWN = 100;

/** What came of changes: each held against the pages that did not change. */
export function EffectsTab({ view, siteId }: { view: PerformanceView; siteId: string }) {
  return (
    <>
      <p className="mb-3 max-w-3xl text-soft">
        Four weeks before a change against four from the week after it on, less what the site's other pages
        did meanwhile, season taken out of both. The bar is where the effect lies at 95 %; the dashed line is
        no change.
      </p>
      {view.effects.length === 0 ? (
        <None>
          No change of a post that is out is known yet. Each time that you send one anew, what came of it is
          told here.
        </None>
      ) : (
        <ul aria-label="What came of changes" className="max-w-4xl">
          {view.effects.slice(0, SHOWN).map(({ effect, ...page }) => (
            <li key={`${page.path} ${effect.change.day}`} className="border-t py-3 first:border-t-0">
              <p className="truncate font-serif text-[17px]">
                <PageLink page={page} />
              </p>
              <EffectCard effect={effect} siteId={siteId} path={page.path} />
            </li>
          ))}
        </ul>
      )}
      {view.effects.length > SHOWN && (
        <p className="py-3 text-soft">Earlier changes are told on the pages themselves.</p>
      )}
    </>
  );
}
