// A blog and the queue that sends to it, in one process, as `npm start` runs them: orders some posts and sends until it is killed.
import { join } from 'node:path';
import { emptyBlog } from '../../core/blog/index.ts';
import { createBlog } from '../blog/blog-app.ts';
import { BlogStore } from '../blog/blog-store.ts';
import { listening, order, PICTURE, PICTURE_SHA } from './host.test-data.ts';
import { openPublishing, standInOf } from './publishing.ts';

const [folder, from, count] = process.argv.slice(2);
const store = new BlogStore(join(folder, 'blog'), emptyBlog('http://127.0.0.1'));
const { address } = await listening(createBlog(store));
// Paths, not ports, are what stays of an address between two starts.
Object.assign(store.site, { address });
const { queue } = openPublishing(join(folder, 'host'), '1', {}, () => standInOf(address, store), {
  pauses: [5],
});
queue.pictures.put(PICTURE_SHA, PICTURE);
for (let at = Number(from); at < Number(from) + Number(count); at++) {
  const { properties, ...rest } = order({ title: `Post ${at}`, slug: `post-${at}` });
  queue.order({
    ...rest,
    postId: `post-${at}`,
    properties: { ...properties, uid: [`post-${at}`] },
  });
}
console.log('ordered');
await queue.settled();
console.log('sent');
process.exit(0);
