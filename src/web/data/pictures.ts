import { pictureSize } from '../../core/formats/index.ts';
import { slugOf } from '../../core/listing/index.ts';
import { keepPicture } from './picture-store.ts';

/** Keeps a picture's file and answers the address under which drafts name it. A name that is taken gets a number. */
export async function addPicture(siteId: string, file: Blob, fileName: string): Promise<string> {
  const buffer = await file.arrayBuffer();
  const size = pictureSize(new Uint8Array(buffer));
  const ending =
    /\.[a-z0-9]{2,5}$/i.exec(fileName)?.[0].toLowerCase() ??
    `.${file.type.split('/')[1]?.replace('jpeg', 'jpg') ?? 'png'}`;
  const base = fileName.replace(/\.[a-z0-9]{2,5}$/i, '');
  // Names that are addresses already stay as they are, so that files keep their names on the way through.
  const clean = /^[A-Za-z0-9._-]+$/.test(base) ? base : slugOf(base) || 'picture';
  return keepPicture(siteId, `${clean}${ending}`, new Blob([buffer], { type: file.type }), size);
}
