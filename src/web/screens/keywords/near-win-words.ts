import type { NearWin, Targeting } from '../../../core/research/index.ts';

/** How the page that shows for a query targets it. */
export const TARGETING: Record<Targeting, string> = {
  primary: 'its primary keyword',
  supporting: 'a supporting keyword',
  title: 'only in its title',
  none: 'not targeted',
};

/** The page that shows for a query: a post's title, or the address of another page. */
export const whereOf = (win: NearWin): string =>
  win.page ? win.page.title || 'Untitled' : win.row.page.replace(/^https?:\/\//, '') || 'page not named';
