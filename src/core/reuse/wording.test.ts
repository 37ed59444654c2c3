import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../draft/index.ts';
import { HOSTILE_WORDS } from '../language/hostile-words.test-data.ts';
import { reuse } from './compose.ts';
import { PostIndex } from './held.ts';
import { messageLength } from './limits.ts';
import { defaultReuseWishes, isMessage, REUSE_KINDS, type ReuseFrom } from './reused.ts';
import { canBeReworded, readWording, wordingAsk } from './wording.ts';

const { draft } = readMarkdown(
  '# Tides\n\nThe causeway to the island is dry for four hours a day. Read the table before you set out.\n\n## When is it dry?\n\nIt is dry from two hours before low water until two hours after it. A strong wind from the sea takes an hour of that away.\n\n## What do you take along?\n\nTake a lamp, a whistle and the number of the coast guard with you. Leave the heavy bags on the shore.',
);
const from: ReuseFrom = {
  title: 'Tides',
  keyword: 'tide table',
  supporting: [],
  categories: ['Routes'],
  description: '',
  address: 'https://saltmarsh.example/journal/tides',
  author: '',
};
const wishes = defaultReuseWishes();
const thread = reuse('thread', draft, from, wishes);

describe('another wording', () => {
  it('is asked for without links, hashtags and numbers, with room for those', () => {
    const { parts, most, now } = wordingAsk('thread', thread, from, { ...wishes, hashtags: true });
    expect(parts).toBe(thread.length);
    expect(most).toBe(274);
    expect(now).not.toMatch(/https?:|#|\d\/\d/);
    expect(now).toContain('dry');
    // A link in a short update counts as the network counts it.
    expect(wordingAsk('update', thread.slice(0, 1), from, wishes).most).toBe(280 - 23 - 2);
    expect(wordingAsk('cards', reuse('cards', draft, from, wishes), from, wishes).heads).toEqual([
      'When is it dry?',
      'What do you take along?',
    ]);
  });
  it('gets its numbers, its link and its titles back; what the answer put there itself goes', () => {
    expect(
      readWording(
        'thread',
        ['1/2 Dry for four hours. #tides', '2. Take a lamp. https://x.example'],
        thread,
        draft,
        from,
        wishes,
      ).map(({ text }) => text),
    ).toEqual(['1/2 Dry for four hours.', '2/2 Take a lamp.\nhttps://saltmarsh.example/journal/tides']);
    const cards = reuse('cards', draft, from, wishes);
    expect(
      readWording(
        'cards',
        ['### When is it dry?\nFour hours around low water.', 'A lamp and a whistle.'],
        cards,
        draft,
        from,
        wishes,
      ).map(({ head, text }) => [head, text]),
    ).toEqual([
      ['When is it dry?', 'Four hours around low water.'],
      ['What do you take along?', 'A lamp and a whistle.'],
    ]);
    expect(readWording('network-post', ['One.', 'Two.'], [], draft, from, wishes)).toMatchObject([
      { text: 'One.\n\nTwo.\n\nhttps://saltmarsh.example/journal/tides' },
    ]);
    expect(readWording('thread', [' ', '#tides'], thread, draft, from, wishes)).toEqual([]);
  });
  it('knows which sentences of the post it says again, and what the post does not say', () => {
    const [part] = readWording(
      'summary',
      ['Strong wind from the sea takes an hour away, says Eddering.'],
      [],
      draft,
      from,
      wishes,
    );
    expect(part.from).toEqual(['A strong wind from the sea takes an hour of that away.']);
    const index = new PostIndex(draft, 'Tides');
    expect(index.gone(part)).toEqual([]);
    expect(index.notIn(part.text).map(({ text }) => text)).toContain('says Eddering');
    const changed = readMarkdown('A light wind from the sea changes nothing.').draft;
    expect(new PostIndex(changed, 'Tides').gone(part)).toHaveLength(1);
  });
  it('keeps every message within its limit where its pieces keep to what was asked, whatever words they have', () => {
    const word = fc.constantFrom(...HOSTILE_WORDS, 'tide', 'the', 'and', 'lamp');
    fc.assert(
      fc.property(
        fc.constantFrom(...REUSE_KINDS.filter(canBeReworded)),
        fc.array(fc.array(word, { minLength: 1, maxLength: 60 }), { minLength: 1, maxLength: 25 }),
        fc.boolean(),
        (kind, texts, numbered) => {
          const own = { ...wishes, numbered };
          const { most } = wordingAsk(kind, thread, from, own);
          const pieces = texts.map((words) => words.join(' ').slice(0, most ?? 400));
          const parts = readWording(kind, pieces, thread, draft, from, own);
          if (kind === 'update' || kind === 'network-post') return;
          for (const { text } of parts) {
            expect(text).not.toMatch(/undefined|\[object/);
            if (isMessage(kind)) expect(messageLength(text, own)).toBeLessThanOrEqual(own.most);
          }
        },
      ),
    );
  });
});
