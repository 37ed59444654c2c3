import {
  type SectionFacts,
  type StatedFigure,
  sectionFacts,
  statedFigures,
} from '../../core/criteria/index.ts';
import type { Block, PostDocument } from '../../core/draft/index.ts';
import { documentOfPage } from '../../core/formats/index.ts';
import { comparablePath, linkKind } from '../../core/listing/index.ts';
import { bareQuotes, OwnText } from '../../core/writing/index.ts';
import { database } from '../data/database.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { studyOfPost } from '../data/studies.ts';
import { pageContents } from '../data/study-pages.ts';
import { stillWanted } from './called-off.ts';
import { surroundings } from './draft-surroundings.ts';

/** A place in the post in hand with its words. */
export interface QuotedPlace {
  blockId: string;
  start: number;
  end: number;
  quote: string;
}

/** Whose words and figures a post holds. */
export interface SourcesView {
  /** Null: how the language of the post states figures is not known. */
  figures: StatedFigure[] | null;
  quotes: QuotedPlace[];
}

/** Words that stand in another text too. */
export interface SharedWords extends QuotedPlace {
  words: number;
  /** The other text: a post of the site, or a page of the study by its address. */
  title: string;
  postId: string | null;
  address: string;
  /** The words as they stand there, with a little of what is around them. */
  theirs: { before: string; words: string; after: string };
}

/** What a post shares with other texts. */
export interface SharedView {
  /** The longest first. */
  runs: SharedWords[];
  /** Share of its words that stand in none of these texts, 0-1. */
  ownShare: number;
  posts: number;
  pages: number;
}

const SLICE = 50;
/** Runs that are shown: nobody reads more. */
const MOST_RUNS = 60;
const AROUND = 60;

function quoted(
  { blocks }: PostDocument['draft'],
  place: { block: number; start: number; end: number },
): QuotedPlace {
  const { id, text } = blocks[place.block];
  return { blockId: id, start: place.start, end: place.end, quote: text.slice(place.start, place.end) };
}

/** Sources and sections of a post. */
export const sources = {
  /** Figures and quotes of a post as it stands on the screen, and what stands for them. */
  async sourcesOf(siteId: string, postId: string, document: PostDocument): Promise<SourcesView> {
    const { facts } = await surroundings(siteId, postId, document);
    return {
      figures: facts.wording ? statedFigures(facts) : null,
      quotes: bareQuotes(document.draft.blocks).map((place) => quoted(document.draft, place)),
    };
  },

  /** The sections of a post as it stands on the screen. */
  async sectionsOf(siteId: string, postId: string, document: PostDocument): Promise<SectionFacts[]> {
    return sectionFacts((await surroundings(siteId, postId, document)).facts);
  },

  /** What a post shares word for word with other posts of the site and with the pages of its study. */
  async sharedWords(
    siteId: string,
    postId: string,
    document: PostDocument,
    job: string,
  ): Promise<SharedView> {
    const { vocabulary, facts, site } = await surroundings(siteId, postId, document);
    const { draft } = document;
    const own = new OwnText(draft.blocks, vocabulary);
    const runs: SharedWords[] = [];
    const hold = (
      blocks: readonly Block[],
      other: { title: string; postId: string | null; address: string },
    ) => {
      for (const { words, otherBlock, otherStart, otherEnd, ...place } of own.sharedWith(blocks)) {
        const { text } = blocks[otherBlock];
        runs.push({
          ...quoted(draft, place),
          words,
          ...other,
          theirs: {
            before: text.slice(Math.max(0, otherStart - AROUND), otherStart),
            words: text.slice(otherStart, otherEnd),
            after: text.slice(otherEnd, otherEnd + AROUND),
          },
        });
      }
    };
    const study = await studyOfPost(siteId, postId);
    // The post's own page among the results is no other text.
    const isOwn = (address: string) =>
      linkKind(address, site.baseAddress || null) === 'internal' &&
      comparablePath(address) === facts.settings.ownPath;
    const pages = (study?.pages ?? []).filter(
      ({ left, key, problem, address }) => !left && key !== '' && problem === '' && !isOwn(address),
    );
    for (const page of pages) {
      const content = (await pageContents(siteId, [page.key])).get(page.key);
      if (content)
        hold(documentOfPage(content).draft.blocks, {
          title: page.title || page.publisher,
          postId: null,
          address: page.address,
        });
      await stillWanted(job);
    }
    const others = (await postsOf(siteId)).filter(({ id }) => id !== postId);
    for (let from = 0; from < others.length; from += SLICE) {
      const rows = others.slice(from, from + SLICE);
      const bodies = await database().bodies.bulkGet(rows.map(({ id }) => id));
      rows.forEach(({ id, fields }, at) => {
        hold(finishedBody(bodies[at]).blocks, {
          title: fields.title || 'Untitled',
          postId: id,
          address: '',
        });
      });
      await stillWanted(job);
    }
    return {
      runs: runs.sort((a, b) => b.words - a.words || (a.title < b.title ? -1 : 1)).slice(0, MOST_RUNS),
      ownShare: own.ownShare,
      posts: others.length,
      pages: pages.length,
    };
  },
};

export type Sources = typeof sources;
