import type { WordBases } from '../language/index.ts';
import type { StudyQuestion } from './questions.ts';
import type { PageReading } from './study-page.ts';
import type { Topic } from './topics.ts';

/** Something that is asked for and that few or none of the pages say. */
export interface Unsaid {
  text: string;
  kind: 'question' | 'phrase' | 'topic';
  /** Searches a month; null: not known. */
  volume: number | null;
  /** How the demand is known, in words. */
  demand: string;
  /** Addresses of the few pages that say it. */
  pages: string[];
}

/** A phrase that people search for around the query. */
export interface WantedPhrase {
  phrase: string;
  volume: number | null;
}

/** Few: so many of the pages, one at least. */
const FEW = 0.1;
const PLACES = {
  suggestion: 'suggested while typing',
  related: 'asked on result pages',
  forum: 'asked in forums',
};

/** Pages that say what a phrase asks for: one section holds all of its stems beside those of the query. */
class PhraseAnswers {
  private readonly subject: ReadonlySet<number>;

  constructor(
    private readonly readings: readonly PageReading[],
    query: string,
    private readonly bases: WordBases,
  ) {
    this.subject = new Set(bases.stemsOf(query));
  }

  /** The stems of a phrase that the query does not have. */
  own(phrase: string): number[] {
    return [...new Set(this.bases.stemsOf(phrase))].filter((stem) => !this.subject.has(stem));
  }

  pages(stems: readonly number[], taken: readonly number[]): string[] {
    return taken
      .filter((page) =>
        this.readings[page].sections.some((section) => stems.every((stem) => section.stems.has(stem))),
      )
      .map((page) => this.readings[page].page.address);
  }
}

/**
 * Questions asked elsewhere, phrases searched for, and topics behind such phrases, that at most a tenth of the pages (one
 * at least) say anything about; most searched first.
 */
export function unsaidOf(
  readings: readonly PageReading[],
  taken: readonly number[],
  {
    questions,
    topics,
    phrases,
    query,
  }: {
    questions: readonly StudyQuestion[];
    topics: readonly Topic[];
    phrases: readonly WantedPhrase[];
    query: string;
  },
  bases: WordBases,
): Unsaid[] {
  const few = Math.max(1, Math.floor(taken.length * FEW));
  const answers = new PhraseAnswers(readings, query, bases);
  const out: Unsaid[] = [];
  for (const { text, volume, wordings, pages } of questions) {
    const places = [...new Set(wordings.flatMap(({ place }) => (place === 'page' ? [] : [PLACES[place]])))];
    if (places.length === 0 || pages.length > few) continue;
    out.push({ text, kind: 'question', volume, demand: places.join(', '), pages });
  }
  const asked = new Set(out.map(({ text }) => text.toLowerCase().replace(/\W+/g, ' ').trim()));
  for (const { phrase, volume } of phrases) {
    const own = answers.own(phrase);
    if (own.length === 0 || asked.has(phrase.toLowerCase())) continue;
    const topic = topics.find(
      ({ stems, pages }) =>
        pages.length <= few && own.every((stem) => stems.some(([text]) => text === bases.stemText(stem))),
    );
    const pages = answers.pages(own, taken);
    if (topic && !out.some(({ text }) => text === topic.name))
      out.push({
        text: topic.name,
        kind: 'topic',
        volume,
        demand: `people search for "${phrase}"`,
        pages: topic.pages,
      });
    else if (pages.length <= few)
      out.push({ text: phrase, kind: 'phrase', volume, demand: 'searched for', pages });
  }
  return out.sort(
    (a, b) =>
      (b.volume ?? -1) - (a.volume ?? -1) || a.pages.length - b.pages.length || (a.text < b.text ? -1 : 1),
  );
}
