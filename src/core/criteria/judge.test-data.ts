import { emptyFields, type PostFields, readHtml, readMarkdown } from '../draft/index.ts';
import { Vocabulary, WordBases } from '../language/index.ts';
import { emptyScene, type Scene, scorePost } from '../scoring/index.ts';
import { indexedPost, SiteIndex, type SiteSettings, unknownSite } from '../site/index.ts';
import { CRITERIA, type CriterionId } from './criteria-list.ts';
import { type DraftFacts, DraftReadings, type PictureSize } from './draft-facts.ts';
import { applyEdits } from './edits.ts';
import { fixesFor } from './score.ts';
import type { StudyFacts, StudyTerm } from './surroundings.ts';

/** A post for a test table, and what lies around it. */
export interface Case extends Partial<PostFields> {
  md?: string;
  html?: string;
  site?: Partial<SiteSettings>;
  /** Other posts of the site; given: the post belongs to a site. */
  others?: Partial<PostFields>[];
  pictures?: Record<string, Partial<PictureSize>>;
  /** What was studied for the post. */
  study?: Partial<StudyFacts>;
  /** The year in which it is read. */
  year?: number;
}

/** Sixty words of plain prose, for criteria that wait until there is something to judge. */
export const PROSE =
  'We set out from the quay before the wind got up. The road runs along the dyke for an hour, and the gulls keep you company. Bring a warm layer, some bread and a pump. At the lock you can fill your bottle. From there the path turns inland, past the mill, and comes back to the water at dusk. Nobody hurries here at all.';

/** A text with the words of each sentence in disorder. */
export const disorder = (text: string) =>
  text
    .split(/(?<=[.!?])\s+/)
    .map((sentence) => {
      const list = sentence.replace(/[.!?,;]/g, '').split(/\s+/);
      return `${list
        .filter((_, at) => at % 3 === 2)
        .concat(
          list.filter((_, at) => at % 3 === 1),
          list.filter((_, at) => at % 3 === 0),
        )
        .join(' ')}.`;
    })
    .join(' ');

const words = (n: number) =>
  Array.from(
    { length: n },
    (_, at) =>
      ['Gulls', 'ride', 'over', 'the', 'dyke', 'today', 'and', 'rest'][at % 8] + (at % 8 === 7 ? '.' : ''),
  ).join(' ');

export { words };

const NO_FACTS: StudyFacts = { keywordRateUpper: 0, words: null, score: null, terms: [], topics: [] };

/** A term that pages use once or twice in 1,000 words. */
export const studyTerm = (form: string, group: StudyTerm['group'] = 'staple'): StudyTerm => ({
  key: new WordBases(new Vocabulary()).keyOf(form),
  form,
  group,
  heading: false,
  share: group === 'staple' ? 0.7 : 0.3,
  lower: 1,
  upper: 2,
});

function sceneOf({ site, others, pictures, study, year }: Case): Scene {
  const settings = { ...unknownSite(), ...site };
  const posts = (others ?? []).map((fields, at) =>
    indexedPost(`other${at}`, { fields: { ...emptyFields(), ...fields } }),
  );
  const sizes = Object.entries(pictures ?? {}).map(
    ([src, size]) => [src, { bytes: 1000, width: null, ...size }] as const,
  );
  return {
    ...emptyScene(),
    site: settings,
    index: others ? new SiteIndex(settings, posts) : null,
    pictures: new Map(sizes),
    year: year ?? null,
    studies: new Map(study ? [['own', { ...NO_FACTS, ...study }]] : []),
  };
}

/** The document of a case. */
function documentOf(given: Case): Document {
  const {
    md,
    html,
    site: _site,
    others: _others,
    pictures: _pictures,
    study: _study,
    year: _year,
    ...fields
  } = given;
  const read = html !== undefined ? readHtml(html) : readMarkdown(md ?? '');
  return { fields: { ...read.fields, ...fields }, draft: read.draft };
}

type Document = Parameters<typeof scorePost>[0];

/** Everything that is read off a case. */
export const factsOf = (given: Case): DraftFacts =>
  scorePost(documentOf(given), indexedPost('own', documentOf(given)), sceneOf(given), new DraftReadings())
    .facts;

/** Judges one case by one criterion: its share (null where it does not apply) and the rest of its line. */
export const judge = (id: CriterionId, given: Case) => lineOf(id, documentOf(given), sceneOf(given));

function lineOf(id: CriterionId, document: Document, scene: Scene) {
  const { facts, context, report } = scorePost(
    document,
    indexedPost('own', document),
    scene,
    new DraftReadings(),
  );
  const line = report.criteria.find((criterion) => criterion.id === id)!;
  const fixes = line.advice === null ? [] : fixesFor(id, facts, context);
  const mended = (at = 0) => lineOf(id, applyEdits(document, fixes[at].edits), scene);
  const quotes = line.evidence.map((place) => place.quote);
  return {
    ...line,
    share: line.applies
      ? Math.min(1, Math.max(0, CRITERIA.find((one) => one.id === id)!.measure(facts, context).share))
      : null,
    quotes,
    fixes: fixes.map((fix) => fix.label),
    mended,
    total: report.score,
  };
}

/** The share alone, rounded for tables. */
export function share(id: CriterionId, given: Case): number | null {
  const { share: found } = judge(id, given);
  return found === null ? null : Math.round(found * 1000) / 1000;
}

/** All criteria ids, for tests over the whole list. */
export const ALL_IDS = CRITERIA.map((criterion) => criterion.id);
