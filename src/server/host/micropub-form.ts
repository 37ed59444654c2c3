import { type EntryProperties, textOfProperty } from '../../core/blog/index.ts';
import { readHtml } from '../../core/draft/index.ts';

/** Properties that a form can carry: words, one or several. */
const plainValues = (values: readonly unknown[]): string[] =>
  values.flatMap((value) => (typeof value === 'string' || typeof value === 'number' ? [String(value)] : []));

/**
 * An entry as a form, for hosts that take nothing else. A form has no place for structure: the text goes as plain words,
 * paragraphs apart, and a picture as its address.
 */
export function entryForm(properties: EntryProperties): URLSearchParams {
  const form = new URLSearchParams({ h: 'entry' });
  for (const [name, values] of Object.entries(properties)) {
    if (name === 'content') {
      const html = (values[0] as { html?: unknown } | undefined)?.html;
      form.append(
        'content',
        typeof html === 'string'
          ? readHtml(`<article>${html}</article>`)
              .draft.blocks.map(({ text }) => text)
              .filter(Boolean)
              .join('\n\n')
          : textOfProperty(properties, name),
      );
      continue;
    }
    const plain = plainValues(values);
    const shown = plain.length > 0 ? plain : [textOfProperty(properties, name)].filter(Boolean);
    if (shown.length === 1 && name !== 'category') form.append(name, shown[0]);
    else for (const value of shown) form.append(`${name}[]`, value);
  }
  return form;
}
