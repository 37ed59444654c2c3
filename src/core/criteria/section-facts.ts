import { readingEaseOf } from '../language/index.ts';
import type { BlockReading } from './block-reader.ts';
import type { DraftFacts } from './draft-facts.ts';
import { answeringSections } from './question-cover.ts';
import { statedFigures } from './rules/claims-sourced.ts';

/** What one section of a draft holds: a heading with what follows it, or what stands before the first. */
export interface SectionFacts {
  /** Id of its first block. */
  blockId: string;
  /** Empty for what stands before the first heading. */
  heading: string;
  /** Level of the heading; 0 before the first. */
  level: number;
  words: number;
  /** Reading ease of its sentences by the formula of their language; null where none is known, or no sentence. */
  ease: number | null;
  /** The same on Flesch's scale, where other formulas have their own. */
  easeOnFlesch: number | null;
  /** Terms of the study that stand in it, and how many of them stand nowhere else. */
  terms: number;
  termsOnlyHere: number;
  links: number;
  pictures: number;
  /** Lists, tables and quotes. */
  scanPoints: number;
  /** Figures that want a source, and those of them that have none. */
  claims: number;
  openClaims: number;
  /** The chosen questions that it answers. */
  questions: string[];
}

/** The sections of a draft in order; a title among its headings begins none. */
export function sectionFacts(facts: DraftFacts): SectionFacts[] {
  const { readings, titleBlock, settings, language, links, images } = facts;
  const starts: number[] = [];
  for (let at = 0; at < readings.length; at++)
    if (at !== titleBlock && (readings[at].level > 0 || starts.length === 0)) starts.push(at);
  const answers = answeringSections(facts, starts);
  const figures = statedFigures(facts);
  const terms = settings.study?.terms.length ?? 0;
  const sectionsOfTerm = new Uint32Array(terms);
  const termsOf = starts.map((from, at) => {
    const own = new Set<number>();
    for (const { termUses } of readings.slice(from, starts[at + 1]))
      for (const { term } of termUses) own.add(term);
    for (const term of own) sectionsOfTerm[term] += 1;
    return own;
  });
  const within = (index: number | null, at: number) =>
    index !== null && index >= starts[at] && index < (starts[at + 1] ?? readings.length);
  return starts.map((from, at): SectionFacts => {
    const members = readings.slice(from, starts[at + 1]);
    const [{ block, heading, level }] = members;
    const body = members.filter((reading) => reading.level === 0);
    const sum = (of: (reading: BlockReading) => number) =>
      body.reduce((all, reading) => all + of(reading), 0);
    const read = body.filter(({ sentences }) => sentences > 0);
    const counts = { words: 0, sentences: 0, syllables: 0, letters: 0, longWords: 0 };
    for (const { words, sentences, measured } of read) {
      counts.words += words;
      counts.sentences += sentences;
      counts.syllables += measured.syllables;
      counts.letters += measured.letters;
      counts.longWords += measured.longWords;
    }
    const ease = readingEaseOf(language, counts);
    const claims = figures.filter(({ block: index }) => within(index, at));
    return {
      blockId: block.id,
      heading,
      level,
      words: sum(({ words }) => words),
      ease: ease?.figure ?? null,
      easeOnFlesch: ease && -ease.short(0),
      terms: termsOf[at].size,
      termsOnlyHere: [...termsOf[at]].filter((term) => sectionsOfTerm[term] === 1).length,
      links: links.filter(({ index }) => within(index, at)).length,
      pictures: images.filter(({ index }) => within(index, at)).length,
      scanPoints: new Set(body.flatMap(({ container }) => (container ? [container] : []))).size,
      claims: claims.length,
      openClaims: claims.filter(({ source }) => source === null).length,
      questions: answers[at],
    };
  });
}
