import type { WordBases } from '../language/index.ts';
import { saying, stemsSaid, type Want, wantOf } from '../meaning/index.ts';
import { aboutness, isOfQuery, type SubjectWords } from './aboutness.ts';
import { bareHeading } from './heading-words.ts';
import type { Passages } from './passages.ts';
import type { PageReading } from './study-page.ts';

/** Where a question was met. `page`: a heading of a studied page; `own`: a list that the writer brought. */
export type AskedPlace = 'suggestion' | 'related' | 'forum' | 'page' | 'own';

/** A question as somebody asks it. */
export interface Asked {
  text: string;
  place: AskedPlace;
  /** Searches a month; null: not known. */
  volume: number | null;
  /** Address of the page whose heading it is. */
  address?: string;
  /** For a question that the writer brought: where it was met, in the writer's words. */
  where?: string;
}

/** Questions that ask the same. */
export interface StudyQuestion {
  /** The wording that is searched for most, else the one met first. */
  text: string;
  /** Sum over its wordings; null: not known of any. */
  volume: number | null;
  wordings: Asked[];
  /** Addresses of the pages of which a passage says what is asked. */
  pages: string[];
  /** Share of the pages taken in that answer it, 0-1. */
  share: number;
  /** It asks about the query itself, or the writer brought it; others ask about its field. */
  toThePoint: boolean;
}

/** Two questions of one kind ask the same when each says so much of the other. */
const SAME = 0.6;
const SURELY = 0.68;
/** How near to the subject a writer's own question is taken to be at least. */
const OWN = 0.3;
/** What asks about the field of the query and not about itself is answered by so many of the pages. */
const SPOKEN_OF = 0.15;
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

/** "What should I do when" and "what is the way to" ask how. */
const kinds = (text: string): string =>
  /^what (?:(?:should|do|can|must) (?:i|you|we) do|is the (?:best )?way)\b/i.test(text)
    ? 'how'
    : kindOf(text);

/** Whether a heading asks: it ends in a question mark and has a word or two to ask about. */
export const isQuestion = (heading: string): boolean =>
  /\?\s*$/.test(heading) && !/[([{]/.test(heading) && heading.trim().split(/\s+/).length >= 3;

/** A question of one group, with what decides which group. */
interface Read {
  asked: Asked;
  kind: string;
  want: Want;
  stems: ReadonlySet<string>;
}

function alike(a: Read, b: Read): boolean {
  if (a.want.parts.length === 0 || b.want.parts.length === 0) return a.asked.text === b.asked.text;
  if (a.want.bare !== b.want.bare) return false;
  const forth = saying(a.want, (stem) => b.stems.has(stem));
  const back = saying(b.want, (stem) => a.stems.has(stem));
  const least = Math.min(forth, back);
  return least > 0.99 || (a.kind === b.kind && least >= SAME && Math.max(forth, back) >= SURELY);
}

/** Questions of a study with the pages that answer each, made once; pages may be left out later. */
export class StudyQuestions {
  private readonly groups: {
    wordings: Asked[];
    answers: readonly boolean[];
    about: number;
    toThePoint: boolean;
  }[] = [];

  constructor(
    private readonly readings: readonly PageReading[],
    asked: readonly Asked[],
    { query, passages, subject }: { query: string; passages: Passages; subject: SubjectWords },
    bases: WordBases,
  ) {
    const all: Asked[] = [...asked];
    for (const { page, sections } of readings)
      for (const { heading } of sections)
        if (isQuestion(heading))
          all.push({
            text: bareHeading(heading),
            place: 'page',
            volume: null,
            address: page.address,
          });
    const named = new Set(bases.stemsOf(query).map((stem) => bases.stemText(stem)));
    const heads: Read[] = [];
    for (const each of all) {
      const stems = new Set(stemsSaid(each.text, bases));
      const want = wantOf(each.text, named, bases);
      // What the writer brought is kept, whatever it is about.
      const about = Math.max(each.place === 'own' ? OWN : 0, aboutness(want, stems, subject));
      if (about === 0) continue;
      const toThePoint = each.place === 'own' || each.place === 'page' || isOfQuery(stems, subject);
      const read: Read = { asked: each, kind: kinds(each.text), want, stems };
      const at = heads.findIndex((head) => alike(head, read));
      if (at >= 0) this.groups[at].wordings.push(each);
      else {
        heads.push(read);
        this.groups.push({
          wordings: [each],
          answers: passages.saying(want, readings.length),
          about,
          toThePoint,
        });
      }
    }
  }

  /** Questions over the pages taken in; those that are searched for or asked most come first. */
  of(taken: readonly number[]): StudyQuestion[] {
    const addresses = new Set(taken.map((page) => this.readings[page].page.address));
    return this.groups
      .flatMap(({ wordings, answers, about, toThePoint }): (StudyQuestion & { about: number })[] => {
        // A heading of a page that is left out is not asked any more.
        const here = wordings.filter(({ address }) => address === undefined || addresses.has(address));
        if (here.length === 0) return [];
        const share = taken.filter((page) => answers[page]).length / Math.max(1, taken.length);
        // What asks about the field is of this study where its pages speak of it.
        if (!toThePoint && share < SPOKEN_OF) return [];
        const known = here.filter(({ volume }) => volume !== null);
        const pages = taken.filter((page) => answers[page]).map((page) => this.readings[page].page.address);
        return [
          {
            text: here.reduce((best, next) => ((next.volume ?? -1) > (best.volume ?? -1) ? next : best)).text,
            volume: known.length ? known.reduce((sum, { volume }) => sum + volume!, 0) : null,
            wordings: here,
            pages,
            share,
            about: about * (toThePoint ? 1 : share),
            toThePoint,
          },
        ];
      })
      .sort(
        (a, b) =>
          rankOf(b) - rankOf(a) ||
          (b.volume ?? -1) - (a.volume ?? -1) ||
          b.wordings.length - a.wordings.length ||
          (a.text < b.text ? -1 : 1),
      )
      .map(({ about: _, ...question }) => question);
  }
}

/** Those that are searched for first; how near to the subject decides between those that are searched for alike. */
const rankOf = ({ volume, wordings, about, toThePoint }: StudyQuestion & { about: number }): number =>
  (toThePoint ? 0.5 + about : about) *
  (1 + Math.log2(1 + (volume ?? 0)) + new Set(wordings.map(({ place, address }) => address ?? place)).size);
