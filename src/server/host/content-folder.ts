import { createHash } from 'node:crypto';
import { existsSync, lstatSync, readdirSync, readFileSync, realpathSync, statSync } from 'node:fs';
import { basename, dirname, extname, join, relative, resolve, sep } from 'node:path';
import {
  decodeText,
  type PostDocument,
  type PostFields,
  patchMarkdown,
  readHtml,
  splitFrontMatter,
  writeHtmlPage,
  writeMarkdown,
} from '../../core/draft/index.ts';
import { slugOf } from '../../core/listing/index.ts';
import { writeWhole } from '../blog/record-store.ts';
import { HostProblem } from './blog-host.ts';
import { watchFolder } from './watch-folder.ts';

/** A post's file as lists know it: its text is read when it is asked for. */
export interface ContentFile {
  /** Below the folder, with `/`: `2026/low-water.md`. */
  path: string;
  fields: PostFields;
}

const POSTS = new Set(['.md', '.markdown', '.html', '.htm']);
/** Folders in which nobody keeps posts. */
const PASSED_OVER = /^(?:\.|node_modules$|_site$|public$|dist$)/;
/** Files that are looked at, and how deep. */
const MOST_FILES = 20_000;
const DEEPEST = 12;
/** Bytes of a post's file. */
const MOST_BYTES = 5_000_000;

const versionOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex').slice(0, 24);

/** A file to the end of its front matter, where that is near: the fields of thousands of posts are read without their texts. */
function headOf(bytes: Buffer): Buffer {
  if (bytes.subarray(0, 3).toString('latin1') !== '---') return bytes;
  const end = bytes.indexOf('\n---', 3);
  return end < 0 || end > 64_000 ? bytes : bytes.subarray(0, end + 5);
}

const isHtml = (path: string) => /\.html?$/i.test(path);

/** A folder of posts, read and written file by file; nothing outside of it is ever touched, wherever links in it lead. */
export class ContentFolder {
  private readonly root: string;
  private changes = 0;
  /** What was read of files, by path: for as long as size and time stay. */
  private readonly known = new Map<string, { stamp: string; file: ContentFile }>();

  constructor(readonly folder: string) {
    this.root = realpathSync(resolve(folder));
  }

  /** How often something was changed in the folder since it is watched, by whomever. */
  get changeCount(): number {
    return this.changes;
  }

  /** Counts changes from now on; answers how to stop. Where a folder cannot be watched, posts are looked at when they are asked for. */
  watch(): () => void {
    try {
      return watchFolder(
        this.root,
        { deepest: DEEPEST, passedOver: PASSED_OVER },
        () => {
          this.changes += 1;
        },
        (error) => console.error('The folder of posts cannot be watched any more:', error),
      );
    } catch (error) {
      console.error('The folder of posts cannot be watched:', error);
      return () => {};
    }
  }

  /** The place of a path below the folder; throws where it would lead out of it, by `..`, from the root or through a link. */
  private placeOf(path: string): string {
    const place = resolve(this.root, path);
    const isInside = (at: string) => at === this.root || at.startsWith(this.root + sep);
    let existing = place;
    while (!existsSync(existing) && existing !== dirname(existing)) existing = dirname(existing);
    const isLink = existsSync(place) && lstatSync(place).isSymbolicLink();
    if (!isInside(place) || !isInside(realpathSync(existing)) || isLink || path.includes('\0'))
      throw new HostProblem('refused', `“${path.slice(0, 200)}” lies outside of the folder of posts.`);
    return place;
  }

