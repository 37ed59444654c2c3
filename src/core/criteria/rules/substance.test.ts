import { describe, expect, it } from 'vitest';
import { type Case, disorder, judge, PROSE, share, studyTerm, words } from '../judge.test-data.ts';

/** A short post in order: each section speaks of its heading. */
const GUIDE = `
## Finding the valve

The valve stands between two spokes. Turn the wheel until the valve is at the top. A valve that leans has been pulled; let some air out first.

## Pumping

Fit the pump squarely on the valve. Push the lever of the pump until it clicks. The gauge of the pump jumps with each stroke, so read it at rest.

## Reading the sidewall

The sidewall names two limits. Below the lower limit the rim strikes the road; above the upper limit the tyre leaves it. Most riders stay well between the limits on the sidewall.

## Loaded bikes

A loaded bike wants more air behind. Put the heavy bags on the rear rack and add a little pressure to the rear tyre. Check the rear tyre again after the first loaded hour.
`;
const sentences = GUIDE.split(/\n+/)
  .filter((line) => line !== '' && !line.startsWith('#'))
  .flatMap((line) => line.split(/(?<=[.!?;])\s+/));
describe('prose', () => {
  it.each<[string, Case, number | null]>([
    ['sentences', { md: PROSE }, 1],
    ['too little to tell', { md: 'The tide is high.' }, null],
    ['another language', { md: PROSE, language: 'fi' }, null],
    ['the words of each sentence in disorder', { md: disorder(PROSE) }, 0],
    ['a list of keywords', { md: 'bike touring packing waterproof pannier estuary '.repeat(12) }, 0],
  ])('%s', (_, given, expected) => expect(share('prose', given)).toBe(expected));
  it('quotes the sentences that are none', () => {
    const { quotes } = judge('prose', { md: `${disorder(PROSE)}\n\n${disorder(PROSE)}` });
    expect(quotes.length).toBeGreaterThan(1);
  });
  it('takes most of what everything else earns from words in disorder', () => {
    const given = { title: 'A day on the dyke', slug: 'dyke', keyword: 'dyke' };
    const whole = judge('prose', { ...given, md: PROSE }).total;
    expect(judge('prose', { ...given, md: disorder(PROSE) }).total).toBeLessThan(whole / 2);
  });
});

