import type { StudyFacts } from '../../core/criteria/index.ts';
import type { Asked, TermChoices, WantedPhrase } from '../../core/study/index.ts';
import type {
  Along,
  BriefChoices,
  FieldValue,
  Finish,
  Into,
  Message,
  ReadAs,
  TextWay,
} from '../../core/writing/index.ts';

/** A page of a study: what is known of it beside its content. */
export interface StudyPageRef {
  /** Under which its content lies; empty: it has none. */
  key: string;
  address: string;
  publisher: string;
  /** What kind of publisher; empty: not known. */
  kind: string;
  rank: number;
  title: string;
  /** The writer left it out. */
  left: boolean;
  /** Why it could not be read, in words; empty: it was. */
  problem: string;
  /** UTC instant at which it was read at its address; not there: it was brought in another way. */
  read?: string;
}

/** A study of the pages that answer a query. Posts may share one; what it says is computed from its pages. */
export interface StudyRow {
  id: string;
  siteId: string;
  query: string;
  region: string;
  /** UTC instant at which its pages were found. */
  made: string;
  /** Counts changes. */
  revision: number;
  /** Posts that go by it. */
  posts: string[];
  /** The study that it was run again from; empty: none. */
  earlier: string;
  pages: StudyPageRef[];
  asked: Asked[];
  phrases: WantedPhrase[];
  choices: TermChoices;
  /** What the criteria take from it: kept so that lists of posts can be scored without reading pages; null: not computed yet. */
  facts: StudyFacts | null;
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
}

/** The content of a studied page, stored once however many studies name it. */
export interface StudyPageRow {
  siteId: string;
  /** SHA-256 of the content. */
  key: string;
  format: 'html' | 'markdown' | 'text';
  /** Deflated, in base 64. */
  packed: string;
}

/** What is decided about the brief of a post. */
export interface BriefRow extends BriefChoices {
  postId: string;
  siteId: string;
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
}

/** What a generation was made by: texts that came back for a brief, proposed outlines, texts that were asked for by a pattern. */
export type Recipe = 'brief' | 'outline' | 'pattern';

/** What a text was asked for by a pattern, and what became of it. */
export interface GenerationAsked {
  /** Id of the pattern, and its name then. */
  pattern: string;
  patternName: string;
  values: FieldValue[];
  along: Along[];
  messages: Message[];
  service: TextWay['kind'];
  /** Empty: made without one. */
  model: string;
  /** `running`: it is coming, or its page ended before it did. */
  finish: Finish | 'running';
  problem: string;
  note: string;
  /** Milliseconds from the request to the end. */
  ms: number;
  into: Into;
  readAs: ReadAs;
  taken: 'no' | 'part' | 'whole';
  /** Texts that were asked for at one place have one group: alternatives, and parts of a long text. */
  group: string;
  /** Blocks of the draft that it went into. */
  blocks?: string[];
}

/** A text that was made or came back, with what it was made from: kept until its post is gone. */
export interface GenerationRow {
  id: string;
  siteId: string;
  postId: string;
  /** UTC instant. */
  at: string;
  recipe: Recipe;
  title: string;
  /** What it was made from, in words. */
  input: string;
  /** Markdown. */
  output: string;
  /** Of a text that was asked for by a pattern. */
  asked?: GenerationAsked;
  /** Blocks of it that the writer said to have read. */
  read?: string[];
}
