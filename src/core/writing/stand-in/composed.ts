/** What the stand-in made, and what has to be said of it. */
export interface Composed {
  /** Markdown. */
  text: string;
  /** What it is made of, and what to do with it. */
  note: string;
}