  private *files(at = this.root, depth = 0): Generator<string> {
    if (depth > DEEPEST) return;
    for (const entry of readdirSync(at, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      if (PASSED_OVER.test(entry.name)) continue;
      const place = join(at, entry.name);
      if (entry.isDirectory()) yield* this.files(place, depth + 1);
      // A link is no file of the folder: what it names may lie anywhere.
      else if (entry.isFile() && POSTS.has(extname(entry.name).toLowerCase())) yield place;
    }
  }

  private fileAt(place: string): ContentFile | null {
    const path = relative(this.root, place).split(sep).join('/');
    const { size, mtimeMs } = statSync(place);
    const stamp = `${size} ${mtimeMs}`;
    const known = this.known.get(path);
    if (known?.stamp === stamp) return known.file;
    if (size > MOST_BYTES) return null;
    try {
      const bytes = readFileSync(place);
      const { text } = decodeText(isHtml(path) ? bytes : headOf(bytes));
      const fields = isHtml(path) ? readHtml(text).fields : splitFrontMatter(text).fields;
      const file = { path, fields };
      this.known.set(path, { stamp, file });
      return file;
    } catch {
      // What is no text is no post.
      return null;
    }
  }

  /** Posts of the folder by path, with their fields; texts stay unread. */
  list(): ContentFile[] {
    const found: ContentFile[] = [];
    for (const place of this.files()) {
      if (found.length >= MOST_FILES) break;
      const file = this.fileAt(place);
      if (file) found.push(file);
    }
    return found;
  }

  /** A post's file as it stands; throws where there is none. */
  read(path: string): { bytes: Buffer; version: string } {
    const place = this.placeOf(path);
    if (!existsSync(place))
      throw new HostProblem('missing', `There is no file ${path} in the folder any more.`);
    const bytes = readFileSync(place);
    return { bytes, version: versionOf(bytes) };
  }

  /** The file of a post by its slug: the one that says so, or that is called so; null where there is none. */
  bySlug(slug: string): string | null {
    const files = this.list();
    const named = (path: string) => slugOf(basename(path, extname(path)).replace(/^\d{4}-\d{2}-\d{2}-/, ''));
    return (
      files.find(({ fields }) => slugOf(fields.slug) === slug)?.path ??
      files.find(({ path, fields }) => fields.slug === '' && named(path) === slug)?.path ??
      null
    );
  }

  /** Writes a new post and answers its path: by its slug, with a number where a file is called so. */
  add(document: PostDocument): string {
    const stem = slugOf(document.fields.slug || document.fields.title) || 'untitled';
    for (let number = 1; ; number++) {
      const path = `${stem}${number > 1 ? `-${number}` : ''}.md`;
      const place = this.placeOf(path);
      if (existsSync(place)) continue;
      writeWhole(place, writeMarkdown(document));
      return path;
    }
  }

  /** Writes the changes of a post into its file; `known` is the version that it must still have, null: whatever it is. */
  change(path: string, document: PostDocument, known: string | null): void {
    const { bytes, version } = this.read(path);
    if (known !== null && known !== version)
      throw new HostProblem('changed', `The file ${path} was changed since it was read.`);
    const { text } = decodeText(bytes);
    // A file that does not say when it was changed does not begin to: version control knows.
    const { updated } = isHtml(path) ? readHtml(text).fields : splitFrontMatter(text).fields;
    const post = updated ? document : { ...document, fields: { ...document.fields, updated: '' } };
    const next = isHtml(path) ? writeHtmlPage(post, post.fields.metaTitle) : patchMarkdown(text, post);
    if (next !== text) writeWhole(this.placeOf(path), next);
  }

  /**
   * Puts a picture under the `media/` beside a post's file (empty: at the root), once, and answers its path from there: a file
   * of that name with other bytes in it stays, and this one gets a number.
   */
  putPicture(name: string, bytes: Buffer, post = ''): string {
    const folder = dirname(post);
    const clean = name.replace(/[^\w.-]+/g, '-').replace(/^\.+/, '') || 'picture';
    const dot = clean.lastIndexOf('.');
    for (let number = 1; ; number++) {
      const path = `media/${number === 1 ? clean : `${clean.slice(0, dot)}-${number}${clean.slice(dot)}`}`;
      const place = this.placeOf(join(folder, path));
      if (!existsSync(place)) {
        writeWhole(place, bytes);
        return path;
      }
      if (readFileSync(place).equals(bytes)) return path;
    }
  }

  /** Every file of the folder that belongs to posts, with its bytes: for a page that opens it. */
  *everything(): Generator<{ path: string; bytes: Buffer }> {
    const pictures = /\.(?:png|jpe?g|gif|webp|avif)$/i;
    const walk = function* (at: string, depth: number): Generator<string> {
      if (depth > DEEPEST) return;
      for (const entry of readdirSync(at, { withFileTypes: true })) {
        if (PASSED_OVER.test(entry.name)) continue;
        const place = join(at, entry.name);
        if (entry.isDirectory()) yield* walk(place, depth + 1);
        else if (entry.isFile()) yield place;
      }
    };
    for (const place of walk(this.root, 0)) {
      const path = relative(this.root, place).split(sep).join('/');
      const isPost = POSTS.has(extname(place).toLowerCase());
      if (isPost || pictures.test(path) || path === 'site.json') yield { path, bytes: readFileSync(place) };
    }
  }
}
