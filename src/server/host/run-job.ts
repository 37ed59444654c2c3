import { type EntryProperties, textOfProperty } from '../../core/blog/index.ts';
import {
  draftWithPicturesMoved,
  fieldsWithPicturesMoved,
  type PostDocument,
} from '../../core/draft/index.ts';
import type { BlogHost, SentPost } from './blog-host.ts';
import { HostProblem } from './blog-host.ts';
import type { PictureFiles } from './picture-files.ts';
import type { SendJob } from './send-job.ts';

/** Properties in which a picture may stand. */
const WITH_PICTURES: ReadonlySet<string> = new Set(['content', 'featured', 'photo', 'share-photo']);

/** Replaces addresses of pictures wherever they stand in the properties: in the text's HTML, alone, with a description. */
export function withPlacedPictures(
  properties: EntryProperties,
  places: ReadonlyMap<string, string>,
): EntryProperties {
  if (places.size === 0) return properties;
  const moved = (value: unknown): unknown => {
    if (typeof value === 'string') return places.get(value) ?? value;
    if (Array.isArray(value)) return value.map(moved);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([name, one]) => [
        name,
        name === 'html' && typeof one === 'string' ? inHtml(one, places) : moved(one),
      ]),
    );
  };
  return Object.fromEntries(
    Object.entries(properties).map(([name, values]) => [
      name,
      WITH_PICTURES.has(name) ? (moved(values) as unknown[]) : values,
    ]),
  );
}

/** HTML of the core's own writing: an address stands between quotes, escaped as attributes are. */
function inHtml(html: string, places: ReadonlyMap<string, string>): string {
  let out = html;
  for (const [src, to] of places) {
    const written = src.replace(/&/g, '&amp;').replace(/"/g, '&quot;');
    out = out.replaceAll(`"${written}"`, `"${to.replace(/&/g, '&amp;').replace(/"/g, '&quot;')}"`);
  }
  return out;
}

const withPlacedDocument = (
  { fields, draft }: PostDocument,
  places: ReadonlyMap<string, string>,
): PostDocument => {
  const to = (src: string) => places.get(src);
  return { fields: fieldsWithPicturesMoved(fields, to), draft: draftWithPicturesMoved(draft, to) };
};

/** Puts up the pictures that are not up yet, each file once. `keep` is told of each, so that none goes twice. */
async function placePictures(
  host: BlogHost,
  job: SendJob,
  files: PictureFiles,
  keep: (job: SendJob) => void,
): Promise<SendJob> {
  let now = job;
  for (const { sha, name, type } of job.pictures) {
    if (Object.hasOwn(now.placed, sha)) continue;
    const bytes = files.read(sha);
    if (!bytes)
      throw new HostProblem(
        'refused',
        `The picture ${name} did not reach the server. Publish the post again.`,
      );
    now = { ...now, placed: { ...now.placed, [sha]: await host.putMedia(bytes, name, type, job.url) } };
    keep(now);
  }
  return now;
}

/** Where a post stands whose creation may have arrived though its answer did not; empty: nowhere. */
async function alreadyThere(host: BlogHost, job: SendJob): Promise<string> {
  const { readable } = await host.capabilities();
  if (!readable)
    throw new HostProblem(
      'refused',
      'An earlier try may have arrived, and this host does not tell. Look there first; if the post is not there, try again.',
    );
  const uid = textOfProperty(job.properties, 'uid');
  const found = (await host.list()).find(({ properties }) => textOfProperty(properties, 'uid') === uid);
  return found?.url ?? '';
}

/** The version of what stands at an address; null where the host does not tell. */
async function versionAt(host: BlogHost, url: string): Promise<string | null> {
  try {
    return (await host.read(url)).version;
  } catch (error) {
    if (error instanceof HostProblem) return null;
    throw error;
  }
}

/**
 * Does what a job asks for, once, and answers where the post stands then. `keep` stores how far it came, at every step after
 * which a second run must not do the first one's work again. Throws {@link HostProblem}.
 */
export async function runJob(
  host: BlogHost,
  given: SendJob,
  files: PictureFiles,
  keep: (job: SendJob) => void,
): Promise<SentPost> {
  if (given.action !== 'publish') {
    if (given.action === 'withdraw') await host.remove(given.url, given.leadsTo);
    else await host.restore(given.url);
    const version = given.action === 'restore' ? await versionAt(host, given.url) : null;
    return { url: given.url, version, isLater: false };
  }
  const job = await placePictures(host, given, files, keep);
  const places = new Map(job.pictures.map(({ src, sha }) => [src, job.placed[sha]]));
  const properties = withPlacedPictures(job.properties, places);
  let { url } = job;
  if (!url && job.begunBy) {
    // Whoever tries again after this has looked.
    keep({ ...job, begunBy: '' });
    url = await alreadyThere(host, job);
    // It is this very post that arrived.
    if (url && job.begunBy === job.id)
      return { url, version: (await host.read(url)).version, isLater: false };
  }
  const document = job.document && withPlacedDocument(job.document, places);
  if (url && job.withdrawn) {
    await host.restore(url);
    // What stands there now is another version by that alone.
    return host.update(url, { properties, document }, null);
  }
  if (url) return host.update(url, { properties, document }, job.known);
  keep({ ...job, begunBy: job.id });
  return host.create({ properties, document });
}