describe('sentence-order', () => {
  it.each<[string, Case, number | null]>([
    ['sections that speak of their headings', { md: GUIDE }, 1],
    ['a few sentences', { md: PROSE }, null],
    ['another language', { md: GUIDE, language: 'fi' }, null],
  ])('%s', (_, given, expected) => expect(share('sentence-order', given)).toBe(expected));
  it('the same sentences dealt out anyhow earn less', () => {
    const dealt = Array.from({ length: 4 }, (_, section) =>
      sentences.filter((_, at) => at % 4 === section).join(' '),
    );
    const headings = GUIDE.match(/## .*/g)!;
    const md = headings.map((heading, at) => `${heading}\n\n${dealt[at]}`).join('\n\n');
    const [inOrder, anyhow] = [GUIDE, md].map((text) =>
      Number(judge('sentence-order', { md: text }).measured),
    );
    expect(anyhow).toBeLessThan(inOrder / 2);
  });
});

describe('on-subject', () => {
  it.each<[string, Case, number | null]>([
    ['about it', { md: GUIDE, keyword: 'tyre valve' }, 1],
    ['about something else', { md: GUIDE, keyword: 'sourdough starter' }, 0],
    ['no keyword', { md: GUIDE }, 0],
    ['another language', { md: GUIDE, keyword: 'valve', language: 'fi' }, null],
  ])('%s', (_, given, expected) => {
    const found = share('on-subject', given);
    if (expected === 1) expect(found).toBeGreaterThan(0.5);
    else expect(found).toBe(expected);
  });
  it('a keyword in the headings alone makes no subject', () => {
    const md = GUIDE.replace(/## /g, '## Sourdough starter: ');
    expect(share('on-subject', { md, keyword: 'sourdough starter' })).toBe(0);
    expect(judge('on-subject', { md, keyword: 'sourdough starter' }).advice).toContain('hardly speaks of');
  });
});

describe('a text about something else', () => {
  const prose = `${sentences.join(' ')} ${PROSE}`;
  const into = (text: string, keyword: string) => {
    let at = 0;
    return text.replace(/\. /g, (end) => (++at % 4 === 0 ? `. The ${keyword} is one thing. ` : end));
  };
  const phrase = { md: into(prose, 'sourdough starter'), keyword: 'sourdough starter' };
  const study = {
    terms: 'dough flour loaf crumb oven bake yeast rise knead crust gluten proof'
      .split(' ')
      .map((word) => studyTerm(word)),
  };
  it('does not come to be about a phrase that is put into it', () => {
    const { share: found, advice, total } = judge('on-subject', phrase);
    expect(found).toBe(0);
    expect(advice).toContain('never apart from it');
    // As a text would that speaks of it.
    const apart = phrase.md.replace(/one thing/g, 'one starter among the kinds of sourdough');
    expect(judge('on-subject', { ...phrase, md: apart }).total).toBeGreaterThan(1.3 * total);
  });
  it('nor about a word, where pages about it were studied', () => {
    const given = { md: into(prose, 'sourdough'), keyword: 'sourdough' };
    expect(share('on-subject', given)).toBe(1);
    const studied = judge('on-subject', { ...given, study });
    expect(studied.share).toBe(0);
    expect(studied.advice).toContain('the studied pages');
    const md = `${given.md} Knead the dough until the gluten holds. The flour and the yeast rise for an hour; bake the loaf until the crust cracks. The oven stays hot.`;
    expect(share('on-subject', { ...given, study, md })).toBe(1);
  });
  it('is told only from sentences enough', () =>
    expect(
      share('on-subject', {
        ...phrase,
        md: phrase.md
          .split(/(?<=\.) /)
          .slice(0, 8)
          .join(' '),
      }),
    ).toBeGreaterThan(0.5));
});

describe('own-words', () => {
  it('says which sentences stand twice, and takes from all else', () => {
    const given = { title: 'The tyre valve', slug: 'tyre-valve', keyword: 'tyre valve' };
    const once = judge('own-words', { ...given, md: `${GUIDE}\n\n${PROSE}` });
    expect(once.share).toBe(1);
    const often = judge('own-words', { ...given, md: `${GUIDE}\n\n${`${PROSE}\n\n`.repeat(5)}` });
    expect(often.share).toBe(0);
    expect(often.quotes[0]).toBe('We set out from the quay before the wind got up.');
    expect(often.quotes.length).toBeGreaterThan(3);
    expect(often.total).toBeLessThan(once.total - 15);
  });
  it('names a long run in which nothing is new, however it is worded', () => {
    const filler =
      'Air is what a tyre wants, and a tyre with air is what a wheel wants. So read the gauge, and read it again at rest, for the gauge of the pump is there to be read. Turn the wheel to the top, or leave the wheel where it stands; the valve is at the top of it. The heavy bags are on the rack, the rack is behind, and the rear tyre is below the bags. The limits are on the sidewall and the pressure lies between the limits, above the lower and below the upper.';
    const { share: found, quotes, advice } = judge('own-words', { md: `${GUIDE}\n\n${filler}` });
    expect(found).toBeLessThan(0.2);
    expect(quotes).toEqual([filler.replace(/\.$/, '')]);
    expect(advice).toContain('names nothing that the post has not named before');
    expect(share('own-words', { md: `${filler}\n\n${GUIDE}` })).toBe(1);
    expect(share('own-words', { md: `${GUIDE}\n\n${filler}`, language: 'de' })).toBe(1);
  });
  it('points of a list may repeat each other', () =>
    expect(
      share('own-words', {
        md: `${PROSE}\n\n${'- Bring it back before the shop closes at six.\n'.repeat(6)}`,
      }),
    ).toBe(1));
});

describe('post-size', () => {
  it.each<[string, Case, number | null]>([
    ['empty', {}, 0],
    ['half of a post', { md: words(75) }, 0.5],
    ['a post', { md: words(150) }, 1],
    ['a third of the length wished', { md: words(150), targetWords: 900 }, 0.5],
    ['a short wish', { md: words(50), targetWords: 120 }, 1],
  ])('%s', (_, given, expected) => expect(share('post-size', given)).toBe(expected));
});

describe('points that substance holds back', () => {
  it('can be won where it is lacking, and all of them sum to a hundred', () => {
    const { total, ...line } = judge('post-size', { md: words(15), keyword: 'tide' });
    expect(line.available - line.points).toBeGreaterThan(40);
    expect(total).toBeLessThan(20);
  });
});
