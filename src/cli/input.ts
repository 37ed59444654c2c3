import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { basename, dirname, extname, join, relative, resolve, sep } from 'node:path';
import type { PictureSize } from '../core/criteria/index.ts';
import { type FileFormat, formatOfName, type PostDocument, readFile } from '../core/draft/index.ts';
import { pictureSize, readSiteFile } from '../core/formats/index.ts';
import { type SiteSettings, unknownSite } from '../core/site/index.ts';
import { UsageError } from './options.ts';

/** A post file as read. */
export interface InputFile {
  /** As given on the command line, or below the folder given. */
  path: string;
  format: FileFormat;
  document: PostDocument;
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

function textOf(bytes: Buffer): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  return new TextDecoder('utf-8').decode(bytes);
}

/** The format of a file without a telling name. */
const sniff = (text: string): FileFormat =>
  /^\s*(?:<!doctype|<html|<[a-z]+[^>]*>)/i.test(text) ? 'html' : 'text';

function readOne(path: string, warn: (line: string) => void): Omit<InputFile, 'filePath'> {
  if (/\.docx?$/i.test(path))
    throw new UsageError(`${path} is a word processor's file. Save it as HTML, Markdown or text first.`);
  let bytes: Buffer;
  try {
    bytes = readFileSync(path);
  } catch {
    throw new UsageError(`${path} cannot be read. Check the name and your rights to it.`);
  }
  const text = textOf(bytes);
  const format = formatOfName(path) ?? sniff(text);
  const { problem, ...document } = parsed(text, format, path);
  if (problem) warn(`${path}: ${problem}`);
  return { path, format, document };
}

function parsed(text: string, format: FileFormat, path: string) {
  try {
    return readFile(text, format);
  } catch {
    throw new UsageError(
      `${path} cannot be read: its markup is nested too deeply. Save a simpler version of it.`,
    );
  }
}

function filesBelow(folder: string): string[] {
  const out: string[] = [];
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  )) {
    if (entry.name.startsWith('.') || SKIPPED.has(entry.name)) continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) out.push(...filesBelow(path));
    else if (formatOfName(entry.name) !== null) out.push(path);
  }
  return out;
}

/** Reads what a path names: a folder with its `site.json`, or one file. What cannot be read throws {@link UsageError}. */
export function readInput(path: string, warn: (line: string) => void): InputGroup {
  if (!existsSync(path)) throw new UsageError(`${path} is not there. Check the name.`);
  if (!statSync(path).isDirectory())
    return { files: [readOne(path, warn)], site: unknownSite(), isSite: false };
  const siteFile = join(path, 'site.json');
  let site = unknownSite();
  if (existsSync(siteFile)) {
    const reading = readSiteFile(textOf(readFileSync(siteFile)));
    if (reading.problem !== null) throw new UsageError(`${siteFile}: ${reading.problem}`);
    site = reading.site;
  }
  const files: InputFile[] = [];
  for (const file of filesBelow(path)) {
    try {
      files.push({ ...readOne(file, warn), filePath: relative(path, file).split(sep).join('/') });
    } catch (error) {
      if (!(error instanceof UsageError)) throw error;
      warn(error.message);
    }
  }
  if (files.length === 0) throw new UsageError(`${path} holds no post (.md, .html or .txt).`);
  return { files, site, isSite: true };
}

/** Sizes of the pictures that a document names and that lie beside its file. */
export function picturesOf({ path, document }: InputFile, folder: string): Map<string, PictureSize> {
  const sizes = new Map<string, PictureSize>();
  const sources = [document.fields.image, ...document.draft.blocks.map((block) => block.image?.src ?? '')];
  for (const src of sources) {
    if (src === '' || sizes.has(src) || /^(?:[a-z]+:|\/\/)/i.test(src)) continue;
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
