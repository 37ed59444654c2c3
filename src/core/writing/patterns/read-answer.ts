import type { ReadAs } from './pattern.ts';

/** What endpoints put around an answer, against what they are told. */
const FENCE = /^```[\w-]*\n([\s\S]*?)\n?```$/;
const REMARK =
  /^(?:sure|certainly|of course|absolutely|great|okay|ok|here (?:is|are|you go|’s|'s)|below (?:is|are))\b[^\n]{0,160}[:!.]\s*\n+/i;
/** The mark at the beginning of a line of a list. */
const ITEM = /^\s{0,6}(?:[-*•–—]|\(?\d{1,3}[.)]|[a-z]\))\s+/;
const HEADING = /^\s{0,3}(#{1,6})\s+(.+?)\s*#*\s*$/;

/** An answer without what was put around it: a fence, a remark before it. */
export function bareAnswer(text: string): string {
  let bare = text.replace(/\r\n?/g, '\n').trim();
  bare = FENCE.exec(bare)?.[1]?.trim() ?? bare;
  const rest = bare.replace(REMARK, '');
  return (rest.trim() === '' ? bare : rest).trim();
}

/** A line without list marks, quotes around all of it and bold around all of it. */
function bareLine(line: string): string {
  let text = line.replace(ITEM, '').replace(HEADING, '$2').trim();
  for (const [open, close] of [
    ['**', '**'],
    ['"', '"'],
    ['“', '”'],
    ['*', '*'],
  ] as const)
    if (
      text.length > open.length + close.length &&
      text.startsWith(open) &&
      text.endsWith(close) &&
      !text.slice(open.length, -close.length).includes(open)
    )
      text = text.slice(open.length, -close.length).trim();
  return text;
}

/**
 * The pieces of an answer: its lines, its headings (with their marks), its paragraphs (each as Markdown), or all of it as one.
 * Twice the same is once; empty ones are none.
 */
export function readAnswer(text: string, readAs: ReadAs): string[] {
  const bare = bareAnswer(text);
  if (bare === '') return [];
  switch (readAs) {
    case 'text':
      return [bare.split(/\n+/).map(bareLine).filter(Boolean).join(' ')].filter(Boolean);
    case 'paragraphs':
      return bare
        .split(/\n\s*\n/)
        .map((part) => part.trim())
        .filter(Boolean);
    case 'headings': {
      const lines = bare.split('\n').filter((line) => line.trim() !== '');
      const marked = lines.some((line) => HEADING.test(line));
      return once(
        lines.flatMap((line) => {
          const found = HEADING.exec(line);
          if (!found) return marked ? [] : [`## ${bareLine(line)}`];
          return [`${'#'.repeat(Math.min(4, Math.max(2, found[1].length)))} ${bareLine(found[2])}`];
        }),
      );
    }
    case 'lines':
      return once(bare.split('\n').map(bareLine).filter(Boolean));
  }
}

const once = (texts: readonly string[]) => [...new Set(texts)];
