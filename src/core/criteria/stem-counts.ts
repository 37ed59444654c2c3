/** Words by their stems, each once, and how many sentences hold each; both of one length. */
export interface StemCounts {
  stems: Int32Array;
  counts: Int32Array;
}

export const NO_STEMS: StemCounts = { stems: new Int32Array(0), counts: new Int32Array(0) };

/**
 * Counts stems, which are small whole numbers. One counter is used again and again: a map for every block and section
 * would cost more than all the counting.
 */
export class StemCounter {
  private sums = new Int32Array(4096);
  private met: number[] = [];

  add(stem: number, count: number): void {
    if (stem >= this.sums.length) {
      const more = new Int32Array(Math.max(stem + 1, this.sums.length * 2));
      more.set(this.sums);
      this.sums = more;
    }
    if (this.sums[stem] === 0) this.met.push(stem);
    this.sums[stem] += count;
  }

  /** How often a stem was counted since the last {@link take}. */
  of(stem: number): number {
    return this.sums[stem] ?? 0;
  }

  /** What was counted, in the order in which it was met; the counter is empty again. */
  take(): StemCounts {
    const { met, sums } = this;
    const stems = new Int32Array(met);
    const counts = new Int32Array(met.length);
    for (let at = 0; at < stems.length; at++) {
      counts[at] = sums[stems[at]];
      sums[stems[at]] = 0;
    }
    this.met = [];
    return { stems, counts };
  }
}
