import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { readMarkdown, writeHtml } from '../../core/draft/index.ts';
import { PhraseMatcher, Vocabulary } from '../../core/language/index.ts';
import {
  type FoundPage,
  type Keyword,
  type PageText,
  type Question,
  type QuestionPlace,
  type ResultPage,
  relatedPhrases,
  squareness,
} from '../../core/research/index.ts';
import { type Article, type Publisher, pageHtml } from './page-html.ts';
import { PageIndex } from './page-index.ts';
import { monthlyVolumes } from './seasons.ts';

/** A page of the simulated world. */
export interface WorldPage {
  address: string;
  publisher: Publisher;
  description: string;
  text: PageText;
  sections: { heading: string; text: string }[];
  html: string;
}

interface PhraseRow {
  phrase: string;
  gb: string;
  us: string;
  season: string;
}

interface QuestionRow {
  question: string;
  kind: QuestionPlace;
  gb: string;
  us: string;
}

/** Where and from when the world's figures are. */
export const WORLD_SOURCE = { name: 'Simulated market', date: '2026-11-01' };
/** Regions that the world knows. */
export const REGIONS = ['GB', 'US'] as const;
/** Pages kept for a phrase. */
const KEPT = 20;

const rowsOf = <T>(path: string): T[] =>
  Papa.parse<T>(readFileSync(path, 'utf8'), { header: true, skipEmptyLines: true }).data;

function readPages(folder: string): WorldPage[] {
  const publishers: Publisher[] = JSON.parse(readFileSync(join(folder, 'publishers.json'), 'utf8'));
  return publishers.flatMap((publisher) => {
    const place = join(folder, 'pages', publisher.host.replace(/\.example$/, ''));
    const read = readdirSync(place)
      .sort()
      .map((file) => {
        const { problem, fields, draft } = readMarkdown(readFileSync(join(place, file), 'utf8'));
        if (problem) throw new Error(`${publisher.host}/${file}: ${problem}`);
        const article: Article = {
          title: fields.title,
          metaTitle: fields.metaTitle,
          description: fields.metaDescription,
          body: writeHtml(draft),
          date: fields.date,
          updated: fields.updated,
          author: fields.author,
          path: `/${file.replace(/\.md$/, '')}`,
          language: publisher.home === 'US' ? 'en-US' : 'en-GB',
        };
        return { article, draft };
      });
    const articles = read.map(({ article }) => article);
    return read.map(({ article, draft }) => {
      const sections = [{ heading: '', text: '' }];
      const text: PageText & { headings: string[]; blocks: string[] } = {
        title: article.title,
        description: article.description,
        headings: [],
        blocks: [],
      };
      for (const block of draft.blocks) {
        if (block.kind === 'heading') {
          text.headings.push(block.text);
          sections.push({ heading: block.text, text: '' });
        } else {
          text.blocks.push(block.text);
          sections[sections.length - 1].text += `${block.text}\n`;
        }
      }
      return {
        address: `https://${publisher.host}${article.path}`,
        publisher,
        description: article.description,
        text,
        sections: sections.filter(({ heading, text: words }) => heading || words),
        html: pageHtml(publisher, article, articles),
      };
    });
  });
}

/**
 * The simulated world: phrases with their figures, questions, and the pages that are found. What is found for a phrase,
 * and how squarely it answers, is computed from the pages' texts.
 */
export class World {
  readonly pages: WorldPage[];
  private readonly index: PageIndex;
  private readonly byRegion = new Map<string, Keyword[]>();
  private readonly questionRows: QuestionRow[];
  private readonly phraseRows: PhraseRow[];
  private readonly vocabulary = new Vocabulary();

  constructor(folder: string) {
    this.pages = readPages(folder);
    this.index = new PageIndex(this.pages);
    this.phraseRows = rowsOf(join(folder, 'phrases.csv'));
    this.questionRows = rowsOf(join(folder, 'questions.csv'));
  }

  /** Every phrase with its figures in a region; an unknown region has none. */
  keywordsOf(region: string): Keyword[] {
    if (!REGIONS.some((known) => known === region)) return [];
    let keywords = this.byRegion.get(region);
    if (!keywords) {
      keywords = this.readKeywords(region);
      this.byRegion.set(region, keywords);
    }
    return keywords;
  }

  private readKeywords(region: string): Keyword[] {
    const column = region.toLowerCase() as 'gb' | 'us';
    const asked = this.questionRows
      .filter(({ kind }) => kind === 'suggestion')
      .map(({ question, gb, us }) => ({ phrase: question, gb, us, season: 'spring' }));
    const rows = [...this.phraseRows, ...asked].filter((row) => Number(row[column]) > 0);
    const phrases = rows.map(({ phrase }) => oneSpelling(phrase));
    const matcher = new PhraseMatcher(phrases, this.vocabulary, true);
    const measured = new Map<WorldPage, Float64Array>();
    return rows.map(({ phrase, season, ...row }, at) => {
      const volume = Number(row[column]);
      const found = this.index.find(phrase, region, KEPT).map((page): FoundPage => {
        let values = measured.get(page);
        if (!values) {
          values = squareness(inOneSpelling(page.text), phrases, this.vocabulary, matcher);
          measured.set(page, values);
        }
        return { ...listed(page), squareness: Math.round(values[at] * 1000) / 1000 };
      });
      return {
        phrase,
        region,
        volume,
        months: monthlyVolumes(phrase, region, volume, season),
        givenDifficulty: null,
        found,
        setIntent: null,
        source: WORLD_SOURCE,
      };
    });
  }

  /** Phrases related to seeds in a region. */
  related(seeds: readonly string[], region: string): Keyword[] {
    const pool = this.keywordsOf(region);
    return relatedPhrases(seeds, pool).map(({ index }) => pool[index]);
  }

  /** Questions related to seeds in a region. */
  questions(seeds: readonly string[], region: string): Question[] {
    const column = region.toLowerCase() as 'gb' | 'us';
    const pool = this.questionRows.filter((row) => row.kind === 'forum' || Number(row[column]) > 0);
    return relatedPhrases(
      seeds,
      pool.map(({ question }) => ({ phrase: question, found: null })),
    ).map(({ index }) => ({
      text: pool[index].question,
      place: pool[index].kind,
      volume: pool[index].kind === 'forum' ? null : Number(pool[index][column]),
    }));
  }

  /** The pages that answer a query, with their documents. */
  results(query: string, region: string, limit: number): ResultPage[] {
    return this.index.find(query, region, limit).map((page, at) => ({
      ...listed(page),
      rank: at + 1,
      description: page.description,
      html: page.html,
    }));
  }
}

/** Those who search do not mind on which side of an ocean a page was written. */
const oneSpelling = (text: string) => text.replace(/\b([Tt])ire(s?)\b/g, '$1yre$2');

const inOneSpelling = ({ title, description, headings, blocks }: PageText): PageText => ({
  title: oneSpelling(title),
  description: oneSpelling(description),
  headings: headings.map(oneSpelling),
  blocks: blocks.map(oneSpelling),
});

const listed = ({ address, text, publisher }: WorldPage) => ({
  address,
  title: text.title,
  publisher: publisher.name,
  kind: publisher.kind,
  standing: publisher.standing,
});
