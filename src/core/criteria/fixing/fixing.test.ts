import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../../draft/index.ts';
import { Vocabulary } from '../../language/index.ts';
import { enumerationIn, listOf } from './enumerations.ts';
import { sayingWhere } from './link-sentences.ts';
import { articleFor, type Change, namedPhrase, placesToName, saidShorter } from './naming.ts';
import { nearestPage } from './near-pages.ts';
import { plainerWords } from './plain-words.ts';
import { splitOf } from './sentence-splits.ts';

const vocabulary = new Vocabulary();
const changed = (text: string, changes: readonly Change[]) =>
  [...changes]
    .sort((a, b) => b.start - a.start)
    .reduce((said, { start, end, text: now }) => said.slice(0, start) + now + said.slice(end), text);

describe('the noun that a phrase is about', () => {
  it.each([
    ['two-person tent', 'tent'],
    ['running shoes for flat feet', 'shoes'],
    ['cost of a loft conversion', 'cost'],
    ['buy to let mortgage', 'mortgage'],
  ])('"%s" is about "%s"', (phrase, head) => expect(namedPhrase(phrase)?.head).toBe(head));
  it.each(['tent', 'how to pitch a tent', 'is it worth it', ''])('"%s" stands nowhere as a noun', (phrase) =>
    expect(namedPhrase(phrase)).toBeNull(),
  );
  it('"a" and "an" go by the sound', () =>
    expect(['umbrella', 'uniform', 'hour', 'one-pot meal', 'old tent'].map(articleFor)).toEqual([
      'an',
      'a',
      'an',
      'a',
      'an',
    ]));
});

describe('a phrase named where its noun stands alone', () => {
  it.each([
    [
      'golf umbrella',
      'Take a golf bag and an umbrella on the day.',
      'Take a golf bag and a golf umbrella on the day.',
    ],
    ['two-person tent', 'Air your tent after the rain.', 'Air your two-person tent after the rain.'],
    ['two-person tent', 'Tents are heavy.', 'Two-person tents are heavy.'],
    ['electric bike', 'She rides a bike to work.', 'She rides an electric bike to work.'],
    [
      'running shoes for flat feet',
      'Buy the shoes in the evening.',
      'Buy the running shoes for flat feet in the evening.',
    ],
  ])('%s in "%s"', (phrase, text, wished) => {
    const [place] = placesToName(text, phrase, vocabulary).slice(-1);
    expect(changed(text, place ? [place] : [])).toBe(wished);
  });
  it.each([
    ['a noun of another kind', 'fruit tea', 'Put the tea bag in the cup.'],
    ['a verb', 'garden plant', 'They plant the beans in May.'],
    ['one that is told apart already', 'two-person tent', 'A family tent with two rooms.'],
    ['another one', 'compromised server', 'Copy it to another server first.'],
    ['a number of something', 'patch series', 'Send a series of letters.'],
    ['the phrase itself', 'two-person tent', 'Air the two-person tent.'],
  ])('never for %s', (_, phrase, text) => expect(placesToName(text, phrase, vocabulary)).toEqual([]));
  it('and taken back to its noun', () => {
    const text = 'An electric bike is heavy. Lock an electric bike twice.';
    const at = text.lastIndexOf('electric bike');
    expect(changed(text, [saidShorter(text, 'electric bike', at, at + 13)!])).toBe(
      'An electric bike is heavy. Lock a bike twice.',
    );
  });
});

describe('a long sentence made two', () => {
  it.each([
    [
      'The road along the dyke is flat and quiet, but you share it with tractors in the weeks of the harvest.',
      'The road along the dyke is flat and quiet. But you share it with tractors in the weeks of the harvest.',
    ],
    [
      'The ferry leaves the quay at nine in summer; the last one back goes at six in the evening.',
      'The ferry leaves the quay at nine in summer. The last one back goes at six in the evening.',
    ],
  ])('%s', (sentence, two) => expect(changed(sentence, [splitOf(sentence)!])).toBe(two));
  it.each([
    [
      'a list',
      'We packed the stove with its pan, the two blankets from the shed, and the map that my uncle drew.',
    ],
    [
      'a condition',
      'If the wind gets up after noon and the rain sets in, and the ferry stays in port, take the train.',
    ],
    [
      'a purpose',
      'Close the valve with both hands before you lift it, so that the air stays in while you turn it.',
    ],
    [
      'brackets',
      'The path (it is steep at first; the rest of it is nearly flat) leads to the mill by the lake.',
    ],
    [
      'a part',
      'Bring what you would miss on a wet evening out there; such as a dry book and a lamp that is charged.',
    ],
  ])('but not within %s', (_, sentence) => expect(splitOf(sentence)).toBeNull());
});

describe('an enumeration made a list', () => {
  const list = (text: string) => {
    const found = enumerationIn(text);
    const [block] = readMarkdown(text).draft.blocks;
    return found && listOf(block, found).map((each) => each.text);
  };
  it('lead, points, and what comes after', () =>
    expect(list('You need three things: a pump, two levers and a patch. Then stop.')).toEqual([
      'You need three things:',
      'A pump',
      'Two levers',
      'A patch',
      'Then stop.',
    ]));
  it.each([
    'It is simple: the club works for its riders, and thus, by extension, for the town.',
    'One thing matters: however late it is, whatever they say, you go home.',
    'We thank them: Ann, Bo — who drew the map — and Cy.',
    'Bring two: a pump and a patch.',
  ])('never "%s"', (text) => expect(list(text)).toBeNull());
});

describe('plainer words', () => {
  it.each([
    ['In order to utilise it, charge it prior to use.', 'To use it, charge it before use.'],
    ['A large number of riders are able to fix it.', 'Many riders can fix it.'],
    ['A purchase order.', 'A purchase order.'],
  ])('%s', (text, plain) => expect(changed(text, plainerWords(text))).toBe(plain));
});

describe('links that say where they lead', () => {
  it.each([
    ['Read more [here].', 'Read more in “Tides”.'],
    ['[Click here] for the hours.', 'See “Tides” for the hours.'],
    ['As [this article] explains, wait.', 'As “Tides” explains, wait.'],
    ['The times are in the [link].', 'The times are in “Tides”.'],
    ['You can see it [here].', 'You can see it in “Tides”.'],
    ['[Read more]', 'Read more in “Tides”'],
  ])('%s', (marked, said) => {
    const start = marked.indexOf('[');
    const end = marked.indexOf(']') - 1;
    const text = marked.replace(/[[\]]/g, '');
    expect(changed(text, [sayingWhere(text, start, end, 'Tides')])).toBe(said);
  });
});

describe('the page that a dead link meant', () => {
  const pages = new Map([
    ['/bike-tour-packing-list', 'Packing list'],
    ['/tide-table', 'Tide table'],
    ['/about', 'About'],
  ]);
  it.each([
    ['/bike-tour-packinglist', '/bike-tour-packing-list'],
    ['/blog/tide-tables', '/tide-table'],
    ['/packing-list-bike-tour', '/bike-tour-packing-list'],
    ['/prices', null],
  ])('%s', (path, meant) => expect(nearestPage(path, pages)?.path ?? null).toBe(meant));
});
