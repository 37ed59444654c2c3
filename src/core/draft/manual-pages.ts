import type { Element, ElementContent } from 'hast';
import { textOf } from './hast-reading.ts';
import type { PostDocument } from './post-fields.ts';

/** Text that is set by hand is prose where so many of its words are of those that hold sentences together. */
const HOLDING =
  /\b(?:the|a|an|of|to|in|is|are|and|or|that|this|it|you|for|with|as|be|can|by|on|not|if|when|which|from|will|at|was|have)\b/gi;
const LEAST_HOLDING = 0.22;
const FEWEST_WORDS = 9;
/** A whole text of fewer words is an example, whatever it says. */
const FEWEST_OF_ALL = 150;
const WORD = /[\p{L}\p{N}]+/gu;
/** A line of signs that parts chapters. */
const RULE = /^[\s=*~_-]{10,}$/;
/** Signs that sentences seldom have and code has in plenty. */
const OF_CODE = /[{}<>=;$\\|]/g;

const wordsOf = (text: string) => text.match(WORD)?.length ?? 0;

function isProse(text: string): boolean {
  const words = wordsOf(text);
  return (
    words >= FEWEST_WORDS &&
    (text.match(HOLDING)?.length ?? 0) / words >= LEAST_HOLDING &&
    (text.match(OF_CODE)?.length ?? 0) < words / 4
  );
}

const element = (tagName: string, value: string): Element => ({
  type: 'element',
  tagName,
  properties: {},
  children: [{ type: 'text', value }],
});

/** The line of a text that may be a heading: short, no sentence, after a rule or written as one. */
function headingOf(chunk: string, afterRule: boolean): string | null {
  const lines = chunk.split('\n').filter((line) => line.trim());
  if (lines.length === 0 || lines.length > 2) return null;
  const line = lines[0]
    .replace(/\s*\*[^*\s]+\*/g, '')
    .replace(/^\*[\w.-]+\*\s*/, '')
    .replace(/\s*~\s*$/, '')
    .replace(/\s+/g, ' ')
    .trim();
  const words = wordsOf(line);
  if (words === 0 || words > 8 || /[.,;:]$/.test(line) || !/\p{L}{3}/u.test(line)) return null;
  const underlined = lines.length === 2 && RULE.test(lines[1]);
  const capitals = line === line.toUpperCase() && words > 0;
  const marked = /~\s*$/.test(lines[0]) || /^\*?\d+(?:\.\d+)*\.?\*?\s/.test(lines[0].trim());
  if (lines.length === 2 && !underlined) return null;
  return afterRule || underlined || capitals || marked ? line.replace(/^\d+(?:\.\d+)*\.?\s+/, '') : null;
}

/** Prose that was set as it was typed, in paragraphs and headings; null where it is code or an example. */
export function proseOfPre(text: string): ElementContent[] | null {
  if (wordsOf(text) < FEWEST_OF_ALL) return null;
  const chunks = text.replace(/\r\n?/g, '\n').split(/\n[ \t]*\n+/);
  const prose = chunks.filter(isProse);
  if (prose.reduce((sum, chunk) => sum + wordsOf(chunk), 0) < wordsOf(text) * 0.3) return null;
  const out: ElementContent[] = [];
  let afterRule = false;
  for (const chunk of chunks) {
    const lines = chunk.split('\n');
    while (lines.length && RULE.test(lines[0])) {
      afterRule = true;
      lines.shift();
    }
    const rest = lines.join('\n');
    if (!rest.trim()) continue;
    const heading = headingOf(rest, afterRule);
    if (heading) out.push(element('h2', heading));
    else if (isProse(rest)) out.push(element('p', rest.replace(/\s+/g, ' ').trim()));
    else out.push(element('pre', rest));
    afterRule = false;
  }
  return out;
}

/** A tree in which prose that stands in `<pre>` is read as paragraphs. */
export function withProseOfPre(el: Element): Element {
  return {
    ...el,
    children: el.children.flatMap((child): ElementContent[] => {
      if (child.type !== 'element') return [child];
      if (child.tagName !== 'pre') return [withProseOfPre(child)];
      return proseOfPre(textOf(child)) ?? [child];
    }),
  };
}

/** Pages of manuals begin with a part that names them: "grep - print lines that match patterns". */
const NAMED = /^([\w.:+-]+(?:, ?[\w.:+-]+)*) (?:-{1,2}|–|—|\\\\-) (\S.{3,120})$/;
const FIRST_BLOCKS = 6;
/** Such a page has the name of its program for a title, in small letters, or that of its first part. */
const MANUAL_TITLE = /^(?:NAME|Name|[\w.+:-]+ ?\(\d\w*\)(?: Manual Page)?|[a-z][a-z\d.+:-]*)$/;

/** A document that names itself as pages of manuals do, with that as its title: what it is says more than its file's name. */
export function manualTitle(document: PostDocument): PostDocument {
  const { fields, draft } = document;
  if (!MANUAL_TITLE.test(fields.title.trim())) return document;
  const at = draft.blocks
    .slice(0, FIRST_BLOCKS)
    .findIndex(({ kind, text }) => kind === 'heading' && /^name$/i.test(text.trim()));
  const line = draft.blocks[at + 1];
  // The heading may itself have been taken for the title.
  const first = at >= 0 ? line : draft.blocks.slice(0, 3).find(({ text }) => NAMED.test(text.trim()));
  const named = NAMED.exec(first?.text.replace(/\s+/g, ' ').trim() ?? '');
  return named ? { fields: { ...fields, title: `${named[1]}: ${named[2]}` }, draft } : document;
}
