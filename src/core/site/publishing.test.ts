import { describe, expect, it } from 'vitest';
import { emptyDraft, emptyFields, readMarkdown, STATUSES } from '../draft/index.ts';
import { isForReaders, publishingNeeds } from './index.ts';

const post = (md: string, fields = {}) => {
  const read = readMarkdown(md);
  return { draft: read.draft, fields: { ...emptyFields(), ...fields } };
};

describe('a post that is to go out', () => {
  it('needs a title, a slug and a text', () => {
    expect(publishingNeeds({ fields: emptyFields(), draft: emptyDraft() })).toEqual([
      'a title',
      'a slug',
      'a text',
    ]);
    expect(publishingNeeds(post('Low water.', { title: 'Tides', slug: 'tides' }))).toEqual([]);
  });
  it.each([
    ['a title of blanks', post('Text.', { title: '  ', slug: 'tides' }), ['a title']],
    ['a slug of signs', post('Text.', { title: 'Tides', slug: '--' }), ['a slug']],
    ['a text of dashes and an empty heading', post('—\n\n##\n\n---', { title: 'T', slug: 't' }), ['a text']],
    ['a picture alone', post('![Low water](media/a.png)', { title: 'T', slug: 't' }), []],
    ['a text in Japanese', post('潮が引く。', { title: '潮', slug: 'shio' }), []],
  ])('%s', (_what, given, needs) => expect(publishingNeeds(given)).toEqual(needs));
  it('comes before readers when it is published or scheduled', () =>
    expect(STATUSES.filter(isForReaders)).toEqual(['scheduled', 'published']));
});
