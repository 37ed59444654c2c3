import { diffArrays } from 'diff';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmFromMarkdown } from 'mdast-util-gfm';
import { gfm } from 'micromark-extension-gfm';
import { blockSignature } from './block-signature.ts';
import type { Block, Draft } from './draft.ts';
import { FENCE, splitFrontMatter, writeFrontMatter } from './front-matter.ts';
import { patchFrontMatter } from './patch-front-matter.ts';
import type { PostDocument } from './post-fields.ts';
import { readMarkdown } from './read-markdown.ts';
import { writeMarkdownBody } from './write-markdown.ts';

/** A piece of a body that stands by itself: a paragraph, a list, a table, a definition that others refer to. */
interface Piece {
  /** As it is written, with the space behind it. */
  source: string;
  /** Signatures of the blocks that it reads as; none where it is no text. */
  blocks: string[];
}

const signaturesOf = ({ blocks }: Draft): string[] => blocks.map(blockSignature);

/** Takes a body apart at its top level; null where its pieces read otherwise alone than together (HTML over several). */
function piecesOf(body: string, whole: readonly string[]): { head: string; pieces: Piece[] } | null {
  const { children } = fromMarkdown(body, { extensions: [gfm()], mdastExtensions: [gfmFromMarkdown()] });
  const starts = children.map(({ position }) => position?.start.offset ?? 0);
  const sources = starts.map((start, at) => body.slice(start, starts[at + 1] ?? body.length));
  // What a piece refers to stands elsewhere, and is read along.
  const definitions = children.flatMap(({ type }, at) => (type === 'definition' ? [sources[at].trim()] : []));
  const context = definitions.length > 0 ? `\n\n${definitions.join('\n')}` : '';
  const pieces = children.map(({ type }, at) => ({
    source: sources[at],
    blocks: type === 'definition' ? [] : signaturesOf(readMarkdown(sources[at].trimEnd() + context).draft),
  }));
  const all = pieces.flatMap(({ blocks }) => blocks);
  return all.length === whole.length && all.every((one, at) => one === whole[at])
    ? { head: body.slice(0, starts[0] ?? body.length), pieces }
    : null;
}

/** A line without what may be written in several ways: its bullet, its spaces, the dashes of a table. */
const bareLine = (line: string): string =>
  `${Math.floor(/^\s*/.exec(line)![0].length / 2)} ${line
    .trim()
    .replace(/^[-*+]\s+/, '- ')
    .replace(/^(\d+)[.)]\s+/, '$1. ')
    .replace(/\s*\|\s*/g, '|')
    .replace(/-{2,}/g, '--')
    .replace(/\s+/g, ' ')}`;

/** New text with the lines that only look otherwise than before as they were. */
function withOldLines(text: string, before: string): string {
  const old = new Map<string, string[]>();
  for (const line of before.split('\n')) {
    const known = old.get(bareLine(line));
    if (known) known.push(line);
    else old.set(bareLine(line), [line]);
  }
  return text
    .split('\n')
    .map((line) => (line.trim() === '' ? line : (old.get(bareLine(line))?.shift() ?? line)))
    .join('\n');
}

