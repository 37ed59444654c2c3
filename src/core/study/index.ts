/**
 * Study: what the pages that answer a query share.
 *
 * `study-page` counts one page, once; `terms` are the words and phrases that make the subject, `topics` the sections that
 * several pages have; `bands` tell where the pages stand with a figure.
 */
export { type Band, bandOf } from './bands.ts';
export { type PageReading, readStudyPage, type Section, type StudyPage, WordBases } from './study-page.ts';
export { type Term, type TermGroup, termsOf } from './terms.ts';
export { bareHeading, SectionLikeness, type Topic, topicsOf } from './topics.ts';
