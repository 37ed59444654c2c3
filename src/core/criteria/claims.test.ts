import { describe, expect, it } from 'vitest';
import { isClaim } from './claims.ts';

describe('a sentence that states a figure', () => {
  it.each([
    'About 40% of flat batteries were left outside.',
    'About 40 per cent of them.',
    'A weekend costs £58.',
    'It cost 1,200 euros in all.',
    'Seven out of ten riders carry too much.',
    'One in three turned back.',
    'Half of all riders forget the pump.',
    'The road is twice as long in the rain.',
    'It is three times faster downhill.',
    'The new tyre lasts 10x.',
    'In 2019 we rented out 340 bikes.',
    'We rented 340 bikes in 2019.',
  ])('%s', (sentence) => expect(isClaim(sentence)).toBe(true));

  it.each([
    'We ride 28 km on the first day.',
    'Bring two tyre levers and a pump.',
    'The shop opened in 1998.',
    'Take the second road on the left.',
    'Half the fun is the bakery.',
    'It happened many times.',
    'Turn left at number 12.',
    '',
    'Bring twice the water that you think you need.',
    'Debian will remain 100% free.',
    'The opacity is set to 60 percent here.',
    'Strings such as 0x%08lx stand in it.',
    'In 2005/2006 its successor was published.',
    'In 2013 the release of Debian 7 came out.',
  ])('not "%s"', (sentence) => expect(isClaim(sentence)).toBe(false));
});

describe('a price', () => {
  it('is the house’s own where its paragraph says "we"', () => {
    const paragraph = 'We rent by the day. A weekend costs £58 and a week £165.';
    expect(isClaim('A weekend costs £58 and a week £165.', paragraph)).toBe(false);
    expect(isClaim('A weekend costs £58 and a week £165.')).toBe(true);
  });
});
