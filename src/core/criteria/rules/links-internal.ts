import { criterion, type Fix } from '../criterion.ts';
import type { DraftFacts, LinkFact } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { count, measure, placeIn } from '../judging.ts';
import { ramp } from '../ramp.ts';

/** Links to other pages of the site: not home, not the post itself. */
export const linksToOthers = ({ links, settings: { ownPath } }: DraftFacts) =>
  links.filter(({ path }) => path !== null && path !== '/' && path !== ownPath);

/** The edit that lets a link's words stand without it. */
export const unlinked = ({ block, start, end }: LinkFact, href: string | null = null): DraftEdit => ({
  kind: 'set-link',
  blockId: block.id,
  start,
  end,
  quote: block.text.slice(start, end),
  href,
});

/** How many links to other pages of the site are wished for a draft of its length: so many at least, and at most. */
export function wishedInternalLinks({ settings: { limits }, words }: DraftFacts): [from: number, to: number] {
  const [, from, to] = limits.internalLinks;
  const least = Math.max(1, Math.ceil(((from ?? 0) * words) / 1000));
  return [least, Math.max(least, Math.floor(((to ?? from ?? 0) * words) / 1000))];
}

export const linksInternal = criterion({
  id: 'links-internal',
  group: 'links',
  title: 'Internal links',
  unit: 'links',
  place: 'text',
  weight: 4,
  needs: [],
  target: ({ internalLinks: [, from, to] }) =>
    `${from}-${to} links to other pages of the site per 1,000 words`,
  measure(facts, { site }) {
    // A link that leads nowhere links to no page of the site.
    const links = linksToOthers(facts).filter(({ path }) => !site?.pagesKnown || site.pages.has(path!));
    const limits = facts.settings.limits.internalLinks;
    const x =
      links.length === 0
        ? 0
        : facts.words === 0
          ? Number.POSITIVE_INFINITY
          : (1000 * links.length) / facts.words;
    const many = limits[2] !== null && x > limits[2];
    const wanted = Math.max(1, wishedInternalLinks(facts)[0] - links.length);
    const advice = many
      ? `${count(links.length, 'internal link')} for ${count(facts.words, 'word')}: more than one for every ${Math.round(1000 / (limits[2] ?? 10))} words. Write on, or keep those that help.`
      : `Link to ${count(wanted, 'more page')} of your site.`;
    return measure(
      ramp(x, limits),
      links.length,
      advice,
      many ? links.map(({ block, index, start, end }) => placeIn(block, index, start, end)) : [],
    );
  },
  fixes(facts) {
    const limits = facts.settings.limits.internalLinks;
    const links = linksToOthers(facts);
    if (limits[2] === null || (1000 * links.length) / Math.max(1, facts.words) <= limits[2]) return [];
    const met = new Set<string>();
    return firstFixes(links, (link): Fix[] => {
      const first = !met.has(link.path!);
      met.add(link.path!);
      return first || link.end <= link.start
        ? []
        : [{ label: `Take the link off "${link.text}": it stands above already`, edits: [unlinked(link)] }];
    });
  },
});
