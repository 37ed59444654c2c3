import { Inflate, strFromU8, strToU8, type Zippable, zipSync } from 'fflate';
import { bytesInWords, cleanDraft, cleanFields, readZip, UnreadableFile } from '../draft/index.ts';
import { isSoundPart } from '../performance/index.ts';
import { isConsistent } from '../research/index.ts';
import type { BackupData } from './backup-data.ts';
import { setDamagedAside } from './salvage-backup.ts';

/** Everything that a backup holds; files by the SHA-256 of their content. */
export interface Backup<Data extends BackupData = BackupData> {
  /** UTC instant at which it was made. */
  made: string;
  data: Data;
  files: Map<string, Uint8Array>;
}

/** A backup as it was read, with what of it could not be: in words, one line each. */
export interface ReadBackup<Data extends BackupData = BackupData> extends Backup<Data> {
  damaged: string[];
}

/** Answers the SHA-256 of bytes in lower-case hexadecimal. */
export type Digest = (bytes: Uint8Array) => Promise<string>;

interface Manifest {
  format: 'dune-sparrow-backup';
  version: 1;
  made: string;
  files: { path: string; bytes: number; sha256: string }[];
}

const MANIFEST = 'manifest.json';
const SEAL = 'manifest.sha256';
const DATA = 'data.json';
const FOLDER = 'pictures/';
const LIMITS = { files: 100_000, bytes: 1_000_000_000 };
/** The manifest and its seal, which are read before anything else. */
const HEAD_LIMITS = { files: 2, bytes: 30_000_000 };
/**
 * Unpacked bytes for each packed one. Tables of text pack to a tenth, pictures hardly at all; what holds more than this
 * was made to fill the memory.
 */
const MAX_RATIO = 40;
/** Below this the ratio says nothing. */
const SMALL = 20_000_000;
/** Of a studied page; as much as is read of any text. */
const MAX_PAGE_BYTES = 8_000_000;
/** Packed bytes that are unpacked in one go: at most a thousand times as many come of them. */
const STEP = 4096;

/**
 * A backup as one open file: a zip of `data.json` (every table), the pictures under `pictures/`, and a manifest with
 * the SHA-256 of each, sealed by its own. What is written has been through {@link setDamagedAside}, so that it can be
 * read.
 */
export async function writeBackupFile<Data extends BackupData>(
  { made, data, files }: Backup<Data>,
  digest: Digest,
): Promise<Uint8Array<ArrayBuffer>> {
  const entries: Record<string, Uint8Array> = { [DATA]: strToU8(JSON.stringify(data)) };
  const packed: Zippable = {};
  for (const [sha, bytes] of files) entries[FOLDER + sha] = bytes;
  const manifest: Manifest = { format: 'dune-sparrow-backup', version: 1, made, files: [] };
  for (const [path, bytes] of Object.entries(entries)) {
    manifest.files.push({ path, bytes: bytes.length, sha256: await digest(bytes) });
    // Pictures are packed already: packing them again costs seconds and saves nothing.
    packed[path] = [bytes, { level: path === DATA ? 6 : 0 }];
  }
  const listed = strToU8(JSON.stringify(manifest, null, 2));
  return zipSync({
    [MANIFEST]: listed,
    [SEAL]: strToU8(await digest(listed)),
    ...packed,
  }) as Uint8Array<ArrayBuffer>;
}

const refuse = (what: string): never => {
  throw new UnreadableFile(`is no whole backup: ${what}. Nothing was changed. Use another copy of it.`);
};

function parsed(bytes: Uint8Array, path: string): unknown {
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    return refuse(`${path} in it cannot be read`);
  }
}

/** The manifest, checked by itself before anything of what it lists is unpacked. */
async function manifestOf(bytes: Uint8Array, digest: Digest): Promise<Manifest> {
  const head = readZip(bytes, HEAD_LIMITS, (path) => path === MANIFEST || path === SEAL);
  const listed = head.get(MANIFEST);
  const seal = head.get(SEAL);
  if (!listed || !seal) return refuse('it has no manifest');
  if ((await digest(listed)) !== strFromU8(seal)) return refuse('its manifest was altered');
  const manifest = parsed(listed, MANIFEST) as Partial<Manifest> | null;
  if (manifest?.format !== 'dune-sparrow-backup') return refuse('it is a file of another kind');
  if (manifest.version !== 1)
    return refuse(`it was made by a newer Dune Sparrow (version ${String(manifest.version)} of the format)`);
  if (typeof manifest.made !== 'string' || !Number.isFinite(Date.parse(manifest.made)))
    return refuse('its manifest does not say when it was made');
  if (!Array.isArray(manifest.files) || !manifest.files.every(isListed))
    return refuse('its manifest does not list what is in it');
  const unpacked = manifest.files.reduce((sum, file) => sum + file.bytes, 0);
  if (unpacked > LIMITS.bytes || (unpacked > SMALL && unpacked > MAX_RATIO * bytes.length))
    return refuse(`unpacked it would be ${bytesInWords(unpacked)}, far more than a backup of its size holds`);
  return manifest as Manifest;
}

const isListed = (file: unknown): boolean => {
  const { path, bytes, sha256 } = (file ?? {}) as Partial<Manifest['files'][number]>;
  return (
    typeof path === 'string' &&
    Number.isSafeInteger(bytes) &&
    (bytes as number) >= 0 &&
    typeof sha256 === 'string' &&
    /^[0-9a-f]{64}$/.test(sha256)
  );
};

