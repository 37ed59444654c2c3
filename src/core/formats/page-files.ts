import {
  decodeText,
  formatOfName,
  type PostDocument,
  readArticle,
  readMarkdown,
  readPostFile,
  readText,
  readZip,
  UnreadableFile,
  writeMarkdown,
} from '../draft/index.ts';

/** A file of somebody else's page, with its path below what was dropped. */
export interface PageFile {
  path: string;
  bytes: Uint8Array;
}

/** A page as it was brought: its content, or why it could not be read. */
export interface BroughtPage {
  path: string;
  /** As the page or a list of addresses says; its file's name where neither does. */
  address: string;
  publisher: string;
  title: string;
  format: 'html' | 'markdown' | 'text';
  text: string;
  /** In words; empty: it was read. */
  problem: string;
}

const LIMITS = { files: 500, bytes: 200_000_000 };
/** Fewer words are no article. */
const FEWEST = 20;
const ADDRESS = /\bhttps?:\/\/[^\s,;"'<>]+/i;
/** What some browsers write into a page that they save. */
const SAVED_FROM = /<!--\s*saved from url=(?:\(\d+\))?(\S+?)\s*-->/i;

const SITE_NAME =
  /<meta[^>]+(?:property|name)=["']?og:site_name["']?[^>]*content=["']([^"'<>]{2,80})["']|<meta[^>]+content=["']([^"'<>]{2,80})["'][^>]*(?:property|name)=["']?og:site_name["']?/i;

/** Who publishes a page: as it says of itself, else the host of its address, else its file's name; never empty. */
function publisherOf(text: string, address: string, path: string): string {
  const said = SITE_NAME.exec(text.slice(0, 20_000));
  return (said?.[1] ?? said?.[2] ?? '').replace(/&amp;/g, '&').trim() || hostOf(address) || nameOf(path);
}

const nameOf = (path: string) => path.replace(/^.*\//, '');

/** The document of a page's content: of markup the article alone. */
export function documentOfPage({ format, text }: Pick<BroughtPage, 'format' | 'text'>): PostDocument {
  try {
    if (format === 'html') return readArticle(text);
    return format === 'markdown' ? readMarkdown(text) : readText(text);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new UnreadableFile('cannot be read: its markup is nested too deeply.');
  }
}

/** Why a document is no page to study; empty: it is one. */
export function pageProblem({ draft }: PostDocument): string {
  const words = draft.blocks.reduce((sum, { text }) => sum + (text.match(/[\p{L}\p{N}]+/gu)?.length ?? 0), 0);
  return words < FEWEST
    ? `No article was found: only ${words} words of running text. If the page draws itself by a script, paste its text.`
    : '';
}

/** The host of an address, as a name for its publisher; empty for what is no address. */
export function hostOf(address: string): string {
  try {
    return new URL(address).host.replace(/^www\./, '');
  } catch {
    return '';
  }
}

/** Zips are opened; everything else stays as it is. */
function unpacked(files: readonly PageFile[]): {
  files: PageFile[];
  problems: { path: string; problem: string }[];
} {
  const out: PageFile[] = [];
  const problems: { path: string; problem: string }[] = [];
  for (const file of files) {
    if (!/\.zip$/i.test(file.path)) {
      out.push(file);
      continue;
    }
    try {
      for (const [path, bytes] of readZip(file.bytes, LIMITS)) out.push({ path, bytes });
    } catch (error) {
      if (!(error instanceof UnreadableFile)) throw error;
      problems.push({ path: file.path, problem: error.message });
    }
  }
  return { files: out, problems };
}

/** A list that names addresses with the files they were saved as: most of its lines hold both. */
function addressList(
  text: string,
  names: ReadonlySet<string>,
): Map<string, { address: string; rank: number }> | null {
  const lines = text.split(/\r?\n/).filter((line) => line.trim());
  const found = new Map<string, { address: string; rank: number }>();
  for (const line of lines) {
    const address = ADDRESS.exec(line)?.[0];
    if (!address) continue;
    const cells = line
      .replace(address, '')
      .split(/[,;\t"]/)
      .map((cell) => cell.trim());
    const name = cells.map(nameOf).find((cell) => names.has(cell.toLowerCase()));
    if (name) found.set(name.toLowerCase(), { address, rank: found.size + 1 });
  }
  return found.size > 0 && found.size * 2 >= lines.length - 1 ? found : null;
}

/**
 * Reads files that somebody saved of other people's pages: HTML, Markdown, text, .docx, zips of them, and a list of
 * addresses with the files' names. Pages come in the order of the list, else of their paths; what cannot be read says
 * why and does not spoil the rest.
 */
export async function readPageFiles(given: readonly PageFile[]): Promise<BroughtPage[]> {
  const { files, problems } = unpacked(given);
  const names = new Set(files.map(({ path }) => nameOf(path).toLowerCase()));
  let list: ReturnType<typeof addressList> = null;
  const pages: (BroughtPage & { rank: number })[] = [];
  const broken = (path: string, problem: string) =>
    pages.push({
      path,
      address: path,
      publisher: '',
      title: nameOf(path),
      format: 'text',
      text: '',
      problem,
      rank: Infinity,
    });
  const texts: PageFile[] = [];
  for (const file of files) {
    if (/\.(?:csv|tsv|txt)$/i.test(file.path) && !list) {
      try {
        list = addressList(decodeText(file.bytes).text, names);
        if (list) continue;
      } catch {
        // No text: it is told below.
      }
    }
    // What a saved page brings along: styles, scripts, pictures.
    if (/\.(?:css|js|mjs|map|json|png|jpe?g|gif|svg|webp|avif|ico|woff2?|ttf|otf|mp4|webm)$/i.test(file.path))
      continue;
    texts.push(file);
  }
  for (const { path, bytes } of texts.sort((a, b) => (a.path < b.path ? -1 : 1))) {
    try {
      const page = await readOne(path, bytes);
      const listed = list?.get(nameOf(path).toLowerCase());
      if (listed)
        Object.assign(page, {
          address: listed.address,
          publisher: publisherOf(page.text, listed.address, path),
        });
      pages.push({ ...page, rank: listed?.rank ?? Infinity });
    } catch (error) {
      if (!(error instanceof UnreadableFile)) throw error;
      broken(path, `${nameOf(path)} ${error.message}`);
    }
  }
  for (const { path, problem } of problems) broken(path, `${nameOf(path)} ${problem}`);
  return pages.sort((a, b) => a.rank - b.rank || 0).map(({ rank: _rank, ...page }) => page);
}

async function readOne(path: string, bytes: Uint8Array): Promise<BroughtPage> {
  const named = formatOfName(path);
  let content: Pick<BroughtPage, 'format' | 'text'>;
  if (named === 'docx' || named === null) {
    const { format, ...read } = await readPostFile(bytes, path);
    content =
      format === 'docx'
        ? { format: 'markdown', text: writeMarkdown(read) }
        : { format, text: decodeText(bytes).text };
  } else content = { format: named, text: decodeText(bytes).text };
  const document = documentOfPage(content);
  const { canonical, title } = document.fields;
  const stated = /^https?:/i.test(canonical)
    ? canonical
    : (SAVED_FROM.exec(content.text.slice(0, 4000))?.[1] ?? '');
  const address = /^https?:/i.test(stated) ? stated : path;
  return {
    path,
    address,
    publisher: publisherOf(content.text, address, path),
    title: title || nameOf(path),
    ...content,
    problem: pageProblem(document),
  };
}

/** Addresses at most that are read in one go. */
const AT_ONCE = 20;

/**
 * Addresses that a text names, in their order, each once: the first twenty, what is left for another go, and the lines in
 * which none stands.
 */
export function addressesIn(text: string): { first: string[]; rest: string[]; none: string[] } {
  const met = new Set<string>();
  const none: string[] = [];
  for (const line of text.split(/\r?\n/)) {
    let named = false;
    for (const word of line.split(/\s+/)) {
      const written = word.replace(/^[<("']+|[>)"',;]+$/g, '');
      const address = /^https?:\/\/[^\s/]/i.test(written)
        ? written
        : /^(?:[\p{L}\d-]+\.)+\p{L}{2,}(?:[/?#]\S*)?$/u.test(written)
          ? `https://${written}`
          : '';
      if (address) met.add(address);
      named ||= address !== '';
    }
    if (!named && line.trim()) none.push(line.trim());
  }
  const all = [...met];
  return { first: all.slice(0, AT_ONCE), rest: all.slice(AT_ONCE), none };
}

/** A page that was read at an address, as one that is brought. */
export function pageOfAddress(read: {
  address: string;
  found: string | null;
  format: BroughtPage['format'] | null;
  text: string;
  problem: string;
}): BroughtPage {
  const address = read.found ?? read.address;
  const content = { format: read.format ?? ('text' as const), text: read.text };
  const page = {
    path: read.address,
    address,
    publisher: publisherOf(read.text, address, read.address),
    ...content,
  };
  if (read.problem) return { ...page, title: address, problem: read.problem };
  try {
    const document = documentOfPage(content);
    return { ...page, title: document.fields.title || address, problem: pageProblem(document) };
  } catch (error) {
    if (!(error instanceof UnreadableFile)) throw error;
    return { ...page, title: address, problem: `It ${error.message}` };
  }
}
