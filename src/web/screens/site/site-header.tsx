import type { ReactNode } from 'react';
import { SiteTabs } from './site-tabs.tsx';

/** The head of every way of looking at the whole site. */
export const SiteHeader = ({ children }: { children?: ReactNode }) => (
  <header className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 pt-5 pb-3">
    <h1 className="font-serif text-[26px] font-semibold">Site</h1>
    <SiteTabs />
    {children}
  </header>
);
