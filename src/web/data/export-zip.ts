import { strToU8, zipSync } from 'fflate';
import { writeMarkdown } from '../../core/draft/index.ts';
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

/** Posts as a folder: Markdown with front matter, their pictures under `media/`, the site beside them; zipped. */
export async function exportZip(siteId: string, ids: readonly string[]): Promise<Blob> {
  const files: Record<string, Uint8Array> = {};
  const taken = new Set<string>();
  const sources = new Set<string>();
  for (const id of ids) {
    const [row, body] = await Promise.all([database().posts.get(id), database().bodies.get(id)]);
    if (!row || !body) continue;
    const name = freeName(slugOf(row.fields.slug || row.fields.title) || 'untitled', taken);
    files[name] = strToU8(writeMarkdown({ fields: row.fields, draft: finishedBody(body) }));
    for (const src of [row.fields.image, ...body.draft.blocks.map((block) => block.image?.src ?? '')])
      if (src.startsWith(MEDIA)) sources.add(src);
  }
  for (const src of sources) {
    const blob = await pictureBlob(siteId, src);
    if (blob) files[src] = new Uint8Array(await blob.arrayBuffer());
  }
  const site = await database().sites.get(siteId);
  if (site) {
    const { id: _id, revision: _revision, ...settings } = site;
    files['site.json'] = strToU8(writeSiteFile({ ...settings, pages: await pagesOf(siteId) }));
  }
  return new Blob([zipSync(files, { level: 6 }) as Uint8Array<ArrayBuffer>], { type: 'application/zip' });
}
