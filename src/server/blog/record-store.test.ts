import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { emptyBlog } from '../../core/blog/index.ts';
import { BlogStore } from './blog-store.ts';
import { RecordStore } from './record-store.ts';

const WRITER = fileURLToPath(new URL('killed-writer.test-data.ts', import.meta.url));
/** In its long form as often as a server will be killed in years. */
const TIMES = process.env['LONG'] ? 50 : 4;

/** Lets a server publish until it is killed in the middle of it; answers the last post that it said was kept. */
function publishedUntilKilled(folder: string, from: number, after: number): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = spawn(process.execPath, ['--import', 'tsx', WRITER, folder, String(from)], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    server.stdout.on('data', (text: Buffer) => {
      // From the first post on.
      if (said === '') setTimeout(() => server.kill('SIGKILL'), after);
      said += text.toString();
    });
    server.on('error', reject);
    server.on('close', () => {
      const whole = said.slice(0, said.lastIndexOf('\n'));
      resolve(Number(whole.split('\n').at(-1)));
    });
  });
}

describe('a server that is killed while it publishes', () => {
  it('has kept every post that it said was kept, whole, and none twice', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'killed-'));
    let kept = -1;
    for (let time = 0; time < TIMES; time++) {
      kept = await publishedUntilKilled(folder, kept + 1, (time * 7) % 40);
      const store = new BlogStore(folder, emptyBlog('http://127.0.0.1:4311'));
      const posts = store.allPosts();
      const uids = posts.map(({ uid }) => uid);
      expect(new Set(uids).size).toBe(uids.length);
      expect(new Set(posts.map(({ slug }) => slug)).size).toBe(uids.length);
      for (let at = 0; at <= kept; at++) expect(uids).toContain(`post-${at}`);
      // One may be on the disk that was not said yet.
      expect(uids.length - (kept + 1)).toBeLessThanOrEqual(time + 1);
      for (const { properties } of posts)
        expect((properties['content'] as { html: string }[])[0].html).toMatch(/^<p>.*<\/p>$/);
      expect(readdirSync(join(folder, 'posts')).filter((name) => name.endsWith('.part'))).toEqual([]);
    }
  }, 240_000);
});

describe('records in files', () => {
  const store = (folder: string) => new RecordStore<{ id: string; n: number }>(folder, ({ id }) => id);
  it('come back as they were put, whatever they are called', () => {
    const folder = mkdtempSync(join(tmpdir(), 'records-'));
    const names = ['a', '../../b', 'constructor', '__proto__', 'ä/ö', '', 'x'.repeat(5000)];
    for (const [n, id] of names.entries()) store(folder).put({ id, n });
    expect(
      store(folder)
        .all()
        .map(({ id, n }) => [id, n])
        .sort((a, b) => Number(a[1]) - Number(b[1])),
    ).toEqual(names.map((id, n) => [id, n]));
  });
  it('of which one cannot be read leave the others as they are, and name it', () => {
    const folder = mkdtempSync(join(tmpdir(), 'records-'));
    store(folder).put({ id: 'a', n: 1 });
    writeFileSync(join(folder, 'broken.json'), '{"id":');
    const opened = store(folder);
    expect(opened.all()).toEqual([{ id: 'a', n: 1 }]);
    expect(opened.damaged).toEqual([join(folder, 'broken.json')]);
  });
});
