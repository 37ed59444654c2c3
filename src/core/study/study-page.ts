import type { PostDocument } from '../draft/index.ts';
import {
  Gap,
  inflectionCandidates,
  isStopWord,
  stem,
  type Tokens,
  tokenize,
  type Vocabulary,
} from '../language/index.ts';

/** A page of a study: where it comes from, and its article. */
export interface StudyPage {
  address: string;
  publisher: string;
  rank: number;
  document: PostDocument;
}

/** A section of a page: its heading and what stands below it until the next. */
export interface Section {
  /** Empty: before the first heading. */
  heading: string;
  text: string;
  words: number;
  /** Where it begins, as a share of the page's words. */
  begins: number;
}

/** Uses of one single word or phrase on a page. */
export interface Uses {
  count: number;
  inHeadings: number;
  /** As it is written there first. */
  form: string;
}

/** A page as a study counts it; made once for each page. */
export interface PageReading {
  page: StudyPage;
  words: number;
  sections: Section[];
  /** By the bases of its words, one to four. */
  grams: Map<string, Uses>;
  /** Sentences with the section they stand in. */
  sentences: { text: string; section: number }[];
}

const LONGEST = 4;

/** What is asked of every word, once per vocabulary id. */
export class WordBases {
  private readonly bases: (string | null | undefined)[] = [];
  private readonly stems: (string | undefined)[] = [];

  constructor(readonly vocabulary: Vocabulary) {}

  /** The base form by which uses are counted; null for words that a term neither begins nor ends with. */
  base(id: number): string | null {
    let base = this.bases[id];
    if (base === undefined) {
      const form = this.vocabulary.form(id);
      const normal = this.vocabulary.normal(id);
      base =
        isStopWord(form) || isStopWord(normal) || !/\p{L}{2}/u.test(form)
          ? null
          : inflectionCandidates(normal).reduce(
              (best, next) => (next.length < best.length && next.length > 2 ? next : best),
              normal,
            );
      this.bases[id] = base;
    }
    return base;
  }

  stem(id: number): string {
    let known = this.stems[id];
    if (known === undefined) {
      known = stem(this.vocabulary.normal(id));
      this.stems[id] = known;
    }
    return known;
  }
}

function countGrams(
  text: string,
  tokens: Tokens,
  bases: WordBases,
  inHeading: boolean,
  grams: Map<string, Uses>,
): void {
  for (let first = 0; first < tokens.length; first++) {
    const begin = bases.base(tokens.ids[first]);
    if (begin === null) continue;
    let key = '';
    for (let last = first; last < Math.min(tokens.length, first + LONGEST); last++) {
      // A term stays within its clause.
      if (
        last > first &&
        (tokens.gaps[last] === Gap.Clause || tokens.sentences[last] !== tokens.sentences[first])
      )
        break;
      const base = bases.base(tokens.ids[last]);
      key += `${last > first ? ' ' : ''}${base ?? bases.vocabulary.form(tokens.ids[last])}`;
      if (base === null) continue;
      const uses = grams.get(key);
      if (uses) {
        uses.count += 1;
        if (inHeading) uses.inHeadings += 1;
      } else
        grams.set(key, {
          count: 1,
          inHeadings: inHeading ? 1 : 0,
          form: text.slice(tokens.starts[first], tokens.ends[last]).toLowerCase(),
        });
    }
  }
}

/** Counts a page: its sections, sentences, and every word and phrase of one to four words. */
export function readStudyPage(page: StudyPage, bases: WordBases): PageReading {
  const grams = new Map<string, Uses>();
  const sections: Section[] = [{ heading: '', text: '', words: 0, begins: 0 }];
  const sentences: PageReading['sentences'] = [];
  let words = 0;
  for (const { kind, text, level } of page.document.draft.blocks) {
    if (text.trim() === '' || kind === 'code') continue;
    const tokens = tokenize(text, bases.vocabulary);
    const heading = kind === 'heading';
    if (!(heading && level === 1)) countGrams(text, tokens, bases, heading, grams);
    if (heading) {
      if (level !== 1)
        sections.push({ heading: text.replace(/\s+/g, ' ').trim(), text: '', words: 0, begins: words });
    } else {
      const section = sections[sections.length - 1];
      section.text += `${text}\n`;
      section.words += tokens.words;
      for (let from = 0; from < tokens.length; ) {
        let to = from;
        while (to + 1 < tokens.length && tokens.sentences[to + 1] === tokens.sentences[from]) to += 1;
        const end = to + 1 < tokens.length ? tokens.starts[to + 1] : text.length;
        sentences.push({ text: text.slice(tokens.starts[from], end).trim(), section: sections.length - 1 });
        from = to + 1;
      }
    }
    words += tokens.words;
  }
  for (const section of sections) section.begins = words === 0 ? 0 : section.begins / words;
  return { page, words, sections: sections.filter(({ heading, text }) => heading || text), grams, sentences };
}
