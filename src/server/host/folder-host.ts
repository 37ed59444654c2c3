import { entryProperties } from '../../core/blog/index.ts';
import { decodeText, type PostDocument, readHtml, readMarkdown } from '../../core/draft/index.ts';
import { slugOf } from '../../core/listing/index.ts';
import {
  type BlogHost,
  type HostCapabilities,
  type HostedPost,
  HostProblem,
  type Outgoing,
  type SentPost,
} from './blog-host.ts';
import type { ContentFolder } from './content-folder.ts';

const SCHEME = 'folder:';
const addressOf = (path: string): string => `${SCHEME}${path}`;

/** A folder of files as a place where posts are published: a post's address is its file, `folder:2026/low-water.md`. */
export class FolderHost implements BlogHost {
  constructor(private readonly folder: ContentFolder) {}

  private pathOf(url: string): string {
    if (!url.startsWith(SCHEME))
      throw new HostProblem('refused', `“${url.slice(0, 200)}” is no file of the folder.`);
    return url.slice(SCHEME.length);
  }

  async capabilities(): Promise<HostCapabilities> {
    const names = this.folder.list().flatMap(({ fields }) => [fields.category, ...fields.categories]);
    return {
      media: true,
      formatted: true,
      schedules: true,
      readable: true,
      categories: [...new Set(names.filter(Boolean))].sort(),
      syndicateTo: [],
    };
  }

  async create({ document }: Outgoing): Promise<SentPost> {
    const post = this.whole(document);
    const existing = this.folder.bySlug(slugOf(post.fields.slug));
    // A file of that slug that this post never came from is somebody's work: it is shown, not written over.
    if (existing) {
      const url = addressOf(existing);
      if ((await this.read(url)).isSame(post)) return this.sent(existing);
      throw new HostProblem('changed', `There is a file ${existing} with this slug already.`, { url });
    }
    return this.sent(this.folder.add(post));
  }

  async update(url: string, { document }: Outgoing, known: string | null): Promise<SentPost> {
    const path = this.pathOf(url);
    this.folder.change(path, this.whole(document), known);
    return this.sent(path);
  }

  private whole(document: PostDocument | null): PostDocument {
    if (!document) throw new HostProblem('refused', 'The post did not come whole. Publish it again.');
    return document;
  }

  private sent(path: string): SentPost {
    return { url: addressOf(path), version: this.folder.read(path).version, isLater: false };
  }

  private post(path: string): PostDocument {
    const { text } = decodeText(this.folder.read(path).bytes);
    return /\.html?$/i.test(path) ? readHtml(text) : readMarkdown(text);
  }

  private async setStatus(url: string, status: 'draft' | 'published'): Promise<void> {
    const path = this.pathOf(url);
    const { fields, draft } = this.post(path);
    this.folder.change(path, { fields: { ...fields, status }, draft }, null);
  }

  /** Taken from readers: the file stays and says that it is a draft. */
  remove(url: string): Promise<void> {
    return this.setStatus(url, 'draft');
  }

  restore(url: string): Promise<void> {
    return this.setStatus(url, 'published');
  }

  async list(): Promise<HostedPost[]> {
    return this.folder.list().map(({ path, fields }) => ({
      url: addressOf(path),
      properties: entryProperties('', { fields, draft: { version: 1, blocks: [] } }),
      version: null,
    }));
  }

  async read(url: string): Promise<HostedPost & { isSame: (post: PostDocument) => boolean }> {
    const path = this.pathOf(url);
    const { version } = this.folder.read(path);
    const post = this.post(path);
    const properties = entryProperties('', post);
    return {
      url,
      properties,
      version,
      isSame: (other) => JSON.stringify(entryProperties('', other)) === JSON.stringify(properties),
    };
  }

  async putMedia(bytes: Buffer, name: string, _type: string, beside: string): Promise<string> {
    return this.folder.putPicture(name, bytes, beside ? this.pathOf(beside) : '');
  }
}
