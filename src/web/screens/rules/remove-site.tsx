import type { SiteRow } from '../../data/post-rows.ts';
import { allSites, goToSite, removeSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';

/** Takes a site out; the last one stays. */
export function RemoveSite({ site }: { site: SiteRow }) {
  const sites = useLiveQuery(allSites);
  if (!sites || sites.length < 2) return null;
  const remove = async () => {
    const putBack = await removeSite(site.id);
    offerUndo(
      `${site.name || 'The site'} is gone with its posts.`,
      async () => {
        await putBack();
        await goToSite(site.id, new Date().toISOString());
      },
      20_000,
    );
  };
  return (
    <section aria-label="Remove this site" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Remove this site</h2>
      <p className="mb-3 text-soft">
        {site.name || 'This site'} goes with its posts, versions, pages and rules. Your other{' '}
        {sites.length === 2 ? 'site stays' : 'sites stay'}.
      </p>
      <Button className="text-rust" onClick={() => attempt(remove())}>
        Remove {site.name || 'this site'}
      </Button>
    </section>
  );
}
