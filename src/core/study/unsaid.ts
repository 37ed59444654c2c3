import type { WordBases } from '../language/index.ts';
import { SAYS, saying, stemsSaid, type Want, wantOf } from '../meaning/index.ts';
import { aboutness, isOfQuery, type SubjectWords } from './aboutness.ts';
import type { Passages } from './passages.ts';
import type { StudyQuestion } from './questions.ts';
import type { PageReading } from './study-page.ts';
import type { Topic } from './topics.ts';

/** Something that is asked for and that few or none of the pages say. */
export interface Unsaid {
  text: string;
  kind: 'question' | 'phrase' | 'topic';
  /** Searches a month; null: not known. */
  volume: number | null;
  /** How the demand is known, in words. */
  demand: string;
  /** Addresses of the few pages that say it. */
  pages: string[];
}

/** A phrase that people search for around the query. */
export interface WantedPhrase {
  phrase: string;
  volume: number | null;
}

/** Few: so many of the pages, one at least. */
const FEW = 0.1;
const PLACES = {
  suggestion: 'suggested while typing',
  related: 'asked on result pages',
  forum: 'asked in forums',
  own: 'on your own list',
};

/** What texts ask for, kept as long as the pages of a study: it is the same whatever is left out. */
const known = new WeakMap<Passages, Map<string, Want>>();

function wantsOf(passages: Passages): Map<string, Want> {
  let wants = known.get(passages);
  if (!wants) {
    wants = new Map();
    known.set(passages, wants);
  }
  return wants;
}

/**
 * Questions asked elsewhere, phrases searched for, and topics behind such phrases, that at most a tenth of the pages (one
 * at least) say anything about; most searched first. What a topic of the pages says is said; a phrase that only says the
 * query in other words is nobody's gap.
 */
export function unsaidOf(
  readings: readonly PageReading[],
  taken: readonly number[],
  {
    questions,
    topics,
    phrases,
    query,
    passages,
    about,
  }: {
    questions: readonly StudyQuestion[];
    topics: readonly Topic[];
    phrases: readonly WantedPhrase[];
    query: string;
    passages: Passages;
    about: SubjectWords;
  },
  bases: WordBases,
): Unsaid[] {
  const few = Math.max(1, Math.floor(taken.length * FEW));
  const subject = new Set(bases.stemsOf(query).map((stem) => bases.stemText(stem)));
  const common = topics
    .filter(({ pages }) => pages.length > few)
    .map(
      ({ name, stems }) =>
        new Set([
          ...bases.stemsOf(name).map((stem) => bases.stemText(stem)),
          ...stems.slice(0, 6).map(([stem]) => stem),
        ]),
    );
  const wants = wantsOf(passages);
  const wanted = (text: string): Want => {
    let want = wants.get(text);
    if (!want) {
      want = wantOf(text, subject, bases);
      wants.set(text, want);
    }
    return want;
  };
  const inTopic = (text: string) => {
    const want = wanted(text);
    return common.some((stems) => saying(want, (stem) => stems.has(stem)) >= SAYS);
  };
  const out: Unsaid[] = [];
  for (const { text, volume, wordings, pages, toThePoint } of questions) {
    if (!toThePoint) continue;
    const places = [...new Set(wordings.flatMap(({ place }) => (place === 'page' ? [] : [PLACES[place]])))];
    if (places.length === 0 || pages.length > few || wanted(text).bare || inTopic(text)) continue;
    out.push({ text, kind: 'question', volume, demand: places.join(', '), pages });
  }
  const asked = new Set(out.map(({ text }) => text.toLowerCase().replace(/\W+/g, ' ').trim()));
  for (const { phrase, volume } of phrases) {
    const want = wanted(phrase);
    if (want.bare || asked.has(phrase.toLowerCase())) continue;
    // What people search for beside it belongs to another post.
    const stems = new Set(stemsSaid(phrase, bases));
    if (!isOfQuery(stems, about) || aboutness(want, stems, about) === 0) continue;
    const topic = topics.find(
      ({ stems: own, pages }) =>
        pages.length <= few && want.parts.every(({ stem }) => own.some(([text]) => text === stem)),
    );
    const says = passages.saying(want, readings.length);
    const pages = taken.filter((page) => says[page]).map((page) => readings[page].page.address);
    if (topic && !out.some(({ text }) => text === topic.name))
      out.push({
        text: topic.name,
        kind: 'topic',
        volume,
        demand: `people search for "${phrase}"`,
        pages: topic.pages,
      });
    else if (pages.length <= few && !inTopic(phrase))
      out.push({ text: phrase, kind: 'phrase', volume, demand: 'searched for', pages });
  }
  return out.sort(
    (a, b) =>
      (b.volume ?? -1) - (a.volume ?? -1) || a.pages.length - b.pages.length || (a.text < b.text ? -1 : 1),
  );
}
