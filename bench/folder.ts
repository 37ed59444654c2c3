import { mkdirSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { proseOf } from './prose.ts';

/** A folder of so many posts with front matter, a hundred to a folder; `read` reads all their bytes. */
export function folderOfPosts(count: number): { folder: string; read: () => number } {
  const folder = mkdtempSync(join(tmpdir(), 'posts-'));
  for (let at = 0; at < count; at++) {
    const inner = join(folder, `${2000 + Math.floor(at / 100)}`);
    mkdirSync(inner, { recursive: true });
    const front = `---\ntitle: Post ${at}\nslug: post-${at}\nkeyword: bike tour\ndate: 2026-05-01T08:00:00Z\ntags: [tides, routes]\n---\n\n`;
    writeFileSync(join(inner, `post-${at}.md`), front + proseOf(700, at % 50));
  }
  const read = () => {
    let bytes = 0;
    for (const inner of readdirSync(folder))
      for (const name of readdirSync(join(folder, inner)))
        bytes += readFileSync(join(folder, inner, name)).length;
    return bytes;
  };
  return { folder, read };
}
