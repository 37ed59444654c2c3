import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type BlogSeed, pageBody, type SitePage } from '../core/blog/index.ts';
import type { StudyFacts } from '../core/criteria/index.ts';
import { countingIds, type Draft, readMarkdown } from '../core/draft/index.ts';
import { pictureSize, readSiteFile } from '../core/formats/index.ts';
import { Vocabulary } from '../core/language/index.ts';
import { type PerformanceRow, previewPerformance, readPerformance } from '../core/research/index.ts';
import { defaultReuseWishes, type ReuseKind, reuse, withCampaign } from '../core/reuse/index.ts';
import { type House, STAND_IN } from '../core/site/index.ts';
import { readTranscript } from '../core/talk/index.ts';
import type { DemoBundle } from '../web/data/demo-bundle.ts';
import { type PostRow, pageRow } from '../web/data/post-rows.ts';
import type { IdeaRow, ListRow } from '../web/data/research-rows.ts';
import type { ReuseRow } from '../web/data/reuse-rows.ts';
import { sceneOf } from '../web/data/scene.ts';
import { sceneData, scoreKeys } from '../web/data/scene-data.ts';
import { scoreRow } from '../web/data/score-row.ts';
import { siteRow } from '../web/data/sites.ts';
import type { TalkRow } from '../web/data/talk-rows.ts';
import { earlierVersions, readPast } from './earlier-versions.ts';
import { demoExamples, demoVoice } from './examples.ts';
import { searchPast } from './search-past.ts';
import { type DemoStudy, demoStudy, type StudyDemand } from './study.ts';

const SITE_ID = 'site-1';
/** UTC instant from which lists and ideas are. */
const MADE = '2026-11-16T09:00:00Z';

const postId = (name: string) => (name ? `demo-${name}` : '');

function readLists(folder: string): ListRow[] {
  const lists: { name: string; primary: string; phrases: string[]; notes: string; post: string }[] =
    JSON.parse(readFileSync(join(folder, 'lists.json'), 'utf8'));
  return lists.map(({ post, ...list }, at) => ({
    ...list,
    id: `demo-list-${at + 1}`,
    siteId: SITE_ID,
    rank: at + 1,
    region: 'GB',
    postId: postId(post),
    changed: MADE,
  }));
}

function readIdeas(folder: string): IdeaRow[] {
  const ideas: Pick<IdeaRow, 'origin' | 'stage' | 'title' | 'line' | 'keyword' | 'phrases' | 'from'>[] =
    JSON.parse(readFileSync(join(folder, 'ideas.json'), 'utf8'));
  return ideas.map((idea, at) => ({
    ...idea,
    id: `demo-idea-${at + 1}`,
    siteId: SITE_ID,
    rank: at + 1,
    opportunity: null,
    from: postId(idea.from),
    postId: '',
    made: MADE,
  }));
}

function readExport(folder: string): PerformanceRow[] {
  const text = readFileSync(join(folder, 'performance.csv'), 'utf8');
  const { rows, bad } = readPerformance(text, previewPerformance(text));
  if (bad.length > 0) throw new Error(`performance.csv, line ${bad[0].line}: ${bad[0].reason}`);
  return rows;
}

/** Reads the scenario's files; a post that cannot be read is a mistake of ours and stops the build. */
export function demoBundle(
  folder: string,
  studies: readonly DemoStudy[] = [],
  talks: readonly TalkRow[] = [],
  monthsOf: (phrase: string) => readonly number[] | null = () => null,
): DemoBundle {
  const reading = readSiteFile(readFileSync(join(folder, 'site.json'), 'utf8'));
  if (reading.problem !== null) throw new Error(reading.problem);
  const house: House = JSON.parse(readFileSync(join(folder, 'house.json'), 'utf8'));
  const bare = { ...siteRow(SITE_ID, reading.site), house };
  const pages = (reading.site.pages ?? [])
    .flatMap((page) => pageRow(SITE_ID, page) ?? [])
    .sort((a, b) => (a.path < b.path ? -1 : 1))
    .map(({ address, title }) => ({ address, ...(title ? { title } : {}) }));
  const posts = readdirSync(join(folder, 'posts')).map((file) => {
    const name = file.replace(/\.md$/, '');
    const { problem, fields, draft } = readMarkdown(
      readFileSync(join(folder, 'posts', file), 'utf8'),
      countingIds(`${name}-`),
    );
    if (problem) throw new Error(`${file}: ${problem}`);
    const row: PostRow = {
      id: `demo-${name}`,
      siteId: SITE_ID,
      revision: 1,
      changed: fields.updated,
      deleted: '',
      fields,
    };
    return { row, draft };
  });
  // The database hands posts and pictures out in the order of their keys; scores are filed under what that gives.
  posts.sort((a, b) => (a.row.id < b.row.id ? -1 : 1));
  const voice = demoVoice(posts, MADE);
  const past = readPast(folder);
  const site = { ...bare, house: { ...house, voices: [voice], writing: { way: STAND_IN, voice: voice.id } } };
  const media = join(folder, 'media');
  const pictures = readdirSync(media)
    .sort()
    .map((name) => ({ name, size: pictureSize(readFileSync(join(media, name))) }));
  const data = sceneData(
    site,
    posts.map(({ row }) => row),
    new Map(pictures.map(({ name, size }) => [`media/${name}`, size])),
    pages,
    studies.flatMap(({ row }) =>
      row.posts.flatMap((id): [string, StudyFacts][] => (row.facts ? [[id, row.facts]] : [])),
    ),
  );
  const [scene, keyOf, vocabulary] = [sceneOf(data), scoreKeys(data), new Vocabulary()];
  const scores = posts.map(({ row, draft }) =>
    scoreRow(
      { id: row.id, siteId: SITE_ID, key: keyOf(row) },
      { fields: row.fields, draft },
      scene,
      vocabulary,
    ),
  );
  return {
    site,
    pages,
    posts,
    pictures,
    scores,
    lists: readLists(folder),
    ideas: readIdeas(folder),
    versions: earlierVersions(posts, past.versions),
    searchFigures: searchPast(readExport(folder), past.turns, monthsOf),
    studies: [...studies],
    talks: [...talks],
    reuses: demoReuses(posts, site.baseAddress),
    generations: studies.length > 0 ? demoExamples(site, posts, studies[0], voice) : [],
  };
}

