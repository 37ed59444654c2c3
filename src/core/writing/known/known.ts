import type { Statement } from '../../study/index.ts';
import type { VoiceAlong } from '../voice/index.ts';

/** A sentence of somebody else, with the page that says it. */
export interface Quoted {
  text: string;
  /** Publisher of the page, or the title of an own post. */
  who: string;
  address: string;
}

/** A topic of the studied pages with what they say of it. */
export interface KnownTopic {
  name: string;
  /** Pages that have a section on it. */
  pages: number;
  /** Its most central sentences, at most two of a page. */
  said: Quoted[];
}

/** A question that is asked, with what the pages answer. */
export interface KnownQuestion {
  text: string;
  /** Pages that answer it. */
  pages: number;
  said: Quoted[];
}

/** What the pages that answer the query say, as far as it goes along. */
export interface KnownStudy {
  query: string;
  /** Pages taken in. */
  pages: number;
  titles: string[];
  topics: KnownTopic[];
  questions: KnownQuestion[];
  figures: Pick<Statement, 'text' | 'publisher' | 'address' | 'source'>[];
  /** Sentences in which pages tell of a case of their own. */
  cases: Quoted[];
  terms: string[];
  /** What is asked for and none of the pages says. */
  unsaid: string[];
}

/** A section of the draft: the words of its paragraphs and list items. */
export interface KnownSection {
  /** Empty: before the first heading. */
  heading: string;
  level: number;
  paragraphs: string[];
}

/** Where the caret stands. */
export interface KnownPlace {
  /** The heading above; empty: none. */
  heading: string;
  /** What the outline notes for it. */
  note: string;
  before: string;
  after: string;
}

/** What is said of the very thing that a text is asked for: a heading, a question. */
export interface KnownAbout {
  text: string;
  /** Studied pages of which a passage says it. */
  pages: number;
  said: Quoted[];
  /** Sentences of the site's own posts that say it. */
  own: Quoted[];
}

/** A post of the site that speaks of the same, with its sentence that says most of it. */
export interface KnownPost {
  title: string;
  address: string;
  said: string[];
}

/** Everything that texts for a post can stand on. Each part is there only where a request needs it. */
export interface Known {
  house: { name: string; offer: string; language: string; avoid: string };
  voice: VoiceAlong | null;
  brief: {
    title: string;
    keyword: string;
    supporting: string[];
    goal: string;
    audience: string[];
    tone: string;
    style: string;
    language: string;
    nextStep: string;
    points: string[];
    questions: string[];
    notes: string;
    /** Words of the whole post. */
    words: number;
    figures: Pick<Statement, 'text' | 'publisher' | 'address' | 'source'>[];
  };
  outline: { level: number; text: string; note: string }[];
  study: KnownStudy | null;
  about: KnownAbout[];
  draft: KnownSection[];
  around: KnownPlace | null;
  selection: string;
  site: KnownPost[];
  picture: { caption: string; name: string; before: string; after: string } | null;
  /** Topics and questions of the study that the outline lacks, as headings. */
  gaps: string[];
  /** Titles of all posts of the site. */
  titles: string[];
}

/** Nothing is known. */
export const nothingKnown = (): Known => ({
  house: { name: '', offer: '', language: '', avoid: '' },
  voice: null,
  brief: {
    ...{ title: '', keyword: '', goal: '', tone: '', style: '', language: '', nextStep: '', notes: '' },
    ...{ supporting: [], audience: [], points: [], questions: [], figures: [] },
    words: 0,
  },
  outline: [],
  study: null,
  about: [],
  draft: [],
  around: null,
  selection: '',
  site: [],
  picture: null,
  gaps: [],
  titles: [],
});
