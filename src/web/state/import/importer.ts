import { fromAddresses, type Incoming, readSiteFile } from '../../../core/formats/index.ts';
import { comparablePath, linkKind } from '../../../core/listing/index.ts';
import type { SitePage } from '../../../core/site/index.ts';
import type { RowBack } from '../../data/change-row.ts';
import { type ImportFile, PictureFinder, pictureType, roleOf } from '../../data/import-files.ts';
import { PostImporter, type WhenKnown } from '../../data/import-post.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { postsOf } from '../../data/posts.ts';
import { addPages, changeSite, pagesOf } from '../../data/sites.ts';
import { storageProblem } from '../../data/storage.ts';
import { counted } from '../../ui/figures.ts';
import { ReadingClient } from '../../workers/reading-client.ts';
import { store } from '../store.ts';
import { type AccountLine, importEnded, importMoved, importStarted, TAKEN_BACK_BUT } from './import-run.ts';
import { knowFile } from './know-file.ts';

/** Milliseconds between two tellings of how far it is. */
const TELL_EVERY = 120;

/** One import: files in, posts and pages out, with an account and the way back. */
class ImportRun {
  private readonly reader = new ReadingClient();
  private readonly undos: RowBack[] = [];
  private readonly reading = new AbortController();
  private waiting: AccountLine[] = [];
  private lastShown = 0;
  private stopped = false;
  private done = 0;
  private total = 0;

  constructor(
    private site: SiteRow,
    private readonly whenKnown: WhenKnown,
    /** Name of the archive that holds the folder which the server has open; empty: the files are from elsewhere. */
    private readonly served = '',
  ) {}

  stop(): void {
    this.stopped = true;
    this.reading.abort();
  }

  async files(given: readonly ImportFile[]): Promise<void> {
    this.total = given.length;
    const all: ImportFile[] = [];
    for (const file of given) {
      if (roleOf(file.path) !== 'zip') all.push(file);
      else
        await this.guard(file.path, async () => {
          for (const inner of await this.unpacked(file)) all.push(inner);
        });
    }
    const of = (role: ReturnType<typeof roleOf>) => all.filter((file) => roleOf(file.path) === role);
    for (const file of of('site')) await this.guard(file.path, () => this.settings(file));
    const texts = of('text');
    this.total = texts.length;
    const importer = await PostImporter.of(this.site.id, { ...this.site, pages: null }, this.whenKnown);
    const finder = new PictureFinder(of('picture'));
    for (const file of texts) {
      if (this.stopped) break;
      this.tell(file.path);
      await this.guard(file.path, async () =>
        this.text(file, await this.reader.read(file.file, file.path, this.reading.signal), importer, finder),
      );
      this.done += 1;
    }
    for (const { path } of of('other'))
      this.account(path, 'refused', 'is of no kind that can be read; left out.');
    if (texts.length === 0 && this.waiting.length === 0)
      this.account('What you gave', 'refused', 'holds no post, feed, sitemap or list of addresses.');
  }

  async addresses(text: string): Promise<void> {
    await this.guard('The list', async () => {
      const { pages, notes } = fromAddresses(text);
      await this.pages('The list', pages, notes);
    });
  }

  /** Tells the end. What came in can be taken back from then on. */
  end(): void {
    this.reader.close();
    this.tell('', true);
    store.dispatch(importEnded(this.stopped ? 'stopped' : 'done'));
  }

  /** Takes back what came in and was not changed since; what stays is named. One step that fails does not drop the rest. */
  async takeBack(): Promise<void> {
    store.dispatch(importEnded('undoing'));
    for (const undo of this.undos.splice(0).reverse()) {
      try {
        const stays = await undo();
        if (stays) this.account(TAKEN_BACK_BUT, 'left', stays);
      } catch (error) {
        this.account(TAKEN_BACK_BUT, 'refused', `one step failed: ${storageProblem(error)}`);
      }
    }
    this.tell('', true);
    store.dispatch(importEnded('undone'));
  }

  /** What goes wrong with one file is said of that file; the others go on. */
  private async guard(path: string, work: () => Promise<unknown>): Promise<void> {
    try {
      await work();
    } catch (error) {
      const { name, message } = error as Error;
      if (name === 'AbortError') return;
      const said = /^(?:cannot|holds|is )/.test(message)
        ? message
        : name === 'QuotaExceededError' || /quota/i.test(message)
          ? storageProblem(error)
          : `could not be brought in (${message}).`;
      this.account(path, 'refused', said);
    }
  }

  private async unpacked({ path, file }: ImportFile): Promise<ImportFile[]> {
    const entries = await this.reader.unzip(file, this.reading.signal);
    return [...entries].map(([inner, bytes]) => ({
      path: `${path.replace(/\.zip$/i, '')}/${inner}`,
      file: new Blob([bytes as BlobPart], { type: pictureType(inner) ?? '' }),
    }));
  }

  /** The settings of an exported folder, taken where this site has none of its own yet. */
  private async settings({ path, file }: ImportFile): Promise<void> {
    const reading = readSiteFile(await file.text());
    if (reading.problem !== null) throw new Error(`cannot be read: ${reading.problem}`);
    const { pages, ...settings } = reading.site;
    if (pages?.length) await this.pages(path, pages, []);
    if (this.site.baseAddress !== '') {
      this.account(path, 'left', 'House rules stay as they are here.');
      return;
    }
    this.undos.push(await changeSite(this.site.id, settings));
    this.site = { ...this.site, ...settings };
    this.account(path, 'settings', 'gave its settings to the house rules.');
  }

