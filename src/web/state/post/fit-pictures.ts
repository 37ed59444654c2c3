import type { DraftEdit } from '../../../core/criteria/index.ts';
import { endingOf, type PicturePlan, type PictureRules, WHOLE } from '../../../core/pictures/index.ts';
import { keepPicture, MEDIA, pictureBlob, pictureRow } from '../../data/picture-store.ts';
import type { PictureOrigin } from '../../data/post-rows.ts';
import type { PictureWish } from '../../workers/picture-canvas.ts';
import { picturesWorker } from '../../workers/pictures-client.ts';

/** A picture that was made ready: the address it has now, and what became of it. */
export interface FittedFile {
  src: string;
  bytes: number;
  width: number;
  tooHeavy: boolean;
}

const nameOf = (src: string): string => src.slice(MEDIA.length);

/** Whose a picture is: as somebody said, else as its own notes do. */
async function originOf(siteId: string, src: string, credit: string): Promise<PictureOrigin | undefined> {
  const said = (await pictureRow(siteId, src))?.origin;
  return said ?? (credit ? { kind: 'unsaid', credit, licence: '' } : undefined);
}

/** Keeps a file that was made of a picture; the picture it was made of first stays as its original. */
async function keepMade(
  siteId: string,
  from: string,
  name: string,
  file: { blob: Blob; width: number },
  origin: PictureOrigin | undefined,
): Promise<string> {
  const row = await pictureRow(siteId, from);
  return keepPicture(
    siteId,
    name,
    file.blob,
    { bytes: file.blob.size, width: file.width },
    {
      madeFrom: row?.madeFrom ?? nameOf(from),
      ...(origin ? { origin } : {}),
    },
  );
}

/** Draws a picture as it is wished and keeps it under a name (without ending). Throws, in words, where it cannot be. */
export async function keepDrawn(
  siteId: string,
  src: string,
  from: string,
  name: string,
  wish: PictureWish,
  origin: PictureOrigin | undefined,
): Promise<FittedFile> {
  const { blob, width, format, tooHeavy } = await (await picturesWorker()).draw(siteId, from, wish);
  const kept = await keepMade(siteId, src, `${name}.${endingOf(format)}`, { blob, width }, origin);
  return { src: kept, bytes: blob.size, width, tooHeavy };
}

/** Makes one file of a post ready as planned, and keeps it beside its original. Throws, in words, where it cannot be. */
export async function fitPicture(
  siteId: string,
  { src, name, width, file, steps, isWritten, shown }: PicturePlan,
  { heaviest, format }: PictureRules,
): Promise<FittedFile> {
  const origin = await originOf(siteId, src, file.credit);
  if (isWritten) {
    const isShown = shown.some(({ blockId }) => blockId === null) ? 'in shares' : 'in the text';
    const wish: PictureWish = { cut: { ...WHOLE, width }, format, most: heaviest, isShown };
    return keepDrawn(siteId, src, src, name, wish, origin);
  }
  const ending = nameOf(src).split('.').at(-1)!;
  const size = { width: file.width, tooHeavy: false };
  if (steps.includes('notes')) {
    const blob = await (await picturesWorker()).bare(siteId, src);
    const kept = await keepMade(siteId, src, `${name}.${ending}`, { blob, width: file.width }, origin);
    return { src: kept, bytes: blob.size, ...size };
  }
  const blob = (await pictureBlob(siteId, src))!;
  const { madeFrom } = (await pictureRow(siteId, src)) ?? {};
  const known = { ...(madeFrom === undefined ? {} : { madeFrom }), ...(origin ? { origin } : {}) };
  const kept = await keepPicture(
    siteId,
    `${name}.${ending}`,
    blob,
    { bytes: blob.size, width: file.width },
    known,
  );
  return { src: kept, bytes: blob.size, ...size };
}

/** The edits by which every place of a picture shows another file. */
export const showInstead = ({ shown }: Pick<PicturePlan, 'shown'>, src: string): DraftEdit[] =>
  shown.map(({ blockId }) =>
    blockId === null
      ? { kind: 'set-field', field: 'image', value: src }
      : { kind: 'set-picture', blockId, picture: { src } },
  );
