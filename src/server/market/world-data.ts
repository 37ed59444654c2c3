import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { readMarkdown, writeHtml } from '../../core/draft/index.ts';
import { matchingOf, PhraseMatcher, Vocabulary } from '../../core/language/index.ts';
import {
  type FoundPage,
  type Keyword,
  type PackedKeywords,
  type PageText,
  packKeywords,
  type QuestionPlace,
  squareness,
} from '../../core/research/index.ts';
import { type Article, type Publisher, pageHtml } from './page-html.ts';
import { PageIndex } from './page-index.ts';
import { monthlyVolumes } from './seasons.ts';
import { listedPage, type WorldPage } from './world-page.ts';

/** Searches a month for a question by region; forums count none. */
export interface WorldQuestion {
  text: string;
  place: QuestionPlace;
  volumes: Record<string, number | null>;
}

/** Everything that the stand-in for the outside world knows; written once by the build, as working it out takes seconds. */
export interface WorldData {
  pages: WorldPage[];
  /** By region. */
  keywords: Record<string, PackedKeywords>;
  questions: WorldQuestion[];
}

interface QuestionRow {
  question: string;
  kind: QuestionPlace;
  gb: string;
  us: string;
}

/** Where and from when the world's figures are. */
const SOURCE = { name: 'Simulated market', date: '2026-11-01' };
/** Regions that the world knows. */
const REGIONS = ['GB', 'US'] as const;
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
      const [headings, blocks]: [string[], string[]] = [[], []];
      for (const block of draft.blocks) {
        if (block.kind === 'heading') {
          headings.push(block.text);
          sections.push({ heading: block.text, text: '' });
        } else {
          blocks.push(block.text);
          sections[sections.length - 1].text += `${block.text}\n`;
        }
      }
      const { title, description } = article;
      return {
        address: `https://${publisher.host}${article.path}`,
        title,
        publisher: publisher.name,
        kind: publisher.kind,
        standing: publisher.standing,
        home: publisher.home,
        description,
        text: { title, description, headings, blocks },
        sections: sections.filter(({ heading, text }) => heading || text),
        html: pageHtml(publisher, article, articles),
      };
    });
  });
}

/** Those who search do not mind on which side of an ocean a page was written. */
const oneSpelling = (text: string) => text.replace(/\b([Tt])ire(s?)\b/g, '$1yre$2');

const inOneSpelling = ({ title, description, headings, blocks }: PageText): PageText => ({
  title: oneSpelling(title),
  description: oneSpelling(description),
  headings: headings.map(oneSpelling),
  blocks: blocks.map(oneSpelling),
});

interface Figures {
  phrase: string;
  season: string;
  gb: string;
  us: string;
}

/** Every phrase of the world; questions that are suggested while typing are phrases too. */
function readPhrases(folder: string): Figures[] {
  const asked = rowsOf<QuestionRow>(join(folder, 'questions.csv')).filter(
    ({ kind }) => kind === 'suggestion',
  );
  return [
    ...rowsOf<Figures>(join(folder, 'phrases.csv')),
    ...asked.map(({ question, gb, us }) => ({ phrase: question, gb, us, season: 'spring' })),
  ];
}

/** How squarely every page answers every phrase, in the order of the phrases. */
function measure(pages: readonly WorldPage[], phrases: readonly string[]): Map<string, Float64Array> {
  const vocabulary = new Vocabulary();
  const matcher = new PhraseMatcher(phrases, vocabulary, matchingOf('en'));
  return new Map(
    pages.map(({ address, text }) => [
      address,
      squareness(inOneSpelling(text), phrases, vocabulary, matcher),
    ]),
  );
}

/** Reads the world's files and works out everything that follows from them. A file that cannot be read stops it. */
export function buildWorld(folder: string): WorldData {
  const pages = readPages(folder);
  const index = new PageIndex(pages);
  const phrases = readPhrases(folder);
  const measured = measure(
    pages,
    phrases.map(({ phrase }) => oneSpelling(phrase)),
  );
  const keywordsOf = (region: (typeof REGIONS)[number]) =>
    phrases.flatMap(({ phrase, season, ...row }, at): Keyword[] => {
      const volume = Number(row[region === 'GB' ? 'gb' : 'us']);
      if (volume === 0) return [];
      const found = index.find(phrase, region, KEPT).map(
        (page): FoundPage => ({
          ...listedPage(page),
          squareness: Math.round((measured.get(page.address)?.[at] ?? 0) * 1000) / 1000,
        }),
      );
      const months = monthlyVolumes(phrase, region, volume, season);
      return [
        { phrase, region, volume, months, givenDifficulty: null, found, setIntent: null, source: SOURCE },
      ];
    });
  return {
    pages,
    keywords: Object.fromEntries(REGIONS.map((region) => [region, packKeywords(keywordsOf(region))])),
    questions: rowsOf<QuestionRow>(join(folder, 'questions.csv')).map(({ question, kind, gb, us }) => ({
      text: question,
      place: kind,
      volumes: kind === 'forum' ? { GB: null, US: null } : { GB: Number(gb), US: Number(us) },
    })),
  };
}
