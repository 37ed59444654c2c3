import type { IImageOptions, IParagraphOptions, ParagraphChild } from 'docx';
import { imageSize } from 'image-size';
import { DIVIDER, HEADER_CELL, INLINE_CODE, NEXT_STEPS } from './docx-styles.ts';
import { type Block, type Draft, isNoteRef } from './draft.ts';
import { embedKindInWords } from './embed-address.ts';
import { type Footnotes, footnotesOf, noteNumber } from './footnotes.ts';
import { type Nested, nest, runsOf } from './nest.ts';
import type { PostDocument } from './post-fields.ts';

type Docx = typeof import('docx');
/** What stands in a document or in a cell of a table. */
type Part = InstanceType<Docx['Paragraph']> | InstanceType<Docx['Table']>;

/** A text block's width on A4 with usual margins, in pixels at 96 per inch. */
const TEXT_WIDTH = 600;
/** Deepest level that a word processor's list has. */
const LAST_LEVEL = 8;

type DocxPicture = 'jpg' | 'png' | 'gif';
const TYPES: ReadonlyMap<string, DocxPicture> = new Map<string, DocxPicture>(
  Object.entries({ jpg: 'jpg', jpeg: 'jpg', png: 'png', gif: 'gif' }),
);

/** Writes one draft; lists are numbered anew in each. */
class Writer {
  /** Each ordered list counts by itself. */
  readonly numberings: { reference: string; start: number }[] = [];
  /** Pictures that are named instead of shown: of a kind that word processors do not read, or not at hand. */
  readonly left: string[] = [];
  /** What the format has nothing for, in words. */
  readonly lost = new Set<string>();
  /** Footnotes by their number. */
  readonly notes: Record<string, { children: InstanceType<Docx['Paragraph']>[] }> = {};

  constructor(
    private readonly docx: Docx,
    private readonly pictures: ReadonlyMap<string, Uint8Array>,
    private readonly footnotes: Footnotes,
  ) {}

  parts(nodes: Nested[], options: IParagraphOptions = {}, level = -1): Part[] {
    return nodes.flatMap((node): Part[] => {
      if ('block' in node) return this.block(node.block, options);
      const { container, children } = node;
      if (container.type === 'quote') return this.parts(children, { ...options, style: 'Quote' }, level);
      if (container.type === 'table') return [this.table(children)];
      if (container.type !== 'list') return this.parts(children, options, level);
      if (this.footnotes.lists.has(container.key)) return this.noteItems(children);
      const next = Math.min(level + 1, LAST_LEVEL);
      let reference = 'bullets';
      if (container.ordered) {
        reference = `numbers-${this.numberings.length + 1}`;
        this.numberings.push({ reference, start: container.start ?? 1 });
      }
      return children.flatMap((item) => this.item(item, options, reference, next));
    });
  }

  /** Notes stand at the foot of their pages: nothing of them in the text. */
  private noteItems(items: readonly Nested[]): [] {
    for (const item of items) {
      const number = 'block' in item ? undefined : this.footnotes.numbers.get(item.container.key);
      if (number === undefined || 'block' in item) continue;
      const parts = this.parts(item.children);
      const paragraphs = parts.filter((part) => part instanceof this.docx.Paragraph);
      if (paragraphs.length < parts.length) this.lost.add('tables in footnotes');
      this.notes[number] = { children: paragraphs };
    }
    return [];
  }

  /** The first paragraph of an item carries its mark, the others stand under it. */
  private item(item: Nested, options: IParagraphOptions, reference: string, level: number): Part[] {
    const children = 'block' in item ? [item] : item.children;
    return children.flatMap((child, at) => {
      if (!('block' in child)) return this.parts([child], options, level);
      const place: IParagraphOptions =
        at === 0 ? { numbering: { reference, level } } : { indent: { left: 720 * (level + 1) } };
      return this.block(child.block, { ...options, ...place });
    });
  }

