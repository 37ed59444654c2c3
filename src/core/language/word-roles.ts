import type { Matching } from './matching.ts';
import type { Phrase } from './phrase.ts';
import { oneSpelling } from './spellings.ts';
import type { Vocabulary } from './vocabulary.ts';

/** What a word of the text can stand for: slots `from` to `to` of a phrase. */
export interface Role {
  phrase: number;
  from: number;
  to: number;
  /** 0 the same form, 1 closed up or opened, 2 inflected. */
  quality: number;
  /** The next word belongs to it (an opened spelling: "e commerce"). */
  tail: string | null;
}

const NONE: readonly never[] = [];

/** Letters of a word that may be looked for in two parts. */
const LONGEST_OPENED = 40;

/** What words of a text can stand for in some phrases, worked out once for each distinct word. Phrases that are looked for letter by letter have no words. */
export class WordRoles {
  private readonly bySlot = new Map<string, { phrase: number; slot: number }[]>();
  private readonly byClosed = new Map<string, { phrase: number; from: number; to: number }[]>();
  private readonly byHead = new Map<string, { phrase: number; slot: number; tail: string }[]>();
  /** The first two letters of all words above. */
  private readonly heads = new Set<number>();
  /** By the number of a word: 0 not looked at yet, 1 stands for nothing, 2 has roles. A list by number would have more holes than words. */
  private looked = new Uint8Array(0);
  private readonly roles = new Map<number, Role[]>();

  constructor(
    private readonly phrases: readonly (Phrase | null)[],
    private readonly vocabulary: Vocabulary,
    private readonly matching: Matching,
  ) {
    phrases.forEach((phrase, index) => {
      if (phrase && phrase.literalText === null) this.index(phrase, index);
    });
    for (const words of [this.bySlot, this.byClosed, this.byHead])
      for (const word of words.keys()) this.heads.add(headOf(word));
  }

  private index(phrase: Phrase, index: number): void {
    phrase.slots.forEach((slot, at) => {
      for (const candidate of slot.candidates) put(this.bySlot, candidate, { phrase: index, slot: at });
      if (slot.literal && this.matching.code !== '') return;
      const { length } = slot.normal;
      if (length < 5 || length > LONGEST_OPENED) return;
      for (let cut = 1; cut <= length - 2; cut++) {
        put(this.byHead, slot.normal.slice(0, cut), {
          phrase: index,
          slot: at,
          tail: slot.normal.slice(cut),
        });
      }
    });
    for (let at = 0; at + 1 < phrase.slots.length; at++) {
      const [left, right] = [phrase.slots[at], phrase.slots[at + 1]];
      if (right.token !== left.token + 1) continue;
      put(this.byClosed, left.normal + right.normal, { phrase: index, from: at, to: at + 1 });
    }
  }

  /** What the word of a number can stand for; null: nothing. */
  of(id: number): Role[] | null {
    const known = this.looked[id];
    if (known === 1) return null;
    if (known === 2) return this.roles.get(id)!;
    if (id >= this.looked.length) {
      const more = new Uint8Array(Math.max(2 * (id + 1), this.vocabulary.size));
      more.set(this.looked);
      this.looked = more;
    }
    const normal = this.matching.normal(this.vocabulary, id);
    if (!this.heads.has(headOf(normal)) && this.matching.keepsHead(normal)) {
      this.looked[id] = 1;
      return null;
    }
    const form = this.vocabulary.form(id);
    const candidates = this.matching.candidates(this.vocabulary, id);
    const roles: Role[] = [];
    for (const candidate of candidates) {
      for (const { phrase, slot: at } of this.bySlot.get(candidate) ?? NONE) {
        const slot = this.phrases[phrase]!.slots[at];
        if (hasRole(roles, phrase, at)) continue;
        if (
          slot.literal
            ? slot.form !== form
            : !this.matching.areVariants(normal, candidates, slot.normal, slot.candidates)
        )
          continue;
        roles.push({
          phrase,
          from: at,
          to: at,
          quality: this.isSameForm(slot.form, form) ? 0 : 2,
          tail: null,
        });
      }
      for (const { phrase, from, to } of this.byClosed.get(candidate) ?? NONE) {
        roles.push({ phrase, from, to, quality: candidate === normal ? 1 : 2, tail: null });
      }
    }
    for (const { phrase, slot, tail } of this.byHead.get(normal) ?? NONE) {
      roles.push({ phrase, from: slot, to: slot, quality: 1, tail });
    }
    if (roles.length === 0) {
      this.looked[id] = 1;
      return null;
    }
    this.looked[id] = 2;
    this.roles.set(id, roles);
    return roles;
  }

  /** Whether two forms are one word as written: in English also in the spelling of either side of the ocean. */
  private isSameForm(a: string, b: string): boolean {
    return a === b || (this.matching.code === 'en' && oneSpelling(a) === oneSpelling(b));
  }
}

/** The first two letters of a word as a number. */
const headOf = (word: string): number => (word.charCodeAt(0) << 16) | word.charCodeAt(1);

function hasRole(roles: readonly Role[], phrase: number, from: number): boolean {
  for (const role of roles)
    if (role.phrase === phrase && role.from === from && role.tail === null) return true;
  return false;
}

function put<T>(map: Map<string, T[]>, key: string, value: T): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}
