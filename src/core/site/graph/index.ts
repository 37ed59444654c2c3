/**
 * Graph: the pages of a site and the links between them, as a whole.
 *
 * `site-graph` gathers them out of the texts; `page-weight` tells how much weight links pass to each page, `clicks-from-home` how far each
 * lies from the home page, `groups` which pages hold together; `standing` puts that together with what is wrong: pages that nothing links
 * to, that lead nowhere, that are linked to by words that do not name them. `map-layout` gives each page a place on paper;
 * `helpful-links` are the links that would help most, each with its effect on everybody's weight.
 */
export { type BlogLists, listPageOf } from './clicks-from-home.ts';
export {
  type HelpfulLink,
  helpfulLinks,
  type LinkCandidate,
  linkCandidates,
  neediestPages,
  strongestPages,
} from './helpful-links.ts';
export { type MapPlaces, mapLayout } from './map-layout.ts';
export { pageWeights } from './page-weight.ts';
export { type GraphPage, type SiteGraph, SiteGraphBuilder, type SiteLink } from './site-graph.ts';
export { type PageStanding, type SiteStanding, siteStanding } from './standing.ts';
