import { type Block, footnotesOf, openingText, type PostDocument, type PostFields } from '../draft/index.ts';
import {
  detectLanguage,
  isEnglish,
  matchingOf,
  type Tokens,
  Vocabulary,
  WordBases,
} from '../language/index.ts';
import { comparablePath, effectiveMetaTitle, linkKind, titleKey } from '../listing/index.ts';
import { BlockReader, type BlockReading } from './block-reader.ts';
import { type DraftTotals, draftTotals } from './draft-totals.ts';
import type { Limits } from './limits.ts';
import { type LooksInTexts, looksInTexts } from './looks-in-texts.ts';
import type { StudyFacts } from './surroundings.ts';
import { WholeText, type WholeTextReading } from './whole-text.ts';
import type { Wording } from './wordings/index.ts';

/** What is known about a picture's file. */
export interface PictureSize {
  bytes: number;
  /** Pixels; null where the file does not tell. */
  width: number | null;
}

/** Facts of the house that change how a draft reads. */
export interface DraftSettings {
  /** The site's address or host, to tell internal links; null: only relative ones are internal. */
  host: string | null;
  /** `{title} | {site}`; null: meta titles stand as written. */
  titlePattern: string | null;
  siteName: string;
  /** Language of posts that declare none; empty: it is detected. */
  language: string;
  /** Path of the post itself, to resolve relative links. */
  ownPath: string | null;
  /** Sizes of picture files by address as written in the draft. */
  pictures: ReadonlyMap<string, PictureSize>;
  limits: Limits;
  /** Null: no pages were studied for the post. */
  study: StudyFacts | null;
  /** The year in which the draft is read; null: not known, and no year has passed. */
  year: number | null;
}

export interface HeadingFact {
  index: number;
  block: Block;
  level: number;
  text: string;
  reading: BlockReading;
}
export interface ImageFact {
  /** Null: the featured picture. */
  index: number | null;
  block: Block | null;
  src: string;
  alt: string | null;
}
export interface LinkFact {
  index: number;
  block: Block;
  start: number;
  end: number;
  href: string;
  text: string;
  /** The words folded and without marks; empty for a picture that is a link. */
  plain: string;
  kind: ReturnType<typeof linkKind>;
  /** Comparable path of internal links. */
  path: string | null;
}
/** Everything the criteria read off a draft. */
export interface DraftFacts extends LooksInTexts {
  fields: PostFields;
  blocks: readonly Block[];
  readings: readonly BlockReading[];
  settings: DraftSettings;
  language: string;
  english: boolean;
  /** How its language says what the criteria look for; null: not known. */
  wording: Wording | null;
  keyword: string;
  words: number;
  sentences: number;
  /** Index of the h1 that is the title, which is no part of the body; -1 where the title stands outside it. */
  titleBlock: number;
  metaTitle: string;
  totals: DraftTotals;
  /** Order and repetition of its sentences. */
  whole: WholeTextReading;
  /** All headings of the body; the title's h1 among them. */
  headings: readonly HeadingFact[];
  /** Headings that structure the text: all but the title's own. */
  sectionHeadings: readonly HeadingFact[];
  images: readonly ImageFact[];
  links: readonly LinkFact[];
  /** Weighted uses of the keyword in the body. */
  useCount: number;
  reader: BlockReader;
}

/** Remembers what was read of a draft from one report to the next. One per post and session. */
export class DraftReadings {
  private reader: BlockReader | null = null;
  private tokenMemo = new WeakMap<Block, Tokens>();
  /** As the reader finds them. */
  private looks: LooksInTexts | null = null;
  private detected: { text: string; language: string } | null = null;
  /** What the last report read, so that the next one looks only at where the drafts differ. */
  private last: { reader: BlockReader; blocks: readonly Block[]; readings: readonly BlockReading[] } | null =
    null;
  private readonly wholeText = new WholeText();
  private links: { host: string | null; base: string; known: Map<string, Pick<LinkFact, 'kind' | 'path'>> } =
    {
      host: null,
      base: '/',
      known: new Map(),
    };

  constructor(
    readonly vocabulary: Vocabulary = new Vocabulary(),
    private readonly bases: WordBases = WordBases.of(vocabulary),
  ) {}

