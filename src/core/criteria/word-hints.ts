import type { Tokens, Vocabulary } from '../language/index.ts';

/**
 * Tells whether a text holds one of some words, by their numbers: what looks for phrases goes through the few texts that hold
 * the rarest word of one.
 */
export class WordHints {
  /** By the number of a word: 0 not asked yet, 1 none of them, 2 one of them. */
  private known = new Uint8Array(1024);

  constructor(
    private readonly vocabulary: Vocabulary,
    private readonly words: ReadonlySet<string>,
  ) {}

  standIn({ ids, length }: Tokens): boolean {
    for (let at = 0; at < length; at++) {
      const id = ids[at];
      if (id >= this.known.length) this.makeRoom(id);
      let found = this.known[id];
      if (found === 0) {
        found = this.words.has(this.vocabulary.form(id)) ? 2 : 1;
        this.known[id] = found;
      }
      if (found === 2) return true;
    }
    return false;
  }

  private makeRoom(id: number): void {
    const more = new Uint8Array(2 * Math.max(id + 1, this.known.length));
    more.set(this.known);
    this.known = more;
  }
}
