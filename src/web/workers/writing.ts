import { wholeProfile } from '../../core/criteria/index.ts';
import { type Draft, type PostDocument, readMarkdown } from '../../core/draft/index.ts';
import { documentOfPage } from '../../core/formats/index.ts';
import { tellingStems } from '../../core/language/index.ts';
import { type AddressRule, postPath } from '../../core/listing/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import { voiceOf } from '../../core/site/index.ts';
import {
  type HouseVoice,
  houseVoice,
  type Known,
  knownOf,
  OwnText,
  SourceTexts,
  type Unsupported,
  type VoiceNearness,
  voiceNearness,
} from '../../core/writing/index.ts';
import { briefOfPost } from '../data/briefs.ts';
import { database } from '../data/database.ts';
import type { PostRow } from '../data/post-rows.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { studyOfPost } from '../data/studies.ts';
import { pageContents } from '../data/study-pages.ts';
import { basesIn, studyWithPages } from './study.ts';

/** What a text is asked for, as far as the post in hand goes. */
export interface WritingPlace {
  siteId: string;
  postId: string;
  document: PostDocument;
  outline: OutlineItem[];
  /** Headings and questions that the text shall be about; none: the post. */
  about: string[];
  /** It is about the place of the caret too. */
  aboutPlace: boolean;
  /** The block that the caret stands in; null: at the end. */
  blockId: string | null;
  selection: string;
  picture: Known['picture'];
}

/** What stands out in one piece of a text that was made. */
export interface PieceCheck {
  unsupported: Unsupported[];
  /** Stretches that stand word by word on a page of the study. */
  shared: { start: number; end: number; page: string; address: string }[];
}

/** Posts whose text goes into what is known: the nearest by their titles and keywords. */
const NEAREST = 30;
/** Posts of the site in which a figure or a name is looked for. */
const LOOKED_THROUGH = 400;

/** The posts that are nearest to a subject, by the words of their titles and keywords. */
function nearest(rows: readonly PostRow[], subject: string, most: number): PostRow[] {
  const wanted = tellingStems(subject);
  return rows
    .map((row) => {
      const own = tellingStems(
        `${row.fields.title} ${row.fields.keyword} ${row.fields.supporting.join(' ')}`,
      );
      return { row, near: [...wanted].filter((each) => own.has(each)).length };
    })
    .sort((a, b) => b.near - a.near || (a.row.id < b.row.id ? -1 : 1))
    .slice(0, most)
    .map(({ row }) => row);
}

async function withBodies(rows: readonly PostRow[], rule: AddressRule) {
  const bodies = await database().bodies.bulkGet(rows.map(({ id }) => id));
  return rows.map(({ fields }, at) => ({
    title: fields.title,
    address: postPath(rule, fields) ?? '',
    draft: finishedBody(bodies[at]),
  }));
}

let sources: { key: string; texts: SourceTexts } | null = null;

/** Everything that a text of a post may stand on, read once while nothing of it changes. */
async function sourcesOf({ siteId, postId, document, outline }: WritingPlace): Promise<SourceTexts> {
  const [site, rows, study, brief] = await Promise.all([
    database().sites.get(siteId),
    postsOf(siteId),
    studyOfPost(siteId, postId),
    briefOfPost(siteId, postId),
  ]);
  const others = rows.filter(({ id, deleted }) => id !== postId && deleted === '').slice(0, LOOKED_THROUGH);
  const own = JSON.stringify([document.fields, outline, brief, site?.house.offer]);
  const key = JSON.stringify([
    own,
    study?.id,
    study?.revision,
    others.map(({ id, revision }) => [id, revision]),
  ]);
  if (sources?.key === key) return sources.texts;
  const texts = new SourceTexts([own.replace(/\\n/g, '\n')]);
  // What the stand-in counts: "three of 14 studied pages".
  const taken = (study?.pages ?? []).filter(({ left, problem }) => !left && problem === '').length;
  texts.add(`${taken} studied pages`);
  const keys = (study?.pages ?? []).filter(({ left }) => !left).map((page) => page.key);
  const contents = await pageContents(siteId, keys.filter(Boolean));
  for (const { title, publisher, key: page } of study?.pages ?? []) {
    const content = contents.get(page);
    texts.add(`${publisher}\n${title}`);
    if (content) texts.add(textOf(documentOfPage(content).draft));
  }
  for (const { title, draft } of await withBodies(others, { addressPattern: '' }))
    texts.add(`${title}\n${textOf(draft)}`);
  sources = { key, texts };
  return texts;
}

