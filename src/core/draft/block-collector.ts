import type { Element, RootContent } from 'hast';
import {
  type Block,
  type Container,
  EMBED_KINDS,
  type Embed,
  type Mark,
  type NextId,
  NOTE_SIGN,
  PICTURE_SIDES,
  PICTURES_ACROSS,
  type Picture,
  STEP_LOOKS,
  type StepLook,
  tidyMarks,
} from './draft.ts';
import { framedAddress } from './embed-address.ts';
import { attribute, classNames, findElement, textOf } from './hast-reading.ts';
import { safeHref, safeSrc } from './sanitise.ts';

type OpenMark = Omit<Mark, 'start' | 'end'>;

/** What the block in hand will be. */
interface Shape {
  kind: 'paragraph' | 'heading' | 'image';
  level?: number;
  image?: Picture;
  step?: StepLook;
}

const PARAGRAPH: Shape = { kind: 'paragraph' };

/** Turns a walk over markup into the flat list of blocks: white space collapsed, marks gathered, containers named. */
export class BlockCollector {
  readonly blocks: Block[] = [];
  /** The text in hand in pieces: joining at every step would copy it every time. */
  private pieces: string[] = [];
  private length = 0;
  private marks: Mark[] = [];
  private readonly openMarks: OpenMark[] = [];
  private containers: { make: (key: string) => Container; made: Container | null }[] = [];
  private shape: Shape = PARAGRAPH;
  private waiting: (() => void)[] = [];
  /** Ids of notes whose first block is still to come, and the blocks of those that had one. */
  private openIds: string[] = [];
  readonly blockOfId = new Map<string, string>();

  constructor(
    private readonly nextId: NextId,
    /** Ids of the markup that holds footnotes. */
    readonly notes: ReadonlySet<string> = new Set(),
  ) {}

  text(value: string): void {
    const start = this.length;
    let piece = value.replace(/[ \t\r\n\f]+/g, ' ');
    if (piece.startsWith(' ') && (start === 0 || /[ \n]$/.test(this.pieces.at(-1) ?? '')))
      piece = piece.slice(1);
    if (piece === '') return;
    this.put(piece);
    for (const mark of this.openMarks) this.marks.push({ ...mark, start, end: this.length });
  }

  private put(piece: string): void {
    this.pieces.push(piece);
    this.length += piece.length;
  }

  lineBreak(): void {
    const last = this.pieces.at(-1);
    if (last?.endsWith(' ')) {
      this.pieces[this.pieces.length - 1] = last.slice(0, -1);
      this.length -= 1;
    }
    const start = this.length;
    this.put('\n');
    for (const mark of this.openMarks) this.marks.push({ ...mark, start, end: start + 1 });
  }

  mark(type: Mark['type'], inner: () => void): void {
    this.openMarks.push({ type });
    inner();
    this.openMarks.pop();
  }

  link(
    { href, title, ...how }: Pick<Mark, 'href' | 'title' | 'nofollow' | 'newWindow'>,
    inner: () => void,
  ): void {
    const safe = href === undefined ? null : safeHref(href);
    if (safe === null) return inner();
    this.openMarks.push({ type: 'link', href: safe, ...(title ? { title } : {}), ...how });
    inner();
    this.openMarks.pop();
  }

  /** A reference to a footnote, by the address under which the markup has it. */
  note(href: string): void {
    const start = this.length;
    this.put(NOTE_SIGN);
    this.marks.push({ type: 'link', href, start, end: this.length });
  }

  /** The markup of a note begins: the next block is its first. */
  named(id: string | undefined): void {
    if (id !== undefined && this.notes.has(id)) this.openIds.push(id);
  }

  /** Ends the block in hand. Images met in its text follow it. */
  flush(): void {
    const text = this.pieces.join('').trimEnd();
    if (text.trim() !== '')
      this.push({
        kind: this.shape.kind,
        level: this.shape.level,
        image: this.shape.image,
        step: this.shape.step,
        text,
        marks: tidyMarks(this.marks, text),
      });
    this.pieces = [];
    this.length = 0;
    this.marks = [];
    const waiting = this.waiting;
    this.waiting = [];
    for (const put of waiting) put();
  }

  /** A block of its own around what `inner` reads. */
  paragraph(inner: () => void): void {
    this.flush();
    inner();
    this.flush();
  }

  within(shape: Shape, inner: () => void): void {
    this.flush();
    const before = this.shape;
    const count = this.blocks.length;
    this.shape = shape;
    inner();
    this.flush();
    this.shape = before;
    // A heading without words is a fault that the writer should see, not lose.
    if (shape.kind === 'heading' && this.blocks.length === count)
      this.push({ ...shape, text: '', marks: [] });
  }

  container(make: (key: string) => Container, inner: () => void): void {
    this.flush();
    this.containers.push({ make, made: null });
    inner();
    this.flush();
    this.containers.pop();
  }

  /** A table cell: one that holds nothing still makes a block, so that the table keeps its shape. */
  cell(inner: () => void): void {
    const before = this.blocks.length;
    inner();
    this.flush();
    if (this.blocks.length === before) this.push({ kind: 'paragraph', text: '', marks: [] });
  }

