type Phrases = Record<string, readonly [one: string, several: string]>;

/** Markup that says nothing and stays behind: how one and how several of it are told. `#` is their number. */
const TIDIED = {
  empty: ['1 empty paragraph', '# empty paragraphs'],
  span: ['1 stray span', '# stray spans'],
  style: ['1 inline style', '# inline styles'],
} as const satisfies Phrases;

/** What can be lost or changed on the way in; what weighs least stands first. */
const CHANGED = {
  markdown: ['Markdown read as text with headings, lists and links', ''],
  table: ['rows of cells read as a table', ''],
  column: ['a column of cells made a list', ''],
  list: ['1 line made a list item', '# lines made list items'],
  heading: ['1 line is a heading by its role', '# lines are headings by their role'],
  header: ['1 row is a header', '# rows are headers'],
  parted: ['1 paragraph parted at its empty lines', '# paragraphs parted at their empty lines'],
  comment: ['1 comment left out', '# comments left out'],
  deletion: ['1 tracked deletion left out', '# tracked deletions left out'],
  picture: [
    '1 picture stayed on the computer it comes from: drop its file where it belongs',
    '# pictures stayed on the computer they come from: drop their files where they belong',
  ],
  drawing: ['1 drawing left out', '# drawings left out'],
  form: ['1 field of a form left out', '# fields of forms left out'],
  highlight: ['1 highlight taken off', '# highlights taken off'],
  details: ['1 folded part opened', '# folded parts opened'],
  nofollow: ['1 link lost its "nofollow"', '# links lost their "nofollow"'],
} as const satisfies Phrases;

export type Accounted = keyof typeof CHANGED | keyof typeof TIDIED;

/** Counts what was lost, changed or left behind, and tells it in phrases. */
export class Account {
  private readonly counts = new Map<Accounted, number>();

  add(what: Accounted, count = 1): void {
    if (count > 0) this.counts.set(what, (this.counts.get(what) ?? 0) + count);
  }

  /** What was lost or changed, each in a short phrase, what was lost first. */
  changed(): string[] {
    return this.phrases(CHANGED);
  }

  /** Markup that stayed behind. */
  tidied(): string[] {
    return this.phrases(TIDIED);
  }

  private phrases(of: Phrases): string[] {
    return Object.entries(of)
      .reverse()
      .flatMap(([what, [one, several]]) => {
        const count = this.counts.get(what as Accounted);
        if (count === undefined) return [];
        return [count === 1 || several === '' ? one : several.replace('#', String(count))];
      });
  }
}