  private block(block: Block, options: IParagraphOptions): Part[] {
    const { Paragraph, TextRun } = this.docx;
    for (const what of lostIn(block)) this.lost.add(what);
    if (block.kind === 'divider') return [new Paragraph({ ...options, style: DIVIDER, thematicBreak: true })];
    if (block.kind === 'image') return this.picture(block, options);
    if (block.kind === 'more') return [];
    if (block.kind === 'embed') {
      const { href, kind } = block.embed!;
      const words = new TextRun({
        text: `${embedKindInWords(kind)}: ${block.text || href}`,
        style: 'Hyperlink',
      });
      return [new Paragraph({ ...options, children: [this.link(href, [words])] })];
    }
    if (block.kind === 'kept')
      return (block.embeds ?? []).map(
        (address) => new Paragraph({ ...options, children: [this.link(address, [new TextRun(address)])] }),
      );
    // One paragraph with line breaks: empty paragraphs would be lost on the way in.
    if (block.kind === 'code')
      return [
        new Paragraph({
          ...options,
          style: 'Code',
          children: block.text
            .split('\n')
            .map((line, at) => new TextRun({ text: line, ...(at > 0 ? { break: 1 } : {}) })),
        }),
      ];
    const heading =
      block.kind === 'heading'
        ? { heading: `Heading${block.level ?? 2}` as IParagraphOptions['heading'] }
        : block.step
          ? { style: NEXT_STEPS[block.step].replace(/ /g, '') }
          : {};
    return [new Paragraph({ ...options, ...heading, children: this.runs(block) })];
  }

  private runs(block: Block): ParagraphChild[] {
    const out: ParagraphChild[] = [];
    let linked: ParagraphChild[] = [];
    let address: string | undefined;
    const close = () => {
      if (address !== undefined && linked.length) out.push(this.link(address, linked));
      linked = [];
    };
    for (const { text, marks } of runsOf(block)) {
      const has = (type: string) => marks.some((mark) => mark.type === type);
      const to = marks.find(({ type, href: at }) => type === 'link' && isNoteRef(at ?? ''))?.href;
      if (to !== undefined) {
        close();
        address = undefined;
        const number = noteNumber(to, this.footnotes);
        if (number !== null) out.push(new this.docx.FootnoteReferenceRun(number));
        continue;
      }
      const run = new this.docx.TextRun({
        ...(text === '\n' ? { break: 1 } : { text }),
        bold: has('bold') || undefined,
        italics: has('italic') || undefined,
        underline: has('underline') ? {} : undefined,
        strike: has('strike') || undefined,
        superScript: has('superscript') || undefined,
        subScript: has('subscript') || undefined,
        style: has('code') ? INLINE_CODE.id : has('link') ? 'Hyperlink' : undefined,
      });
      const href = marks.find((mark) => mark.type === 'link')?.href;
      if (href !== address) close();
      address = href;
      (href === undefined ? out : linked).push(run);
    }
    close();
    return out;
  }

  private link(address: string, children: ParagraphChild[]): ParagraphChild {
    return new this.docx.ExternalHyperlink({ link: address, children });
  }

  private picture(block: Block, given: IParagraphOptions): Part[] {
    const { Paragraph, TextRun } = this.docx;
    // A picture and its caption stand together, outside of a quote.
    const { style, ...rest } = given;
    const options: IParagraphOptions = style === 'Quote' ? rest : given;
    const { src, alt, width: shown, link } = block.image!;
    const caption = block.text
      ? [new Paragraph({ ...options, style: 'Caption', children: this.runs(block) })]
      : [];
    const run = this.imageRun(src, alt ?? '', shown);
    if (!run) {
      this.left.push(src);
      const words = `[Picture: ${alt || src}]`;
      return [
        new Paragraph({ ...options, children: [new TextRun({ text: words, italics: true })] }),
        ...caption,
      ];
    }
    return [new Paragraph({ ...options, children: [link ? this.link(link, [run]) : run] }), ...caption];
  }

