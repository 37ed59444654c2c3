import type { Block, Draft } from '../../draft/index.ts';
import { tellingStems } from '../../language/index.ts';
import { type Outline, ownNote } from '../../outline/index.ts';
import { sentencesIn } from '../sentences.ts';
import { centralSentences, subjectOfPhrase } from './central-sentences.ts';
import type { KnownPlace, KnownPost, KnownSection } from './known.ts';

/** Characters before and after the caret that go along. */
const AROUND = 1200;
/** Posts of the site that go along, and sentences of each. */
const MOST_POSTS = 4;
const SAID_OF_POST = 2;

const bare = (text: string) => text.replace(/†/g, '').replace(/\s+/g, ' ').trim();

/** The sections of a draft with the words of their paragraphs; pictures, code and kept markup are left out. */
export function knownSections({ blocks }: Draft): KnownSection[] {
  const out: KnownSection[] = [];
  for (const { kind, level, text, step } of blocks) {
    if (kind === 'heading') out.push({ heading: bare(text), level: level ?? 2, paragraphs: [] });
    else if (kind === 'paragraph' && bare(text) !== '' && !step) {
      if (out.length === 0) out.push({ heading: '', level: 2, paragraphs: [] });
      out[out.length - 1].paragraphs.push(bare(text));
    }
  }
  return out;
}

/** Sections as plain text, headings in their Markdown. */
export const sectionsText = (sections: readonly KnownSection[]): string =>
  sections
    .map(({ heading, level, paragraphs }) =>
      [...(heading ? [`${'#'.repeat(level)} ${heading}`] : []), ...paragraphs].join('\n'),
    )
    .join('\n\n');

/** What stands around a block of a draft: the heading above it with its note, and the words before and after. */
export function knownPlace({ blocks }: Draft, outline: Outline, blockId: string | null): KnownPlace {
  const found = blockId === null ? -1 : blocks.findIndex(({ id }) => id === blockId);
  const at = found < 0 ? blocks.length - 1 : found;
  const words = (some: readonly Block[]) =>
    some
      .filter(({ kind }) => kind === 'paragraph' || kind === 'heading')
      .map(({ kind, level, text }) =>
        kind === 'heading' ? `${'#'.repeat(level ?? 2)} ${bare(text)}` : bare(text),
      )
      .filter(Boolean)
      .join('\n');
  const heading = blocks.slice(0, at + 1).findLast(({ kind }) => kind === 'heading');
  const item =
    heading && outline.find(({ id, text }) => id === heading.id || text.trim() === heading.text.trim());
  return {
    heading: heading ? bare(heading.text) : '',
    note: item ? ownNote(item.note).trim() : '',
    before: words(blocks.slice(0, at + 1)).slice(-AROUND),
    after: words(blocks.slice(at + 1)).slice(0, AROUND),
  };
}

/** What other posts of the site say of a subject, the nearest post first; none that only shares a word with it. */
export function sitePassages(
  posts: readonly { title: string; address: string; draft: Draft }[],
  subject: string,
): KnownPost[] {
  const wanted = subjectOfPhrase(subject);
  if (wanted.size === 0) return [];
  const rated = posts.flatMap(({ title, address, draft }) => {
    const words = knownSections(draft).flatMap(({ paragraphs }) => paragraphs);
    const sentences = words.flatMap(sentencesIn).map((text) => ({ text, owner: title }));
    const said = centralSentences(sentences, wanted, SAID_OF_POST).map(({ text }) => text);
    const named = shareOf(wanted, tellingStems(title));
    const best = Math.max(0, ...said.map((text) => shareOf(wanted, tellingStems(text))));
    const near = named + best;
    return said.length > 0 && best >= 0.6 ? [{ title, address, said, near }] : [];
  });
  return rated
    .sort((a, b) => b.near - a.near || (a.title < b.title ? -1 : 1))
    .slice(0, MOST_POSTS)
    .map(({ title, address, said }) => ({ title, address, said }));
}

const shareOf = (wanted: ReadonlyMap<string, number>, stems: ReadonlySet<string>): number =>
  [...wanted.keys()].filter((each) => stems.has(each)).length / wanted.size;

/** What a place in a draft is about: its heading, else the last two sentences before it. */
export const subjectOfPlace = ({ heading, before }: Pick<KnownPlace, 'heading' | 'before'>): string =>
  heading ||
  sentencesIn(before)
    .filter((sentence) => !sentence.startsWith('#'))
    .slice(-2)
    .join(' ');
