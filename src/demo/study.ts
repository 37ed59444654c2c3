import { defaultProfile } from '../core/criteria/index.ts';
import { documentOfPage } from '../core/formats/index.ts';
import { Vocabulary, WordBases } from '../core/language/index.ts';
import type { Keyword, Question, ResultPage } from '../core/research/index.ts';
import { noChoices, readStudyPage, StudyBook } from '../core/study/index.ts';
import { foundPages, pageRowOf } from '../web/data/study-pages.ts';
import type { StudyPageRow, StudyRow } from '../web/data/study-rows.ts';

/** A study as the database holds it: its row and the content of its pages. */
export interface DemoStudy {
  row: StudyRow;
  pages: StudyPageRow[];
}

/** What the market answers for the query of a study. */
export interface StudyDemand {
  query: string;
  region: string;
  results: readonly ResultPage[];
  questions: readonly Question[];
  /** Related phrases, those searched for most first. */
  phrases: readonly Pick<Keyword, 'phrase' | 'volume'>[];
}

/**
 * A finished study: the pages that are found for a query, those left out that the study itself suggests, and the facts
 * that criteria take from the rest.
 */
export async function demoStudy(
  { query, region, results, questions, phrases }: StudyDemand,
  { id, siteId, postId, made }: { id: string; siteId: string; postId: string; made: string },
): Promise<DemoStudy> {
  const bases = new WordBases(new Vocabulary());
  const pages = await Promise.all(
    results.map(({ html }) => pageRowOf(siteId, { format: 'html', text: html })),
  );
  const asked = questions.map(({ text, place, volume }) => ({ text, place, volume }));
  const wanted = phrases.map(({ phrase, volume }) => ({ phrase, volume }));
  const book = new StudyBook(
    results.map(({ address, publisher, kind, rank, html }) =>
      readStudyPage(
        { address, publisher, kind, rank, document: documentOfPage({ format: 'html', text: html }) },
        query,
        bases,
        defaultProfile,
      ),
    ),
    { query, asked, phrases: wanted },
    bases,
  );
  const left = new Set(book.leaveOut().map(({ address }) => address));
  const choices = noChoices();
  return {
    row: {
      id,
      siteId,
      query,
      region,
      made,
      revision: 1,
      posts: [postId],
      earlier: '',
      pages: foundPages(results, pages, left),
      asked,
      phrases: wanted,
      choices,
      facts: book.facts(book.study(left, choices)),
    },
    pages,
  };
}