  private imageRun(src: string, alt: string, shown: number | undefined): ParagraphChild | null {
    const data = this.pictures.get(src);
    if (!data) return null;
    try {
      const { width, height, type: kind } = imageSize(data);
      const type = TYPES.get(kind ?? '');
      if (!type) return null;
      const to = Math.min(shown ?? width, width, TEXT_WIDTH);
      const transformation = { width: to, height: Math.round((to * height) / width) };
      const altText = { name: src.replace(/^.*\//, ''), description: alt, title: '' };
      return new this.docx.ImageRun({ type, data, transformation, altText } as IImageOptions);
    } catch {
      return null;
    }
  }

  private table(rows: Nested[]): Part {
    const { Table, TableRow, TableCell, Paragraph, WidthType } = this.docx;
    const cellsOf = (row: Nested) => ('block' in row ? [row] : row.children);
    const isHeader = (row: Nested) =>
      cellsOf(row).every(
        (cell) => !('block' in cell) && cell.container.type === 'cell' && cell.container.header,
      );
    return new Table({
      width: { size: 100, type: WidthType.PERCENTAGE },
      rows: rows.map(
        (row, at) =>
          new TableRow({
            // Left out where it is none: readers take the element itself for a yes.
            ...(at === 0 && isHeader(row) ? { tableHeader: true } : {}),
            children: cellsOf(row).map((cell) => {
              const shape = 'block' in cell || cell.container.type !== 'cell' ? null : cell.container;
              const style = shape?.header ? { style: HEADER_CELL } : {};
              const children = this.parts('block' in cell ? [cell] : cell.children, style);
              return new TableCell({
                columnSpan: shape?.colspan,
                rowSpan: shape?.rowspan,
                // A cell must end with a paragraph.
                children: children.length ? children : [new Paragraph({})],
              });
            }),
          }),
      ),
    });
  }
}

/** What of a block a word processor has nothing for. */
function lostIn({ kind, path, marks, image, language, embeds }: Block): string[] {
  return [
    ...(image && (image.side || image.across || image.enlarge) ? ['how pictures stand beside the text'] : []),
    ...(language ? ['the language of code'] : []),
    ...(kind === 'embed' ? ['players (their addresses stand in the text)'] : []),
    ...(kind === 'more' ? ['the mark where lists stop'] : []),
    ...(marks.some(({ nofollow, newWindow }) => nofollow || newWindow)
      ? ['how links are followed and opened']
      : []),
    ...(kind === 'kept'
      ? [embeds?.length ? 'players (their addresses stand in the text)' : 'markup that was kept as it is']
      : []),
    ...(kind !== 'paragraph' && path.some(({ type }) => type === 'quote')
      ? ['quotes around anything but paragraphs']
      : []),
    ...(marks.some(({ title }) => title) ? ['titles of links'] : []),
  ];
}

const titled = ({ blocks }: Draft, title: string) =>
  blocks.some((block) => block.kind === 'heading' && block.level === 1 && block.text === title);

/**
 * A post as a .docx file with the styles of any word processor: its title first, then the body; pictures by the
 * address under which the draft names them. `left` are the pictures that are named in the text instead of shown, `lost`
 * says what else the format cannot hold.
 */
export async function writeDocx(
  { fields, draft }: PostDocument,
  pictures: ReadonlyMap<string, Uint8Array>,
): Promise<{ bytes: Uint8Array<ArrayBuffer>; left: string[]; lost: string[] }> {
  const docx = await import('docx');
  const { Document, Packer, Paragraph, LevelFormat, AlignmentType } = docx;
  const writer = new Writer(docx, pictures, footnotesOf(draft));
  const children = writer.parts(nest(draft));
  if (fields.title && !titled(draft, fields.title))
    children.unshift(new Paragraph({ heading: 'Heading1', children: [new docx.TextRun(fields.title)] }));
  const levels = (format: 'bullet' | 'decimal', start = 1) =>
    Array.from({ length: LAST_LEVEL + 1 }, (_, level) => ({
      level,
      start: level === 0 ? start : 1,
      format: LevelFormat[format === 'bullet' ? 'BULLET' : 'DECIMAL'],
      text: format === 'bullet' ? '•' : `%${level + 1}.`,
      alignment: AlignmentType.START,
      style: { paragraph: { indent: { left: 720 * (level + 1), hanging: 360 } } },
    }));
  const document = new Document({
    title: fields.title,
    description: fields.metaDescription,
    creator: fields.author || 'Dune Sparrow',
    styles: {
      default: { document: { run: fields.language ? { language: { value: fields.language } } : {} } },
      paragraphStyles: [
        {
          id: 'Quote',
          name: 'Quote',
          basedOn: 'Normal',
          run: { italics: true },
          paragraph: { indent: { left: 720 } },
        },
        { id: 'Code', name: 'Code', basedOn: 'Normal', run: { font: 'Courier New' } },
        { id: DIVIDER, name: DIVIDER, basedOn: 'Normal' },
        { id: HEADER_CELL, name: HEADER_CELL, basedOn: 'Normal', run: { bold: true } },
        ...Object.values(NEXT_STEPS).map((name) => ({
          id: name.replace(/ /g, ''),
          name,
          basedOn: 'Normal',
          run: { bold: true },
        })),
        { id: 'Caption', name: 'Caption', basedOn: 'Normal', run: { italics: true } },
      ],
      characterStyles: [{ ...INLINE_CODE, basedOn: 'DefaultParagraphFont', run: { font: 'Courier New' } }],
    },
    numbering: {
      config: [
        { reference: 'bullets', levels: levels('bullet') },
        ...writer.numberings.map(({ reference, start }) => ({ reference, levels: levels('decimal', start) })),
      ],
    },
    footnotes: writer.notes,
    sections: [{ children }],
  });
  const packed = await Packer.toArrayBuffer(document);
  return { bytes: new Uint8Array(packed), left: writer.left, lost: [...writer.lost] };
}
