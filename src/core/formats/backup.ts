import { strFromU8, strToU8, zipSync } from 'fflate';
import { readProfile } from '../criteria/index.ts';
import {
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
  pictures: { siteId: string; name: string; sha: string }[];
  /** Absent in backups of earlier days. */
  keywords?: { siteId: string; packed: PackedKeywords }[];
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
const LIMITS = { files: 100_000, bytes: 2_000_000_000 };

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

/**
 * Reads a backup and checks all of it: the seal, every file's digest, the shape of every row, and that rows name only
 * what is there. Text from outside is cleaned as on every other way in. Throws {@link UnreadableFile} with the reason.
 */
export async function readBackupFile<Data extends BackupData>(
  bytes: Uint8Array,
  digest: Digest,
): Promise<Backup<Data>> {
  const entries = readZip(bytes, LIMITS);
  const listed = entries.get(MANIFEST);
  const seal = entries.get(SEAL);
  if (!listed || !seal) return refuse('it has no manifest');
  if ((await digest(listed)) !== strFromU8(seal)) return refuse('its manifest was altered');
  const manifest = parsed(listed, MANIFEST) as Manifest;
  if (manifest.format !== 'dune-sparrow-backup') return refuse('it is a file of another kind');
  if (manifest.version !== 1)
    return refuse(`it was made by a newer Dune Sparrow (version ${manifest.version} of the format)`);
  const files = new Map<string, Uint8Array>();
  for (const { path, sha256 } of manifest.files) {
    const content = entries.get(path);
    if (!content) return refuse(`${path} is missing in it`);
    if ((await digest(content)) !== sha256) return refuse(`${path} in it was altered`);
    if (path.startsWith(FOLDER)) files.set(path.slice(FOLDER.length), content);
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
  for (const { name, sha } of data.pictures)
    if (!files.has(sha)) refuse(`the picture ${name} is missing in it`);
  for (const { packed } of data.keywords ?? [])
    if (!isConsistent(packed)) refuse('the columns of its keywords do not fit together');
  for (const { profile } of data.sites) {
    if (profile === null) continue;
    const { problem } = readProfile(profile);
    if (problem !== null) refuse(problem);
  }
}
