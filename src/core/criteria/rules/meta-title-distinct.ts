import { titleKey } from '../../listing/index.ts';
import { criterion } from '../criterion.ts';
import { canLead, titlesNaming } from '../fixing/titles.ts';
import { measure } from '../judging.ts';

export const metaTitleDistinct = criterion({
  id: 'meta-title-distinct',
  group: 'listing',
  title: 'Meta title of its own',
  place: 'meta-title',
  weight: 1,
  needs: ['site', 'words'],
  target: () => 'no other post or page of the site has it',
  measure({ metaTitle }, { site }) {
    const others = (site!.metaTitles.get(titleKey(metaTitle)) ?? []).filter(
      ({ id, path }) => id !== site!.postId && (path === undefined || path !== site!.ownPath),
    );
    if (metaTitle === '') return measure(0, null, 'Write a title or a meta title.');
    if (others.length === 0) return measure(1, 'distinct', '');
    return measure(
      0,
      `also: ${others[0].title}`,
      `"${others.map((post) => post.title).join('", "')}" has the same meta title. Tell the two apart.`,
    );
  },
  fixes(facts, { site }) {
    const { fields, keyword } = facts;
    const own = fields.title.trim();
    const phrases = [keyword, ...fields.supporting].filter((phrase) => canLead(phrase));
    const candidates = [
      ...(fields.metaTitle.trim() && own ? [own] : []),
      ...phrases.flatMap((phrase) => titlesNaming(own, phrase, facts).map(({ text }) => text)),
    ];
    return candidates
      .filter(
        (text) =>
          !site!.metaTitles.has(titleKey(facts.metaTitle.replace(fields.metaTitle.trim() || own, text))),
      )
      .map((text) => ({
        label: `Write "${text}"`,
        edits: [{ kind: 'set-field', field: 'metaTitle', value: text }],
        readOver: true,
      }));
  },
});
