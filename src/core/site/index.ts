/**
 * Site: what the posts of a blog are to each other.
 *
 * `site-settings` is a site as scoring needs it, `indexed-post` what it keeps of each post; `site-index` looks up
 * meta titles, targets and addresses. `house` is what a house decides once for all posts; `fresh-start` begins a post
 * from another; `calendar` tells days and months in a site's zone; `publishing` says what a post lacks before it can
 * go out; `redirects` are what becomes of addresses that changed, `what-happens` what a reader comes to at any; `arrangement` is the room for categories and addresses, `linking` for links between posts,
 * `graph` for the site as a whole that they make, `upkeep` for what it gathers over the years, `joining` for two posts that become one, `translations` for posts in several languages.
 */
export * from './arrangement/index.ts';
export { dateIn, dayBefore, dayIn, isZone, monthIn, timeIn } from './calendar.ts';
export { freshStart, leftOver } from './fresh-start.ts';
export * from './graph/index.ts';
export {
  type ChecklistItem,
  emptyHouse,
  type House,
  houseFields,
  researchRulesOf,
  STAND_IN,
  voiceOf,
  writingOf,
} from './house.ts';
export { type IndexedPost, indexedPost } from './indexed-post.ts';
export * from './joining/index.ts';
export * from './linking/index.ts';
export { isForReaders, openToReaders, type PublishingNeed, publishingNeeds } from './publishing.ts';
export {
  isElsewhere,
  isLeadable,
  type Redirect,
  redirectedTo,
  withoutRedirect,
  withRedirect,
} from './redirects.ts';
export { pathOfPost, SiteIndex } from './site-index.ts';
export { regionOf, type SitePage, type SiteSettings, unknownSite } from './site-settings.ts';
export * from './translations/index.ts';
export * from './upkeep/index.ts';
export { type AddressFate, type StandingPage, whatHappens } from './what-happens.ts';
