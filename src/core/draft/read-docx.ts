import { zipSync } from 'fflate';
import type { Element, Root } from 'hast';
import { DIVIDER, HEADER_CELL, INLINE_CODE, NEXT_STEPS } from './docx-styles.ts';
import { countingIds, type NextId } from './draft.ts';
import { elementsIn, isBetween, make } from './hast-changing.ts';
import { classNames, findElement, textOf } from './hast-reading.ts';
import { NEXT_STEP } from './head-fields.ts';
import { parsePiece } from './parse-html.ts';
import type { PostDocument } from './post-fields.ts';
import { documentFromTree } from './read-html.ts';
import { readZip } from './read-zip.ts';
import { UnreadableFile } from './unreadable.ts';

/** A word processor's document as read. */
export interface ReadDocx extends PostDocument {
  /** Pictures that lie in the file, by the address under which the draft names them. */
  pictures: Map<string, Uint8Array>;
  /** What was not read, in words. */
  notes: string[];
}

/** Its text alone (all but its pictures) and the whole of it, unpacked. */
const MOST_TEXT = 30_000_000;
const LIMITS = { files: 5000, bytes: 300_000_000 };

/** Classes by which paragraphs are known between the two steps of reading. */
const CAPTION = 'caption';
const HEADER = 'header-cell';

/** Plain structure by style; with a title in its own style, the first level of headings stands below it. */
const styleMap = (hasTitle: boolean): string[] => [
  ...(hasTitle
    ? [
        "p[style-name='Title'] => h1:fresh",
        ...[1, 2, 3, 4, 5].map((level) => `p[style-name='Heading ${level}'] => h${level + 1}:fresh`),
      ]
    : []),
  "p[style-name='Subtitle'] => p:fresh",
  "p[style-name='Quote'] => blockquote:fresh > p:fresh",
  "p[style-name='Intense Quote'] => blockquote:fresh > p:fresh",
  "p[style-name='Code'] => pre:separator('\\n')",
  `p[style-name='Caption'] => p.${CAPTION}:fresh`,
  `p[style-name='${DIVIDER}'] => hr:fresh`,
  ...Object.entries(NEXT_STEPS).map(
    ([look, name]) => `p[style-name='${name}'] => p.${NEXT_STEP}.${look}:fresh`,
  ),
  `p[style-name='${HEADER_CELL}'] => p.${HEADER}:fresh`,
  `r[style-name='${INLINE_CODE.name}'] => code`,
  'u => u',
];

const decode = (bytes: Uint8Array | undefined) => (bytes ? new TextDecoder().decode(bytes) : '');

const unescaped = (xml: string) =>
  xml
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&apos;/g, "'")
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
    .trim();

const property = (xml: string, name: string) =>
  unescaped(new RegExp(`<${name}(?:\\s[^>]*)?>([^<]*)</${name}>`).exec(xml)?.[1] ?? '');

/** Elements that are left out, as people call them. */
const LEFT_OUT: [pattern: RegExp, name: string][] = [
  [/m:oMath/, 'formulas'],
  [/w:object|v:shape|c:chart/, 'drawings and embedded objects'],
];

const ENDINGS: ReadonlyMap<string, string> = new Map(
  Object.entries({
    'image/jpeg': 'jpg',
    'image/svg+xml': 'svg',
  }),
);

/**
 * Reads a .docx file: headings, paragraphs, lists, tables, links, quotes, and pictures with their alternative text.
 * Tracked changes are read as accepted, comments left out. Throws {@link UnreadableFile}.
 */
