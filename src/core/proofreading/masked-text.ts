import type { Block } from '../draft/index.ts';

/** Signs by which a run without a space is no word of prose: an address, a path, a file name, a variable. */
const NO_PROSE =
  /@|:\/\/|www\.|[\p{L}\p{N}]\.(?=\p{L}\p{L})|[_\\=<>{}#$|~]|\/[\p{L}\p{N}._-]{0,60}\/|^\/|\p{Ll}\p{Lu}/u;
/** Letters beyond which a run is no word of prose either. */
const LONGEST_RUN = 120;

/** What stands for each character that is hidden. */
const HIDDEN = '\uE000';

/**
 * A block's text with code and addresses hidden, so that rules for prose do not speak of them: as long as before, hidden stretches
 * full of `\uE000`.
 */
export function maskedText({ text, marks }: Pick<Block, 'text' | 'marks'>): string {
  let masked = '';
  let at = 0;
  const code = marks.filter(({ type }) => type === 'code').sort((a, b) => a.start - b.start);
  for (const { start, end } of code) {
    if (end <= at) continue;
    const from = Math.max(at, start);
    masked += text.slice(at, from) + HIDDEN.repeat(end - from);
    at = end;
  }
  masked += text.slice(at);
  return masked.replace(/\S+/g, (run) =>
    run.length > LONGEST_RUN || NO_PROSE.test(run) ? HIDDEN.repeat(run.length) : run,
  );
}
