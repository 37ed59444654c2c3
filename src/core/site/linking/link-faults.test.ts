import { describe, expect, it } from 'vitest';
import { applyEdits, DraftReadings } from '../../criteria/index.ts';
import { emptyFields, linksOf, readMarkdown } from '../../draft/index.ts';
import { emptyScene, scorePost } from '../../scoring/index.ts';
import { indexedPost } from '../indexed-post.ts';
import type { Redirect } from '../redirects.ts';
import { SiteIndex } from '../site-index.ts';
import { unknownSite } from '../site-settings.ts';
import { linkFaults, type OutsideAnswer, outsideAddress } from './link-faults.ts';

const site = {
  ...unknownSite(),
  baseAddress: 'https://baker.example',
  addressPattern: '/journal/{slug}',
  pages: [
    { address: '/courses', title: 'Courses' },
    { address: '/journal/rye-bread', title: 'Rye bread' },
  ],
};
const published = { ...emptyFields(), title: 'Rye bread', slug: 'rye-bread', status: 'published' as const };
const waiting = { ...emptyFields(), title: 'Panettone', slug: 'panettone', status: 'draft' as const };
const index = new SiteIndex(
  site,
  [published, waiting].map((fields) => indexedPost(fields.slug, { fields })),
);

function faultsIn(
  text: string,
  redirects: Redirect[] = [],
  answers: Omit<OutsideAnswer, 'at' | 'status'>[] = [],
) {
  const document = { fields: { ...emptyFields(), slug: 'own' }, draft: readMarkdown(text).draft };
  const { facts, context } = scorePost(
    document,
    indexedPost('own', document),
    { ...emptyScene(), site, index },
    new DraftReadings(),
  );
  const known = new Map(
    answers.map((one) => [one.address, { ...one, status: 200, at: '2026-11-29T00:00:00.000Z' }]),
  );
  const faults = linkFaults(facts, context.site, redirects, known);
  const mended = (at: number) =>
    applyEdits(document, faults[at].fixes[0]?.edits ?? []).draft.blocks.flatMap((block) =>
      linksOf(block).map(({ href }) => href),
    );
  return { kinds: faults.map(({ kind, quote }) => `${kind}: ${quote}`), faults, mended };
}
const redirect = (from: string, to: string | null): Redirect => ({ from, to, since: '', why: '' });

describe('links at fault', () => {
  it('stand in the order of the text, each with the first thing that is wrong with it', () => {
    const { kinds } = faultsIn(
      'A [loaf](/journal/rye-bread), a [ghost](/nowhere), a [plan](/journal/panettone), [us](/journal/own), ' +
        'the [loaf again](/journal/rye-bread), [click here](/courses), [old](http://miller.example/).',
    );
    expect(kinds).toEqual([
      'broken: ghost',
      'unpublished: plan',
      'itself: us',
      'doubled: loaf again',
      'vague: click here',
      'insecure: old',
    ]);
  });
  it('are none where nothing is wrong', () =>
    expect(
      faultsIn(
        'The [courses](/courses), a [crust](/journal/own#crust), [mail](mailto:a@baker.example), ' +
          '[home](/) and [home again](/), [flour](https://miller.example/flour).',
      ).kinds,
    ).toEqual([]));
  it('that lead on are led to the end at once', () => {
    const { kinds, mended } = faultsIn('The [loaf](/bread/rye).', [
      redirect('/bread/rye', '/journal/rye-bread'),
    ]);
    expect([kinds, mended(0)]).toEqual([['redirected: loaf'], ['/journal/rye-bread']]);
  });
  it('to a page that was taken away say so; one that stands again is none', () => {
    expect(faultsIn('The [loaf](/gone).', [redirect('/gone', null)]).kinds).toEqual(['gone: loaf']);
    expect(faultsIn('The [courses](/courses).', [redirect('/courses', '/x')]).kinds).toEqual([]);
  });
  it('outside are what was answered: gone, moved; what could not be told is no fault', () => {
    const address = 'https://miller.example/flour';
    const text = `The [flour](${address}#types).`;
    const answer = (state: OutsideAnswer['state'], to: string | null = null) =>
      faultsIn(text, [], [{ address, state, to, says: 'x' }]);
    expect(answer('gone').kinds).toEqual(['gone: flour']);
    expect(answer('moved', 'https://miller.example/grain').mended(0)).toEqual([
      'https://miller.example/grain',
    ]);
    expect([answer('unsure').kinds, answer('fine').kinds]).toEqual([[], []]);
  });
  it('without encryption lead over https when pressed', () =>
    expect(faultsIn('An [old mill](http://miller.example/a?b#c).').mended(0)).toEqual([
      'https://miller.example/a?b#c',
    ]));
});

describe('an address as it is asked for', () => {
  it.each([
    ['https://Miller.example/a#b', 'https://miller.example/a'],
    ['//miller.example', 'https://miller.example/'],
    ['mailto:a@b.example', null],
    ['javascript:alert(1)', null],
    ['http://', null],
    ['constructor', null],
  ])('%s: %s', (href, address) => expect(outsideAddress(href)).toBe(address));
  it('are an embed that is not encrypted, or gone', () => {
    const text =
      '<iframe src="http://clips.example/7.mp4"></iframe>\n\n<iframe src="https://clips.example/8.mp4"></iframe>';
    const { faults } = faultsIn(
      text,
      [],
      [{ address: 'https://clips.example/8.mp4', state: 'gone', to: null, says: 'It is not there.' }],
    );
    expect(faults.map(({ kind, href }) => [kind, href])).toEqual([
      ['insecure', 'http://clips.example/7.mp4'],
      ['gone', 'https://clips.example/8.mp4'],
    ]);
    const document = { fields: emptyFields(), draft: readMarkdown(text).draft };
    const embeds = (at: number) =>
      applyEdits(document, faults[at].fixes[0].edits).draft.blocks.map(({ embed }) => embed?.href);
    expect(embeds(0)).toEqual(['https://clips.example/7.mp4', 'https://clips.example/8.mp4']);
    expect(embeds(1)).toEqual(['http://clips.example/7.mp4']);
  });
});
