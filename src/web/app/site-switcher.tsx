import { type ButtonHTMLAttributes, lazy, Suspense, useState } from 'react';
import { currentSite } from '../data/sites.ts';
import { useLiveQuery } from '../state/use-live-query.ts';

const load = () => import('./site-menu.tsx');
const SiteMenu = lazy(async () => ({ default: (await load()).SiteMenu }));

/** The site in hand; pressed, the menu of all of them. The menu is no part of the first page. */
export function SiteSwitcher() {
  const site = useLiveQuery(currentSite);
  const [asked, setAsked] = useState(false);
  const button = (
    <SiteButton
      name={site?.name ?? ''}
      aria-haspopup="menu"
      onPointerEnter={load}
      onFocus={load}
      onClick={() => setAsked(true)}
    />
  );
  if (!asked) return button;
  return (
    <Suspense fallback={button}>
      <SiteMenu trigger={<SiteButton name={site?.name ?? ''} />} />
    </Suspense>
  );
}

const SiteButton = ({ name, ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { name: string }) => (
  <button
    type="button"
    aria-label={`Site: ${name}. Change`}
    className="mt-auto max-[760px]:mt-0 max-[760px]:w-20 -mx-1 rounded-md py-1.5 text-center text-[10.5px] leading-tight break-words text-soft hover:text-ink"
    {...rest}
  >
    {name || 'Unnamed site'}
  </button>
);
