import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Block, type Draft, emptyFields } from '../draft/index.ts';
import { emptyScene, scorePost } from '../scoring/index.ts';
import { indexedPost } from '../site/index.ts';
import { DraftReadings } from './draft-facts.ts';
import { staleRuns } from './stale-runs.ts';

const SENTENCES = [
  'The ferry takes bikes at the quay.',
  'Then they go on and it is what it was before they went.',
  'Panniers keep the tent dry when rain comes over the dyke.',
  'It was more than they had thought, and so they went on as they were.',
  'A pump lies under the saddle.',
  'What was said about the ferry and the quay is said again here, as it was.',
];

const read = (draft: Draft, readings: DraftReadings) => {
  const document = { fields: { ...emptyFields(), language: 'en' }, draft };
  return staleRuns(scorePost(document, indexedPost('p', document), emptyScene(), readings).facts);
};

const paragraph = fc.record({
  heading: fc.boolean(),
  text: fc.array(fc.constantFrom(...SENTENCES), { minLength: 1, maxLength: 9 }).map((all) => all.join(' ')),
});
const blockOf = ({ heading, text }: { heading: boolean; text: string }, id: string): Block => ({
  id,
  kind: heading ? 'heading' : 'paragraph',
  ...(heading ? { level: 2 } : {}),
  path: [],
  text,
  marks: [],
});

describe('runs without anything new', () => {
  const LINE = 'And so it was as they had been before them';
  it('are found from eighty words on, and end where a name comes', () => {
    const text = `A ferry crosses the bay. ${`${LINE}. `.repeat(9)}Then a lighthouse stands there.`;
    const [run, ...more] = read(
      { version: 1, blocks: [blockOf({ heading: false, text }, 'a')] },
      new DraftReadings(),
    );
    expect(more).toEqual([]);
    expect(run.words).toBe(90);
    expect(text.slice(run.start, run.end)).toBe(`${`${LINE}. `.repeat(9)}`.slice(0, -2));
  });
  it('are the same after any change of a text as of the text read anew', () =>
    fc.assert(
      fc.property(
        fc.array(paragraph, { minLength: 3, maxLength: 9 }),
        fc.array(fc.tuple(fc.nat(), paragraph, fc.constantFrom('change', 'change', 'add', 'remove')), {
          maxLength: 6,
        }),
        (given, changes) => {
          const readings = new DraftReadings();
          let blocks = given.map((one, at) => blockOf(one, `b${at}`));
          read({ version: 1, blocks }, readings);
          for (const [where, one, what] of changes) {
            const at = where % blocks.length;
            if (what === 'remove' && blocks.length > 1) blocks = blocks.toSpliced(at, 1);
            else blocks = blocks.toSpliced(at, what === 'change' ? 1 : 0, blockOf(one, `c${where}`));
            const draft: Draft = { version: 1, blocks };
            expect(read(draft, readings)).toEqual(read(draft, new DraftReadings()));
          }
        },
      ),
    ));
});
