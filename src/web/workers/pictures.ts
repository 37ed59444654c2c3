import { bytesInWords } from '../../core/draft/index.ts';
import {
  creditOf,
  isMoving,
  type PictureFile,
  type PictureFormat,
  type PictureTags,
  withoutMetadata,
} from '../../core/pictures/index.ts';
import { openDatabase } from '../data/database.ts';
import { pictureBlob } from '../data/picture-store.ts';
import { type DrawnPicture, drawPicture, kindOf, type PictureWish, pixelsOf } from './picture-canvas.ts';

const FORMATS = new Map<string, PictureFormat>([
  ['image/jpeg', 'jpeg'],
  ['image/webp', 'webp'],
  ['image/png', 'png'],
]);

/** Pixels of a picture that is drawn at most: more do not fit into a tab's memory beside its copies. */
const MOST_PIXELS = 120_000_000;

/** The picture on the bench: one at a time is unpacked, as it is many times its file. */
let held: { key: string; bitmap: ImageBitmap } | null = null;

async function unpacked(key: string, file: Blob): Promise<ImageBitmap> {
  if (held?.key === key) return held.bitmap;
  held?.bitmap.close();
  held = null;
  const bitmap = await pixelsOf(file).catch(() => {
    throw new Error('The browser cannot show this file: it may be damaged. Choose it again.');
  });
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    const { width, height } = bitmap;
    bitmap.close();
    throw new Error(
      `It has ${width} x ${height} pixels, more than can be worked on here. Save it smaller first.`,
    );
  }
  held = { key, bitmap };
  return bitmap;
}

async function tagsOf(bytes: Uint8Array): Promise<PictureTags> {
  try {
    const { parse } = await import('exifr');
    const found: unknown = await parse(bytes, {
      tiff: true,
      exif: false,
      gps: true,
      iptc: true,
      xmp: false,
      icc: false,
      translateValues: false,
    });
    return found && typeof found === 'object' ? (found as PictureTags) : {};
  } catch {
    // Notes that cannot be read say nothing; they are taken out like any others.
    return {};
  }
}

async function fileOf(siteId: string, src: string): Promise<Blob> {
  const blob = await pictureBlob(siteId, src);
  if (!blob) throw new Error('Its file is not here.');
  return blob;
}

/** Work on pictures' files. It runs in a worker, or in the page where storage is its memory. */
export const pictures = {
  open(name: string): void {
    openDatabase(name);
  },

  /** Looks into the files of a site's pictures; those that are not here or cannot be shown are not in the answer. */
  async look(siteId: string, srcs: readonly string[]): Promise<Map<string, PictureFile>> {
    const files = new Map<string, PictureFile>();
    for (const src of srcs) {
      const blob = await pictureBlob(siteId, src);
      if (!blob) continue;
      try {
        files.set(src, await pictures.lookInto(src, blob));
      } catch {
        // Said where somebody wants to work on it.
      }
    }
    return files;
  },

  /** Looks into one file. Throws, in words, where the browser cannot show it. */
  async lookInto(key: string, blob: Blob): Promise<PictureFile> {
    const bytes = new Uint8Array(await blob.arrayBuffer());
    const [bitmap, tags] = await Promise.all([unpacked(`${key} ${blob.size}`, blob), tagsOf(bytes)]);
    const { width, height } = bitmap;
    return {
      width,
      height,
      bytes: blob.size,
      format: FORMATS.get(blob.type) ?? null,
      ...kindOf(bitmap, blob.type),
      isMoving: isMoving(bytes),
      notes: withoutMetadata(bytes)?.removed ?? (Object.keys(tags).length > 0 ? 1 : 0),
      hasPlace: 'latitude' in tags || 'GPSLatitude' in tags,
      isTurned: Number(tags['Orientation'] ?? 1) > 1,
      credit: creditOf(tags),
    };
  },

  /** A picture of a site drawn as it is wished. Throws, in words, where it cannot be. */
  async draw(siteId: string, src: string, wish: PictureWish): Promise<DrawnPicture> {
    const blob = await fileOf(siteId, src);
    return drawPicture(await unpacked(`${src} ${blob.size}`, blob), blob.type, wish);
  },

  /** The file of a picture as it is, without what was written beside the pixels. */
  async bare(siteId: string, src: string): Promise<Blob> {
    const blob = await fileOf(siteId, src);
    const bare = withoutMetadata(new Uint8Array(await blob.arrayBuffer()));
    if (!bare) throw new Error(`Its ${bytesInWords(blob.size)} hold notes that cannot be taken out.`);
    return new Blob([bare.bytes], { type: blob.type });
  },

  /** Lets go of what is unpacked. */
  rest(): void {
    held?.bitmap.close();
    held = null;
  },
};

export type Pictures = typeof pictures;
