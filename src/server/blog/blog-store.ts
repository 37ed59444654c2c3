import { createHash, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { imageSize } from 'image-size';
import {
  type BlogEntry,
  type BlogSettings,
  type BlogSite,
  blogEntry,
  type EntryProperties,
  entryPath,
  newestFirst,
  type PicturePixels,
  relatedPosts,
  textOfProperty,
} from '../../core/blog/index.ts';
import { comparablePath, slugOf } from '../../core/listing/index.ts';
import { isElsewhere, isLeadable, type Redirect, redirectedTo, withRedirect } from '../../core/site/index.ts';
import { RecordStore, writeWhole } from './record-store.ts';

/** A post as the blog keeps it. */
export interface KeptPost {
  uid: string;
  slug: string;
  properties: EntryProperties;
  isDeleted: boolean;
  /** Raised with every change. */
  version: number;
}

/** What a token may do. */
export type Scope = 'create' | 'update' | 'delete' | 'media';
const ALL_SCOPES: readonly Scope[] = ['create', 'update', 'delete', 'media'];

interface Token {
  /** SHA-256 of the token: the token itself is told once, in the file beside. */
  digest: string;
  scopes: Scope[];
}

const digestOf = (text: string): string => createHash('sha256').update(text).digest('hex');

const MEDIA_NAME = /^[\w-]{1,80}\.(?:png|jpg|gif|webp|avif)$/;
const ENDINGS = new Map([
  ['png', 'png'],
  ['jpg', 'jpg'],
  ['gif', 'gif'],
  ['webp', 'webp'],
  ['avif', 'avif'],
]);

/** A post that readers can open now: published, and its time has come. */
const isOut = ({ properties, isDeleted }: KeptPost, now: number): boolean => {
  if (isDeleted || textOfProperty(properties, 'post-status') === 'draft') return false;
  if (textOfProperty(properties, 'visibility') === 'private') return false;
  const at = Date.parse(textOfProperty(properties, 'published'));
  return Number.isNaN(at) || at <= now;
};

/** The blog's data under one folder: posts, pictures, redirects, tokens. Whatever it answers is on the disk. */
export class BlogStore {
  private readonly posts: RecordStore<KeptPost>;
  private redirects: Redirect[];
  private tokens: Token[];
  private readonly pictures = new Map<string, { width: number; height: number }>();
  private shown: {
    version: number;
    due: number;
    entries: BlogEntry[];
    related: Map<string, string[]>;
  } | null = null;
  private changes = 0;
  /** Posts by their path, for as long as nothing changes. */
  private paths: { version: number; byPath: Map<string | null, KeptPost> } | null = null;
  private readonly pages = new WeakMap<KeptPost, BlogEntry>();

  constructor(
    readonly folder: string,
    readonly site: BlogSite,
    private readonly clock: () => number = Date.now,
  ) {
    this.posts = new RecordStore(join(folder, 'posts'), ({ uid }) => uid);
    this.redirects = this.read('redirects.json', []);
    this.tokens = this.read('tokens.json', []);
    Object.assign(this.site, this.read<Partial<BlogSettings>>('settings.json', {}));
    const media = join(folder, 'media');
    for (const name of existsSync(media) ? readdirSync(media) : [])
      if (MEDIA_NAME.test(name)) this.measure(name, readFileSync(join(media, name)));
  }

  private read<Value>(name: string, otherwise: Value): Value {
    const path = join(this.folder, name);
    return existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as Value) : otherwise;
  }

  // The house's wishes

  /** What the house decided of its blog. */
  get settings(): BlogSettings {
    const { categories, look, perPage, moreWords, addressPattern, redirects } = this.site;
    return { categories, look, perPage, moreWords, addressPattern, redirects };
  }

  set settings(settings: BlogSettings) {
    writeWhole(join(this.folder, 'settings.json'), `${JSON.stringify(settings, null, 2)}\n`);
    Object.assign(this.site, settings);
    this.changes += 1;
  }

  // Posts

  /** Posts that readers can open now, newest first. */
  entries(): BlogEntry[] {
    return this.nowShown().entries;
  }

  private nowShown() {
    const now = this.clock();
    // What is due later becomes visible by itself, at the first look after its time.
    if (this.shown?.version === this.changes && now < this.shown.due) return this.shown;
    let due = Number.POSITIVE_INFINITY;
    const out: BlogEntry[] = [];
    for (const post of this.posts.all()) {
      if (isOut(post, now)) out.push(this.entryOf(post));
      else {
        const at = Date.parse(textOfProperty(post.properties, 'published'));
        if (at > now && isOut(post, at)) due = Math.min(due, at);
      }
    }
    const entries = newestFirst(out);
    this.shown = { version: this.changes, due, entries, related: relatedPosts(entries) };
    return this.shown;
  }

  private entryOf(post: KeptPost): BlogEntry {
    let entry = this.pages.get(post);
    if (!entry) {
      entry = blogEntry(post.properties, post.slug, this.pictures);
      this.pages.set(post, entry);
    }
    return entry;
  }

  /** Posts that are alike to one. */
  relatedTo(uid: string): BlogEntry[] {
    const { entries, related } = this.nowShown();
    return (related.get(uid) ?? []).flatMap((other) => entries.find((entry) => entry.uid === other) ?? []);
  }

  /** The path of a post, whether readers can open it or not. */
  pathOf({ slug, properties }: KeptPost): string {
    const [mainCategory, published] = ['main-category', 'published'].map((name) =>
      textOfProperty(properties, name),
    );
    return entryPath(this.site, { slug, mainCategory, published });
  }

  byPath(path: string): KeptPost | undefined {
    if (this.paths?.version !== this.changes) {
      const posts = this.posts.all();
      const byPath = new Map(posts.map((post) => [comparablePath(this.pathOf(post)), post]));
      this.paths = { version: this.changes, byPath };
    }
    return this.paths.byPath.get(comparablePath(path));
  }

  byAddress(address: string): KeptPost | undefined {
    if (!address.startsWith(`${this.site.address}/`)) return undefined;
    const path = address.slice(this.site.address.length);
    const found = this.byPath(path);
    if (found) return found;
    // Whoever knows a post by an address that it had means that post.
    const to = redirectedTo(comparablePath(path) ?? path, this.allRedirects());
    return typeof to === 'string' && !isElsewhere(to) ? this.byPath(to) : undefined;
  }

  allPosts(): KeptPost[] {
    return this.posts.all();
  }

  /** What becomes of a path: the post there if readers may open it, else where it leads, or that it is gone; null: never there. */
  at(path: string): { entry: BlogEntry } | { to: string } | 'gone' | null {
    const post = this.byPath(path);
    if (post && isOut(post, this.clock())) return { entry: this.entryOf(post) };
    const instead = post?.isDeleted ? textOfProperty(post.properties, 'leads-to') : '';
    if (isLeadable(instead) && comparablePath(instead) !== comparablePath(path)) return { to: instead };
    const to = redirectedTo(comparablePath(path) ?? path, this.allRedirects());
    if (typeof to === 'string') return { to };
    return to === null || post?.isDeleted ? 'gone' : null;
  }

  /** Takes a new post in. One whose `uid` is there already is that one: it is brought up to date, and no second comes of it. */
  create(properties: EntryProperties): KeptPost {
    const known = this.posts.get(textOfProperty(properties, 'uid'));
    // Sent anew, a post that was taken back is there again.
    if (known) return this.change({ ...known, isDeleted: false }, { ...known.properties, ...properties });
    const wished =
      slugOf(textOfProperty(properties, 'mp-slug')) ||
      slugOf(textOfProperty(properties, 'name')) ||
      slugOf(textOfProperty(properties, 'content').slice(0, 60)) ||
      'post';
    const uid = textOfProperty(properties, 'uid') || randomUUID();
    return this.keep({
      uid,
      slug: this.freeSlug(wished, uid),
      properties: { ...properties, uid: [uid], published: properties['published'] ?? [this.now()] },
      isDeleted: false,
      version: 0,
    });
  }

  /** Changes a post; a new slug leads on from the old address. */
  change(post: KeptPost, properties: EntryProperties): KeptPost {
    const wished = slugOf(textOfProperty(properties, 'mp-slug')) || post.slug;
    const slug = wished === post.slug ? post.slug : this.freeSlug(wished, post.uid);
    const next = this.keep({ ...post, slug, properties: { ...properties, uid: [post.uid] } });
    const [from, to] = [this.pathOf(post), this.pathOf(next)];
    if (from !== to)
      this.lead(
        withRedirect(this.redirects, {
          from: comparablePath(from)!,
          to,
          since: this.now(),
          why: 'a new address',
        }),
      );
    return next;
  }

  setDeleted(post: KeptPost, isDeleted: boolean): KeptPost {
    if (isDeleted) return this.keep({ ...post, isDeleted });
    // Where its readers were led while it was gone says nothing any more.
    const { 'leads-to': _gone, ...properties } = post.properties;
    return this.keep({ ...post, properties, isDeleted });
  }

  private keep(post: KeptPost): KeptPost {
    const next = { ...post, properties: this.withOwnPaths(post.properties), version: post.version + 1 };
    // What cannot be shown is refused before it is kept: it would take every list along.
    this.entryOf(next);
    this.posts.put(next);
    this.changes += 1;
    return next;
  }

  /** Own pictures by their path: the blog may stand at another port tomorrow. */
  private withOwnPaths(properties: EntryProperties): EntryProperties {
    const written = JSON.stringify(properties);
    const own = `${this.site.address}/media/`;
    return written.includes(own)
      ? (JSON.parse(written.replaceAll(own, '/media/')) as EntryProperties)
      : properties;
  }

  private freeSlug(wished: string, uid: string): string {
    const taken = new Set(this.posts.all().flatMap((post) => (post.uid === uid ? [] : [post.slug])));
    let slug = wished;
    for (let next = 2; taken.has(slug); next++) slug = `${wished}-${next}`;
    return slug;
  }

  private now(): string {
    return new Date(this.clock()).toISOString();
  }

  // Redirects

  /** The blog's own, and those of the house, which knows better. */
  private allRedirects(): Redirect[] {
    return [...this.redirects, ...this.site.redirects];
  }

  private lead(redirects: Redirect[]): void {
    writeWhole(join(this.folder, 'redirects.json'), `${JSON.stringify(redirects, null, 2)}\n`);
    this.redirects = redirects;
  }

  // Pictures

  get pixels(): PicturePixels {
    return this.pictures;
  }

  private measure(name: string, bytes: Uint8Array): string | null {
    try {
      const { width, height, type, orientation } = imageSize(bytes);
      const isTurned = orientation !== undefined && orientation >= 5;
      this.pictures.set(`/media/${name}`, isTurned ? { width: height, height: width } : { width, height });
      return type ?? null;
    } catch {
      return null;
    }
  }

  /** Keeps a picture by what is in it: the same file comes to one address. Null where it is no picture that a blog shows. */
  putPicture(bytes: Uint8Array, name = ''): string | null {
    let type: string | undefined;
    try {
      type = imageSize(bytes).type;
    } catch {
      return null;
    }
    const ending = ENDINGS.get(type ?? '');
    if (!ending) return null;
    const stem = slugOf(name.replace(/\.[a-z0-9]+$/i, '')).slice(0, 50);
    const file = `${stem ? `${stem}-` : ''}${digestOf(Buffer.from(bytes).toString('base64')).slice(0, 12)}.${ending}`;
    const path = join(this.folder, 'media', file);
    if (!existsSync(path)) writeWhole(path, bytes);
    this.measure(file, bytes);
    return `/media/${file}`;
  }

  // Tokens

  /** A token with all rights, made at the first start and kept where only its owner can read it. */
  ownToken(): string {
    const path = join(this.folder, 'token');
    if (existsSync(path)) return readFileSync(path, 'utf8').trim();
    const token = randomBytes(32).toString('base64url');
    writeWhole(path, `${token}\n`, 0o600);
    this.grant(token, ALL_SCOPES);
    return token;
  }

  grant(token: string, scopes: readonly Scope[]): void {
    const tokens = [...this.tokens, { digest: digestOf(token), scopes: [...scopes] }];
    writeWhole(join(this.folder, 'tokens.json'), `${JSON.stringify(tokens)}\n`, 0o600);
    this.tokens = tokens;
  }

  /** What a token may do; null for one that was never given out. */
  scopesOf(token: string): readonly Scope[] | null {
    const asked = Buffer.from(digestOf(token));
    const found = this.tokens.find(({ digest }) => timingSafeEqual(Buffer.from(digest), asked));
    return found?.scopes ?? null;
  }
}
