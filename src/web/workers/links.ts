import { type DraftEdit, linksToOthers, wishedInternalLinks } from '../../core/criteria/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';
import { matchingOf, PhraseMatcher } from '../../core/language/index.ts';
import {
  LinkBook,
  type LinkFault,
  type LinkOffer,
  linkedPaths,
  linkFaults,
  linkIn,
  linksOut,
  movedLinkEdits,
  type OutsideAnswer,
  openToReaders,
  outsideAddresses,
  postPathOf,
} from '../../core/site/index.ts';
import { addressChecks } from '../data/address-checks.ts';
import { database, openDatabase } from '../data/database.ts';
import type { PostRow } from '../data/post-rows.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { callOff, stillWanted } from './called-off.ts';
import { surroundings } from './draft-surroundings.ts';

/** The links of a post as the lens shows them. */
export interface LinksView {
  /** Pages of the site worth linking, best first. */
  offers: LinkOffer[];
  faults: LinkFault[];
  /** Links to other pages of the site, and how many are wished for its length. */
  internal: number;
  wished: [from: number, to: number];
  /** Addresses outside the site, and the oldest instant at which one of them was checked; empty: one never was. */
  outside: string[];
  checked: string;
  /** Of those addresses the ones of which nobody could tell whether they stand. */
  unsure: { address: string; says: string }[];
}

/** A post of the site that speaks of this one without a link to it. */
export interface LinkHere {
  postId: string;
  title: string;
  status: PostRow['fields']['status'];
  offer: LinkOffer;
}

/** A post that links to a page, and how its links follow where that moves. */
export interface LinkingPost {
  postId: string;
  title: string;
  edits: DraftEdit[];
}

/** Bodies that are read in one go. */
const SLICE = 100;

/** What a post's links come to, and what would be worth linking. */
export const links = {
  open(name: string): void {
    openDatabase(name);
  },

  callOff,

  /** The links from a post, as it stands on the screen; `withDrafts` offers posts that no reader can open yet. */
  async fromHere(
    siteId: string,
    postId: string,
    document: PostDocument,
    withDrafts: boolean,
  ): Promise<LinksView> {
    const { vocabulary, posts, facts, context, targets, site } = await surroundings(siteId, postId, document);
    const isOpen = openToReaders(posts.map(({ fields }) => fields.status));
    const book = new LinkBook(
      targets.filter(({ status }) => withDrafts || isOpen(status)),
      vocabulary,
    );
    const { ownPath } = facts.settings;
    const linked = new Set(facts.links.flatMap(({ path }) => path ?? []));
    if (ownPath !== null) linked.add(ownPath);
    const own = new PhraseMatcher([facts.keyword], vocabulary, matchingOf(facts.language));
    const outside = outsideAddresses(facts);
    const answers = await addressChecks(outside);
    return {
      offers: linksOut(document.draft.blocks, book, linked, (text, tokens) => own.match(text, tokens)),
      faults: linkFaults(facts, context.site, site.redirects ?? [], answers),
      internal: linksToOthers(facts).length,
      wished: wishedInternalLinks(facts),
      outside,
      checked: oldest(outside, answers),
      unsure: [...answers.values()]
        .filter(({ state }) => state === 'unsure')
        .map(({ address, says }) => ({ address, says })),
    };
  },

  /** Posts of the site that speak of a post without a link to it, the surest first. Null: it has no address yet. */
  async toHere(
    siteId: string,
    postId: string,
    document: PostDocument,
    job: string,
  ): Promise<LinkHere[] | null> {
    const { vocabulary, data, posts, targets, site } = await surroundings(siteId, postId, document);
    const book = new LinkBook(targets, vocabulary);
    const only = targets.findIndex((target) => target.postId === postId);
    if (only < 0) return null;
    const host = site.baseAddress || null;
    const found: LinkHere[] = [];
    const others = posts.filter(({ id }) => id !== postId);
    for (let from = 0; from < others.length; from += SLICE) {
      const rows = others.slice(from, from + SLICE);
      const bodies = await database().bodies.bulkGet(rows.map(({ id }) => id));
      rows.forEach((row, at) => {
        const { blocks } = finishedBody(bodies[at]);
        const links = linkedPaths(blocks, { base: postPathOf(row.fields, data.site), host });
        const offer = linkIn(blocks, links, book, only);
        if (offer)
          found.push({
            postId: row.id,
            title: row.fields.title || 'Untitled',
            status: row.fields.status,
            offer,
          });
      });
      await stillWanted(job);
    }
    return found.sort((a, b) => b.offer.strength - a.offer.strength || (a.title < b.title ? -1 : 1));
  },

  /** Other posts of the site that link to a path, with the edits that lead these links to another. */
  async linking(siteId: string, postId: string, from: string, to: string): Promise<LinkingPost[]> {
    const [data, rows] = await Promise.all([readScene(siteId, postId), postsOf(siteId)]);
    if (!data) throw new Error('The site is gone.');
    const { site } = data;
    const moves = new Map([[from, to]]);
    const found: LinkingPost[] = [];
    for (let at = 0; at < rows.length; at += SLICE) {
      const slice = rows.slice(at, at + SLICE).filter(({ id }) => id !== postId);
      const bodies = await database().bodies.bulkGet(slice.map(({ id }) => id));
      slice.forEach(({ id, fields }, index) => {
        const edits = movedLinkEdits(bodies[index]?.draft?.blocks ?? [], {
          base: postPathOf(fields, site),
          host: site.baseAddress || null,
          moves,
        });
        if (edits.length > 0) found.push({ postId: id, title: fields.title || 'Untitled', edits });
      });
    }
    return found.sort((a, b) => (a.title < b.title ? -1 : 1));
  },
};

function oldest(addresses: readonly string[], answers: ReadonlyMap<string, OutsideAnswer>): string {
  let at = '';
  for (const address of addresses) {
    const answer = answers.get(address);
    if (!answer) return '';
    if (at === '' || answer.at < at) at = answer.at;
  }
  return at;
}

export type Links = typeof links;
