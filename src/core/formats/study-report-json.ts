import type { StudyFacts } from '../criteria/index.ts';
import { Vocabulary, WordBases } from '../language/index.ts';
import type { Band, PageReading, Study, StudyBook, StudyQuestion, Topic, Unsaid } from '../study/index.ts';

/** A study as `study --json` prints it and `study-report.schema.json` describes it. */
export interface StudyReportJson {
  version: 1;
  query: string;
  language: string;
  pages: {
    file: string;
    title: string;
    words: number;
    headings: string[];
    onTopic: number;
    leaveOut: string | null;
  }[];
  terms: {
    text: string;
    forms: string[];
    group: 'staple' | 'supporting';
    heading: boolean;
    share: number;
    lower: number;
    upper: number;
  }[];
  topics: { name: string; stems: string[]; pages: string[]; share: number }[];
  questions: { text: string; pages: string[] }[];
  statements: { text: string; page: string; source: string | null }[];
  unsaid: { text: string; why: string }[];
  bands: Record<string, Band | null>;
}

const headingsOf = ({ blocks }: PageReading): string[] =>
  blocks.flatMap(({ block }) =>
    block.kind === 'heading' && (block.level ?? 0) > 1 ? [block.text.replace(/\s+/g, ' ').trim()] : [],
  );

/** The JSON form of a study. `fileOf` gives the name of the file that was read for an address. */
export function studyReportJson(
  book: StudyBook,
  study: Study,
  language: string,
  fileOf: (address: string) => string,
): StudyReportJson {
  const reasons = new Map(book.leaveOut().map(({ address, reason }) => [address, reason]));
  return {
    version: 1,
    query: book.around.query,
    language,
    pages: book.readings.map((reading, at) => ({
      file: fileOf(reading.page.address),
      title: reading.page.document.fields.title,
      words: reading.figures.words,
      headings: headingsOf(reading),
      onTopic: book.relevances[at].value,
      leaveOut: reasons.get(reading.page.address) ?? null,
    })),
    terms: study.terms.map(({ key, form, group, heading, share, band }) => ({
      text: form,
      forms: book.formsOf(key, form),
      group,
      heading,
      share,
      lower: band?.lower ?? 0,
      upper: band?.upper ?? 0,
    })),
    topics: study.topics.map(({ name, stems, pages, share }) => ({
      name,
      stems: stems.map(([stem]) => stem),
      pages: pages.map(fileOf),
      share,
    })),
    questions: study.questions.map(({ text, pages }) => ({ text, pages: pages.map(fileOf) })),
    statements: study.statements.map(({ text, address, source, link }) => ({
      text,
      page: fileOf(address),
      source: source || link || null,
    })),
    unsaid: study.unsaid.map(({ text, demand, pages }) => ({
      text,
      why: `${demand}; ${pages.length === 0 ? 'no page says it' : `${pages.length} of ${study.taken.length} pages ${pages.length === 1 ? 'says' : 'say'} it`}`,
    })),
    bands: { ...study.bands, keywordRate: book.keywordRates(study) },
  };
}

/** Weights of stems that come best first: each later one tells a little less. They add up to 1. */
function weighted(stems: readonly string[]): [string, number][] {
  const weights = stems.map((_, at) => 1 / Math.sqrt(at + 1));
  const all = weights.reduce((sum, weight) => sum + weight, 0) || 1;
  return stems.map((stem, at) => [stem, weights[at] / all]);
}

/** What the criteria take from such a study. */
export function factsOfReport({ terms, topics, bands, language }: StudyReportJson): StudyFacts {
  const bases = new WordBases(new Vocabulary(), language);
  const { words, score, keywordRate } = bands;
  return {
    keywordRateUpper: keywordRate?.upper ?? 0,
    words: words ?? null,
    // The first ten pages are among those of the band.
    score: score ? { ...score, topTen: score.median } : null,
    terms: terms.map(({ text, group, heading, share, lower, upper }) => ({
      key: bases.keyOf(text),
      form: text,
      group,
      heading,
      share,
      lower,
      upper,
    })),
    topics: topics.map(({ name, share, stems }) => ({ name, share, stems: weighted(stems) })),
  };
}

const median = (values: number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.length === 0 ? 0.5 : sorted[Math.floor((sorted.length - 1) / 2)];
};

/** What outlines are made from, out of such a study: where a topic stands is read off the pages' headings. */
export function outlineGround({
  query,
  language,
  pages,
  topics,
  questions,
  unsaid,
  bands,
}: StudyReportJson): {
  query: string;
  words: number;
  topics: Topic[];
  questions: StudyQuestion[];
  unsaid: Unsaid[];
} {
  const bases = new WordBases(new Vocabulary(), language);
  const stemsOf = (text: string) => new Set(bases.stemsOf(text).map((stem) => bases.stemText(stem)));
  const headings = new Map(pages.map((page) => [page.file, page.headings.map(stemsOf)]));
  const words = bands['words']?.median ?? 1000;
  const sections = Math.max(1, median(pages.map((page) => page.headings.length)));
  const all = Math.max(1, pages.filter(({ leaveOut }) => leaveOut === null).length);
  return {
    query,
    words,
    topics: topics.map(({ name, stems, pages: own, share }): Topic => {
      const named = [...stemsOf(name), ...stems.slice(0, 3)];
      const places = own.flatMap((file) => {
        const list = headings.get(file) ?? [];
        const likeness = list.map((heading) => named.filter((stem) => heading.has(stem)).length);
        const best = Math.max(0, ...likeness);
        return best === 0 ? [] : [likeness.indexOf(best) / list.length];
      });
      return {
        name,
        sections: [],
        pages: own,
        share,
        position: median(places),
        words: words / sections,
        stems: weighted(stems),
      };
    }),
    questions: questions.map(({ text, pages: own }) => ({
      text,
      volume: null,
      wordings: [],
      toThePoint: true,
      pages: own,
      share: own.length / all,
    })),
    unsaid: unsaid.map(({ text, why }) => ({
      text,
      kind: /\?$|^(?:how|what|which|why|when|where|who|can|do|does|is|are|should)\b/i.test(text)
        ? 'question'
        : 'phrase',
      volume: null,
      demand: why,
      pages: [],
    })),
  };
}