/** Unpacks a text in small steps and stops where it is longer than any page that is read; else what is wrong with it. */
function inflated(packed: string): Uint8Array | string {
  const parts: Uint8Array[] = [];
  let length = 0;
  const stream = new Inflate((part) => {
    parts.push(part);
    length += part.length;
  });
  try {
    const bytes = strToU8(atob(packed), true);
    for (let at = 0; at < bytes.length && length <= MAX_PAGE_BYTES; at += STEP)
      stream.push(bytes.subarray(at, at + STEP), at + STEP >= bytes.length);
  } catch {
    return 'is damaged';
  }
  if (length > MAX_PAGE_BYTES) return 'is longer than any page that is read';
  const whole = new Uint8Array(length);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/**
 * Reads a backup and checks all of it: the seal, every file's digest, the shape of every row, and that rows name only
 * what is there. A record that is damaged is set aside and named, and the rest goes on; text from outside is cleaned as
 * on every other way in. `beside` are files by their SHA-256 that lie elsewhere. Throws {@link UnreadableFile} with the
 * reason where the file as a whole is cut, altered or of another kind.
 */
export async function readBackupFile<Data extends BackupData>(
  bytes: Uint8Array,
  digest: Digest,
  beside: ReadonlyMap<string, Uint8Array> = new Map(),
): Promise<ReadBackup<Data>> {
  const manifest = await manifestOf(bytes, digest);
  const entries = readZip(bytes, LIMITS);
  const files = new Map(beside);
  const damaged: string[] = [];
  for (const { path, bytes: length, sha256 } of manifest.files) {
    const content = entries.get(path);
    const isPicture = path.startsWith(FOLDER);
    const isWhole = content && content.length === length && (await digest(content)) === sha256;
    if (!isPicture && !content) return refuse(`${path} is missing in it`);
    if (!isPicture && !isWhole) return refuse(`${path} in it was altered`);
    // Which picture is meant is said where its row is looked at.
    if (isPicture && isWhole && path === FOLDER + sha256) files.set(sha256, content);
  }
  const named = new Set([MANIFEST, SEAL, ...manifest.files.map(({ path }) => path)]);
  if ([...entries.keys()].some((path) => !named.has(path)))
    return refuse('it holds files that its manifest does not name');
  const text = entries.get(DATA);
  if (!text) return refuse('it has no data');
  const data = parsed(text, DATA) as Data;
  const aside = setDamagedAside(data);
  if (aside === null) return refuse('its tables are of another shape than those of a backup');
  damaged.push(...aside, ...(await loosenedRows(data, files, digest)));
  for (const row of [...data.bodies, ...data.versions]) row.draft = cleanDraft(row.draft);
  for (const row of [...data.posts, ...data.versions]) row.fields = cleanFields(row.fields);
  return { made: manifest.made, data, files, damaged };
}

/** Takes out rows that name what is not there, and contents that are not what they say. Answers what, in words. */
async function loosenedRows(
  data: BackupData,
  files: ReadonlyMap<string, Uint8Array>,
  digest: Digest,
): Promise<string[]> {
  const said: string[] = [];
  const keep = async <Row>(
    rows: readonly Row[],
    problemOf: (row: Row) => string | null | Promise<string | null>,
  ): Promise<Row[]> => {
    const kept: Row[] = [];
    for (const row of rows) {
      const problem = await problemOf(row);
      if (problem === null) kept.push(row);
      else said.push(problem);
    }
    return kept;
  };
  const sites = new Set(data.sites.map((site) => site.id));
  const tables = data as unknown as Record<string, { siteId?: string }[]>;
  for (const [table, rows] of Object.entries(tables))
    tables[table] = await keep(rows, ({ siteId }) =>
      siteId === undefined || sites.has(siteId)
        ? null
        : `a row of ${table} belongs to no site and is left out`,
    );
  const posts = new Set(data.posts.map((post) => post.id));
  const ofPost = ({ postId }: { postId: string }) =>
    posts.has(postId) ? null : 'a text that belongs to no post is left out';
  data.bodies = await keep(data.bodies, ofPost);
  data.versions = await keep(data.versions, ofPost);
  data.pictures = await keep(data.pictures, ({ name, sha, bytes }) => {
    const file = files.get(sha);
    if (!file) return `the picture ${name} is missing or was altered, and is left out`;
    return file.length === bytes
      ? null
      : `the picture ${name} has another size than it says, and is left out`;
  });
  if (data.keywords)
    data.keywords = await keep(data.keywords, ({ packed }) =>
      isConsistent(packed) ? null : 'a part of the keywords, whose columns do not fit together, is left out',
    );
  if (data.searchFigures)
    data.searchFigures = await keep(data.searchFigures, ({ part }) =>
      isSoundPart(part)
        ? null
        : `search performance of ${part.from} to ${part.to}, whose columns do not fit together, is left out`,
    );
  if (data.studyPages)
    data.studyPages = await keep(data.studyPages, async ({ key, packed }) => {
      const text = inflated(packed);
      if (typeof text === 'string') return `a studied page ${text}, and is left out`;
      return (await digest(text)) === key ? null : 'a studied page was altered, and is left out';
    });
  return said;
}