/** The post of which a thread, a blurb and a letter were made already. */
const REUSED = 'bicycle-ferry';

/** What was made of one of the posts: by the same rules as anywhere, and one thing of it sent. */
function demoReuses(posts: readonly { row: PostRow; draft: Draft }[], baseAddress: string): ReuseRow[] {
  const post = posts.find(({ row }) => row.id === postId(REUSED));
  if (!post) return [];
  const { fields } = post.row;
  const address = `${baseAddress}/journal/${fields.slug}`;
  const from = {
    title: fields.title,
    keyword: fields.keyword,
    supporting: fields.supporting,
    categories: [fields.category],
    description: fields.metaDescription,
    address,
    author: fields.author,
  };
  const base = { siteId: SITE_ID, postId: post.row.id, made: MADE, changed: MADE, sent: [], planned: '' };
  // The thread was made last: it is what one comes back to.
  const make = (kind: ReuseKind, more: Partial<ReuseRow> = {}): ReuseRow => {
    const wishes = { ...defaultReuseWishes(), ...more.wishes };
    const tags = more.tags ?? [];
    const own = { ...from, address: withCampaign(address, tags) };
    return {
      ...base,
      id: `demo-reuse-${kind}`,
      kind,
      parts: reuse(kind, post.draft, own, wishes),
      ...more,
      wishes,
      tags,
    };
  };
  return [
    make('thread', {
      made: '2026-11-16T09:20:00Z',
      tags: [['utm_source', 'messages']],
      sent: [{ channel: 'Short messages', how: 'recorded', at: '2026-11-17T08:30:00Z' }],
    }),
    make('blurb'),
    make('picture'),
    make('newsletter', {
      letter: {
        subject: 'Across to Holm without the main road',
        opening: 'The ferry sails again from Easter. Here is all that you asked us about it last year.',
        closing: 'See you on the slipway.',
        posts: [post.row.id],
      },
    }),
  ];
}

/** The talk that one of the demo's drafts is made from. */
export async function demoTalk(folder: string): Promise<TalkRow> {
  const name = 'pre-tour-bike-check.vtt';
  const { transcript, problem } = await readTranscript(readFileSync(join(folder, 'talks', name), 'utf8'));
  if (!transcript) throw new Error(`${name}: ${problem}`);
  return {
    postId: postId('pre-tour-bike-check'),
    siteId: SITE_ID,
    name,
    at: MADE,
    ...transcript,
    address: 'https://video.example/saltmarsh/pre-tour-bike-check.mp4',
    kind: 'video',
    title: 'Workshop evening: one bike, half an hour',
  };
}

/** The query of the study that stands in the demo. */
export const STUDIED = 'bike tour packing list';

/** The study that one of its drafts goes by from the first start. */
export const firstStudy = (demand: StudyDemand): Promise<DemoStudy> =>
  demoStudy(demand, {
    id: 'demo-study-1',
    siteId: SITE_ID,
    postId: postId('bike-tour-with-kids'),
    made: MADE,
  });

/** Pages of the site that are no posts. */
function readPages(folder: string): SitePage[] {
  return readdirSync(folder)
    .sort()
    .map((file) => {
      const name = file.replace(/\.md$/, '');
      const { problem, fields, draft } = readMarkdown(
        readFileSync(join(folder, file), 'utf8'),
        countingIds(`${name}-`),
      );
      if (problem) throw new Error(`${file}: ${problem}`);
      return {
        path: `/${name}`,
        title: fields.title,
        description: fields.metaDescription,
        html: pageBody(draft, new Map()),
      };
    });
}

/** What the demo's blog begins with: its published posts, in the categories that it has, and the pages of its site. */
export function blogSeed(folder: string, { site, posts }: DemoBundle): BlogSeed {
  const { description } = JSON.parse(readFileSync(join(folder, 'blog.json'), 'utf8')) as Pick<
    BlogSeed,
    'description'
  >;
  return {
    name: site.name,
    language: site.language,
    addressPattern: site.addressPattern,
    titlePattern: site.titlePattern,
    description,
    categories: site.categories ?? [],
    pages: readPages(join(folder, 'pages')),
    posts: posts.flatMap(({ row, draft }) =>
      row.fields.status === 'published' ? [{ uid: row.id, document: { fields: row.fields, draft } }] : [],
    ),
  };
}
