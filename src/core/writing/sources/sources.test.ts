import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../../draft/index.ts';
import { Vocabulary } from '../../language/index.ts';
import { bareQuotes, OwnText } from './index.ts';

const blocks = (md: string) => readMarkdown(md).draft.blocks;
const shared = (own: string, other: string) => {
  const draft = blocks(own);
  return new OwnText(draft, new Vocabulary())
    .sharedWith(blocks(other))
    .map(({ block, start, end }) => draft[block].text.slice(start, end));
};
const OURS =
  'The causeway is dry for about two hours before low water. Bring a lamp. Nobody waits for the tide.';

describe('words that stand in another text too', () => {
  it('are found as far as they agree, whatever case and marks they have', () =>
    expect(
      shared(OURS, 'We learned: the CAUSEWAY is dry, for about two hours before low water, more or less.'),
    ).toEqual(['The causeway is dry for about two hours before low water']));
  it('are seven in a row at least', () => {
    expect(shared(OURS, 'The causeway is dry for about three hours.')).toEqual([]);
    expect(shared(OURS, 'The causeway is dry for about two days.')).toEqual([
      'The causeway is dry for about two',
    ]);
  });
  it('are more than grammar', () =>
    expect(shared('It is up to you to do it as you will.', 'It is up to you to do it as they do.')).toEqual(
      [],
    ));
  it('are found behind others that begin alike', () =>
    expect(
      shared(
        'One two three four five six seven eight boats. One two three four five six seven gulls fly over the harbour.',
        'One two three four five six seven gulls fly over the harbour wall.',
      ),
    ).toEqual(['One two three four five six seven gulls fly over the harbour']));
  it('are counted once, however many texts hold them', () => {
    const own = new OwnText(blocks(OURS), new Vocabulary());
    expect(own.ownShare).toBe(1);
    own.sharedWith(blocks(OURS));
    own.sharedWith(blocks(OURS));
    expect(own.ownShare).toBeCloseTo(0, 5);
    const half = new OwnText(
      blocks('Gulls cry over the flats at dawn today. Nothing else is heard there before noon.'),
      new Vocabulary(),
    );
    half.sharedWith(blocks('Gulls cry over the flats at dawn today.'));
    expect(half.ownShare).toBeCloseTo(7 / 15, 5);
  });
  it('are found in time in texts that say one thing over and over', () => {
    const same = 'the tide comes in and the tide goes out again '.repeat(2000);
    const own = new OwnText(blocks(same), new Vocabulary());
    expect(own.sharedWith(blocks(same)).length).toBeGreaterThan(0);
  });
  it('may be any words', () =>
    expect(
      shared(
        'constructor toString valueOf one two three four',
        'constructor toString valueOf one two three four',
      ),
    ).toHaveLength(1));
});

describe('quotes that name nobody', () => {
  const bare = (md: string) => bareQuotes(blocks(md)).map(({ quote }) => quote);
  it.each([
    '> The sea takes what it wants.',
    'Somebody once put up a sign: all good. “You should never cross without asking a local first.”',
    'There is a saying. "Whoever waits for the tide will be home for supper."',
    'Intro.\n\n> First thought.\n>\n> Second thought.',
  ])('%s', (md) => expect(bare(md)).toHaveLength(1));
  it.each([
    '> The sea takes what it wants.\n>\n> — Ada Marsh',
    '> The sea takes what it wants. — Ada Marsh, ferrywoman',
    'Ada Marsh, who ran the ferry for years:\n\n> The sea takes what it wants.',
    '> The sea takes what it wants ([Marsh](https://marsh.example)).',
    '“You should never cross without asking a local first,” says Ada Marsh.',
    'According to Ada Marsh, "you should never cross without asking a local first."',
    'Read “The rules of crossing the estuary on foot” first.',
    'He calls it "a wet walk."',
    'The "first" rule is that nobody walks alone on the flats, and the "second" is that nobody runs.',
    '> Two turns let the spray in.\n\nThat is what our mechanic tells every renter.',
    '> ',
    'Nothing is quoted here.',
  ])('not: %s', (md) => expect(bare(md)).toEqual([]));
});
