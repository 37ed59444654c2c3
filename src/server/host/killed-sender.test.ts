import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { emptyBlog, textOfProperty } from '../../core/blog/index.ts';
import { BlogStore } from '../blog/blog-store.ts';

const SENDER = fileURLToPath(new URL('killed-sender.test-data.ts', import.meta.url));
/** In its long form as often as a server will be killed in years. */
const TIMES = process.env['LONG'] ? 50 : 3;
const AT_ONCE = 8;

/** Orders posts and sends, until all is sent or, so many milliseconds after the orders were taken, it is killed. */
function sends(folder: string, from: number, count: number, killedAfter: number | null): Promise<string> {
  return new Promise((resolve, reject) => {
    const args = ['--import', 'tsx', SENDER, folder, String(from), String(count)];
    const sender = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
    let said = '';
    sender.stdout.on('data', (text: Buffer) => {
      if (said === '' && killedAfter !== null) setTimeout(() => sender.kill('SIGKILL'), killedAfter);
      said += text.toString();
    });
    sender.on('error', reject);
    sender.on('close', () => resolve(said));
  });
}

describe('a server that is killed while posts are being sent', () => {
  it('goes on where it was: every post stands there once, whole, with its picture', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'sending-'));
    let ordered = 0;
    let killed = 0;
    for (let time = 0; time < TIMES; time++) {
      const said = await sends(folder, ordered, AT_ONCE, (time * 13) % 90);
      ordered += AT_ONCE;
      if (!said.includes('sent')) killed += 1;
    }
    expect(killed).toBeGreaterThan(TIMES / 2);
    expect(await sends(folder, ordered, 0, null)).toContain('sent');
    const posts = new BlogStore(join(folder, 'blog'), emptyBlog('http://127.0.0.1')).allPosts();
    const names = posts.map(({ properties }) => textOfProperty(properties, 'name')).sort();
    expect(names).toEqual(Array.from({ length: ordered }, (_, at) => `Post ${at}`).sort());
    expect(new Set(posts.map(({ slug }) => slug)).size).toBe(ordered);
    const media = readdirSync(join(folder, 'blog', 'media')).filter((name) => !name.endsWith('.part'));
    expect(media).toHaveLength(1);
    for (const { properties } of posts)
      expect(JSON.stringify(properties['content'])).toContain(`/media/${media[0]}`);
  }, 240_000);
});
