/**
 * Study: what the pages that answer a query share.
 *
 * `study-page` reads and scores one page, once, by the `page-criteria`; `gram-table` counts words and phrases over the
 * pages, `section-likeness` compares their sections. For the pages taken in, `terms` are the words that make the subject,
 * `topics` the sections that several pages have, `questions` what is asked and who answers, `statements` what can be
 * cited, `unsaid` what is asked for and nobody says, `bands` where the pages stand with a figure; `study` holds all of
 * it. `relevance` tells how near each page is to the subject (`shared-blocks` takes off what several say in the same words):
 * all shares go by it, and `off-topic` suggests what to leave out; `nameable` is what may be a term, `topic-name` how a topic is called, `passages` who says a thing,
 * `aboutness` whether a question belongs here, `question-list` a list that the writer brought; `term-examples` shows a term in use, `compare-studies` and
 * `page-change` tell what changed. `study-language` is by which language's rules its words are counted.
 */
export { type Band, bandOf } from './bands.ts';
export { compareStudies, type StudyChange } from './compare-studies.ts';
export { bareHeading } from './heading-words.ts';
export type { LeaveOut } from './off-topic.ts';
export { type PageChange, pageChange } from './page-change.ts';
export { PAGE_CRITERIA, scoreAsPage } from './page-criteria.ts';
export { readQuestionList } from './question-list.ts';
export type { Asked, AskedPlace, StudyQuestion } from './questions.ts';
export type { Statement } from './statements.ts';
export { BAND_FIGURES, type BandFigure, type Study, type StudyAround, StudyBook } from './study.ts';
export { studyLanguage } from './study-language.ts';
export {
  type PageFigures,
  type PageReading,
  readStudyPage,
  type Section,
  type StudyPage,
} from './study-page.ts';
export { type TermExample, termExamples } from './term-examples.ts';
export { noChoices, type Term, type TermChoices, type TermGroup } from './terms.ts';
export type { Topic, TopicSection } from './topics.ts';
export type { Unsaid, WantedPhrase } from './unsaid.ts';
