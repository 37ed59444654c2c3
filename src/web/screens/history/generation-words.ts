import type { GenerationRow } from '../../data/study-rows.ts';

/** What became of a text. */
export const FATES = {
  whole: 'taken',
  part: 'taken in part',
  no: 'not taken',
  broken: 'broken off',
  kept: 'kept',
} as const;
export type Fate = keyof typeof FATES;

export const fateOf = ({ asked }: GenerationRow): Fate =>
  asked === undefined
    ? 'kept'
    : asked.taken !== 'no'
      ? asked.taken
      : asked.finish === 'running'
        ? 'broken'
        : 'no';

const RECIPES = { brief: 'Came back for a brief', outline: 'Proposed outline', pattern: 'Pattern' } as const;

/** By what a text was made. */
export const nameOf = ({ asked, recipe }: GenerationRow): string => asked?.patternName ?? RECIPES[recipe];

/** A text of the history as Markdown: what was asked, with what, and what came. */
export function asMarkdown(row: GenerationRow, post: string): string {
  const { asked } = row;
  return [
    `# ${nameOf(row)}: ${row.title}`,
    [
      `- Post: ${post}`,
      `- At: ${row.at}`,
      ...(asked
        ? [
            `- Made ${asked.model ? `by ${asked.model}` : 'without a model'}`,
            `- ${FATES[fateOf(row)]}`,
            ...(asked.problem ? [`- ${asked.problem}`] : []),
          ]
        : []),
    ].join('\n'),
    ...(row.input ? [`## Asked with\n\n${row.input}`] : []),
    `## What came\n\n${row.output}`,
  ].join('\n\n');
}
