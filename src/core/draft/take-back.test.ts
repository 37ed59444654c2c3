import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fieldsTakenBack, listTakenBack } from './take-back.ts';

/** Items by letter; a sign behind a letter is another text: `a b! c`. */
const list = (words: string) =>
  words
    .split(' ')
    .filter(Boolean)
    .map((word) => ({ id: word[0], text: word }));
const told = (items: { text: string }[]) => items.map(({ text }) => text).join(' ');

describe('taking a change of a list back', () => {
  it.each<[what: string, before: string, after: string, now: string, then: string, left: number]>([
    ['added items go', 'a b', 'a x b', 'a x b', 'a b', 0],
    ['taken-out items come back behind their neighbour', 'x a y', 'a y', 'a y', 'x a y', 0],
    ['what was taken out since does not come back', 'x a y', 'a y', 'a', 'x a', 0],
    ['what came since stays', 'a b', 'a', 'a c', 'a b c', 0],
    ['changed items go back', 'a b', 'a! b', 'a! b', 'a b', 0],
    ['what was changed since stays, and is counted', 'a b', 'a! b!', 'a? b!', 'a? b', 1],
    ['an added item that was written in since stays', 'a', 'a x', 'a x!', 'a x!', 1],
    ['moved items move back around what came since', 'a b c', 'c a b', 'c n a b', 'a n b c', 0],
    ['items moved again since stay', 'a b c', 'c a b', 'b a c', 'b a c', 1],
    ['taken back already: nothing happens', 'a b', 'a! b', 'a b', 'a b', 0],
    ['all replaced', 'a b', 'x y', 'x y', 'a b', 0],
    ['all replaced, one written in since', 'a b', 'x y', 'x! y', 'a b x!', 1],
    ['several neighbours gone', 'a b c d', 'a d', 'd', 'b c d', 0],
  ])('%s', (_what, before, after, now, then, left) => {
    const back = listTakenBack(list(before), list(after), list(now));
    expect([told(back.value), back.left]).toEqual([then, left]);
  });
  it('gives what was before where nothing was changed since', () => {
    const items = fc.uniqueArray(
      fc.record({ id: fc.constantFrom(...'abcdefgh'), text: fc.constantFrom('', '!', '?') }),
      { selector: ({ id }) => id },
    );
    fc.assert(
      fc.property(items, items, (before, after) => {
        expect(listTakenBack(before, after, after)).toEqual({ value: before, left: 0 });
      }),
    );
  });
  it('never loses or doubles what stands now and the change did not add', () => {
    const items = fc.uniqueArray(
      fc.record({ id: fc.constantFrom(...'abcdefgh'), text: fc.constantFrom('', '!', '?') }),
      { selector: ({ id }) => id },
    );
    fc.assert(
      fc.property(items, items, items, (before, after, now) => {
        const ids = listTakenBack(before, after, now).value.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        for (const { id } of now) if (!after.some((one) => one.id === id)) expect(ids).toContain(id);
      }),
    );
  });
});

describe('taking a change of fields back', () => {
  it('touches only what it changed, and leaves what was set anew since', () => {
    const back = fieldsTakenBack(
      { title: 'a', slug: 'a', tags: ['x'] },
      { title: 'b', slug: 'b', tags: ['x'] },
      { title: 'b', slug: 'mine', tags: ['y'] },
    );
    expect(back.value).toEqual({ title: 'a', slug: 'mine', tags: ['y'] });
    expect(back.leftFields).toEqual(['slug']);
  });
  it('knows a list again by what it holds', () => {
    const back = fieldsTakenBack({ tags: ['x'] }, { tags: ['x', 'y'] }, { tags: ['x', 'y'] });
    expect(back.value).toEqual({ tags: ['x'] });
  });
  it('goes through lists item by item and through records field by field', () => {
    const back = fieldsTakenBack(
      { phrases: ['x', 'a', 'y'], house: { tone: 'plain', authors: ['Ada'] } },
      { phrases: ['a', 'y'], house: { tone: 'warm', authors: ['Ada'] } },
      { phrases: ['a'], house: { tone: 'warm', authors: ['Ada', 'Bo'] } },
    );
    expect(back.value).toEqual({ phrases: ['x', 'a'], house: { tone: 'plain', authors: ['Ada', 'Bo'] } });
    expect(back.left).toBe(0);
  });
  it('leaves a list with doubles alone where it was changed since', () => {
    const back = fieldsTakenBack({ tags: ['x'] }, { tags: ['x', 'x'] }, { tags: ['y'] });
    expect([back.value, back.leftFields]).toEqual([{ tags: ['y'] }, ['tags']]);
  });
});
