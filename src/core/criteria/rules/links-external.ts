import { linkKind } from '../../listing/index.ts';
import { criterion, type Fix } from '../criterion.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { measure } from '../judging.ts';

/** An address that stands in the text as such. */
const BARE = /(?:https?:\/\/|www\.)[^\s<>"'()]{4,200}[^\s<>"'().,;:!?]/i;

export const linksExternal = criterion({
  id: 'links-external',
  group: 'links',
  title: 'External links',
  unit: 'links',
  place: 'text',
  weight: 2,
  needs: [],
  target: () => 'at least one link to another site',
  measure({ links }) {
    const found = links.filter((link) => link.kind === 'external').length;
    return measure(found > 0 ? 1 : 0, found, 'Link to one source or help on another site.');
  },
  fixes({ readings, links, settings: { host } }) {
    if (links.some((link) => link.kind === 'external')) return [];
    return firstFixes(readings, ({ block, prose }): Fix[] => {
      const bare = prose ? BARE.exec(block.text) : null;
      if (!bare) return [];
      const [quote] = bare;
      const href = quote.startsWith('www.') ? `https://${quote}` : quote;
      const [start, end] = [bare.index, bare.index + quote.length];
      if (
        linkKind(href, host) !== 'external' ||
        block.marks.some((mark) => mark.start < end && mark.end > start)
      )
        return [];
      return [
        { label: `Link ${quote}`, edits: [{ kind: 'set-link', blockId: block.id, start, end, quote, href }] },
      ];
    });
  },
});
