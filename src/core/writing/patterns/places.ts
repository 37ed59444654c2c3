import type { Pattern, PatternField } from './pattern.ts';

/** A place in the text of a pattern: two braces around the id of a field. */
const PLACE = /\{\{([^{}\n]{0,80})\}\}/g;

/** Ids of the places in a text, each once, in its order. */
export const placesIn = (text: string): string[] => [
  ...new Set([...text.matchAll(PLACE)].map(([, id]) => id.trim())),
];

/** What is wrong with the text of a pattern, each in a sentence; none: it can be used. */
export function placeFaults({ text, fields }: Pick<Pattern, 'text' | 'fields'>): string[] {
  const known = new Set(fields.map(({ id }) => id));
  const faults = placesIn(text)
    .filter((id) => !known.has(id))
    .map((id) =>
      id === ''
        ? 'A place {{}} names no field. Write the name of a field between the braces.'
        : `{{${id}}} is no field of this pattern${nearest(id, fields)}.`,
    );
  const open = text.replace(PLACE, '').match(/\{\{|\}\}/g);
  if (open) faults.push('A place is opened with {{ or closed with }} alone. Give it both.');
  return faults;
}

/** The field that was probably meant: by its name, or by a beginning. */
function nearest(id: string, fields: readonly PatternField[]): string {
  const typed = id.toLowerCase();
  const meant = fields.find(
    (field) => field.name.toLowerCase() === typed || field.id.toLowerCase().startsWith(typed.slice(0, 3)),
  );
  if (meant) return `: {{${meant.id}}} is`;
  return fields.length > 0
    ? `. It has ${fields.map((field) => `{{${field.id}}}`).join(', ')}`
    : '. It has none yet';
}

/**
 * The text of a pattern with its places filled. A line with a place that has no value is left out: "For {{audience}}." says
 * nothing without one; nor does the line that leads to it, as "Its notes:" does. An unknown place stands as it is written.
 *
 * @example filledText('About {{topic}}.\nFor {{audience}}.', (id) => (id === 'topic' ? 'tides' : '')) // 'About tides.'
 */
export function filledText(text: string, valueFor: (id: string) => string | null): string {
  const lines: string[] = [];
  for (const line of text.split('\n')) {
    let isEmpty = false;
    const filled = line.replace(PLACE, (written: string, id: string) => {
      const value = valueFor(id.trim());
      if (value === null) return written;
      if (value === '') isEmpty = true;
      return value;
    });
    if (!isEmpty) lines.push(filled);
    else if (filled.trim() === '' && lines.at(-1)?.endsWith(':')) lines.pop();
  }
  return lines
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim();
}
