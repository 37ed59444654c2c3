import type { Planned } from './merge.ts';

/** A plan as text: each heading with its marks, its note below it as a quote. */
export const planText = (items: readonly Planned[]): string =>
  items
    .flatMap(({ level, text, note }) => [
      `${'#'.repeat(level)} ${text.replace(/\s+/g, ' ').trim()}`,
      ...note
        .split('\n')
        .filter((line) => line.trim())
        .map((line) => `> ${line.trim()}`),
    ])
    .join('\n');

/** The headings of such a text; lines that are none of it are passed over. */
export function readPlan(text: string): Planned[] {
  const items: Planned[] = [];
  for (const line of text.split('\n')) {
    const heading = /^(#{2,4}) (.*\S)/.exec(line);
    if (heading) items.push({ level: heading[1].length, text: heading[2].trim(), note: '' });
    const last = items.at(-1);
    if (line.startsWith('> ') && last) last.note = [last.note, line.slice(2)].filter(Boolean).join('\n');
  }
  return items;
}
