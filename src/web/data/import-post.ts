import {
  type Draft,
  draftWithPicturesMoved,
  fieldsWithPicturesMoved,
  type PostDocument,
  type PostFields,
  pictureAddresses,
} from '../../core/draft/index.ts';
import { pathOfPost, type SiteSettings } from '../../core/site/index.ts';
import type { RowBack } from './change-row.ts';
import { database } from './database.ts';
import { decoded, type PictureFinder, pictureType } from './import-files.ts';
import { addPicture } from './pictures.ts';
import type { PostRow } from './post-rows.ts';
import { addPost, loadPost, postsOf, savePost, setDeleted } from './posts.ts';
import { keepVersion } from './versions.ts';

/** What to do with a post that is here already. */
export type WhenKnown = 'leave' | 'replace' | 'copy';

/** A post as it came out of a file. */
export interface IncomingPost extends PostDocument {
  pictures: ReadonlyMap<string, Uint8Array>;
}

/** Title, status and address as a post of this application has them. */
function settled(fields: PostFields, path: string, isPage: boolean): PostFields {
  const next = { ...fields };
  const { permalink, url } = fields.unknown;
  for (const given of [permalink, url])
    if (!next.canonical && typeof given === 'string' && /^(?:https?:\/\/|\/)/i.test(given))
      next.canonical = given;
  next.slug ||= next.canonical
    ? (
        next.canonical
          .replace(/[?#].*$/, '')
          .split('/')
          .filter(Boolean)
          .at(-1) ?? ''
      ).replace(/\.html?$/, '')
    : '';
  next.title ||= (path.split('/').at(-1) ?? path).replace(/\.[^.]+$/, '').replace(/[-_]+/g, ' ');
  // A page saved from the blog is out already.
  if (isPage && next.canonical && next.status === 'draft') next.status = 'published';
  return next;
}

/** The body without the heading that became the title. */
function untitled(draft: Draft, title: string): Draft {
  const at = draft.blocks.findIndex((block) => block.kind === 'heading' && block.level === 1);
  return at >= 0 && draft.blocks[at].text.trim() === title.trim()
    ? { ...draft, blocks: draft.blocks.toSpliced(at, 1) }
    : draft;
}

/** Keeps the pictures that came with a post and lets the post name them. Answers how many lie elsewhere. */
async function withPictures(
  siteId: string,
  post: IncomingPost,
  path: string,
  finder: PictureFinder,
): Promise<{ document: PostDocument; elsewhere: number; came: number }> {
  const places = new Map<string, string>();
  let elsewhere = 0;
  for (const src of pictureAddresses(post.fields, post.draft)) {
    if (src.startsWith('data:')) continue;
    const own = post.pictures.get(src);
    const found = own
      ? new Blob([own as BlobPart], { type: pictureType(src) ?? '' })
      : finder.find(src, path)?.file;
    if (!found) {
      elsewhere += 1;
      continue;
    }
    const name =
      decoded(src.replace(/[?#].*$/, ''))
        .split('/')
        .at(-1) || 'picture.png';
    const typed = found.type ? found : new Blob([found], { type: pictureType(name) ?? '' });
    // Pictures out of a document are called alike in every document.
    const clear = own ? `${post.fields.slug || post.fields.title} ${name.replace(/^picture-/, '')}` : name;
    places.set(src, await addPicture(siteId, typed, clear));
  }
  const to = (address: string) => places.get(address);
  const fields = fieldsWithPicturesMoved(post.fields, to);
  const draft = draftWithPicturesMoved(post.draft, to);
  return { document: { fields, draft }, elsewhere, came: places.size };
}

/** What became of a post that was brought in. */
export interface ImportedPost {
  outcome: 'new' | 'replaced' | 'left';
  id: string;
  title: string;
  pictures: number;
  /** Pictures that the text names and that did not come along. */
  elsewhere: number;
  /** The way back; null where nothing came in. */
  undo: RowBack | null;
}

/** Knows the posts of a site by their address while many are brought in. */
export class PostImporter {
  private constructor(
    private readonly siteId: string,
    private readonly site: SiteSettings,
    private readonly known: Map<string, PostRow>,
    private readonly whenKnown: WhenKnown,
  ) {}

  static async of(siteId: string, site: SiteSettings, whenKnown: WhenKnown): Promise<PostImporter> {
    const known = new Map<string, PostRow>();
    for (const row of await postsOf(siteId)) {
      const path = pathOfPost(row.fields, site);
      if (path) known.set(path, row);
    }
    return new PostImporter(siteId, site, known, whenKnown);
  }

  /** Brings a post in. Throws where it cannot be stored; then nothing of it is. */
  async add(post: IncomingPost, path: string, isPage: boolean, finder: PictureFinder): Promise<ImportedPost> {
    const fields = settled(post.fields, path, isPage);
    const settledPost = { ...post, fields, draft: untitled(post.draft, fields.title) };
    const address = pathOfPost(fields, this.site);
    const own = address ? this.known.get(address) : undefined;
    const base = { title: fields.title, pictures: 0, elsewhere: 0 };
    if (own && this.whenKnown === 'leave') return { ...base, outcome: 'left', id: own.id, undo: null };
    const { document, elsewhere, came } = await withPictures(this.siteId, settledPost, path, finder);
    const now = new Date().toISOString();
    const counted = { ...base, pictures: came, elsewhere };
    if (own && this.whenKnown === 'replace') {
      const undo = await replacePost(own.id, document, now);
      return { ...counted, outcome: 'replaced', id: own.id, undo };
    }
    const id = crypto.randomUUID();
    await addPost(this.siteId, id, now, document);
    const row = await database().posts.get(id);
    if (address && row) this.known.set(address, row);
    return { ...counted, outcome: 'new', id, undo: madePost(id, fields.title) };
  }
}

/** Puts a document in the place of a post's; the old one is kept as a version. Answers the way back. */
async function replacePost(id: string, document: PostDocument, now: string): Promise<RowBack> {
  const before = await loadPost(id);
  if (!before) throw new Error('The post is gone.');
  const { row, draft, outline } = before;
  const old: PostDocument = { fields: row.fields, draft };
  await keepVersion({ siteId: row.siteId, postId: id }, { document: old, outline }, 'import', now);
  const revision = await savePost({ id, revision: row.revision, now, document, outline });
  return async () => {
    const stored = await loadPost(id);
    const name = `"${document.fields.title || 'Untitled'}"`;
    if (!stored) return `${name} is gone by now.`;
    if (stored.row.revision !== revision)
      return `${name} was written in since and stays; its old text is under Versions.`;
    await savePost({ id, revision, now: new Date().toISOString(), document: old, outline });
    return '';
  };
}

/** Takes a post out that an import made, unless it was written in since. */
const madePost = (id: string, title: string): RowBack => {
  return async () => {
    const row = await database().posts.get(id);
    if (row?.deleted !== '') return '';
    if (row.revision !== 1) return `"${title || 'Untitled'}" was written in since and stays.`;
    await setDeleted([id], new Date().toISOString());
    return '';
  };
};
