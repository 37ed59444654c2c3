import { KeyRound, Lightbulb, NotebookPen, Ruler, Sunrise, Waypoints } from 'lucide-react';
import { Tooltip } from 'radix-ui';
import { NavLink, Outlet, ScrollRestoration } from 'react-router';
import { currentSite } from '../data/sites.ts';
import { zoneOf } from '../data/zone-of.ts';
import { useAppSelector } from '../state/store.ts';
import { useLiveQuery } from '../state/use-live-query.ts';
import { Zone } from '../ui/zone.ts';
import { AppNotices } from './app-notices.tsx';
import { Commands } from './commands.tsx';
import { SiteSwitcher } from './site-switcher.tsx';
import { Toasts } from './toasts.tsx';

const ITEMS = [
  { to: '/today', name: 'Today', icon: Sunrise },
  { to: '/keywords', name: 'Keywords', icon: KeyRound },
  { to: '/ideas', name: 'Ideas', icon: Lightbulb },
  { to: '/posts', name: 'Posts', icon: NotebookPen },
  { to: '/site', name: 'Site', icon: Waypoints },
  { to: '/rules', name: 'House rules', icon: Ruler },
];

/** The frame of every screen: the rail, and the screen beside it. */
export function Shell() {
  const quiet = useAppSelector((state) => state.view.quiet);
  const site = useLiveQuery(currentSite);
  return (
    <Zone value={zoneOf(site)}>
      <Tooltip.Provider delayDuration={350}>
        <div className="flex h-full max-[760px]:flex-col-reverse print:block print:h-auto">
          <nav
            aria-label="Main"
            hidden={quiet}
            className="flex w-[76px] shrink-0 flex-col items-stretch gap-1 border-r px-1.5 py-3 max-[760px]:w-full max-[760px]:flex-row max-[760px]:border-t max-[760px]:border-r-0 max-[760px]:py-1 print:hidden"
          >
            <NavLink
              to="/posts"
              aria-label="Dune Sparrow, to your posts"
              className="mx-auto mb-3 rounded-md p-1 max-[760px]:hidden"
            >
              <Mark />
            </NavLink>
            {ITEMS.map(({ to, name, icon: Icon }) => (
              <NavLink
                key={to}
                to={to}
                className="flex flex-col items-center gap-1 rounded-md border border-transparent px-1 py-2 max-[760px]:flex-1 max-[760px]:py-1 text-center text-[12px] leading-tight text-soft hover:text-ink aria-[current=page]:border-line aria-[current=page]:bg-sheet aria-[current=page]:font-semibold aria-[current=page]:text-ink"
              >
                <Icon size={19} strokeWidth={1.6} aria-hidden />
                {name}
              </NavLink>
            ))}
            <SiteSwitcher />
          </nav>
          <div className="flex min-h-0 min-w-0 flex-1 flex-col">
            <AppNotices />
            <div className="min-h-0 flex-1">
              <Outlet />
            </div>
          </div>
        </div>
        <Commands />
        <ScrollRestoration />
        <Toasts />
      </Tooltip.Provider>
    </Zone>
  );
}

function Mark() {
  return (
    <svg viewBox="0 0 40 32" width="38" height="30" aria-hidden>
      <path
        d="M2 28C9 28 9 10 14 10s5 18 12 18"
        fill="none"
        className="stroke-marram"
        strokeWidth="2.4"
        strokeLinecap="round"
      />
      <path
        d="M17 28c7 0 7-13 12-13s4 13 9 13"
        fill="none"
        className="stroke-ochre"
        strokeWidth="2.4"
        strokeLinecap="round"
      />
      <path
        d="M20 11c0-4 3-6.500 7-6.500 2 0 3 1 3.500 2l3 1-3 1.200C30 12 27 13.500 24 13.500c-2 0-4-.7-4-2.500z"
        className="fill-ink"
      />
    </svg>
  );
}
