/** Tags of a picture's notes as readers of them name these: EXIF `Artist`, IPTC `Byline` and the like. */
export type PictureTags = Readonly<Record<string, unknown>>;

/** Characters that a credit holds at most. */
const MOST = 160;

const told = (value: unknown): string =>
  typeof value === 'string'
    ? value
        // biome-ignore lint/suspicious/noControlCharactersInRegex: files hold them
        .replace(/[\u0000-\u001f\u007f\u202a-\u202e\u2066-\u2069]+/g, ' ')
        .replace(/\s+/g, ' ')
        .trim()
    : '';

const first = (tags: PictureTags, names: readonly string[]): string => {
  for (const name of names) {
    const value = Object.hasOwn(tags, name) ? tags[name] : undefined;
    const words = told(Array.isArray(value) ? value[0] : value);
    if (words) return words;
  }
  return '';
};

/**
 * Who took a picture or owns it, in one line, as its notes say; empty where they do not.
 *
 * @example creditOf({ Artist: 'Ada Reed', Copyright: '© 2025 Eddering Press' }) // 'Ada Reed, © 2025 Eddering Press'
 */
export function creditOf(tags: PictureTags): string {
  const maker = first(tags, ['Artist', 'Byline', 'By-line', 'creator', 'Creator', 'Author']);
  const owner = first(tags, ['Copyright', 'CopyrightNotice', 'rights', 'Credit']);
  const both = maker && owner && !owner.toLowerCase().includes(maker.toLowerCase());
  return (both ? `${maker}, ${owner}` : owner || maker).slice(0, MOST);
}
