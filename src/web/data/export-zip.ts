import { strToU8, zipSync } from 'fflate';
import { type PostDocument, pictureAddresses, writeMarkdown } from '../../core/draft/index.ts';
import { writeSiteFile } from '../../core/formats/index.ts';
import { slugOf } from '../../core/listing/index.ts';
import { database } from './database.ts';
import { MEDIA, pictureBlob } from './picture-store.ts';
import { finishedBody } from './posts.ts';
import { pagesOf } from './sites.ts';

/** A file name that is not taken yet. */
function freeName(base: string, taken: Set<string>): string {
  for (let number = 1; ; number++) {
    const name = `${base}${number > 1 ? `-${number}` : ''}.md`;
    if (taken.has(name)) continue;
    taken.add(name);
    return name;
  }
}

/** Addresses of the pictures of a post that lie in this browser. */
const storedPictures = ({ fields, draft }: PostDocument): string[] =>
  pictureAddresses(fields, draft).filter((src) => src.startsWith(MEDIA));

/** Puts pictures among the files of a zip; answers how many there were. */
async function addPictures(
  files: Record<string, Uint8Array>,
  siteId: string,
  sources: Iterable<string>,
): Promise<number> {
  let added = 0;
  for (const src of new Set(sources)) {
    const blob = await pictureBlob(siteId, src);
    if (!blob) continue;
    files[src] = new Uint8Array(await blob.arrayBuffer());
    added += 1;
  }
  return added;
}

const zipped = (files: Record<string, Uint8Array>): Blob =>
  new Blob([zipSync(files, { level: 6 }) as Uint8Array<ArrayBuffer>], { type: 'application/zip' });

/** One post that was written as a file, with the pictures that it names beside it, zipped; null where it names none. */
export async function zipWithPictures(
  siteId: string,
  document: PostDocument,
  file: { name: string; text: string },
): Promise<Blob | null> {
  const files: Record<string, Uint8Array> = { [file.name]: strToU8(file.text) };
  return (await addPictures(files, siteId, storedPictures(document))) > 0 ? zipped(files) : null;
}

/** Posts as a folder: Markdown with front matter, their pictures under `media/`, the site beside them; zipped. */
export async function exportZip(siteId: string, ids: readonly string[]): Promise<Blob> {
  const files: Record<string, Uint8Array> = {};
  const taken = new Set<string>();
  const sources: string[] = [];
  for (const id of ids) {
    const [row, body] = await Promise.all([database().posts.get(id), database().bodies.get(id)]);
    if (!row || !body) continue;
    const name = freeName(slugOf(row.fields.slug || row.fields.title) || 'untitled', taken);
    const document = { fields: row.fields, draft: finishedBody(body) };
    files[name] = strToU8(writeMarkdown(document));
    sources.push(...storedPictures(document));
  }
  await addPictures(files, siteId, sources);
  const site = await database().sites.get(siteId);
  if (site) {
    const { id: _id, revision: _revision, ...settings } = site;
    files['site.json'] = strToU8(writeSiteFile({ ...settings, pages: await pagesOf(siteId) }));
  }
  return zipped(files);
}
