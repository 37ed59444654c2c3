import { applyEdits } from '../src/core/criteria/index.ts';
import type { Block, PostDocument } from '../src/core/draft/index.ts';
import { seeded } from './prose.ts';

/** What is done to a draft, and whether it must cost it much. */
export interface Degradation {
  name: string;
  /** Points that it must lose at least. */
  least: number;
  apply(document: PostDocument, other: PostDocument): PostDocument;
}

const isProse = (block: Block) =>
  block.kind === 'paragraph' && !block.path.some(({ type }) => type === 'cell');
const sentencesOf = (text: string) => text.replace(/\n/g, ' ').split(/(?<=[.!?]["'”’)]*)\s+/);

function shuffled<T>(items: readonly T[], seed: number): T[] {
  const random = seeded(seed);
  const out = [...items];
  for (let at = out.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [out[at], out[other]] = [out[other], out[at]];
  }
  return out;
}

/** A draft with other texts in the blocks that pass; marks go with the words that carried them. */
const withTexts = ({ fields, draft }: PostDocument, text: (block: Block) => string | null): PostDocument => ({
  fields,
  draft: {
    ...draft,
    blocks: draft.blocks.map((block) => {
      const next = text(block);
      return next === null ? block : { ...block, text: next, marks: [] };
    }),
  },
});

function wordsShuffled(document: PostDocument): PostDocument {
  let seed = 1;
  return withTexts(document, (block) =>
    isProse(block)
      ? sentencesOf(block.text)
          .map((sentence) => {
            const words = sentence.replace(/[.!?]+["'”’)]*$/, '').split(/\s+/);
            return `${shuffled(words, seed++).join(' ')}.`;
          })
          .join(' ')
      : null,
  );
}

function sentencesShuffled(document: PostDocument): PostDocument {
  const pool = shuffled(
    document.draft.blocks.filter(isProse).flatMap(({ text }) => sentencesOf(text)),
    7,
  );
  let next = 0;
  return withTexts(document, (block) => {
    if (!isProse(block)) return null;
    const count = sentencesOf(block.text).length;
    next += count;
    return pool.slice(next - count, next).join(' ');
  });
}

/** The prose of another post, paragraph for paragraph, as often as there are paragraphs. */
function proseOfAnother(document: PostDocument, other: PostDocument): PostDocument {
  const pool = other.draft.blocks.filter(isProse).map(({ text }) => text);
  let next = 0;
  return withTexts(document, (block) => (isProse(block) ? pool[next++ % pool.length] : null));
}

/** The same with the keyword put into the middle of every sixth sentence. */
function keywordDroppedIn(document: PostDocument, other: PostDocument): PostDocument {
  let sentences = 0;
  return withTexts(proseOfAnother(document, other), (block) =>
    isProse(block)
      ? sentencesOf(block.text)
          .map((sentence) => {
            sentences += 1;
            if (sentences % 6 !== 0) return sentence;
            const words = sentence.split(' ');
            return words.toSpliced(words.length >> 1, 0, document.fields.keyword).join(' ');
          })
          .join(' ')
      : null,
  );
}

function opening({ fields, draft }: PostDocument): PostDocument {
  let left = 80;
  const blocks: Block[] = [];
  for (const block of draft.blocks) {
    if (left <= 0) break;
    const words = block.text.split(/\s+/).filter(Boolean);
    if (words.length <= left) blocks.push(block);
    else {
      const text = words.slice(0, left).join(' ');
      blocks.push({ ...block, text, marks: block.marks.filter(({ end }) => end <= text.length) });
    }
    left -= words.length;
  }
  return { fields, draft: { ...draft, blocks } };
}

function repeated({ fields, draft }: PostDocument): PostDocument {
  const paragraphs = draft.blocks.filter((block) => isProse(block) && block.path.length === 0);
  const longest = paragraphs.reduce((best, block) => (block.text.length > best.text.length ? block : best));
  const copies = Array.from({ length: 4 }, (_, at) => ({ ...longest, id: `${longest.id}-copy-${at}` }));
  return {
    fields,
    draft: {
      ...draft,
      blocks: draft.blocks.flatMap((block) => (block === longest ? [block, ...copies] : [block])),
    },
  };
}

const wordsIn = (blocks: readonly Block[]): number =>
  blocks.reduce((sum, { text }) => sum + (text.match(/\S+/g)?.length ?? 0), 0);

/** The keyword put between words of running text, evenly, until it stands five times in a hundred words of the post. */
function stuffed(document: PostDocument): PostDocument {
  const { keyword } = document.fields;
  const { blocks } = document.draft;
  const uses = 0.05 * wordsIn(blocks);
  const every = wordsIn(blocks.filter(isProse)) / uses;
  let words = 0;
  let put = 0;
  return withTexts(document, (block) =>
    isProse(block)
      ? block.text
          .split(/\s+/)
          .flatMap((word) => {
            words += 1;
            if (words < (put + 1) * every) return [word];
            put += 1;
            return [word, keyword];
          })
          .join(' ')
      : null,
  );
}

const without = ({ fields, draft }: PostDocument, drop: (block: Block) => boolean): PostDocument => ({
  fields,
  draft: { ...draft, blocks: draft.blocks.filter((block) => !drop(block)) },
});

/** Ten and more ways in which a draft is made worse. */
export const DEGRADATIONS: readonly Degradation[] = [
  { name: 'words shuffled', least: 15, apply: wordsShuffled },
  { name: 'sentences shuffled', least: 15, apply: sentencesShuffled },
  { name: "another's prose", least: 15, apply: proseOfAnother },
  { name: 'first 80 words', least: 15, apply: opening },
  { name: 'paragraph five times', least: 15, apply: repeated },
  { name: 'stuffed to 5 %', least: 15, apply: stuffed },
  { name: "another's prose, keyword put in", least: 15, apply: keywordDroppedIn },
  {
    name: 'no headings',
    least: 0,
    apply: (document) => without(document, ({ kind, level }) => kind === 'heading' && level !== 1),
  },
  {
    name: 'links broken',
    least: 0,
    apply: ({ fields, draft }) => ({
      fields,
      draft: {
        ...draft,
        blocks: draft.blocks.map((block) => ({
          ...block,
          marks: block.marks.map((mark) =>
            mark.type === 'link' ? { ...mark, href: '/gone/nowhere' } : mark,
          ),
        })),
      },
    }),
  },
  {
    name: 'no alt text',
    least: 0,
    apply: ({ fields, draft }) => ({
      fields: { ...fields, imageAlt: null },
      draft: {
        ...draft,
        blocks: draft.blocks.map((block) =>
          block.image ? { ...block, image: { ...block.image, alt: null } } : block,
        ),
      },
    }),
  },
  {
    name: 'no listing',
    least: 0,
    apply: (document) =>
      applyEdits(
        document,
        (['metaTitle', 'metaDescription', 'slug'] as const).map((field) => ({
          kind: 'set-field',
          field,
          value: '',
        })),
      ),
  },
];
