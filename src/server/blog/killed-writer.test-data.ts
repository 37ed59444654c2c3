// Publishes one post after another into a folder until it is killed, and says each that is kept.
import { emptyBlog } from '../../core/blog/index.ts';
import { BlogStore } from './blog-store.ts';

const [folder, from] = process.argv.slice(2);
const store = new BlogStore(folder, emptyBlog('http://127.0.0.1:4311'));
for (let at = Number(from); ; at++) {
  const properties = {
    uid: [`post-${at}`],
    name: [`Post ${at}`],
    content: [{ html: `<p>${'The dough rests. '.repeat(400)}</p>` }],
  };
  store.create(properties);
  process.stdout.write(`${at}\n`);
  // The same again, changed: it is one post all the same.
  store.create({ ...properties, summary: ['again'] });
}
