/** One post in a newsletter. */
export interface LetterItem {
  title: string;
  text: string;
  /** Where it is read; empty: nowhere yet. */
  address: string;
}

/** A newsletter over one post or several, in the order in which they are read. */
export interface Letter {
  /** Name of the house. */
  name: string;
  subject: string;
  opening: string;
  items: readonly LetterItem[];
  closing: string;
  language: string;
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

const paragraphs = (text: string): string[] =>
  text
    .split(/\n{2,}/)
    .map((one) => one.trim())
    .filter(Boolean);

const FACE = "Georgia, 'Times New Roman', serif";

/**
 * A newsletter as mail programs show it: one column of a table with its styles in place, no script, no picture from elsewhere; it
 * stays readable where styles are taken off.
 */
export function letterHtml({ name, subject, opening, items, closing, language }: Letter): string {
  const text = (value: string) =>
    paragraphs(value)
      .map(
        (one) =>
          `<p style="margin:0 0 14px;font:16px/1.6 ${FACE};color:#1f2a2e">${escaped(one).replaceAll('\n', '<br>')}</p>`,
      )
      .join('\n');
  const link = (address: string, words: string) =>
    address
      ? `<a href="${escaped(address)}" style="color:#1f5e63;text-decoration:underline">${escaped(words)}</a>`
      : escaped(words);
  const shown = items
    .map(
      ({ title, text: body, address }) =>
        `<tr><td style="padding:18px 0 4px;border-top:1px solid #e4dccb">
<h2 style="margin:0 0 8px;font:bold 20px/1.3 ${FACE};color:#1f2a2e">${link(address, title)}</h2>
${text(body)}
${address ? `<p style="margin:0 0 14px;font:16px/1.6 ${FACE}">${link(address, 'Read on')}</p>` : ''}</td></tr>`,
    )
    .join('\n');
  return `<!doctype html>
<html lang="${escaped(language || 'en')}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escaped(subject)}</title></head>
<body style="margin:0;background:#fbf8f2">
<table role="presentation" width="100%" cellpadding="0" cellspacing="0" style="background:#fbf8f2"><tr><td align="center" style="padding:24px 12px">
<table role="presentation" width="600" cellpadding="0" cellspacing="0" style="width:100%;max-width:600px;background:#ffffff"><tr><td style="padding:28px 32px">
<table role="presentation" width="100%" cellpadding="0" cellspacing="0">
<tr><td style="padding:0 0 10px"><p style="margin:0 0 6px;font:14px/1.4 ${FACE};color:#566266">${escaped(name)}</p>
<h1 style="margin:0 0 14px;font:bold 26px/1.25 ${FACE};color:#1f2a2e">${escaped(subject)}</h1>
${text(opening)}</td></tr>
${shown}
${closing.trim() ? `<tr><td style="padding:18px 0 0;border-top:1px solid #e4dccb">${text(closing)}</td></tr>` : ''}
</table></td></tr></table></td></tr></table>
</body></html>
`;
}

/** The same newsletter as plain text, for those who read mail so. */
export function letterText({ name, subject, opening, items, closing }: Letter): string {
  const shown = items.map(({ title, text, address }) =>
    [title.toUpperCase(), text.trim(), address].filter(Boolean).join('\n\n'),
  );
  return `${[`${name}: ${subject}`, opening.trim(), ...shown, closing.trim()].filter(Boolean).join('\n\n---\n\n')}\n`;
}
