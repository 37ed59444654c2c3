import { readFileSync } from 'node:fs';
import { DraftReadings } from '../src/core/criteria/index.ts';
import { type PostDocument, readPostFile } from '../src/core/draft/index.ts';
import { Vocabulary } from '../src/core/language/index.ts';
import { emptyScene, type Scene, scorePost } from '../src/core/scoring/index.ts';
import { indexedPost, SiteIndex, type SiteSettings, unknownSite } from '../src/core/site/index.ts';
import { demoBundle } from '../src/demo/bundle.ts';
import { DEGRADATIONS } from './degrade.ts';
import { place } from './place.ts';

/**
 * Documentation that comes with the packages of this machine, each with the keyword that an editor would give it. They are
 * read where they lie and are no part of the project.
 */
const REAL: readonly { path: string; keyword: string; licence: string }[] = [
  { path: 'depd/Readme.md', keyword: 'deprecation message', licence: 'MIT' },
  { path: 'saxes/README.md', keyword: 'xml parser', licence: 'ISC' },
  { path: 'fast-equals/README.md', keyword: 'equality comparison', licence: 'MIT' },
  { path: 'minipass/README.md', keyword: 'minipass stream', licence: 'BlueOak-1.0.0' },
  { path: 'comlink/README.md', keyword: 'comlink', licence: 'Apache-2.0' },
  { path: 'commander/Readme.md', keyword: 'command line options', licence: 'MIT' },
  { path: 'lru-cache/README.md', keyword: 'lru cache', licence: 'BlueOak-1.0.0' },
  { path: 'compression/README.md', keyword: 'compression', licence: 'MIT' },
  { path: 'safe-buffer/README.md', keyword: 'safe buffer', licence: 'MIT' },
  { path: 'asap/README.md', keyword: 'asap task', licence: 'MIT' },
];
const PACKAGES = 'node_modules';
const DEMO = place('src/demo/');
/** The year of the demo's scenario. */
const YEAR = 2026;

export interface EditorRow {
  name: string;
  original: number;
  /** The score of each degraded draft, in the order of `DEGRADATIONS`; null where there was nothing to take (no pictures). */
  degraded: (number | null)[];
}

async function documentAt(path: string): Promise<PostDocument> {
  const { fields, draft } = await readPostFile(readFileSync(path), path);
  return { fields, draft };
}

/** Documentation has no listing: it gets what an editor would write, out of its own opening. */
function listed({ fields, draft }: PostDocument, keyword: string): PostDocument {
  const opening = draft.blocks.find(({ kind, text }) => kind === 'paragraph' && text.length > 80)?.text ?? '';
  return {
    fields: {
      ...fields,
      keyword,
      slug: keyword.replaceAll(' ', '-'),
      metaTitle: `${keyword[0].toUpperCase()}${keyword.slice(1)}: what it does and how it is used`,
      metaDescription: `${keyword[0].toUpperCase()}${keyword.slice(1)}. ${opening.replace(/\s+/g, ' ').slice(0, 120)}`,
    },
    draft,
  };
}

interface Written {
  name: string;
  document: PostDocument;
}

function scorer(settings: SiteSettings, posts: readonly Written[], pictures: Scene['pictures']) {
  const index = new SiteIndex(
    settings,
    posts.map(({ name, document }) => indexedPost(name, document, name)),
  );
  const scene: Scene = { ...emptyScene(), site: settings, index, pictures, year: YEAR };
  const vocabulary = new Vocabulary();
  return (name: string, document: PostDocument) =>
    scorePost(document, indexedPost(name, document, name), scene, new DraftReadings(vocabulary)).report.score;
}

function rowsOf(posts: readonly Written[], score: ReturnType<typeof scorer>): EditorRow[] {
  const written = posts.filter(({ document }) => document.draft.blocks.length > 5);
  return written.map(({ name, document }, at) => ({
    name,
    original: score(name, document),
    degraded: DEGRADATIONS.map(({ apply }) => {
      const worse = apply(document, written[(at + 1) % written.length].document);
      return JSON.stringify(worse) === JSON.stringify(document) ? null : score(name, worse);
    }),
  }));
}

/** Scores of originals and of what was made of them: the demo's published posts, and real texts. */
export async function editorTable(): Promise<EditorRow[]> {
  const { site, pages, posts, pictures } = demoBundle(DEMO);
  // What is unfinished has nothing to lose; the site knows all of them.
  const finished = posts.filter(({ row }) => row.fields.status === 'published');
  const written = (some: typeof posts) =>
    some.map(({ row: { fields }, draft }) => ({ name: fields.slug, document: { fields, draft } }));
  const sizes = new Map(pictures.map(({ name, size }) => [`media/${name}`, size]));
  const real = await Promise.all(
    REAL.map(async ({ path, keyword }) => ({
      name: path,
      document: listed(await documentAt(`${PACKAGES}/${path}`), keyword),
    })),
  );
  return [
    ...rowsOf(written(finished), scorer({ ...site, pages }, written(posts), sizes)),
    ...rowsOf(real, scorer({ ...unknownSite(), titlePattern: '{title}', pages: [] }, real, new Map())),
  ];
}

/** Prints the table of degraded drafts and answers whether each lost what it must. */
export async function printEditorTable(): Promise<boolean> {
  const rows = await editorTable();
  console.info(['draft', 'original', ...DEGRADATIONS.map(({ name }) => name)].join('\t'));
  for (const { name, original, degraded } of rows)
    console.info(
      [name, original, ...degraded]
        .map((cell) => (typeof cell === 'number' ? cell.toFixed(1) : (cell ?? '-')))
        .join('\t'),
    );
  let short = 0;
  for (const [at, { name, least }] of DEGRADATIONS.entries()) {
    const lost = rows.flatMap(({ original, degraded }) => {
      const score = degraded[at];
      return score === null ? [] : [original - score];
    });
    const missed = lost.filter((points) => points < least || points <= 0).length;
    short += missed;
    const mean = lost.reduce((sum, points) => sum + points, 0) / lost.length;
    console.info(
      `${name}: ${mean.toFixed(1)} points lost on average, ${Math.min(...lost).toFixed(1)} at least; ${missed} of ${lost.length} below ${least === 0 ? 'any' : least}`,
    );
  }
  return short === 0;
}
