import { useLiveQuery } from 'dexie-react-hooks';
import { toast } from 'sonner';
import type { SiteRow } from '../../data/database.ts';
import { allSites, removeSite } from '../../data/sites.ts';
import { snapshot } from '../../data/snapshot.ts';
import { Button } from '../../ui/button.tsx';

/** Takes a site out; the last one stays. */
export function RemoveSite({ site }: { site: SiteRow }) {
  const sites = useLiveQuery(allSites);
  if (!sites || sites.length < 2) return null;
  const remove = async () => {
    const putBack = await snapshot();
    await removeSite(site.id);
    toast(`${site.name || 'The site'} is gone with its posts.`, {
      duration: 20_000,
      action: { label: 'Undo', onClick: () => void putBack() },
    });
  };
  return (
    <section aria-label="Remove this site" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Remove this site</h2>
      <p className="mb-3 text-soft">
        {site.name || 'This site'} goes with its posts, versions, pages and rules. Your other{' '}
        {sites.length === 2 ? 'site stays' : 'sites stay'}.
      </p>
      <Button className="text-rust" onClick={() => void remove()}>
        Remove {site.name || 'this site'}
      </Button>
    </section>
  );
}
