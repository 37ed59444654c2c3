import {
  type Keyword,
  type Question,
  type ResultPage,
  relatedPhrases,
  unpackKeywords,
} from '../../core/research/index.ts';
import { PageIndex } from './page-index.ts';
import type { WorldData } from './world-data.ts';
import { listedPage } from './world-page.ts';

/** The simulated world as it answers: phrases, questions, and pages for a query. */
export class World {
  private readonly byRegion = new Map<string, Keyword[]>();
  private pageIndex: PageIndex | null = null;

  constructor(private readonly data: WorldData) {}

  /** Regions that are known, e.g. `GB`. */
  get regions(): string[] {
    return Object.keys(this.data.keywords);
  }

  /** Every phrase with its figures in a region; an unknown region has none. */
  keywords(region: string): Keyword[] {
    const packed = Object.hasOwn(this.data.keywords, region) ? this.data.keywords[region] : undefined;
    if (!packed) return [];
    let keywords = this.byRegion.get(region);
    if (!keywords) {
      keywords = unpackKeywords(packed);
      this.byRegion.set(region, keywords);
    }
    return keywords;
  }

  /** Phrases related to seeds in a region; empty where nothing is known. */
  related(seeds: readonly string[], region: string): Keyword[] {
    const pool = this.keywords(region);
    return relatedPhrases(seeds, pool).map(({ index }) => pool[index]);
  }

  /** Questions related to seeds in a region. */
  questions(seeds: readonly string[], region: string): Question[] {
    const volumeOf = (volumes: Record<string, number | null>) =>
      Object.hasOwn(volumes, region) ? volumes[region] : null;
    const pool = this.data.questions.filter(
      ({ place, volumes }) => place === 'forum' || (volumeOf(volumes) ?? 0) > 0,
    );
    return relatedPhrases(
      seeds,
      pool.map(({ text }) => ({ phrase: text, found: null })),
    ).map(({ index }) => ({
      text: pool[index].text,
      place: pool[index].place,
      volume: volumeOf(pool[index].volumes),
    }));
  }

  /** The pages that answer a query, best first, with their documents. */
  results(query: string, region: string, limit: number): ResultPage[] {
    this.pageIndex ??= new PageIndex(this.data.pages);
    return this.pageIndex.find(query, region, limit).map((page, at) => ({
      ...listedPage(page),
      rank: at + 1,
      description: page.description,
      html: page.html,
    }));
  }
}
