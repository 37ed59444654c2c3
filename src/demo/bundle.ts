import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PictureSize } from '../core/criteria/index.ts';
import { countingIds, type PostDocument, readMarkdown } from '../core/draft/index.ts';
import { pictureSize, readSiteFile } from '../core/formats/index.ts';
import type { SiteSettings } from '../core/site/index.ts';

/** The demo scenario as an empty database is filled with it. */
export interface DemoBundle {
  site: SiteSettings;
  posts: (PostDocument & { id: string })[];
  /** Files below `media/`. */
  pictures: { name: string; size: PictureSize }[];
}

/** Reads the scenario's files; a post that cannot be read is a mistake of ours and stops the build. */
export function demoBundle(folder: string): DemoBundle {
  const reading = readSiteFile(readFileSync(join(folder, 'site.json'), 'utf8'));
  if (reading.problem !== null) throw new Error(reading.problem);
  const posts = readdirSync(join(folder, 'posts'))
    .sort()
    .map((file) => {
      const name = file.replace(/\.md$/, '');
      const { problem, ...document } = readMarkdown(
        readFileSync(join(folder, 'posts', file), 'utf8'),
        countingIds(`${name}-`),
      );
      if (problem) throw new Error(`${file}: ${problem}`);
      return { id: `demo-${name}`, ...document };
    });
  const media = join(folder, 'media');
  const pictures = readdirSync(media)
    .sort()
    .map((name) => ({ name, size: pictureSize(readFileSync(join(media, name))) }));
  return { site: reading.site, posts, pictures };
}
