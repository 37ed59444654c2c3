import type { StudyFacts } from '../criteria/index.ts';
import { spelledLike, type WordBases } from '../language/index.ts';
import type { SubjectWords } from './aboutness.ts';
import { type Band, bandOf } from './bands.ts';
import { GramTable } from './gram-table.ts';
import { type LeaveOut, leaveOutOf } from './off-topic.ts';
import { Passages } from './passages.ts';
import { type Asked, type StudyQuestion, StudyQuestions } from './questions.ts';
import { queryTells, type Relevance, relevances, subjectOf } from './relevance.ts';
import { SectionLikeness } from './section-likeness.ts';
import { withoutSharedBlocks } from './shared-blocks.ts';
import { type Statement, worthCiting } from './statements.ts';
import type { PageFigures, PageReading } from './study-page.ts';
import { noChoices, type Term, type TermChoices, termsOf } from './terms.ts';
import { type Topic, topicsOf } from './topics.ts';
import { type Unsaid, unsaidOf, type WantedPhrase } from './unsaid.ts';

/** Figures of which a study tells the bands. */
export const BAND_FIGURES = ['words', 'headings', 'images', 'links', 'ease', 'score'] as const;
export type BandFigure = (typeof BAND_FIGURES)[number];

/** What the pages taken in share. */
export interface Study {
  /** By the rules of which language its words were counted: `en`, or a language of which rules are known. */
  language: string;
  /** Addresses of the pages taken in, in their order. */
  taken: string[];
  bands: Record<BandFigure, Band | null>;
  /** Mean score of the first ten; null without pages. */
  topTen: number | null;
  terms: Term[];
  topics: Topic[];
  questions: StudyQuestion[];
  statements: Statement[];
  unsaid: Unsaid[];
}

/** What lies beside the pages of a study. */
export interface StudyAround {
  query: string;
  asked: readonly Asked[];
  phrases: readonly WantedPhrase[];
}

/** The pages of a study, counted once; what they share is worked out for any choice of them. */
export class StudyBook {
  readonly table: GramTable;
  /** How near each page is to the subject, in their order. */
  readonly relevances: readonly Relevance[];
  private readonly likeness: SectionLikeness;
  private readonly passages: Passages;
  /** What tells that a text belongs to the subject. */
  private readonly about: SubjectWords;
  private readonly questions: StudyQuestions;

  constructor(
    readonly readings: readonly PageReading[],
    readonly around: StudyAround,
    readonly bases: WordBases,
  ) {
    const own = withoutSharedBlocks(readings, bases);
    this.relevances = relevances(own, around.query, bases);
    this.table = new GramTable(own, bases);
    this.likeness = new SectionLikeness(own, bases, around.query);
    this.about = {
      tells: queryTells(own, around.query, bases),
      words: subjectOf(own, this.relevances, bases),
    };
    this.passages = new Passages(own, bases);
    this.questions = new StudyQuestions(
      own,
      around.asked,
      { query: around.query, passages: this.passages, subject: this.about },
      bases,
    );
  }

  /** Pages that may be no help, with the reason of each. */
  leaveOut(): LeaveOut[] {
    return leaveOutOf(this.table.readings, this.relevances, this.around.query, this.bases);
  }

  /** What the pages share that are not left out (by their address). */
  study(left: ReadonlySet<string>, choices: TermChoices = noChoices()): Study {
    const taken = this.readings.flatMap(({ page }, at) => (left.has(page.address) ? [] : [at]));
    const figures = taken.map((page) => this.readings[page].figures);
    const near = this.relevances.map(({ value }) => value);
    const topics = topicsOf(this.likeness, taken, { subject: this.about.words, near });
    const questions = this.questions.of(taken);
    const { query, phrases } = this.around;
    const scores = figures.slice(0, 10).map(({ score }) => score);
    return {
      language: this.bases.code,
      taken: taken.map((page) => this.readings[page].page.address),
      bands: bandsOf(
        figures,
        taken.map((page) => near[page]),
      ),
      topTen: scores.length ? scores.reduce((sum, score) => sum + score, 0) / scores.length : null,
      terms: termsOf(this.table, taken, { query, near }, choices).map((term) => ({
        ...term,
        form: term.chosen ? term.form : spelledLike(term.form, query),
      })),
      topics,
      questions,
      statements: worthCiting(taken.flatMap((page) => this.readings[page].statements)),
      unsaid: unsaidOf(
        this.readings,
        taken,
        { questions, topics, phrases, query, passages: this.passages, about: this.about },
        this.bases,
      ),
    };
  }

  /** Uses of the query in 100 words on the pages taken in. */
  keywordRates(study: Study): Band | null {
    const taken = new Set(study.taken);
    const pages = this.readings.flatMap(({ page }, at) => (taken.has(page.address) ? [at] : []));
    return bandOf(
      pages.map((page) => this.readings[page].figures.keywordRate),
      pages.map((page) => this.relevances[page].value),
    );
  }

  /** The forms in which the pages write a term (by its key), that of the study first. */
  formsOf(key: string, form: string): string[] {
    const gram = this.table.gram(key);
    const forms = gram === undefined ? [] : this.readings.map((_, page) => this.table.formOn(gram, page));
    return [...new Set([form, ...forms.filter(Boolean)])];
  }

  /** What the criteria take from a study. */
  facts(study: Study): StudyFacts {
    return {
      keywordRateUpper: this.keywordRates(study)?.upper ?? 0,
      words: study.bands.words,
      score: study.bands.score && { ...study.bands.score, topTen: study.topTen ?? 0 },
      terms: study.terms.map(({ key, form, group, heading, share, band }) => ({
        key,
        form,
        group,
        heading,
        share,
        lower: band?.lower ?? 0,
        upper: band?.upper ?? 0,
      })),
      topics: study.topics.map(({ name, share, stems }) => ({ name, share, stems })),
    };
  }
}

/** The bands of all figures; pages count by how near they are to the subject. */
const bandsOf = (figures: readonly PageFigures[], near: readonly number[]): Study['bands'] =>
  Object.fromEntries(
    BAND_FIGURES.map((name) => {
      const known = figures.flatMap((page, at) => (page[name] === null ? [] : [at]));
      return [
        name,
        bandOf(
          known.map((at) => figures[at][name] ?? 0),
          known.map((at) => near[at]),
        ),
      ];
    }),
  ) as Study['bands'];
