/** A file that is brought in, with its path below what was dropped. */
export interface ImportFile {
  path: string;
  file: Blob;
}

const PICTURES: ReadonlyMap<string, string> = new Map(
  Object.entries({
    png: 'image/png',
    jpg: 'image/jpeg',
    jpeg: 'image/jpeg',
    gif: 'image/gif',
    webp: 'image/webp',
    avif: 'image/avif',
  }),
);
const READABLE = /\.(?:md|markdown|mdown|mkd|html?|xhtml|txt|text|docx|xml|rss|atom|csv|tsv)$/i;
const ASSETS = /\.(?:css|js|mjs|map|woff2?|ttf|otf|svg|ico|webmanifest)$/i;

/** The type of a picture by its file name; null for other files. */
export const pictureType = (path: string): string | null =>
  PICTURES.get(/\.([a-z0-9]+)$/i.exec(path)?.[1].toLowerCase() ?? '') ?? null;

/** What a file is good for. */
export type ImportRole = 'text' | 'picture' | 'site' | 'zip' | 'asset' | 'other';

/** What a file is good for, by its name. */
export function roleOf(path: string): ImportRole {
  if (/(?:^|\/)site\.json$/i.test(path)) return 'site';
  if (/\.zip$/i.test(path)) return 'zip';
  if (pictureType(path)) return 'picture';
  if (READABLE.test(path) || /\.(?:doc|odt|rtf|pages)$/i.test(path)) return 'text';
  // A saved page brings its own styles and scripts along; nobody asked for them.
  return ASSETS.test(path) ? 'asset' : 'other';
}

/** `a/./b/../c` as `a/c`. */
function normal(path: string): string {
  const parts: string[] = [];
  for (const part of path.split('/')) {
    if (part === '..') parts.pop();
    else if (part !== '.' && part !== '') parts.push(part);
  }
  return parts.join('/');
}

/** A path without its per cent signs; as written where they make no sense. */
export const decoded = (path: string): string => {
  try {
    return decodeURIComponent(path);
  } catch {
    return path;
  }
};

const shared = (a: string[], b: string[]) => {
  let count = 0;
  while (count < Math.min(a.length, b.length) && a.at(-1 - count) === b.at(-1 - count)) count += 1;
  return count;
};

/** Finds the pictures that texts name among the files that came with them. */
export class PictureFinder {
  private readonly byPath = new Map<string, ImportFile>();
  private readonly byName = new Map<string, ImportFile[]>();

  constructor(files: readonly ImportFile[]) {
    for (const file of files) {
      const path = normal(file.path);
      this.byPath.set(path, file);
      const name = path.split('/').at(-1) ?? '';
      this.byName.set(name, [...(this.byName.get(name) ?? []), file]);
    }
  }

  /** The file of a picture named in a text: beside it, or below another root under the end of the same path; else null. */
  find(src: string, textPath: string): ImportFile | null {
    if (this.byPath.size === 0 || /^data:/i.test(src)) return null;
    const bare = decoded(src.replace(/[?#].*$/, '').replace(/^(?:https?:)?\/\/[^/]*/i, ''));
    const folder = textPath.replace(/[^/]*$/, '');
    const beside = this.byPath.get(normal(folder + bare)) ?? this.byPath.get(normal(bare));
    if (beside) return beside;
    const parts = normal(bare).split('/');
    const [best] = (this.byName.get(parts.at(-1) ?? '') ?? [])
      .map((file) => ({ file, depth: shared(normal(file.path).split('/'), parts) }))
      .sort((a, b) => b.depth - a.depth);
    return best?.file ?? null;
  }
}
