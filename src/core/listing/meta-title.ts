/** The pattern of a site that says nothing else. */
export const DEFAULT_TITLE_PATTERN = '{title} | {site}';

/** A title as titles are compared: without regard to capitals, spaces, and whether its quotes are typographic. */
export const titleKey = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[‘’‛′`]/g, "'")
    .replace(/[“”„‟″«»]/g, '"')
    .replace(/\s+/g, ' ')
    .trim();

/** The meta title that a page would carry: the one written, or the title, put through the site's pattern. */
export function effectiveMetaTitle(
  metaTitle: string,
  title: string,
  pattern: string | null,
  siteName: string,
): string {
  const own = metaTitle.trim() || title.trim();
  if (own === '' || pattern === null) return own;
  // A pattern that names a site without a name would leave a stray separator.
  if (siteName === '' && pattern.includes('{site}')) return own;
  return pattern.replaceAll('{site}', siteName).replaceAll('{title}', own).trim();
}
