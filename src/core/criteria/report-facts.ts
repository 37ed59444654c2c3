import { fleschKincaidGrade, fleschReadingEase, type MatchKind } from '../language/index.ts';
import { DESCRIPTION_SIZE, pixelWidth, TITLE_SIZE } from '../listing/index.ts';
import type { DraftFacts } from './draft-facts.ts';
import { introMatch } from './rules/keyword-intro.ts';
import { slugCoverage } from './rules/slug-keyword.ts';

type Presence = 'exact' | 'variant' | 'no';

/** The facts of a draft as a report prints them (`score-report.schema.json`, `facts`). */
export interface ReportFacts {
  title: string | null;
  metaTitle: string | null;
  metaDescription: string | null;
  slug: string | null;
  language: string | null;
  words: number;
  sentences: number;
  paragraphs: number;
  headings: { level: number; text: string }[];
  images: { src: string; alt: string | null }[];
  links: { href: string; text: string; kind: string }[];
  keyword: {
    phrase: string;
    exact: number;
    variant: number;
    perHundredWords: number;
    inTitle: Presence;
    inIntro: Presence;
    inHeadings: number;
    inSlug: Presence;
    inMetaTitle: Presence;
    inMetaDescription: Presence;
    inAlt: number;
  } | null;
  readability: { fleschReadingEase: number | null; fleschKincaidGrade: number | null };
  pixels: { metaTitle: number | null; metaDescription: number | null };
}

const orNull = (text: string) => (text.trim() === '' ? null : text.trim());
const presence = (kind: MatchKind | null): Presence =>
  kind === null ? 'no' : kind === 'exact' ? 'exact' : 'variant';

/** What a report states as facts, each countable by hand. */
export function reportFacts(facts: DraftFacts): ReportFacts {
  const { fields, sentences, titleBlock } = facts;
  // What stands in the file is counted, a title in the body too.
  const words = facts.words + (facts.readings[titleBlock]?.words ?? 0);
  const metaTitle = orNull(fields.metaTitle);
  const metaDescription = orNull(fields.metaDescription);
  const counts = facts.totals.read;
  return {
    title: orNull(fields.title),
    metaTitle,
    metaDescription,
    slug: orNull(fields.slug),
    language: orNull(fields.language),
    words,
    sentences,
    paragraphs: facts.totals.paragraphs,
    headings: facts.headings.map(({ level, text }) => ({ level, text })),
    images: facts.images.map(({ src, alt }) => ({ src, alt })),
    links: facts.links.map(({ href, text, kind }) => ({ href, text, kind })),
    keyword: facts.keyword === '' ? null : keywordFacts(facts, words),
    readability: {
      fleschReadingEase: facts.english ? fleschReadingEase(counts) : null,
      fleschKincaidGrade: facts.english ? fleschKincaidGrade(counts) : null,
    },
    pixels: {
      metaTitle: metaTitle === null ? null : pixelWidth(metaTitle, TITLE_SIZE),
      metaDescription: metaDescription === null ? null : pixelWidth(metaDescription, DESCRIPTION_SIZE),
    },
  };
}

function keywordFacts(facts: DraftFacts, words: number): NonNullable<ReportFacts['keyword']> {
  const uses = facts.readings.flatMap((reading) => reading.uses);
  const exact = uses.filter(({ match }) => match.kind === 'exact').length;
  const inSlug = (): Presence => {
    const { wanted, held } = slugCoverage(facts);
    if (wanted.length === 0 || held.length < wanted.length) return 'no';
    const plain = facts.keyword.toLowerCase().replace(/\s+/g, '-');
    return `-${facts.fields.slug.toLowerCase()}-`.includes(`-${plain}-`) ? 'exact' : 'variant';
  };
  return {
    phrase: facts.keyword,
    exact,
    variant: uses.length - exact,
    perHundredWords: words === 0 ? 0 : (100 * uses.length) / words,
    inTitle: presence(facts.keywordIn(facts.fields.title).kind),
    inIntro: presence(introMatch(facts).kind),
    inHeadings: facts.headings.filter(({ level, reading }) => level > 1 && reading.keywordValue > 0).length,
    inSlug: inSlug(),
    inMetaTitle: presence(facts.keywordIn(facts.fields.metaTitle).kind),
    inMetaDescription: presence(facts.keywordIn(facts.fields.metaDescription).kind),
    inAlt: facts.images.filter(({ alt }) => alt && facts.keywordIn(alt).value > 0).length,
  };
}
