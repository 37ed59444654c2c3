import { type Document, isMap, isScalar, isSeq, type Pair, parseDocument, Scalar, stringify } from 'yaml';
import { FIELD_NAMES, isLeftOut, valueOfField } from './front-matter.ts';
import type { PostFields } from './post-fields.ts';

/** Part of a text that is replaced. */
interface Patch {
  start: number;
  end: number;
  text: string;
}

const lineStart = (text: string, at: number) => text.lastIndexOf('\n', at - 1) + 1;
const lineEnd = (text: string, at: number) => {
  const end = text.indexOf('\n', at);
  return end < 0 ? text.length : end + 1;
};

/** A field as YAML writes it, in the style in which its value stood before. */
function written(document: Document, name: string, value: unknown, before: unknown): string {
  const node = document.createNode(value);
  if (isScalar(node) && isScalar(before) && typeof value === 'string')
    (node as Scalar).type =
      before.type === Scalar.QUOTE_DOUBLE || before.type === Scalar.QUOTE_SINGLE ? before.type : Scalar.PLAIN;
  if (isSeq(node) && isSeq(before)) node.flow = before.flow === true;
  return stringify({ [name]: node }, { schema: 'core', lineWidth: 0 }).trimEnd();
}

/** The span of a field: its key to the end of its value, what stands behind it on the line left aside. */
function spanOf({ key, value }: Pair, source: string): { start: number; end: number } | null {
  const from = (key as { range?: [number, number, number] } | null)?.range;
  if (!from) return null;
  const to = (value as { range?: [number, number, number] } | null)?.range?.[1] ?? from[1] + 1;
  const end = from[0] + source.slice(from[0], to).trimEnd().length;
  return { start: from[0], end };
}

/**
 * Front matter with the fields that differ between two states of a post set anew, each on its own lines; every other byte stays:
 * order, comments, quotes, fields that nobody knows. `yaml` is what stands between the fences.
 */
export function patchFrontMatter(yaml: string, before: PostFields, after: PostFields): string {
  const document = parseDocument(yaml, { schema: 'core', logLevel: 'silent' });
  const pairs = isMap(document.contents) ? (document.contents.items as Pair[]) : [];
  const pairOf = (name: string) => pairs.find(({ key }) => isScalar(key) && key.value === name);
  const patches: Patch[] = [];
  const added: string[] = [];
  const set = (name: string, value: unknown, isEmpty: boolean) => {
    const pair = pairOf(name);
    const span = pair ? spanOf(pair, yaml) : null;
    if (isEmpty && span)
      patches.push({ start: lineStart(yaml, span.start), end: lineEnd(yaml, span.end), text: '' });
    else if (!isEmpty && span) patches.push({ ...span, text: written(document, name, value, pair?.value) });
    else if (!isEmpty) added.push(written(document, name, value, null));
  };
  for (const name of FIELD_NAMES) {
    const value = valueOfField(after, name);
    if (JSON.stringify(valueOfField(before, name)) === JSON.stringify(value)) continue;
    set(name, value, isLeftOut(after, name));
  }
  for (const name of new Set([...Object.keys(before.unknown), ...Object.keys(after.unknown)])) {
    const value = after.unknown[name];
    if (JSON.stringify(before.unknown[name]) !== JSON.stringify(value)) set(name, value, value === undefined);
  }
  let out = yaml;
  for (const { start, end, text } of patches.sort((a, b) => b.start - a.start))
    out = out.slice(0, start) + text + out.slice(end);
  for (const line of added) out = `${out}${out === '' || out.endsWith('\n') ? '' : '\n'}${line}\n`;
  return out;
}
