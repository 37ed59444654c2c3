import { type Block, linksOf, type Status } from '../../draft/index.ts';
import { comparablePath, linkKind } from '../../listing/index.ts';
import type { LinkTarget } from '../linking/index.ts';

/** A page of the site as the graph knows it. */
export interface GraphPage {
  /** In comparable form. */
  path: string;
  title: string;
  keyword: string;
  category: string;
  /** Null: a page that is no post here. */
  postId: string | null;
  status: Status | null;
  /** When readers got it first; empty: not yet, or no post. */
  published: string;
}

/** Links of one page to another, taken together. */
export interface SiteLink {
  /** Indices of pages. */
  from: number;
  to: number;
  /** The words of each of them; alt text where a picture carries it. */
  words: string[];
  /** The fragment of each, without its `#`: the section of the page that it leads to; empty: to the whole of it. */
  fragments: string[];
}

/** The pages of a site and who links to whom. A page that is no post here has no links of its own: its text is not known. */
export interface SiteGraph {
  /** The home page first, the others by their paths. */
  pages: GraphPage[];
  /** By the page they stand on, then by the page they lead to; none leads to its own page. */
  links: SiteLink[];
}

/** Gathers the graph post by post, as their texts come. */
export class SiteGraphBuilder {
  private readonly pages: GraphPage[];
  private readonly byPath: ReadonlyMap<string, number>;
  private readonly found = new Map<number, Map<number, SiteLink>>();

  /**
   * @param targets everything that can be linked to but the home page
   * @param more what of a post the targets do not say
   * @param host the site's own, as an address; null: only relative links are its own
   */
  constructor(
    targets: readonly LinkTarget[],
    more: ReadonlyMap<string, { category: string; published: string }>,
    private readonly host: string | null,
    homeTitle: string,
  ) {
    const own = targets
      .map(({ path, title, keyword, postId, status }): GraphPage => {
        const { category, published } = more.get(postId ?? '') ?? { category: '', published: '' };
        return { path, title, keyword, postId, status, category, published };
      })
      .sort((a, b) => (a.path < b.path ? -1 : 1));
    const home: GraphPage = {
      path: '/',
      title: homeTitle,
      keyword: '',
      category: '',
      postId: null,
      status: null,
      published: '',
    };
    this.pages = [home, ...own];
    this.byPath = new Map(this.pages.map(({ path }, at) => [path, at]));
  }

  /** Takes in the links of a post; one whose path is none of the site's has none. */
  add(path: string | null, blocks: readonly Block[]): void {
    const from = path === null ? undefined : this.byPath.get(path);
    if (from === undefined || path === null) return;
    for (const block of blocks) {
      for (const { href, text } of linksOf(block)) this.note(from, path, href, text);
      if (block.image?.link) this.note(from, path, block.image.link, block.image.alt ?? '');
    }
  }

  graph(): SiteGraph {
    const links = [...this.found.values()].flatMap((own) => [...own.values()]);
    return { pages: this.pages, links: links.sort((a, b) => a.from - b.from || a.to - b.to) };
  }

  private note(from: number, base: string, href: string, text: string): void {
    if (linkKind(href, this.host) !== 'internal') return;
    const path = comparablePath(href, base);
    const to = path === null ? undefined : this.byPath.get(path);
    if (to === undefined || to === from) return;
    let own = this.found.get(from);
    if (!own) {
      own = new Map();
      this.found.set(from, own);
    }
    let link = own.get(to);
    if (!link) {
      link = { from, to, words: [], fragments: [] };
      own.set(to, link);
    }
    link.words.push(text.trim());
    link.fragments.push(/#(.*)$/.exec(href)?.[1] ?? '');
  }
}