export async function readDocx(bytes: Uint8Array, nextId: NextId = countingIds()): Promise<ReadDocx> {
  const parts = readZip(bytes, LIMITS);
  if (!parts.has('word/document.xml') && !parts.has('_rels/.rels'))
    throw new UnreadableFile('cannot be read: it is no .docx document. Save it again as .docx.');
  let text = 0;
  for (const [path, part] of parts) if (/\.(?:xml|rels)$/i.test(path)) text += part.length;
  if (text > MOST_TEXT)
    throw new UnreadableFile('cannot be read: its text is too large to be a post. Split the document.');
  // Packed anew without compression: what is read next has been measured.
  const measured = zipSync(Object.fromEntries(parts), { level: 0 });
  const body = decode(parts.get('word/document.xml'));
  const pictures = new Map<string, Uint8Array>();
  // A large package that most visits never need.
  const { default: mammoth } = await import('mammoth');
  const convertImage = mammoth.images.imgElement(async (image) => {
    const type = image.contentType;
    const src = `media/picture-${pictures.size + 1}.${ENDINGS.get(type) ?? type.split('/')[1] ?? 'png'}`;
    pictures.set(src, new Uint8Array(await image.readAsArrayBuffer()));
    return { src };
  });
  let converted: { value: string; messages: { message: string }[] };
  try {
    converted = await mammoth.convertToHtml(
      // The package asks for one name in a browser and for the other in Node.
      { arrayBuffer: measured.buffer, buffer: measured } as never,
      {
        convertImage,
        styleMap: styleMap(/<w:pStyle w:val="Title"\s*\/>/.test(body)),
        externalFileAccess: false,
      },
    );
  } catch (error) {
    throw new UnreadableFile(
      error instanceof RangeError
        ? 'cannot be read: its parts are nested too deeply. Save a simpler version of it.'
        : 'cannot be read: its content is damaged. Open it in a word processor and save it again.',
    );
  }
  const tree = parsePiece(converted.value);
  putRight(tree);
  const { fields, draft } = documentFromTree(tree, nextId);
  const core = decode(parts.get('docProps/core.xml'));
  fields.title ||= property(core, 'dc:title');
  fields.metaDescription ||= property(core, 'dc:description');
  fields.language ||=
    /<w:rPrDefault>[\s\S]*?<w:lang [^>]*w:val="([\w-]+)"/.exec(decode(parts.get('word/styles.xml')))?.[1] ??
    '';
  const left = LEFT_OUT.filter(([pattern]) => pattern.test(body)).map(([, name]) => name);
  const comments = parts.has('word/comments.xml');
  const lost = converted.messages.filter((message) => /could not (?:open|find)|image/i.test(message.message));
  return {
    fields,
    draft,
    pictures,
    notes: [
      ...(left.length ? [`Left out: ${left.join(', ')}.`] : []),
      ...(comments ? ['Comments were left out.'] : []),
      ...(lost.length
        ? [`${lost.length} ${lost.length === 1 ? 'picture' : 'pictures'} could not be read.`]
        : []),
    ],
  };
}

/** Pictures with their captions, header cells: what the package leaves as paragraphs. */
function putRight(tree: Root): void {
  for (const { el, parent } of elementsIn(tree)) {
    if (el.tagName === 'td' && findElement(el, (inner) => classNames(inner).includes(HEADER)))
      el.tagName = 'th';
    if (el.tagName === 'br' && parent.type === 'element' && parent.tagName === 'pre')
      parent.children.splice(parent.children.indexOf(el), 1, { type: 'text', value: '\n' });
    if (!classNames(el).includes(CAPTION)) continue;
    const before = previousElement(parent.children, el);
    const picture = before && isPicture(before) ? before : null;
    if (!picture) continue;
    picture.tagName = 'figure';
    picture.children.push(make('figcaption', el.children));
    parent.children.splice(parent.children.indexOf(el), 1);
  }
}

function previousElement(children: Root['children'], el: Element): Element | null {
  for (let at = children.indexOf(el) - 1; at >= 0; at--) {
    const node = children[at];
    if (node.type === 'element') return node;
    if (!isBetween(node)) return null;
  }
  return null;
}

const isPicture = (el: Element): boolean =>
  el.tagName === 'p' &&
  textOf(el).trim() === '' &&
  findElement(el, ({ tagName }) => tagName === 'img') !== null;
