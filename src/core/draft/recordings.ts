import type { Block, Draft } from './draft.ts';

/** A part of a recording, by the second at which it begins. */
export interface Chapter {
  start: number;
  name: string;
}

/** A recording that a post shows, with its chapters where the post lists them below it. */
export interface Recording {
  href: string;
  kind: 'video' | 'audio';
  title: string;
  picture: string;
  chapters: Chapter[];
}

const CHAPTER = /^((?:\d{1,3}:)?\d{1,3}:\d{2})\s+(\S.*)$/;

/** The chapter that a line of a list below a recording names: a time that plays it from there, and its name; null for any other line. */
export function chapterOfLine({ path, text, marks }: Block): Chapter | null {
  const hit = CHAPTER.exec(text);
  const link = marks.find(
    ({ type, start, href }) => type === 'link' && start === 0 && /#t=\d{1,6}$/.test(href ?? ''),
  );
  if (!hit || !link || !path.some(({ type }) => type === 'list')) return null;
  return { start: Number(/\d+$/.exec(link.href!)![0]), name: hit[2] };
}

/** The recordings of a draft, in order. */
export function recordingsOf({ blocks }: Draft): Recording[] {
  return blocks.flatMap(({ kind, embed, text }, at) => {
    if (kind !== 'embed' || !embed || (embed.kind !== 'video' && embed.kind !== 'audio')) return [];
    const chapters: Chapter[] = [];
    for (let next = at + 1; next < blocks.length; next++) {
      const chapter = chapterOfLine(blocks[next]);
      if (!chapter) break;
      chapters.push(chapter);
    }
    return [{ href: embed.href, kind: embed.kind, title: text, picture: embed.picture ?? '', chapters }];
  });
}

/** What the page of a post knows of its recordings beside them. */
export interface RecordingPage {
  title: string;
  description: string;
  /** RFC 3339 instant; empty: not known. */
  date: string;
  /** Address of a picture, for recordings without one. */
  picture: string;
}

/** The address of a file that plays, by its ending. */
const isMediaFile = (href: string): boolean =>
  /\.(?:mp4|webm|mov|m4v|ogv|mp3|m4a|ogg|opus|wav|flac)(?:[?#]|$)/i.test(href);

/**
 * Structured data of recordings (schema.org `VideoObject` and `AudioObject`), each with its chapters as `Clip`s that begin where the
 * one before ends; fit to stand in a script element.
 */
export const recordingData = (recordings: readonly Recording[], page: RecordingPage): string =>
  JSON.stringify(
    recordings.map(({ href, kind, title, picture, chapters }) => ({
      '@context': 'https://schema.org',
      '@type': kind === 'video' ? 'VideoObject' : 'AudioObject',
      name: title || page.title,
      description: page.description || undefined,
      thumbnailUrl: picture || page.picture || undefined,
      uploadDate: page.date || undefined,
      ...(isMediaFile(href) ? { contentUrl: href } : { url: href }),
      hasPart:
        chapters.length > 0
          ? chapters.map(({ start, name }, at) => ({
              '@type': 'Clip',
              name,
              startOffset: start,
              endOffset: chapters[at + 1]?.start,
              url: `${href.replace(/#.*$/, '')}#t=${start}`,
            }))
          : undefined,
    })),
    // No text may end the element it stands in.
  ).replaceAll('<', '\\u003c');
