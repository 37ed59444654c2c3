import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { BlogSettings } from '../../../../core/blog/index.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { hasLists } from '../../../data/site-around.ts';
import { standIn } from '../../../services/publishing.ts';
import { attempt } from '../../../state/attempt.ts';
import { isKnownToBlog, tellBlog } from '../../../state/site/tell-blog.ts';
import { Button } from '../../../ui/button.tsx';

/** Milliseconds for which nothing changes before the blog is asked: it is being told just then. */
const QUIET_FOR = 800;

/** Says where the blog beside the application goes by another order than its site, and tells it. */
export function BlogKnows({ site }: { site: SiteRow }) {
  const [settings, setSettings] = useState<BlogSettings | null>(null);
  const isBeside = hasLists(site) && site.categories !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew whenever the site changes
  useEffect(() => {
    if (!isBeside) return;
    let isWanted = true;
    const timer = setTimeout(() => {
      standIn().then(
        (blog) => isWanted && setSettings(blog?.settings ?? null),
        () => isWanted && setSettings(null),
      );
    }, QUIET_FOR);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [isBeside, site.revision]);
  if (!isBeside || !settings || isKnownToBlog(site, settings)) return null;
  const tell = async () => {
    const untold = await tellBlog(site.id);
    if (untold) toast.error(untold);
    setSettings((await standIn())?.settings ?? null);
  };
  return (
    <p className="mx-6 mb-3 flex flex-wrap items-baseline gap-x-3 text-soft">
      The blog beside the application has other categories, addresses or redirects than stand here.
      <Button look="word" onClick={() => attempt(tell(), 'The blog could not be told')}>
        Bring it up to date
      </Button>
    </p>
  );
}
