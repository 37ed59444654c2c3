import { cutOfTitle, pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import { criterion } from '../criterion.ts';
import { shorterTitles } from '../fixing/titles.ts';
import { measure } from '../judging.ts';
import { ramp, wished } from '../ramp.ts';

export const metaTitleWidth = criterion({
  id: 'meta-title-width',
  group: 'listing',
  title: 'Meta title width',
  unit: 'px',
  place: 'meta-title',
  weight: 5,
  needs: [],
  target: (limits) => wished(limits.metaTitlePixels, 'px'),
  measure({ metaTitle, fields, settings: { limits } }) {
    if (metaTitle === '') return measure(0, null, 'Write a title or a meta title.');
    const exact = pixelWidth(metaTitle, TITLE_SIZE);
    const width = Math.round(exact);
    const [, from, to] = limits.metaTitlePixels;
    const own = fields.metaTitle.trim() || fields.title.trim();
    // Nobody misses the end of the site's name: the listing says so, and it costs nothing.
    if (to !== null && exact > to && cutOfTitle(metaTitle, own, TITLE_SIZE, to) === 'pattern')
      return measure(1, width, '');
    const advice =
      from !== null && exact < from
        ? `The meta title can say more: ${width} px, full from ${from}.`
        : `Words of the meta title are cut in the results: ${width} px, shown up to ${to}. Shorten it.`;
    return measure(ramp(exact, limits.metaTitlePixels), width, advice);
  },
  fixes(facts) {
    const { fields, metaTitle, settings } = facts;
    const title = fields.title.trim();
    const own = fields.metaTitle.trim() || title;
    const [, from, to] = settings.limits.metaTitlePixels;
    const candidates =
      // Where only the site's name is cut, nothing of the title need go.
      to !== null && cutOfTitle(metaTitle, own, TITLE_SIZE, to) === 'title'
        ? [...(title.length < own.length ? [title] : []), ...shorterTitles(own)]
        : from !== null && pixelWidth(metaTitle, TITLE_SIZE) < from && title.length > own.length
          ? [title]
          : [];
    return candidates
      .filter((text) => text !== '')
      .map((text) => ({
        label: `Write "${text}"`,
        edits: [{ kind: 'set-field', field: 'metaTitle', value: text }],
        readOver: true,
      }));
  },
});
