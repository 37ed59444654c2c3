// Turns the demo scenario's Markdown into the data that an empty database is filled with, and the world's files into what its stand-in answers.
import { cpSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { register } from 'tsx/esm/api';
import { root } from './prepare.mjs';

register();
const { buildWorld } = await import('../src/server/market/world-data.ts');
const { unpackKeywords } = await import('../src/core/research/index.ts');
const { World } = await import('../src/server/market/world.ts');
const { blogSeed, demoBundle, demoTalk, firstStudy, STUDIED } = await import('../src/demo/bundle.ts');
const source = join(root, 'src', 'demo');
const target = join(root, 'dist', 'demo');
mkdirSync(target, { recursive: true });
const world = buildWorld(join(root, 'src', 'server', 'market', 'world'));
const market = new World(world);
const study = await firstStudy({
  query: STUDIED,
  region: 'GB',
  results: market.results(STUDIED, 'GB', 20),
  questions: market.questions([STUDIED], 'GB'),
  phrases: market
    .related([STUDIED], 'GB')
    .filter(({ phrase }) => phrase !== STUDIED)
    .sort((a, b) => (b.volume ?? 0) - (a.volume ?? 0))
    .slice(0, 60),
});
const seasons = new Map(
  unpackKeywords(world.keywords.GB).map(({ phrase, months }) => [phrase.toLowerCase(), months]),
);
const bundle = demoBundle(
  source,
  [study],
  [await demoTalk(source)],
  (phrase) => seasons.get(phrase.toLowerCase()) ?? null,
);
writeFileSync(join(target, 'scenario.json'), JSON.stringify(bundle));
// What has been published already stands on the blog when it begins.
writeFileSync(join(root, 'dist', 'blog.json'), JSON.stringify(blogSeed(source, bundle)));
cpSync(join(source, 'media'), join(target, 'media'), { recursive: true });
writeFileSync(join(root, 'dist', 'market.json'), JSON.stringify(world));
// The demo begins with what a first look around its subject has brought.
writeFileSync(join(target, 'keywords.json'), JSON.stringify(world.keywords.GB));
