import { Inflate, strFromU8, strToU8, zipSync } from 'fflate';
import { readProfile } from '../criteria/index.ts';
import {
  bytesInWords,
  cleanDraft,
  cleanFields,
  type Draft,
  type PostFields,
  readZip,
  UnreadableFile,
} from '../draft/index.ts';
import { isConsistent, type PackedKeywords } from '../research/index.ts';
import validate from './generated/backup-validator.js';

/** Rows as a backup holds them; the schema beside this file says what each is. */
export interface BackupData {
  sites: { id: string; profile: unknown }[];
  pages: { siteId: string }[];
  posts: { id: string; siteId: string; fields: PostFields }[];
  bodies: { postId: string; siteId: string; draft: Draft }[];
  versions: { siteId: string; postId: string; fields: PostFields; draft: Draft }[];
  pictures: { siteId: string; name: string; sha: string; bytes: number }[];
  /** Absent in backups of earlier days. */
  keywords?: { siteId: string; packed: PackedKeywords }[];
  /** A page's text, deflated and in base64, by the SHA-256 of it. */
  studyPages?: { siteId: string; key: string; packed: string }[];
}

/** Everything that a backup holds; files by the SHA-256 of their content. */
export interface Backup<Data extends BackupData = BackupData> {
  /** UTC instant at which it was made. */
  made: string;
  data: Data;
  files: Map<string, Uint8Array>;
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
 * the SHA-256 of each, sealed by its own.
 */
export async function writeBackupFile<Data extends BackupData>(
  { made, data, files }: Backup<Data>,
  digest: Digest,
): Promise<Uint8Array<ArrayBuffer>> {
  const entries: Record<string, Uint8Array> = { [DATA]: strToU8(JSON.stringify(data)) };
  for (const [sha, bytes] of files) entries[FOLDER + sha] = bytes;
  const manifest: Manifest = { format: 'dune-sparrow-backup', version: 1, made, files: [] };
  for (const [path, bytes] of Object.entries(entries))
    manifest.files.push({ path, bytes: bytes.length, sha256: await digest(bytes) });
  const listed = strToU8(JSON.stringify(manifest, null, 2));
  return zipSync(
    { [MANIFEST]: listed, [SEAL]: strToU8(await digest(listed)), ...entries },
    { level: 6 },
  ) as Uint8Array<ArrayBuffer>;
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

/** Unpacks a text in small steps and stops where it is longer than any page that is read. */
function inflated(packed: string): Uint8Array {
  const parts: Uint8Array[] = [];
  let length = 0;
  const stream = new Inflate((part) => {
    parts.push(part);
    length += part.length;
    if (length > MAX_PAGE_BYTES) refuse('a studied page in it is longer than any page that is read');
  });
  try {
    const bytes = strToU8(atob(packed), true);
    for (let at = 0; at < bytes.length; at += STEP)
      stream.push(bytes.subarray(at, at + STEP), at + STEP >= bytes.length);
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    return refuse('a studied page in it is damaged');
  }
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
 * what is there. Text from outside is cleaned as on every other way in. Throws {@link UnreadableFile} with the reason.
 */
export async function readBackupFile<Data extends BackupData>(
  bytes: Uint8Array,
  digest: Digest,
): Promise<Backup<Data>> {
  const manifest = await manifestOf(bytes, digest);
  const entries = readZip(bytes, LIMITS);
  const files = new Map<string, Uint8Array>();
  for (const { path, bytes: length, sha256 } of manifest.files) {
    const content = entries.get(path);
    if (!content) return refuse(`${path} is missing in it`);
    if (content.length !== length || (await digest(content)) !== sha256)
      return refuse(`${path} in it was altered`);
    if (!path.startsWith(FOLDER)) continue;
    if (path !== FOLDER + sha256) return refuse(`${path} in it is not what its name says`);
    files.set(sha256, content);
  }
  if (entries.size !== manifest.files.length + 2)
    return refuse('it holds files that its manifest does not name');
  const text = entries.get(DATA);
  if (!text) return refuse('it has no data');
  const data = parsed(text, DATA) as Data;
  if (!validate(data)) {
    const [error] = validate.errors ?? [];
    return refuse(
      `its data are not valid at ${error?.instancePath || '/'} (${error?.message ?? 'unknown shape'})`,
    );
  }
  checkReferences(data, files);
  for (const { key, packed } of data.studyPages ?? [])
    if ((await digest(inflated(packed))) !== key) return refuse('a studied page in it was altered');
  for (const row of [...data.bodies, ...data.versions]) row.draft = cleanDraft(row.draft);
  for (const row of [...data.posts, ...data.versions]) row.fields = cleanFields(row.fields);
  return { made: manifest.made, data, files };
}

/** Every row belongs to something that is there. */
function checkReferences(data: BackupData, files: ReadonlyMap<string, Uint8Array>): void {
  const sites = new Set(data.sites.map((site) => site.id));
  const posts = new Set(data.posts.map((post) => post.id));
  for (const [table, rows] of Object.entries(data) as [string, { siteId?: string }[]][])
    for (const { siteId } of rows)
      if (siteId !== undefined && !sites.has(siteId)) refuse(`a row of ${table} belongs to no site`);
  for (const { postId } of [...data.bodies, ...data.versions])
    if (!posts.has(postId)) refuse('a text in it belongs to no post');
  for (const { name, sha, bytes } of data.pictures) {
    const file = files.get(sha);
    if (!file) return refuse(`the picture ${name} is missing in it`);
    if (file.length !== bytes) refuse(`the picture ${name} in it has another size than it says`);
  }
  for (const { packed } of data.keywords ?? [])
    if (!isConsistent(packed)) refuse('the columns of its keywords do not fit together');
  for (const { profile } of data.sites) {
    if (profile === null) continue;
    const { problem } = readProfile(profile);
    if (problem !== null) refuse(problem);
  }
}
