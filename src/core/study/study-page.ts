import { DraftReadings, type DraftSettings, type Profile, scoreDraft } from '../criteria/index.ts';
import type { Block, PostDocument } from '../draft/index.ts';
import { fleschReadingEase, Gap, isEnglish, type Tokens, type WordBases } from '../language/index.ts';
import { pageProfile } from './page-criteria.ts';
import { type Statement, statementsOf } from './statements.ts';

/** A page of a study: where it comes from, and its article. */
export interface StudyPage {
  address: string;
  publisher: string;
  /** What kind of publisher, where the source knows: `forum`, `shop`, ...; empty: not known. */
  kind: string;
  rank: number;
  document: PostDocument;
}

/** Figures of a page, as its line of the table shows them. */
export interface PageFigures {
  words: number;
  headings: number;
  images: number;
  /** Links that lead to another host. */
  linksOut: number;
  links: number;
  lists: number;
  tables: number;
  /** Flesch Reading Ease; null: no English, or no sentence. */
  ease: number | null;
  /** By the criteria that can be judged on any page, 0-100. */
  score: number;
  /** Weighted uses of the query in 100 words. */
  keywordRate: number;
  /** RFC 3339 instant where the page states one. */
  date: string;
}

/** A section of a page: its heading and what stands below it until the next. */
export interface Section {
  /** Empty: before the first heading. */
  heading: string;
  level: number;
  words: number;
  /** Where it begins, as a share of the page's words. */
  begins: number;
  /** Stems of its heading. */
  headingStems: number[];
  /** How often each stem stands in heading and text. */
  stems: Map<number, number>;
}

/** A page as a study counts it; made once for each page. */
export interface PageReading {
  page: StudyPage;
  figures: PageFigures;
  sections: Section[];
  /** Base forms in order; -1 parts clauses. */
  stream: Int32Array;
  /** For each place of the stream the block it stands in, and the word there. */
  blockAt: Int32Array;
  tokenAt: Int32Array;
  /** 1 where the place stands in a heading. */
  inHeading: Uint8Array;
  /** Blocks that are read, each with its words. */
  blocks: { block: Block; tokens: Tokens; section: number }[];
  statements: Statement[];
}

const hostOf = (address: string): string | null => {
  try {
    return new URL(address).origin;
  } catch {
    return null;
  }
};

/** Counts containers of a kind, each once. */
function containers(blocks: readonly Block[], type: 'list' | 'table'): number {
  const keys = new Set<string>();
  for (const { path } of blocks)
    for (const part of path) if (part.type === type) keys.add(`${part.key} ${path.indexOf(part)}`);
  return keys.size;
}

/** Reads and scores a page for a query: its figures, sections, every word in its order, and statements with figures. */
export function readStudyPage(
  page: StudyPage,
  query: string,
  bases: WordBases,
  profile: Profile,
): PageReading {
  const { draft, fields } = page.document;
  const judged = pageProfile(profile);
  const settings: DraftSettings = {
    host: hostOf(page.address),
    titlePattern: null,
    siteName: '',
    language: '',
    ownPath: null,
    pictures: new Map(),
    year: null,
    limits: judged.limits,
    study: null,
  };
  const facts = new DraftReadings(bases.vocabulary, bases).facts(
    { fields: { ...fields, keyword: query, supporting: [], questions: [], targetWords: null }, draft },
    settings,
  );
  const report = scoreDraft(facts, { profile: judged, site: null, study: null });
  const { read } = facts.totals;
  const figures: PageFigures = {
    words: facts.words,
    headings: facts.sectionHeadings.filter(({ level }) => level > 1).length,
    images: facts.images.length,
    links: facts.links.length,
    linksOut: facts.links.filter(({ kind }) => kind === 'external').length,
    lists: containers(draft.blocks, 'list'),
    tables: containers(draft.blocks, 'table'),
    ease: isEnglish(facts.language) && read.sentences > 0 ? fleschReadingEase(read) : null,
    score: report.score,
    keywordRate: facts.words === 0 ? 0 : (100 * facts.useCount) / facts.words,
    date: fields.updated || fields.date,
  };

  const sections: Section[] = [
    { heading: '', level: 1, words: 0, begins: 0, headingStems: [], stems: new Map() },
  ];
  const blocks: PageReading['blocks'] = [];
  const stream: number[] = [];
  const blockAt: number[] = [];
  const tokenAt: number[] = [];
  const inHeading: number[] = [];
  let words = 0;
  for (const reading of facts.readings) {
    const { block, tokens, level } = reading;
    if (tokens.length === 0) continue;
    const isTitle = level === 1;
    if (level > 1)
      sections.push({
        heading: reading.heading,
        level,
        words: 0,
        begins: words,
        headingStems: [],
        stems: new Map(),
      });
    const section = sections[sections.length - 1];
    const place = blocks.length;
    blocks.push({ block, tokens, section: sections.length - 1 });
    words += tokens.words;
    if (isTitle) continue;
    if (level === 0) section.words += tokens.words;
    for (let at = 0; at < tokens.length; at++) {
      const id = tokens.ids[at];
      if (at === 0 || tokens.gaps[at] === Gap.Clause || tokens.sentences[at] !== tokens.sentences[at - 1]) {
        stream.push(-1);
        blockAt.push(place);
        tokenAt.push(at);
        inHeading.push(0);
      }
      stream.push(bases.base(id));
      blockAt.push(place);
      tokenAt.push(at);
      inHeading.push(level > 1 ? 1 : 0);
      const stem = bases.stem(id);
      if (stem < 0) continue;
      section.stems.set(stem, (section.stems.get(stem) ?? 0) + 1);
      if (level > 1) section.headingStems.push(stem);
    }
  }
  for (const section of sections) section.begins = words === 0 ? 0 : section.begins / words;
  return {
    page,
    figures,
    sections,
    stream: Int32Array.from(stream),
    blockAt: Int32Array.from(blockAt),
    tokenAt: Int32Array.from(tokenAt),
    inHeading: Uint8Array.from(inHeading),
    blocks,
    statements: statementsOf(
      { ...page, title: fields.title },
      blocks,
      sections,
      facts.wording?.claims ?? null,
    ),
  };
}