  private async text(file: ImportFile, incoming: Incoming, importer: PostImporter, finder: PictureFinder) {
    const { kind, posts, pages, notes } = incoming;
    const isPage = kind === 'HTML' || kind === 'feed';
    for (const post of posts) {
      if (this.stopped) return;
      await this.knowAddress(post.fields.canonical);
      const { outcome, id, title, pictures, elsewhere, undo } = await importer.add(
        post,
        file.path,
        isPage,
        finder,
      );
      if (undo) this.undos.push(undo);
      if (this.served && outcome === 'new' && posts.length === 1)
        await knowFile(this.site, id, file.path.slice(this.served.length + 1), file.file);
      const came = pictures ? `, with ${counted(pictures, 'picture')}` : '';
      const said = {
        new: `"${title}" is a new post (${kind}${came}).`,
        replaced: `"${title}" took the place of the post with its address (${kind}${came}); the old text is kept under Versions.`,
        left: `"${title}" is here already, by its address; left as it is.`,
      }[outcome];
      const missing = elsewhere
        ? [
            `${counted(elsewhere, 'picture')} did not come along; ${elsewhere === 1 ? 'its place in the text says' : 'their places in the text say'} so.`,
          ]
        : [];
      this.account(file.path, outcome, said, [...(posts.length === 1 ? notes : []), ...missing], id);
    }
    if (pages.length > 0) await this.pages(file.path, pages, notes);
    else if (posts.length !== 1 && notes.length > 0) this.account(file.path, 'left', `is a ${kind}.`, notes);
    else if (posts.length === 0) this.account(file.path, 'refused', `is a ${kind} that names nothing.`);
  }

  /** A site that has no address yet takes the host of the first page that is brought in. */
  private async knowAddress(address: string): Promise<void> {
    const origin = /^(https?:\/\/[^/?#]+)/i.exec(address)?.[1];
    if (this.site.baseAddress !== '' || !origin) return;
    this.undos.push(await changeSite(this.site.id, { baseAddress: origin }));
    this.site = { ...this.site, baseAddress: origin };
    this.account(origin, 'settings', 'is the address of this site from now on (House rules).');
  }

  private async pages(path: string, given: readonly SitePage[], notes: string[]): Promise<void> {
    await this.knowAddress(given[0]?.address ?? '');
    const own = given.filter(
      ({ address }) => linkKind(address, this.site.baseAddress || null) === 'internal',
    );
    const posted = new Set(
      (await postsOf(this.site.id)).map(({ fields }) => comparablePath(fields.canonical || '/')),
    );
    const wanted = own.filter(({ address }) => !posted.has(comparablePath(address)));
    const first = (await pagesOf(this.site.id)) === null;
    const { added, takeBack } = await addPages(this.site.id, wanted);
    this.undos.push(async () => {
      const left = await takeBack();
      return left === 0 ? '' : `${counted(left, 'page')} changed since and left so.`;
    });
    const elsewhere = given.length - own.length;
    const known = wanted.length - added;
    this.account(
      path,
      'pages',
      `${counted(added, 'page')} of the site ${added === 1 ? 'is' : 'are'} known now${known > 0 ? `; ${known.toLocaleString('en')} were known before` : ''}.`,
      [
        ...notes,
        ...(elsewhere ? [`${counted(elsewhere, 'address', 'addresses')} of another host left out.`] : []),
        ...(first && added > 0 ? ['From now on links to other addresses of the site count as dead.'] : []),
      ],
    );
  }

  private account(
    file: string,
    outcome: AccountLine['outcome'],
    said: string,
    notes: string[] = [],
    postId: string | null = null,
  ): void {
    this.waiting.push({ file, outcome, said, notes, postId });
  }

  private tell(current: string, at = false): void {
    if (!at && Date.now() - this.lastShown < TELL_EVERY) return;
    this.lastShown = Date.now();
    store.dispatch(importMoved({ done: this.done, total: this.total, current, lines: this.waiting }));
    this.waiting = [];
  }
}

let run: ImportRun | null = null;

async function started(
  site: SiteRow,
  whenKnown: WhenKnown,
  work: (next: ImportRun) => Promise<void>,
  served = '',
): Promise<void> {
  const { state } = store.getState().importRun;
  // One at a time; and what is being taken back must be out before anything else comes in.
  if (state === 'running' || state === 'undoing') return;
  const next = new ImportRun(site, whenKnown, served);
  run = next;
  store.dispatch(importStarted());
  try {
    await work(next);
  } finally {
    next.end();
  }
}

/** Brings files in; how far it is stands in the store. One import runs at a time. `served` names the archive of the open folder. */
export const importFiles = (
  site: SiteRow,
  files: readonly ImportFile[],
  whenKnown: WhenKnown,
  served = '',
): Promise<void> => started(site, whenKnown, (next) => next.files(files), served);

/** Brings a pasted list of addresses in as pages. */
export const importAddresses = (site: SiteRow, text: string): Promise<void> =>
  started(site, 'leave', (next) => next.addresses(text));

/** Stops after the file in hand. */
export const stopImport = (): void => run?.stop();

/** Takes back all that the last import brought; once. */
export async function takeBackImport(): Promise<void> {
  const { state } = store.getState().importRun;
  if (state === 'done' || state === 'stopped') await run?.takeBack();
}
