import { writeDocx } from '../../core/draft/index.ts';
import { database } from './database.ts';
import { pictureBlob } from './picture-store.ts';
import { finishedBody } from './posts.ts';

/** A post as .docx; `left` are the pictures that are named in its text instead of shown. */
export async function exportDocx(siteId: string, postId: string): Promise<{ file: Blob; left: string[] }> {
  const [row, body] = await Promise.all([database().posts.get(postId), database().bodies.get(postId)]);
  if (!row) throw new Error('The post is gone.');
  const draft = finishedBody(body);
  const pictures = new Map<string, Uint8Array>();
  for (const { image } of draft.blocks) {
    const blob = image ? await pictureBlob(siteId, image.src) : null;
    if (image && blob) pictures.set(image.src, new Uint8Array(await blob.arrayBuffer()));
  }
  const { bytes, left } = await writeDocx({ fields: row.fields, draft }, pictures);
  const type = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';
  return { file: new Blob([bytes], { type }), left };
}
