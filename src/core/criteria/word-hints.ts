import type { Tokens, Vocabulary } from '../language/index.ts';

const NONE: readonly string[] = [];

/**
 * Finds those of some words that stand in a text, by their numbers: what looks for phrases looks for those alone whose rarest
 * word is there.
 */
export class WordHints {
  /** By the number of a word: 0 not asked yet, 1 none of them, 2 one of them. */
  private known = new Uint8Array(1024);

  constructor(
    private readonly vocabulary: Vocabulary,
    private readonly words: ReadonlySet<string>,
  ) {}

  /** Those of the words that a text holds, each once. */
  in({ ids, length }: Tokens): readonly string[] {
    let found: string[] | null = null;
    for (let at = 0; at < length; at++) {
      const id = ids[at];
      if (id >= this.known.length) this.makeRoom(id);
      let kind = this.known[id];
      if (kind === 0) {
        kind = this.words.has(this.vocabulary.form(id)) ? 2 : 1;
        this.known[id] = kind;
      }
      if (kind === 1) continue;
      const word = this.vocabulary.form(id);
      found ??= [];
      if (!found.includes(word)) found.push(word);
    }
    return found ?? NONE;
  }

  private makeRoom(id: number): void {
    const more = new Uint8Array(2 * Math.max(id + 1, this.known.length));
    more.set(this.known);
    this.known = more;
  }
}
