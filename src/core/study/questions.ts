import { stem, type WordBases } from '../language/index.ts';
import type { PageReading } from './study-page.ts';

/** Where a question was met. `page`: a heading of a studied page. */
export type AskedPlace = 'suggestion' | 'related' | 'forum' | 'page';

/** A question as somebody asks it. */
export interface Asked {
  text: string;
  place: AskedPlace;
  /** Searches a month; null: not known. */
  volume: number | null;
  /** Address of the page whose heading it is. */
  address?: string;
}

/** Questions that ask the same. */
export interface StudyQuestion {
  /** The wording that is searched for most, else the one met first. */
  text: string;
  /** Sum over its wordings; null: not known of any. */
  volume: number | null;
  wordings: Asked[];
  /** Addresses of the pages of which a section holds its words. */
  pages: string[];
  /** Share of the pages taken in that answer it, 0-1. */
  share: number;
}

/** Two questions of one kind ask the same when so much of their stems is shared. */
const SAME = 0.66;
const OPENING =
  /^(how (?:much|many|long|far|often|old|big|heavy|fast|hard)|how|what|which|why|when|where|who|can|could|do|does|did|is|are|should|will|may|must)\b/i;

/** What is asked for: an amount, a way, a thing, a reason, a yes. */
function kindOf(text: string): string {
  const opening = OPENING.exec(text.trim())?.[1]?.toLowerCase() ?? '';
  if (opening === 'which') return 'what';
  if (opening === 'how much' || opening === 'how many') return 'how much';
  if (/^(?:can|could|do|does|did|is|are|should|will|may|must)$/.test(opening)) return 'whether';
  return opening;
}

/** Words that carry the question, not its subject. */
const ASKING = new Set(
  'need should much many long far often good best way mean happen make get use take'.split(' ').map(stem),
);

/** Stems of a question that say what it is about. */
export function questionStems(text: string, bases: WordBases): number[] {
  const all = [...new Set(bases.stemsOf(text))];
  const own = all.filter((each) => !ASKING.has(bases.stemText(each)));
  return own.length > 0 ? own : all;
}

/** Whether a heading asks: it ends in a question mark and has a word or two to ask about. */
export const isQuestion = (heading: string): boolean =>
  /\?\s*$/.test(heading) && heading.trim().split(/\s+/).length >= 3;

/** A question of one group, with what decides which group. */
interface Read {
  asked: Asked;
  kind: string;
  /** Without those of the query where others remain: all questions of a study share them. */
  stems: ReadonlySet<number>;
}

function alike(a: Read, b: Read): boolean {
  let shared = 0;
  for (const each of a.stems) if (b.stems.has(each)) shared += 1;
  const all = a.stems.size + b.stems.size - shared;
  if (all === 0) return a.asked.text === b.asked.text;
  return shared / all === 1 || (a.kind === b.kind && shared / all >= SAME);
}

/** Questions of a study with the pages that answer each, made once; pages may be left out later. */
export class StudyQuestions {
  private readonly groups: { wordings: Asked[]; answers: boolean[] }[] = [];

  constructor(
    private readonly readings: readonly PageReading[],
    asked: readonly Asked[],
    query: string,
    bases: WordBases,
  ) {
    const all: Asked[] = [...asked];
    for (const { page, sections } of readings)
      for (const { heading } of sections)
        if (isQuestion(heading))
          all.push({
            text: heading.replace(/^\d+[.)]\s*/, ''),
            place: 'page',
            volume: null,
            address: page.address,
          });
    const subject = new Set(bases.stemsOf(query));
    const heads: Read[] = [];
    for (const each of all) {
      const stems = questionStems(each.text, bases);
      const own = stems.filter((stem) => !subject.has(stem));
      const read: Read = {
        asked: each,
        kind: kindOf(each.text),
        stems: new Set(own.length > 0 ? own : stems),
      };
      const at = heads.findIndex((head) => alike(head, read));
      if (at >= 0) this.groups[at].wordings.push(each);
      else {
        heads.push(read);
        this.groups.push({ wordings: [each], answers: this.answered(stems, subject) });
      }
    }
  }

  /** For each page whether one of its sections holds the stems; of those of the query one is enough. */
  private answered(stems: readonly number[], subject: ReadonlySet<number>): boolean[] {
    const own = stems.filter((each) => !subject.has(each));
    const wanted = own.length > 0 ? own : stems;
    const near = own.length > 0 ? stems.filter((each) => subject.has(each)) : [];
    return this.readings.map(
      ({ sections }) =>
        wanted.length > 0 &&
        sections.some(
          (section) =>
            wanted.every((each) => section.stems.has(each)) &&
            (near.length === 0 || near.some((each) => section.stems.has(each))),
        ),
    );
  }

  /** Questions over the pages taken in; those that are searched for or asked most come first. */
  of(taken: readonly number[]): StudyQuestion[] {
    const addresses = new Set(taken.map((page) => this.readings[page].page.address));
    return this.groups
      .flatMap(({ wordings, answers }): StudyQuestion[] => {
        // A heading of a page that is left out is not asked any more.
        const here = wordings.filter(({ address }) => address === undefined || addresses.has(address));
        if (here.length === 0) return [];
        const known = here.filter(({ volume }) => volume !== null);
        const pages = taken.filter((page) => answers[page]).map((page) => this.readings[page].page.address);
        return [
          {
            text: here.reduce((best, next) => ((next.volume ?? -1) > (best.volume ?? -1) ? next : best)).text,
            volume: known.length ? known.reduce((sum, { volume }) => sum + volume!, 0) : null,
            wordings: here,
            pages,
            share: pages.length / Math.max(1, taken.length),
          },
        ];
      })
      .sort(
        (a, b) =>
          (b.volume ?? -1) - (a.volume ?? -1) ||
          b.wordings.length - a.wordings.length ||
          (a.text < b.text ? -1 : 1),
      );
  }
}
