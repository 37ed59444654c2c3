import { addStems, likeness, wordVectors } from '../../language/index.ts';
import { sameTexts } from '../upkeep/index.ts';
import type { PostSection } from './post-sections.ts';

/** What there is to say of a section of the post that gives way. */
export interface SectionAdvice {
  id: string;
  /** Share of its words that the other post has in the same words, 0-1. */
  said: number;
  /** The section of the other that is most like it, by id; null: none has anything of it. */
  nearest: string | null;
  /** How much it is like that one, 0-1. */
  like: number;
  /** Whether it is worth taking over. */
  take: boolean;
}

/** A section as the joined post has it: ids are those of one post, and may be another's too. */
export interface JoinedSection {
  from: 'keeper' | 'other';
  id: string;
}

/** Two posts as they would be joined. */
export interface JoinAdvice {
  sections: SectionAdvice[];
  /** The sections of both in the order that is proposed. */
  order: JoinedSection[];
}

/** What the other post says by so much in the same words is not taken over. */
const MOSTLY_SAID = 0.5;
/** Two sections of so much likeness say the same. */
const SAYS_THE_SAME = 0.45;
/** Below it a section belongs nowhere of the other. */
const BELONGS = 0.06;
/** Shorter than this, there is nothing in it to take over. */
const TOO_SHORT = 25;

/** A heading over what any post ends with. */
const CLOSING =
  /^(?:in )?(?:conclusions?|summary|summing up|final (?:thoughts|words)|wrap(?:ping)?[- ]up|the bottom line|see also|further reading)\b/i;

function countsOf({ blocks, heading }: PostSection): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { text } of blocks) addStems(counts, text);
  // What it is called says most of what it is about.
  addStems(counts, heading, 2);
  return counts;
}

/**
 * Which sections of a post are worth taking over into another, and where they would stand: what is new to it, after the section that
 * it is most like. Introductions and closings are not: the other has its own. Sections are compared by the words they have and others have not.
 */
export function joinAdvice(keeper: readonly PostSection[], other: readonly PostSection[]): JoinAdvice {
  const vectors = wordVectors([...keeper, ...other].map(countsOf));
  const keeperText = { id: 'keeper', blocks: keeper.flatMap(({ blocks }) => blocks) };
  const sections = other.map((section, at): SectionAdvice => {
    const own = vectors[keeper.length + at];
    const best = keeper.reduce(
      (best, { id }, place) => {
        const like = likeness(own, vectors[place]);
        return like > best.like ? { id, like } : best;
      },
      { id: '', like: 0 },
    );
    const [same] = sameTexts([{ id: 'other', blocks: section.blocks }, keeperText]);
    const said = Math.min(1, (same?.words ?? 0) / Math.max(1, section.words));
    // A text without any parts is no introduction of something else.
    const isFrame = other.length > 1 && (section.heading === '' || CLOSING.test(section.heading));
    return {
      id: section.id,
      said,
      nearest: best.like >= BELONGS ? best.id : null,
      like: best.like,
      take: !isFrame && section.words >= TOO_SHORT && said < MOSTLY_SAID && best.like < SAYS_THE_SAME,
    };
  });
  return { sections, order: orderOf(keeper, sections) };
}

/** The sections of the one that stays, each followed by those taken over that are most like it; the others before its closing. */
function orderOf(keeper: readonly PostSection[], advice: readonly SectionAdvice[]): JoinedSection[] {
  const last = keeper.at(-1);
  const closing = last && keeper.length > 1 && CLOSING.test(last.heading) ? last.id : null;
  const taken = advice.filter(({ take }) => take);
  const placeOf = ({ nearest }: SectionAdvice) => (nearest === closing ? null : nearest);
  const at = (place: string | null) =>
    taken.filter((one) => placeOf(one) === place).map(({ id }): JoinedSection => ({ from: 'other', id }));
  const order = keeper.flatMap(({ id }): JoinedSection[] => {
    const own: JoinedSection = { from: 'keeper', id };
    return id === closing ? [...at(null), own] : [own, ...at(id)];
  });
  return closing === null ? [...order, ...at(null)] : order;
}
