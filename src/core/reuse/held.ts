import type { Draft } from '../draft/index.ts';
import { SpokenIndex, spokenWords } from '../talk/index.ts';
import { postSentences } from './post-sentences.ts';
import type { ReusedPart } from './reused.ts';

/** A stretch of a text that does not stand in the post that it was made from. */
export interface NotInPost {
  start: number;
  end: number;
  text: string;
  /** A number, a name or a negation is among it. */
  weighty: boolean;
}

/** A post, ready to have texts held against it. */
export class PostIndex {
  private readonly index: SpokenIndex;
  private readonly sentences: ReadonlySet<string>;

  constructor(draft: Draft, title: string) {
    const said = [
      title,
      ...draft.blocks
        .filter(({ kind }) => kind === 'heading' || kind === 'paragraph')
        .map(({ text }) => text),
    ];
    this.index = new SpokenIndex(
      spokenWords({
        form: 'plain text',
        cues: said.map((text) => ({ start: null, end: null, speaker: '', text })),
      }),
    );
    this.sentences = new Set(postSentences(draft).map(({ text }) => text));
  }

  /** What of a text the post does not say; links, hashtags and the numbers of a thread are none of its words. */
  notIn(text: string): NotInPost[] {
    const bare = text
      .replace(/https?:\/\/\S+|#[\p{L}\p{N}]+/gu, (hit) => ' '.repeat(hit.length))
      .replace(/^\d{1,2}\/\d{1,2} /, (hit) => ' '.repeat(hit.length));
    const runs: NotInPost[] = [];
    let last = -2;
    this.index.trace(bare).forEach(({ origin, start, end, weighty }, at) => {
      if (origin !== 'added') return;
      const run = runs.at(-1);
      if (run && last === at - 1) {
        run.end = end;
        run.weighty ||= weighty;
      } else runs.push({ start, end, text: '', weighty });
      last = at;
    });
    return runs.map((run) => ({ ...run, text: text.slice(run.start, run.end) }));
  }

  /** Sentences that a part was made from and that the post no longer has as they were. */
  gone({ from }: ReusedPart): string[] {
    return from.filter((text) => !this.sentences.has(text));
  }
}
