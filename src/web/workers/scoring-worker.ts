import { expose } from 'comlink';
import {
  type DraftFacts,
  DraftReadings,
  type ScoreReport,
  termUses,
  topicCover,
} from '../../core/criteria/index.ts';
import type { Block, PostDocument, PostFields } from '../../core/draft/index.ts';
import { type OfferedFix, offersFor, type Scene, scorePost } from '../../core/scoring/index.ts';
import { indexedPost } from '../../core/site/index.ts';
import { openDatabase } from '../data/database.ts';
import { sceneOf } from '../data/scene.ts';
import type { SceneData } from '../data/scene-data.ts';
import { watchScene } from '../data/watch-scene.ts';

/** What changed of the post in hand since it was last sent. */
export interface ScoreRequest {
  postId: string;
  revision: number;
  fields: PostFields;
  /** Ids of all blocks in order. */
  order: string[];
  /** Blocks that are new or changed. */
  changed: Block[];
}

/** Changes that help, by criterion. */
export type Offers = Record<string, OfferedFix[]>;

export interface ScoreAnswer {
  postId: string;
  revision: number;
  report: ScoreReport;
  words: number;
  /** How the post stands to its study; null: it has none. */
  coverage: Coverage | null;
}

/** A post beside its study. */
export interface Coverage {
  /** Uses of terms by their key; those that are not used are left out. */
  uses: Record<string, number>;
  /** How far each topic is covered, 0-1, by its name. */
  topics: Record<string, number>;
}

/** A place in the post in hand. */
export interface TermPlace {
  blockId: string;
  start: number;
  end: number;
}

function coverageOf(facts: DraftFacts): Coverage | null {
  if (!facts.settings.study) return null;
  return {
    uses: Object.fromEntries(
      termUses(facts).flatMap(({ term, uses }) => (uses > 0 ? [[term.key, uses]] : [])),
    ),
    topics: Object.fromEntries(topicCover(facts).map(({ topic, cover }) => [topic.name, cover])),
  };
}

let scene: Scene | null = null;
let last: { document: PostDocument; postId: string; scored: ReturnType<typeof scorePost> } | null = null;
let held: { postId: string; blocks: Map<string, Block>; readings: DraftReadings } | null = null;

function documentOf({ postId, fields, order, changed }: ScoreRequest): PostDocument {
  if (held?.postId !== postId) held = { postId, blocks: new Map(), readings: new DraftReadings() };
  for (const block of changed) held.blocks.set(block.id, block);
  const blocks = order.flatMap((id) => held!.blocks.get(id) ?? []);
  if (held.blocks.size > order.length * 2 + 50)
    held.blocks = new Map(blocks.map((block) => [block.id, block]));
  return { fields, draft: { version: 1, blocks } };
}

/** The post in hand, or what a change would make of it, scored where it stands. */
function scoredNow(postId: string, document: PostDocument): ReturnType<typeof scorePost> {
  if (!scene) throw new Error('Nothing is known of the site yet.');
  if (held?.postId !== postId) throw new Error('Another post is in hand.');
  return scorePost(document, indexedPost(postId, document), scene, held.readings);
}

let stopWatching: () => void = () => {};

const api = {
  setScene(data: SceneData): void {
    scene = sceneOf(data);
  },

  /** Reads what a post is scored within, now and whenever it changed; `known` is called each time. Resolves after the first. */
  watch(name: string, siteId: string, postId: string, known: () => void): Promise<void> {
    openDatabase(name);
    stopWatching();
    const { stop, first } = watchScene(siteId, postId, (data) => {
      scene = sceneOf(data);
      known();
    });
    stopWatching = stop;
    return first;
  },

  /** Forgets the post in hand, so that the next request is read whole. */
  forget(): void {
    held = null;
    last = null;
  },

  score(request: ScoreRequest): ScoreAnswer {
    const { postId, revision } = request;
    const document = documentOf(request);
    const scored = scoredNow(postId, document);
    last = { document, postId, scored };
    const { facts, report } = scored;
    return { postId, revision, report, words: facts.words, coverage: coverageOf(facts) };
  },

  /** What the score would be with another text; the post in hand stays as it is. Null where another post is in hand by now. */
  wouldScore: (postId: string, document: PostDocument): number | null =>
    held?.postId === postId && scene ? scoredNow(postId, document).report.score : null,

  /** The changes that help the post as it was scored last; null where it was scored anew in the meantime. */
  async offers(): Promise<Offers | null> {
    const asked = last;
    if (!asked) return null;
    const { document, postId, scored } = asked;
    const offers: Offers = {};
    const all = offersFor(document, scored, (changed) => scoredNow(postId, changed).report.score);
    for (const [id, fixes] of all) {
      offers[id] = fixes;
      // A report that is asked for in the meantime comes first.
      await new Promise((next) => setTimeout(next, 0));
      if (last !== asked) return null;
    }
    return offers;
  },

  /** Where a term of the study, by its key, stands in the post that was scored last. */
  placesOf(key: string): TermPlace[] {
    const facts = last?.scored.facts;
    const index = facts?.settings.study?.terms.findIndex((term) => term.key === key) ?? -1;
    return (facts?.readings ?? []).flatMap(({ block, termUses: uses }) =>
      uses.filter(({ term }) => term === index).map(({ start, end }) => ({ blockId: block.id, start, end })),
    );
  },
};

export type ScoringApi = typeof api;
expose(api);