/** A body with what changed set anew, piece by piece; every piece that says what it said before keeps its bytes. */
function patchBody(head: string, pieces: readonly Piece[], next: readonly Block[], reuse: boolean): string {
  const wanted = next.map(blockSignature);
  // For each block of the old text its place in the new; -1 where it is not there any more.
  const places: number[] = [];
  let fresh = 0;
  for (const { added, removed, count = 0 } of diffArrays(
    pieces.flatMap(({ blocks }) => blocks),
    wanted,
  )) {
    if (added) fresh += count;
    else for (let at = 0; at < count; at++) places.push(removed ? -1 : fresh++);
  }
  let out = head;
  let [at, done] = [0, 0];
  let replaced = '';
  /** Pieces without text that stood behind what is replaced. */
  let behind = '';
  const writeUpTo = (end: number) => {
    if (end > done) {
      const text = writeMarkdownBody({ version: 1, blocks: [...next.slice(done, end)] }).trim();
      if (out.trim() !== '') out = /\n\s*\n$/.test(out) ? out : `${out.trimEnd()}\n\n`;
      out += `${reuse ? withOldLines(text, replaced) : text}\n\n`;
    }
    out += behind;
    done = end;
    replaced = '';
    behind = '';
  };
  /** Whether what was put out last stood before this piece in the file, too. */
  let isNext = true;
  for (const { source, blocks } of pieces) {
    const from = places[at];
    const isKept =
      blocks.length > 0 && blocks.every((_, offset) => places[at + offset] === from + offset) && from >= 0;
    at += blocks.length;
    if (blocks.length === 0) {
      // No text: it stays where it stands, behind what is new before it.
      if (replaced === '') out += source;
      else behind += source;
      continue;
    }
    if (!isKept) {
      replaced += source;
      isNext = false;
      continue;
    }
    if (from > done) isNext = false;
    writeUpTo(from);
    // What was last may have had no empty line after it.
    if (!isNext && out.trim() !== '' && !/\n[ \t]*\n[ \t]*$/.test(out)) out = `${out.trimEnd()}\n\n`;
    isNext = true;
    out += source;
    done = from + blocks.length;
  }
  writeUpTo(next.length);
  return out;
}

/** The body of a file with the changes of its post; checked by reading it: where a piece does not fit, more is written anew. */
function patchedBody(body: string, before: Draft, next: Draft): string {
  const text = writeMarkdownBody(next);
  const wanted = signaturesOf(readMarkdown(text).draft);
  const old = signaturesOf(before);
  const apart = piecesOf(body, old);
  const end = /\s*$/.exec(body)?.[0] ?? '';
  for (const reuse of apart ? [true, false] : []) {
    const patched = patchBody(apart!.head, apart!.pieces, next.blocks, reuse).trimEnd() + end;
    const read = signaturesOf(readMarkdown(patched).draft);
    if (read.length === wanted.length && read.every((one, at) => one === wanted[at])) return patched;
  }
  return `${text.trimEnd()}${end}`;
}

/**
 * A post's file with the changes that were made to the post, and every other byte as it was: a new title changes the line of the
 * title. `source` is the file as it stands, `next` the post as it shall be. Front matter that cannot be read is left alone and
 * the post's put before it.
 */
export function patchMarkdown(source: string, next: PostDocument): string {
  const hit = FENCE.exec(source);
  const newline = /\r\n/.test(source) ? '\r\n' : '\n';
  const { body, problem } = splitFrontMatter(source);
  const before = readMarkdown(source);
  const [old, fresh] = [signaturesOf(before.draft), signaturesOf(next.draft)];
  const isSame = old.length === fresh.length && old.every((one, at) => one === fresh[at]);
  const patched = isSame
    ? body
    : patchedBody(body.replace(/\r\n/g, '\n'), before.draft, next.draft).replace(/\n/g, newline);
  if (problem !== null) return writeFrontMatter(next.fields) + (hit?.[0] ?? '') + patched;
  const yaml = hit?.[1] ?? '';
  // A title that stands in the text alone is no field yet, and need not become one.
  const front = patchFrontMatter(yaml.replace(/\r\n/g, '\n'), before.fields, next.fields)
    .replace(/\n$/, '')
    .replace(/\n/g, newline);
  if (!hit) return (front === '' ? '' : ['---', front, '---', '', ''].join(newline)) + patched;
  const fence = hit[0];
  const at = fence.indexOf('\n') + 1;
  const rest = fence.slice(at + yaml.length);
  // Between fences with nothing in them there is no line end to end the first field.
  const end = yaml === '' && front !== '' && !/^\r?\n/.test(rest) ? newline : '';
  return `${fence.slice(0, at)}${front}${end}${rest}${patched}`;
}