  /** A paragraph that leads to the next step. */
  step(names: readonly string[], inner: () => void): void {
    this.within(
      { kind: 'paragraph', step: STEP_LOOKS.find((look) => names.includes(look)) ?? 'words' },
      inner,
    );
  }

  more(): void {
    this.flush();
    this.push({ kind: 'more', text: '', marks: [] });
  }

  /** What a frame of a page loads. */
  framed(el: Element): void {
    const found = framedAddress((attribute(el, 'src') ?? '').trim());
    if (!found) return;
    const title = (attribute(el, 'title') ?? '').replace(/\s+/g, ' ').trim();
    this.flush();
    this.push({ kind: 'embed', text: title, marks: [], embed: { href: found.href, kind: found.kind } });
  }

  /** An embed as an exported page shows it: a link with its title, a picture, a transcript. */
  embed(el: Element): void {
    const anchors: Element[] = [];
    findElement(el, (inner) => {
      if (inner.tagName === 'a') anchors.push(inner);
      return false;
    });
    const [main, ...others] = anchors;
    const href = main && attribute(main, 'href');
    if (!href || !/^https?:/i.test(href)) return;
    const names = classNames(el);
    const embed: Embed = {
      href,
      kind: EMBED_KINDS.find((kind) => names.includes(`embed-${kind}`)) ?? 'page',
    };
    const img = findElement(main, (inner) => inner.tagName === 'img');
    const picture = img && safeSrc(attribute(img, 'src') ?? '');
    if (picture) embed.picture = picture;
    const transcript = others.find((other) => classNames(other).includes('transcript'));
    const written = transcript && safeHref(attribute(transcript, 'href') ?? '');
    if (written) embed.transcript = written;
    const title = textOf(main).replace(/\s+/g, ' ').trim();
    this.flush();
    this.push({ kind: 'embed', text: title === href ? '' : title, marks: [], embed });
  }

  divider(): void {
    this.flush();
    this.push({ kind: 'divider', text: '', marks: [] });
  }

  code(el: Element): void {
    this.flush();
    const inner = findElement(el, (child) => child.tagName === 'code');
    const language = classNames(inner ?? el)
      .find((name) => name.startsWith('language-'))
      ?.slice(9);
    this.push({
      kind: 'code',
      text: textOf(el).replace(/\r\n?/g, '\n').replace(/\n$/, ''),
      marks: [],
      ...(language ? { language } : {}),
    });
  }

  kept(html: string, embeds: string[]): void {
    if (html === '') return;
    this.flush();
    this.push({ kind: 'kept', text: '', marks: [], html, embeds });
  }

  image(el: Element, extra: Partial<Picture> = {}): void {
    const picture = this.pictureOf(el, extra);
    if (!picture) return;
    const link = [...this.openMarks].reverse().find((mark) => mark.type === 'link')?.href;
    if (link && !picture.link) picture.link = link;
    const put = () => this.push({ kind: 'image', text: '', marks: [], image: picture });
    // Inside a line of text the picture follows its paragraph, so that the sentence stays whole.
    if (this.pieces.some((piece) => piece.trim() !== '')) this.waiting.push(put);
    else put();
  }

  figure(
    img: Element,
    caption: Element | null,
    link: string | undefined,
    el: Element,
    walk: (nodes: RootContent[]) => void,
  ): void {
    this.flush();
    const names = classNames(el);
    const side = PICTURE_SIDES.find((one) => names.includes(`side-${one}`));
    const across = PICTURES_ACROSS.find((one) => names.includes(`across-${one}`));
    const safe = link === undefined ? null : safeHref(link);
    const picture = this.pictureOf(img, {
      ...(side ? { side } : {}),
      ...(across ? { across } : {}),
      ...(safe ? { link: safe } : {}),
      ...(names.includes('enlarge') ? { enlarge: true } : {}),
    });
    if (!picture) return caption ? this.paragraph(() => walk(caption.children as RootContent[])) : undefined;
    const before = this.blocks.length;
    if (caption)
      this.within({ kind: 'image', image: picture }, () => walk(caption.children as RootContent[]));
    if (this.blocks.length === before) this.push({ kind: 'image', text: '', marks: [], image: picture });
  }

  private pictureOf(el: Element, extra: Partial<Picture>): Picture | null {
    const src = safeSrc((attribute(el, 'src') ?? '').trim());
    if (!src) return null;
    const width = Number.parseInt(attribute(el, 'width') ?? '', 10);
    return { src, alt: attribute(el, 'alt') ?? null, ...(width > 0 ? { width } : {}), ...extra };
  }

  private push(block: Omit<Block, 'id' | 'path'>): void {
    const id = this.nextId();
    const path = this.containers.map((open) => {
      open.made ??= open.make(id);
      return open.made;
    });
    const clean: Block = { id, kind: block.kind, path, text: block.text, marks: block.marks };
    if (block.level) clean.level = block.level;
    if (block.image) clean.image = block.image;
    if (block.embed) clean.embed = block.embed;
    if (block.step) clean.step = block.step;
    for (const named of this.openIds) this.blockOfId.set(named, id);
    this.openIds = [];
    if (block.language) clean.language = block.language;
    if (block.html !== undefined) {
      clean.html = block.html;
      clean.embeds = block.embeds ?? [];
    }
    this.blocks.push(clean);
  }
}