  /** The facts of a document. Blocks that are the same objects as before are not read again. */
  facts({ fields, draft }: PostDocument, settings: DraftSettings): DraftFacts {
    const language = fields.language || settings.language || this.languageOf(draft.blocks);
    const english = isEnglish(language);
    const reader = this.readerFor(language, fields, settings);
    const readings = this.readingsOf(draft.blocks, reader);
    const titleBlock = this.titleBlockOf(readings, fields.title);
    const totals = draftTotals(
      readings,
      titleBlock,
      { supporting: fields.supporting.length, terms: settings.study?.terms.length ?? 0 },
      settings.limits,
    );
    const headings: HeadingFact[] = [];
    const images: ImageFact[] = fields.image
      ? [{ index: null, block: null, src: fields.image, alt: fields.imageAlt }]
      : [];
    const links: LinkFact[] = [];
    const base = settings.ownPath ?? '/';
    let hasNotes = false;
    for (let index = 0; index < readings.length; index++) {
      const reading = readings[index];
      const { level } = reading;
      if (level > 0) headings.push({ index, block: reading.block, level, text: reading.heading, reading });
      hasNotes ||= reading.hasNotes;
      if (!reading.loads && reading.links.length === 0) continue;
      const { block } = reading;
      if (block.image) {
        images.push({ index, block, src: block.image.src, alt: block.image.alt });
        const { link: href, alt } = block.image;
        if (href)
          links.push({
            index,
            block,
            start: 0,
            end: 0,
            href,
            text: alt ?? '',
            plain: '',
            ...this.linkTo(href, settings.host, base),
          });
      }
      for (const { start, end, href, text, plain } of reading.links)
        links.push({
          index,
          block,
          start,
          end,
          href,
          text,
          plain,
          ...this.linkTo(href, settings.host, base),
        });
    }
    // Footnotes are a list to the eye alone: nobody scans them.
    if (hasNotes) totals.scanPoints -= footnotesOf(draft).lists.size;
    return {
      fields,
      blocks: draft.blocks,
      readings,
      settings,
      language,
      english,
      wording: reader.wording,
      keyword: fields.keyword.trim(),
      words: totals.words,
      sentences: totals.read.sentences,
      useCount: totals.useCount,
      totals,
      whole: this.wholeText.read(readings, titleBlock),
      headings,
      sectionHeadings: titleBlock < 0 ? headings : headings.filter(({ index }) => index !== titleBlock),
      images,
      links,
      reader,
      titleBlock,
      metaTitle: effectiveMetaTitle(fields.metaTitle, fields.title, settings.titlePattern, settings.siteName),
      keywordIn: this.looks!.keywordIn,
      targetValueIn: this.looks!.targetValueIn,
    };
  }

  /** The first level 1 heading with words, where it says what the title says. */
  private titleBlockOf(readings: readonly BlockReading[], title: string): number {
    for (let at = 0; at < readings.length; at++) {
      const { level, heading } = readings[at];
      if (level !== 1 || heading === '') continue;
      return heading === title || titleKey(heading) === titleKey(title) ? at : -1;
    }
    return -1;
  }

  /** Readings of blocks in order; those that stood at the same end of the last draft are taken over as they are. */
  private readingsOf(blocks: readonly Block[], reader: BlockReader): BlockReading[] {
    const known = this.last?.reader === reader ? this.last : null;
    const before = known?.blocks ?? [];
    const shared = Math.min(before.length, blocks.length);
    let head = 0;
    while (head < shared && before[head] === blocks[head]) head += 1;
    let tail = 0;
    while (tail < shared - head && before[before.length - 1 - tail] === blocks[blocks.length - 1 - tail])
      tail += 1;
    const readings = known ? known.readings.slice(0, head) : [];
    for (let at = head; at < blocks.length - tail; at++) readings.push(reader.read(blocks[at]));
    const offset = before.length - blocks.length;
    for (let at = blocks.length - tail; at < blocks.length; at++) readings.push(known!.readings[at + offset]);
    this.last = { reader, blocks, readings };
    return readings;
  }

  /** Where a link leads; taking an address apart is dear, and most stand unchanged from report to report. */
  private linkTo(href: string, host: string | null, base: string): Pick<LinkFact, 'kind' | 'path'> {
    if (this.links.host !== host || this.links.base !== base || this.links.known.size > 5000)
      this.links = { host, base, known: new Map() };
    let link = this.links.known.get(href);
    if (!link) {
      const kind = linkKind(href, host);
      link = { kind, path: kind === 'internal' ? comparablePath(href, base) : null };
      this.links.known.set(href, link);
    }
    return link;
  }

  private languageOf(blocks: readonly Block[]): string {
    const text = openingText(blocks);
    if (this.detected?.text !== text) this.detected = { text, language: detectLanguage(text) };
    return this.detected.language;
  }

  private readerFor(language: string, fields: PostFields, { limits, study }: DraftSettings): BlockReader {
    const { sentenceWords } = limits;
    const { code } = matchingOf(language);
    const { keyword, supporting } = fields;
    const known = this.reader?.target;
    const same =
      known?.language === code &&
      known.keyword === keyword &&
      known.sentenceWords === sentenceWords &&
      known.study === study &&
      (known.supporting === supporting ||
        (known.supporting.length === supporting.length &&
          known.supporting.every((phrase, at) => phrase === supporting[at])));
    if (!this.reader || !same) {
      // Another language has other sentences.
      if (known && known.language !== code) this.tokenMemo = new WeakMap();
      this.reader = new BlockReader(
        this.vocabulary,
        { language: code, keyword, supporting, sentenceWords, study },
        this.tokenMemo,
        this.bases.in(code),
      );
      this.looks = looksInTexts(this.reader);
    }
    return this.reader;
  }
}
