import { type PostDocument, writeDocx } from '../../core/draft/index.ts';
import { pictureBlob } from './picture-store.ts';

/** Kinds of pictures that word processors show. */
const SHOWN = /^image\/(?:png|jpeg|gif)$/;

/** A picture as word processors show it: others are drawn anew as PNG, where the browser can read them. */
async function shown(blob: Blob): Promise<Blob> {
  if (SHOWN.test(blob.type) || typeof OffscreenCanvas === 'undefined') return blob;
  try {
    const bitmap = await createImageBitmap(blob);
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
    bitmap.close();
    return await canvas.convertToBlob({ type: 'image/png' });
  } catch {
    // It is named in the text instead.
    return blob;
  }
}

/**
 * A post as .docx, as it stands; `left` are the pictures that are named in its text instead of shown, `lost` what else
 * the format has nothing for.
 */
export async function exportDocx(
  siteId: string,
  document: PostDocument,
): Promise<{ file: Blob; left: string[]; lost: string[] }> {
  const pictures = new Map<string, Uint8Array>();
  for (const { image } of document.draft.blocks) {
    const blob = image ? await pictureBlob(siteId, image.src) : null;
    if (image && blob) pictures.set(image.src, new Uint8Array(await (await shown(blob)).arrayBuffer()));
  }
  const { bytes, left, lost } = await writeDocx(document, pictures);
  const type = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';
  return { file: new Blob([bytes], { type }), left, lost };
}
