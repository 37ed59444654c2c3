import { fieldOf, keyOfStems, meaningStems, tellingStems } from './phrase-meaning.ts';

/** A post of the site, as research looks at it. */
export interface KnownPost {
  id: string;
  title: string;
  keyword: string;
  supporting: readonly string[];
  headings: readonly { text: string; words: number }[];
}

/** How a post holds a phrase. `target`: as its keyword; `supporting`: among its supporting ones; `answers`: a section or its title speaks of it. */
export type Holding = 'target' | 'supporting' | 'answers';

/** A phrase that a post of the site holds already. */
export interface Held {
  how: Holding;
  id: string;
  title: string;
}

/** Words that a section needs to answer anything. */
const ANSWERS_FROM = 40;

/** The phrases that the posts of a site are for, or answer, by what they mean. */
export class OwnPhrases {
  readonly field: ReadonlySet<string>;
  private readonly byKey = new Map<string, Held>();
  /** What titles and keywords speak of, for phrases that hold a part of it. */
  private readonly subjects: { stems: ReadonlySet<string>; held: Held }[] = [];
  private readonly byStem = new Map<string, number[]>();

  /** `phrases`: others by which the field of the site is told, beside those of its posts. */
  constructor(posts: readonly KnownPost[], phrases: readonly string[] = []) {
    this.field = fieldOf([
      ...phrases,
      ...posts.flatMap(({ keyword, supporting }) => [keyword, ...supporting].filter(Boolean)),
    ]);
    const file = (phrase: string, held: Held) => {
      const key = keyOfStems(meaningStems(phrase), this.field);
      if (key && !this.byKey.has(key)) this.byKey.set(key, held);
    };
    const held = ({ id, title }: KnownPost, how: Holding): Held => ({ how, id, title });
    // A target before a supporting phrase before a section, whichever post comes first.
    for (const post of posts) if (post.keyword) file(post.keyword, held(post, 'target'));
    for (const post of posts) for (const phrase of post.supporting) file(phrase, held(post, 'supporting'));
    for (const post of posts) {
      const answers = held(post, 'answers');
      if (post.title) file(post.title, answers);
      for (const { text, words } of post.headings)
        if (words >= ANSWERS_FROM && this.beyondField(meaningStems(text)).length > 1) file(text, answers);
      for (const text of [post.keyword, post.title]) {
        const stems = new Set(meaningStems(text));
        if (stems.size === 0) continue;
        for (const stem of stems) {
          const list = this.byStem.get(stem);
          if (list) list.push(this.subjects.length);
          else this.byStem.set(stem, [this.subjects.length]);
        }
        this.subjects.push({ stems, held: answers });
      }
    }
  }

  /** What stems tell beyond the field: "What it costs" and "The rack" tell too little to answer anybody who searches. */
  private beyondField(stems: readonly string[]): string[] {
    return tellingStems(stems).filter((stem) => !this.field.has(stem));
  }

  /** The post that holds what a phrase asks for, from its {@link meaningStems}; null: none does. */
  heldBy(stems: readonly string[]): Held | null {
    const key = keyOfStems(stems, this.field);
    if (!key) return null;
    const known = this.byKey.get(key);
    if (known) return known;
    // A title that speaks of all of a phrase answers it; a single word is no question that a post answers.
    const telling = tellingStems(stems);
    const own = this.beyondField(stems);
    if (own.length < 2) return null;
    const rarest = own.reduce((best, stem) =>
      (this.byStem.get(stem)?.length ?? 0) < (this.byStem.get(best)?.length ?? 0) ? stem : best,
    );
    for (const at of this.byStem.get(rarest) ?? []) {
      const { stems: subject, held } = this.subjects[at];
      if (telling.every((stem) => subject.has(stem))) return held;
    }
    return null;
  }

  /** The post that holds what a phrase asks for; null: none does. */
  of(phrase: string): Held | null {
    return this.heldBy(meaningStems(phrase));
  }
}
