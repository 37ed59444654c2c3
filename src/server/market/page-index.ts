import MiniSearch from 'minisearch';
import { plainWords } from '../../core/language/index.ts';
import { phraseStems, researchStem } from '../../core/research/index.ts';
import type { WorldPage } from './world-page.ts';

/** Sections of pages are what is indexed: a query is answered where all of its words stand together. */
interface Section {
  id: number;
  page: number;
  title: string;
  heading: string;
  text: string;
}

/** Of the best page's relevance so much at least: what mentions the words in passing is not found. */
const LEAST = 0.1;
/** Of what a query asks for, weighed by how rare its words are, a section holds so much at least. */
const COVERED = 0.62;
/** How much more pages from the searcher's own region count. */
const ABROAD = 0.8;

/** Words by which people mean the same here, by their stems. */
const SAME: ReadonlyMap<string, string> = new Map(
  Object.entries({
    punctur: 'flat',
    mend: 'fix',
    repair: 'fix',
    coastal: 'coast',
    children: 'child',
    kid: 'child',
    famili: 'child',
    servic: 'maintain',
    mainten: 'maintain',
    check: 'maintain',
    checklist: 'list',
    bag: 'pannier',
    trip: 'tour',
    holiday: 'tour',
    cyclist: 'bike',
    wheel: 'bike',
    cheap: 'price',
    cost: 'price',
  }),
);

const termOf = (word: string): string => {
  const stem = researchStem(word.toLowerCase());
  return SAME.get(stem) ?? stem;
};

/** A full-text index over the sections of all pages. */
export class PageIndex {
  private readonly search: MiniSearch<Section>;
  private readonly sections: Section[] = [];
  /** In how many pages each term stands. */
  private readonly spread = new Map<string, number>();

  constructor(private readonly pages: readonly WorldPage[]) {
    this.search = new MiniSearch<Section>({
      fields: ['title', 'heading', 'text'],
      processTerm: termOf,
      searchOptions: { boost: { title: 3, heading: 2 } },
    });
    pages.forEach((page, at) => {
      const terms = new Set<string>();
      for (const { heading, text } of page.sections) {
        this.sections.push({
          id: this.sections.length,
          page: at,
          title: `${page.title} ${page.publisher}`,
          heading,
          text,
        });
        for (const word of plainWords(`${page.title} ${page.publisher} ${heading} ${text}`))
          terms.add(termOf(word));
      }
      for (const term of terms) this.spread.set(term, (this.spread.get(term) ?? 0) + 1);
    });
    this.search.addAll(this.sections);
  }

  /** How much a word tells: rare ones more. */
  private weightOf(term: string): number {
    return Math.log(1 + this.pages.length / (1 + (this.spread.get(term) ?? 0)));
  }

  /**
   * Pages that answer a query, best first: the relevance of the best section, a half of the second and a quarter of the
   * third, times the publisher's standing (half of it is given to everybody), times 0.8 from another region. A section
   * counts by the square of the share of the query that it covers, and not at all below 0.62.
   */
  find(query: string, region: string, limit: number): WorldPage[] {
    const terms = [...new Set(phraseStems(query).map((stem) => SAME.get(stem) ?? stem))];
    const all = terms.reduce((sum, term) => sum + this.weightOf(term), 0);
    if (terms.length === 0) return [];
    const byPage = new Map<number, number[]>();
    // The terms are stems already; stems of stems would be others.
    for (const hit of this.search.search(terms.join(' '), { processTerm: (term) => term })) {
      const { page } = this.sections[hit.id as number];
      const covered = hit.queryTerms.reduce((sum, term) => sum + this.weightOf(term), 0) / all;
      if (covered >= COVERED) byPage.set(page, [...(byPage.get(page) ?? []), hit.score * covered * covered]);
    }
    const relevance = [...byPage].map(([page, scores]) => ({
      page: this.pages[page],
      score: scores
        .sort((a, b) => b - a)
        .slice(0, 3)
        .reduce((sum, score, at) => sum + score / 2 ** at, 0),
    }));
    const best = Math.max(0, ...relevance.map(({ score }) => score));
    return relevance
      .filter(({ score }) => score >= best * LEAST)
      .map(({ page, score }) => ({
        page,
        score: score * (0.5 + page.standing / 200) * (page.home === region ? 1 : ABROAD),
      }))
      .sort((a, b) => b.score - a.score || (a.page.address < b.page.address ? -1 : 1))
      .slice(0, limit)
      .map(({ page }) => page);
  }
}