const textOf = ({ blocks }: Draft) => blocks.map(({ text }) => text).join('\n');

/** What is worked out for texts that are asked for; it runs in the worker that holds the studies. */
export const writing = {
  /** Everything that a text for a post can stand on. */
  async known(place: WritingPlace): Promise<Known> {
    const { siteId, postId, document } = place;
    const [site, row, brief] = await Promise.all([
      database().sites.get(siteId),
      studyOfPost(siteId, postId),
      briefOfPost(siteId, postId),
    ]);
    if (!site) throw new Error('The site is gone.');
    const study = row && (await studyWithPages(row.id));
    const { keyword, title } = document.fields;
    const rows = (await postsOf(siteId)).filter(
      ({ id, fields }) => id !== postId && fields.status !== 'draft',
    );
    const posts = await withBodies(
      nearest(rows, `${keyword} ${title} ${place.about.join(' ')}`, NEAREST),
      site,
    );
    const known = knownOf(
      {
        site: { name: site.name, language: site.language },
        house: site.house,
        voice: voiceOf(site.house),
        document,
        outline: place.outline,
        brief,
        study,
        posts,
        bodyWords: wholeProfile(site.profile).limits.bodyWords,
        blockId: place.blockId,
        selection: place.selection,
        picture: place.picture,
        about: place.about,
        aboutPlace: place.aboutPlace,
      },
      basesIn(study?.study.language ?? site.language),
    );
    return { ...known, titles: rows.map(({ fields }) => fields.title).filter(Boolean) };
  },

  /** For each piece of a text: what stands in none of its sources, and what stands on a page of the study word by word. */
  async checkTexts(place: WritingPlace, texts: string[]): Promise<PieceCheck[]> {
    const known = await sourcesOf(place);
    const study = await studyOfPost(place.siteId, place.postId);
    const own = new OwnText(
      texts.map((text) => ({ text })),
      basesIn('en').vocabulary,
    );
    const checks = texts.map((text): PieceCheck => ({ unsupported: known.unsupported(text), shared: [] }));
    const pages = (study?.pages ?? []).filter(({ left, key }) => !left && key !== '');
    const contents = await pageContents(
      place.siteId,
      pages.map(({ key }) => key),
    );
    for (const { key, publisher, title, address } of pages) {
      const content = contents.get(key);
      // A quotation that names its page is one.
      for (const { block, start, end } of content ? own.sharedWith(documentOfPage(content).draft.blocks) : [])
        if (!texts[block].includes(`— ${publisher}`))
          checks[block].shared.push({ start, end, page: publisher || title, address });
    }
    return checks;
  },

  /** A voice learnt from posts as they are saved; null where they hold too little prose. */
  async learnVoice(
    postIds: string[],
    as: { id: string; name: string; now: string; before?: HouseVoice },
  ): Promise<HouseVoice | null> {
    const bodies = await database().bodies.bulkGet(postIds);
    const samples = postIds.flatMap((id, at) =>
      bodies[at] ? [{ id, draft: finishedBody(bodies[at]) }] : [],
    );
    return houseVoice(samples, as);
  },

  /** A draft held against a voice. */
  voiceOf: (draft: Draft, voice: HouseVoice): VoiceNearness => voiceNearness(draft, voice.figures),

  /** A text that came as Markdown, as a draft. */
  draftOf: (markdown: string): Draft => readMarkdown(markdown, () => crypto.randomUUID()).draft,
};

export type Writing = typeof writing;
