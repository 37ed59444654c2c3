import { type PostDocument, writeDocx } from '../../core/draft/index.ts';
import { pictureBlob } from './picture-store.ts';

/** A post as .docx, as it stands; `left` are the pictures that are named in its text instead of shown. */
export async function exportDocx(
  siteId: string,
  document: PostDocument,
): Promise<{ file: Blob; left: string[] }> {
  const pictures = new Map<string, Uint8Array>();
  for (const { image } of document.draft.blocks) {
    const blob = image ? await pictureBlob(siteId, image.src) : null;
    if (image && blob) pictures.set(image.src, new Uint8Array(await blob.arrayBuffer()));
  }
  const { bytes, left } = await writeDocx(document, pictures);
  const type = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';
  return { file: new Blob([bytes], { type }), left };
}
