import { createHash } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { createServer, type RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { entryProperties } from '../../core/blog/index.ts';
import { emptyFields, type PostFields, readMarkdown } from '../../core/draft/index.ts';
import { newBlog, picture } from '../blog/blog.test-data.ts';
import { createBlog } from '../blog/blog-app.ts';
import { openPublishing, standInOf } from './publishing.ts';
import type { SendOrder } from './send-job.ts';

/** Listens at a port of its own. */
export async function listening(app: RequestListener): Promise<{ address: string; close: () => void }> {
  const server = createServer(app);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://127.0.0.1:${port}`,
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}

/** The blog stand-in at a port of its own, and a queue that sends to it. */
export async function standing(pauses: readonly number[] = [10]) {
  let app: RequestListener = (_request, response) => response.end();
  const server = await listening((request, response) => app(request, response));
  const blog = newBlog({ site: { address: server.address } });
  app = createBlog(blog.store);
  const folder = mkdtempSync(join(tmpdir(), 'host-'));
  const publishing = openPublishing(folder, '1', {}, () => standInOf(server.address, blog.store), { pauses });
  return { ...server, blog, folder, ...publishing };
}

export const PICTURE = picture('bike-tour-packing-list.webp');
export const PICTURE_SHA = createHash('sha256').update(PICTURE).digest('hex');

/** An order to publish a post. */
export function order(fields: Partial<PostFields> = {}, more: Partial<SendOrder> = {}): SendOrder {
  const { draft } = readMarkdown('Begin the day before.\n\n![A loaf](media/loaf.webp)\n\nBake it dark.');
  return {
    siteId: 'site',
    postId: 'post-1',
    title: 'A rye loaf',
    way: { kind: 'stand-in' },
    action: 'publish',
    url: '',
    known: null,
    leadsTo: '',
    withdrawn: false,
    properties: entryProperties('post-1', {
      fields: {
        ...emptyFields(),
        title: 'A rye loaf',
        slug: 'rye-loaf',
        status: 'published',
        date: '2026-11-01T08:00:00Z',
        image: 'media/loaf.webp',
        imageAlt: 'A loaf',
        ...fields,
      },
      draft,
    }),
    document: null,
    pictures: [{ src: 'media/loaf.webp', sha: PICTURE_SHA, name: 'loaf.webp', type: 'image/webp' }],
    due: '',
    revision: '1',
    ...more,
  };
}
