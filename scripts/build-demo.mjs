// Turns the demo scenario's Markdown into the data that an empty database is filled with, and the world's files into what its stand-in answers.
import { cpSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { register } from 'tsx/esm/api';
import { root } from './prepare.mjs';

register();
const { buildWorld } = await import('../src/server/market/world-data.ts');
const { blogSeed, demoBundle } = await import('../src/demo/bundle.ts');
const source = join(root, 'src', 'demo');
const target = join(root, 'dist', 'demo');
mkdirSync(target, { recursive: true });
const bundle = demoBundle(source);
writeFileSync(join(target, 'scenario.json'), JSON.stringify(bundle));
// What has been published already stands on the blog when it begins.
writeFileSync(join(root, 'dist', 'blog.json'), JSON.stringify(blogSeed(source, bundle)));
cpSync(join(source, 'media'), join(target, 'media'), { recursive: true });
const world = buildWorld(join(root, 'src', 'server', 'market', 'world'));
writeFileSync(join(root, 'dist', 'market.json'), JSON.stringify(world));
// The demo begins with what a first look around its subject has brought.
writeFileSync(join(target, 'keywords.json'), JSON.stringify(world.keywords.GB));
