import type { Block } from '../draft/index.ts';
import { sentenceBreaks } from '../language/index.ts';
import { articleRemarks } from './articles.ts';
import { type HouseWord, houseWordFinder } from './house-words.ts';
import type { LanguageRemark, RemarkKind } from './language-remark.ts';
import { maskedText } from './masked-text.ts';
import { weakOpenings } from './openings.ts';
import { passives } from './passive.ts';
import { repeatedWords } from './repeated-words.ts';
import type { Speller } from './speller.ts';
import { spellingRemarks } from './spelling.ts';

/** A remark with the block it is about. */
export interface PlacedRemark extends LanguageRemark {
  blockId: string;
}

/** What a house decides about language. */
export interface LanguageRules {
  words: HouseWord[];
  /** Words that are right here. */
  own: string[];
  /** Kinds that are not spoken of. */
  off: RemarkKind[];
}

export const noLanguageRules = (): LanguageRules => ({ words: [], own: [], off: [] });

/** One block as it was read, whatever stands around it. */
interface Read {
  text: string;
  marks: Block['marks'];
  remarks: PlacedRemark[];
  spelling: PlacedSpelling[];
  /** Words with a capital within sentences, lower case. */
  names: string[];
}

/** A remark on spelling that waits for what the rest of the draft says. */
interface PlacedSpelling {
  /** The word in lower case. */
  lower: string;
  mayBeName: boolean;
  asSlip: PlacedRemark;
  /** The same where the word stands again and again. */
  asTerm: PlacedRemark;
}

/** Times from which an unknown word is a term of the draft rather than a slip. */
const TERM_USES = 3;
const NAME = /(?<=[\p{Ll},;]\s)\p{Lu}[\p{L}\p{M}'’]*/gu;

/** The blocks whose language is looked at: what readers read as prose. */
const isProse = ({ kind, text }: Block): boolean => kind !== 'code' && kind !== 'kept' && text !== '';

/**
 * Looks through the language of a draft, paragraph by paragraph: those that did not change since the last time are not
 * looked at again. Made anew when dictionary or rules change.
 */
export class LanguageCheck {
  private readonly read = new Map<string, Read>();
  private readonly house: ReturnType<typeof houseWordFinder>;
  private readonly speller: Speller | null;
  private readonly off: ReadonlySet<RemarkKind>;

  /** Without a speller (another language than English) only the house's words are looked for. */
  constructor(speller: Speller | null, rules: LanguageRules) {
    this.speller = speller;
    this.house = houseWordFinder(rules.words);
    this.off = new Set(rules.off);
  }

  /** All remarks in the order of the text. */
  check(blocks: readonly Block[]): PlacedRemark[] {
    const reads = new Map<string, Read>();
    for (const block of blocks) if (isProse(block)) reads.set(block.id, this.readingOf(block));
    for (const id of this.read.keys()) if (!reads.has(id)) this.read.delete(id);
    const uses = new Map<string, number>();
    let capitals = false;
    for (const { spelling } of reads.values())
      for (const { lower, mayBeName } of spelling) {
        uses.set(lower, (uses.get(lower) ?? 0) + 1);
        capitals ||= mayBeName;
      }
    const names = new Set(capitals ? [...reads.values()].flatMap((read) => read.names) : []);
    const placed: PlacedRemark[] = [];
    for (const { remarks, spelling } of reads.values()) {
      const from = placed.length;
      placed.push(...remarks);
      for (const { lower, mayBeName, asSlip, asTerm } of spelling) {
        if (mayBeName && names.has(lower)) continue;
        const remark = uses.get(lower)! < TERM_USES ? asSlip : asTerm;
        if (!this.off.has(remark.kind)) placed.push(remark);
      }
      if (remarks.length > 0 && placed.length > from + remarks.length)
        placed.push(...placed.splice(from).sort((one, other) => one.start - other.start));
    }
    return placed;
  }

  private readingOf(block: Block): Read {
    const last = this.read.get(block.id);
    if (last && last.text === block.text && sameMarks(last.marks, block.marks)) return last;
    const read = this.look(block);
    this.read.set(block.id, read);
    return read;
  }

  private look(block: Block): Read {
    const text = maskedText(block);
    const starts = new Set(
      [0, ...sentenceBreaks(text)].map(
        (at) => at + /^[\s"“‘'(*–—-]*/.exec(text.slice(at, at + 20))![0].length,
      ),
    );
    const found = this.house.find(text);
    if (this.speller) {
      found.push(...repeatedWords(text), ...articleRemarks(text));
      if (block.kind === 'paragraph') found.push(...weakOpenings(text, starts), ...passives(text));
    }
    const place = (remark: LanguageRemark): PlacedRemark => ({
      ...remark,
      quote: block.text.slice(remark.start, remark.end),
      blockId: block.id,
    });
    const spelling = (this.speller ? spellingRemarks(text, starts, this.speller) : []).map(
      ({ mayBeName, ...remark }): PlacedSpelling => {
        const asSlip = place(remark);
        return {
          lower: asSlip.quote.toLowerCase(),
          mayBeName,
          asSlip,
          asTerm: { ...asSlip, kind: 'unknown' },
        };
      },
    );
    return {
      text: block.text,
      marks: block.marks,
      remarks: found
        .filter(({ kind }) => !this.off.has(kind))
        .map(place)
        .sort((a, b) => a.start - b.start || a.end - b.end),
      spelling,
      names: block.kind === 'paragraph' ? [...text.matchAll(NAME)].map(([name]) => name.toLowerCase()) : [],
    };
  }
}

const sameMarks = (a: Block['marks'], b: Block['marks']): boolean =>
  a === b ||
  (a.length === b.length &&
    a.every((mark, at) => mark.type === b[at].type && mark.start === b[at].start && mark.end === b[at].end));
