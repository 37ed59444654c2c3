import { criterion, type Evidence, type Fix } from '../criterion.ts';
import type { DraftFacts, LinkFact } from '../draft-facts.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { nearestPage } from '../fixing/near-pages.ts';
import { measure, placeIn, wholeBlock } from '../judging.ts';
import type { SiteFacts } from '../surroundings.ts';
import { unlinked } from './links-internal.ts';

interface Item {
  live: boolean;
  what: string;
  place: Evidence;
}

const leads = (path: string, { settings }: DraftFacts, pages: SiteFacts['pages']): boolean =>
  path === '/' || path === settings.ownPath || pages.has(path);

/** Whether a link leads to no page of the site, or to one that no reader can open yet. */
export const isDead = (
  { kind, path }: LinkFact,
  facts: DraftFacts,
  { pages, unpublished, pagesKnown }: SiteFacts,
): boolean =>
  pagesKnown &&
  kind === 'internal' &&
  path !== null &&
  (!leads(path, facts, pages) || (unpublished.has(path) && path !== facts.settings.ownPath));

/**
 * Internal links against the known pages; embeds and pictures against plain http. Until the pages of the site are
 * known, an internal link counts as neither dead nor live.
 */
function items(facts: DraftFacts, site: SiteFacts): Item[] {
  const { pages, unpublished, pagesKnown } = site;
  const out: Item[] = [];
  for (const { kind, path, href, block, index, start, end } of facts.links) {
    if (!pagesKnown || kind !== 'internal' || path === null) continue;
    const waits = unpublished.has(path) && path !== facts.settings.ownPath;
    out.push({
      live: leads(path, facts, pages) && !waits,
      what: waits
        ? `"${pages.get(path) || href}" is not published yet: readers would find nothing there. Publish it first, or take the link off.`
        : `${href} is no known page of the site. Correct the link, or add the page.`,
      place: end > start ? placeIn(block, index, start, end) : wholeBlock(block, index),
    });
  }
  for (const {
    reading: { block },
    index,
  } of facts.totals.loading) {
    const addresses = block.kind === 'kept' ? (block.embeds ?? []) : block.image ? [block.image.src] : [];
    for (const address of addresses) {
      if (!/^https?:/i.test(address)) continue;
      out.push({
        live: !/^http:/i.test(address),
        what: `${address} is loaded over plain http; browsers block that. Use https.`,
        place: wholeBlock(block, index),
      });
    }
  }
  return out;
}

/** A dead link led to the page that was likely meant, or its words without it. */
export function deadLinkFixes(link: LinkFact, { pages, unpublished }: SiteFacts): Fix[] {
  if (link.end <= link.start) return [];
  const near = unpublished.has(link.path!) ? null : nearestPage(link.path!, pages);
  return [
    ...(near
      ? [
          {
            label: `Lead to ${near.path}${near.title ? ` ("${near.title}")` : ''}`,
            edits: [unlinked(link, near.path)],
            readOver: true as const,
          },
        ]
      : []),
    { label: `Take the link off "${link.text.trim()}"`, edits: [unlinked(link)] },
  ];
}

export const linksLive = criterion({
  id: 'links-live',
  group: 'links',
  title: 'Links that lead somewhere',
  place: 'text',
  weight: 5,
  needs: ['site', 'words'],
  applies: (facts, { site }) => facts.links.length > 0 && items(facts, site!).length > 0,
  target: () => 'internal links lead to known pages; nothing over plain http',
  measure(facts, { site }) {
    const all = items(facts, site!);
    const dead = all.filter((item) => !item.live);
    return measure(
      (all.length - dead.length) / all.length,
      `${all.length - dead.length} of ${all.length}`,
      dead[0]?.what ?? '',
      dead.map((item) => item.place),
    );
  },
  fixes(facts, { site }) {
    const dead = facts.links.filter((link) => isDead(link, facts, site!));
    const lost = firstFixes(dead, (link): Fix[] => deadLinkFixes(link, site!));
    const plain = facts.blocks.filter((block) => block.image && /^http:/i.test(block.image.src));
    if (plain.length === 0) return lost;
    return [
      ...lost,
      {
        label: 'Load over https',
        edits: plain.map(({ id, image }) => ({
          kind: 'set-picture',
          blockId: id,
          picture: { src: image!.src.replace(/^http:/i, 'https:') },
        })),
      },
    ];
  },
});
