import { countingIds, type NextId } from './draft.ts';
import type { PostDocument } from './post-fields.ts';
import { readHtml } from './read-html.ts';
import { readMarkdown } from './read-markdown.ts';
import { readText } from './read-text.ts';

/** Formats that a post can be read from. */
export type FileFormat = 'html' | 'markdown' | 'text';

const EXTENSIONS: Record<string, FileFormat> = {
  html: 'html',
  htm: 'html',
  xhtml: 'html',
  md: 'markdown',
  markdown: 'markdown',
  mdown: 'markdown',
  mkd: 'markdown',
  txt: 'text',
  text: 'text',
};

/** The format that a file's name tells, or null. */
export const formatOfName = (name: string): FileFormat | null =>
  EXTENSIONS[/\.([a-z]+)$/i.exec(name)?.[1].toLowerCase() ?? ''] ?? null;

/** Reads the text of a file; `problem` says in words what was left out, null where nothing was. */
export function readFile(
  text: string,
  format: FileFormat,
  nextId: NextId = countingIds(),
): PostDocument & { problem: string | null } {
  if (format === 'markdown') return readMarkdown(text, nextId);
  const document = format === 'html' ? readHtml(text, nextId) : readText(text, nextId);
  return { ...document, problem: null };
}
