import { type Dirent, existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { basename, dirname, extname, join, relative, resolve, sep } from 'node:path';
import type { PictureSize } from '../core/criteria/index.ts';
import {
  decodeText,
  type FileFormat,
  formatOfName,
  type PostDocument,
  pictureAddresses,
  UnreadableFile,
} from '../core/draft/index.ts';
import { pictureSize, readSiteFile } from '../core/formats/index.ts';
import { type SiteSettings, unknownSite } from '../core/site/index.ts';
import { UsageError } from './options.ts';
import { readGuarded } from './read-guarded.ts';

/** A post file as read. */
export interface InputFile {
  /** As given on the command line, or below the folder given. */
  path: string;
  format: FileFormat;
  document: PostDocument;
  /** Its text as it stands in the file; null where the file holds none (.docx). */
  source: string | null;
  /** Pictures that lie in the file itself. */
  pictures: ReadonlyMap<string, Uint8Array>;
  /** Path below its folder, for links between files; undefined for a file named by itself. */
  filePath?: string;
}

/** Files that are judged with each other in view (a folder), or one file by itself. */
export interface InputGroup {
  files: InputFile[];
  site: SiteSettings;
  isSite: boolean;
}

const SKIPPED = new Set(['node_modules', 'media']);

/** A path that names an ordinary file, as given. A pipe or a device could be read for ever: they are refused. */
export function ordinaryFile(path: string): string {
  const found = statSync(path, { throwIfNoEntry: false });
  if (found && !found.isFile())
    throw new UsageError(`${path} cannot be read: it is no ordinary file. Save what it holds as one.`);
  return path;
}

/** The bytes of an ordinary file. Throws {@link UsageError}. */
export function bytesOf(path: string): Uint8Array {
  try {
    return readFileSync(ordinaryFile(path));
  } catch (error) {
    if (error instanceof UsageError) throw error;
    throw new UsageError(`${path} cannot be read. Check the name and your rights to it.`);
  }
}

async function readOne(path: string, warn: (line: string) => void): Promise<Omit<InputFile, 'filePath'>> {
  try {
    const bytes = bytesOf(path);
    const { notes, format, pictures, ...document } = await readGuarded(bytes, path);
    for (const note of notes) warn(`${path}: ${note}`);
    const source = format === 'docx' ? null : decodeText(bytes, undefined, format === 'html').text;
    return { path, format, document, source, pictures };
  } catch (error) {
    if (error instanceof UnreadableFile) throw new UsageError(`${path} ${error.message}`);
    throw error;
  }
}

function filesBelow(folder: string, warn: (line: string) => void): string[] {
  const out: string[] = [];
  let entries: Dirent[];
  try {
    entries = readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1));
  } catch {
    warn(`${folder} cannot be read. Check your rights to it; the other folders are scored without it.`);
    return out;
  }
  for (const entry of entries) {
    if (entry.name.startsWith('.') || SKIPPED.has(entry.name)) continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) out.push(...filesBelow(path, warn));
    else if (formatOfName(entry.name) !== null) out.push(path);
  }
  return out;
}

/** Reads what a path names: a folder with its `site.json`, or one file. What cannot be read throws {@link UsageError}. */
export async function readInput(path: string, warn: (line: string) => void): Promise<InputGroup> {
  if (!existsSync(path)) throw new UsageError(`${path} is not there. Check the name.`);
  if (!statSync(path).isDirectory())
    return { files: [await readOne(path, warn)], site: unknownSite(), isSite: false };
  const siteFile = join(path, 'site.json');
  // A folder that says nothing else is the whole site.
  let site: SiteSettings = { ...unknownSite(), pages: [] };
  if (existsSync(siteFile)) {
    const reading = readSiteFile(decodeText(bytesOf(siteFile)).text);
    if (reading.problem !== null) throw new UsageError(`${siteFile}: ${reading.problem}`);
    site = reading.site;
  }
  const files: InputFile[] = [];
  for (const file of filesBelow(path, warn)) {
    try {
      files.push({ ...(await readOne(file, warn)), filePath: relative(path, file).split(sep).join('/') });
    } catch (error) {
      if (!(error instanceof UsageError)) throw error;
      warn(error.message);
    }
  }
  if (files.length === 0) throw new UsageError(`${path} holds no post (.md, .html, .txt or .docx).`);
  return { files, site, isSite: true };
}

/** Sizes of the pictures that a document names and that lie beside its file. */
export function picturesOf(
  { path, document, pictures }: InputFile,
  folder: string,
): Map<string, PictureSize> {
  const sizes = new Map<string, PictureSize>();
  for (const [src, bytes] of pictures) sizes.set(src, pictureSize(bytes));
  for (const src of pictureAddresses(document.fields, document.draft)) {
    if (sizes.has(src) || /^(?:[a-z]+:|\/\/)/i.test(src)) continue;
    let bare = src.replace(/[?#].*$/, '');
    try {
      bare = decodeURIComponent(bare);
    } catch {
      // A stray per cent sign: the name as written will do.
    }
    const place = bare.startsWith('/') ? join(folder, bare) : resolve(dirname(path), bare);
    if (extname(place) === '' || !existsSync(place) || !statSync(place).isFile()) continue;
    sizes.set(src, pictureSize(readFileSync(place)));
  }
  return sizes;
}

/** The folder that absolute addresses of a file's pictures start from. */
export const rootOf = (path: string): string =>
  statSync(path).isDirectory() ? path : dirname(path) || basename(path);
