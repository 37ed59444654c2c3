import { readProfile } from '../criteria/index.ts';
import { type Draft, emptyFields, type PostFields } from '../draft/index.ts';
import type { BackupData } from './backup-data.ts';
import validate from './generated/backup-validator.js';

type Row = Record<string, unknown>;
type Tables = Record<string, Row[] | undefined>;

/** What a row is called where it is damaged. */
const TABLE_NAMES: ReadonlyMap<string, string> = new Map(
  Object.entries({
    sites: 'a site',
    pages: 'a page of a site',
    posts: 'a post',
    bodies: 'the text of a post',
    versions: 'a version',
    pictures: 'a picture',
    ticks: 'the ticks of a checklist',
    keywords: 'a part of the keywords',
    performance: 'a part of the search performance',
    searchFigures: 'search performance of some days',
    lists: 'a list of keywords',
    ideas: 'an idea',
    studies: 'a study',
    studyPages: 'a studied page',
    briefs: 'a brief',
    generations: 'a generated text',
    talks: 'a talk',
    reuses: 'something made of a post',
    audits: 'an audit',
    pageReads: 'a page that was read',
  }),
);

/** How often what is left is looked at again: mending a field can only uncover what lies in it. */
const MAX_ROUNDS = 4;

interface Fault {
  instancePath: string;
  keyword: string;
  params: { missingProperty?: string; additionalProperty?: string };
}

/** What is wrong in one row, by where it is. */
type Faults = Map<string, Map<number, { path: string[]; fault: Fault }[]>>;

function faultsOf(data: unknown): Faults | null {
  if (validate(data)) return null;
  const faults: Faults = new Map();
  for (const fault of (validate.errors ?? []) as Fault[]) {
    const [table = '', row = '', ...path] = fault.instancePath
      .split('/')
      .slice(1)
      .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));
    const rows = faults.get(table) ?? faults.set(table, new Map()).get(table)!;
    const at = row === '' ? -1 : Number(row);
    (rows.get(at) ?? rows.set(at, []).get(at)!).push({ path, fault });
  }
  return faults;
}

const nameOf = (table: string, row: Row, titles: ReadonlyMap<unknown, string>): string => {
  const { title } = (row['fields'] ?? {}) as { title?: unknown };
  const name = [title, row['name'], row['title'], row['query'], titles.get(row['postId'])].find(
    (one) => typeof one === 'string' && one !== '',
  );
  return `${TABLE_NAMES.get(table) ?? 'a row'}${name ? ` (“${String(name).slice(0, 60)}”)` : ''}`;
};

/** Mends what can be mended of one row; false where nothing of it can be kept. */
function mended(table: string, row: Row, faults: { path: string[]; fault: Fault }[]): boolean {
  const blocks = new Set<number>();
  const headings = new Set<number>();
  for (const { path, fault } of faults) {
    const [first, second, third] = path;
    if (first === 'fields' && (table === 'posts' || table === 'versions')) {
      if (!mendField(row, second, fault)) return false;
    } else if (first === 'draft' && second === 'blocks' && third !== undefined) blocks.add(Number(third));
    else if (first === 'outline' && second !== undefined) headings.add(Number(second));
    else if (table === 'versions' && first === 'score') row['score'] = null;
    else if (table === 'studies' && first === 'facts') row['facts'] = null;
    else if (table === 'sites' && first === 'profile') row['profile'] = null;
    else if (path.length === 0 && fault.params.additionalProperty !== undefined)
      delete row[fault.params.additionalProperty];
    else return false;
  }
  if (blocks.size > 0) {
    const draft = row['draft'] as Draft;
    row['draft'] = { ...draft, blocks: draft.blocks.filter((_block, at) => !blocks.has(at)) };
  }
  if (headings.size > 0)
    row['outline'] = (row['outline'] as unknown[]).filter((_item, at) => !headings.has(at));
  return true;
}

/** One field that is not what it should be is empty from now on. */
function mendField(row: Row, key: string | undefined, { params }: Fault): boolean {
  if (!row['fields'] || typeof row['fields'] !== 'object' || Array.isArray(row['fields'])) return false;
  const fields = row['fields'] as Record<string, unknown>;
  const empty = emptyFields() as unknown as Record<string, unknown>;
  const name = key ?? params.missingProperty;
  if (name !== undefined && Object.hasOwn(empty, name)) fields[name] = empty[name];
  else if (params.additionalProperty !== undefined) delete fields[params.additionalProperty];
  else return false;
  return true;
}

/** Fields that came after the first release with backups. */
const ADDED = [
  'shareTitle',
  'shareDescription',
  'shareImage',
  'robots',
  'comments',
  'place',
  'translations',
] as const satisfies (keyof PostFields)[];

/** Gives posts and versions of an earlier release the fields that came since: they are empty there, and not damaged. */
function fillFields(tables: Tables): void {
  for (const table of ['posts', 'versions', 'pageReads'])
    for (const row of Array.isArray(tables[table]) ? (tables[table] as (Row | null)[]) : [])
      if (row?.['fields'] && typeof row['fields'] === 'object' && !Array.isArray(row['fields']))
        for (const key of ADDED) (row['fields'] as Row)[key] ??= key === 'translations' ? [] : '';
}

/**
 * Sets aside what is damaged in the tables of a backup, in place: a field, a block of a text, or a whole row, never
 * more than has to be. Answers in words what was set aside, one line each; null where the tables as a whole are of
 * another shape.
 */
export function setDamagedAside(data: BackupData): string[] | null {
  const tables = data as unknown as Tables;
  const said: string[] = [];
  fillFields(tables);
  for (let round = 0; ; round++) {
    const faults = faultsOf(data);
    if (faults === null) break;
    const isOther = ([table, rows]: [string, Map<number, unknown>]) =>
      !TABLE_NAMES.has(table) || !Array.isArray(tables[table]) || rows.has(-1);
    if (round >= MAX_ROUNDS || [...faults].some(isOther)) return null;
    const titles = titlesOf(tables);
    for (const [table, rows] of faults) {
      const gone = new Set<number>();
      for (const [at, found] of rows) {
        const row = (tables[table] as Row[])[at];
        const isRow = row !== null && typeof row === 'object' && !Array.isArray(row);
        const name = isRow ? nameOf(table, row, titles) : (TABLE_NAMES.get(table) as string);
        // The last round keeps no row that is still damaged.
        if (isRow && round < MAX_ROUNDS - 1 && mended(table, row, found))
          said.push(`${name}: what could not be read of it is left out`);
        else {
          gone.add(at);
          said.push(`${name} could not be read and is left out`);
        }
      }
      if (gone.size > 0) tables[table] = tables[table]?.filter((_row, at) => !gone.has(at));
    }
  }
  mendProfiles(data, said);
  for (const row of [...data.bodies, ...data.versions]) {
    const whole = row.draft.blocks.filter(
      ({ kind, image, embed }) => (kind !== 'image' || image) && (kind !== 'embed' || embed),
    );
    if (whole.length === row.draft.blocks.length) continue;
    row.draft = { ...row.draft, blocks: whole };
    said.push('a place of a picture or an embed without it is left out');
  }
  return said;
}

const titlesOf = (tables: Tables): Map<unknown, string> =>
  new Map(
    (tables['posts'] ?? []).map((row) => [
      row?.['id'],
      String(((row?.['fields'] ?? {}) as Partial<PostFields>).title ?? ''),
    ]),
  );

/** A profile that no score could be made with gives way to the one that is shipped. */
function mendProfiles(data: BackupData, said: string[]): void {
  for (const site of data.sites) {
    if (site.profile === null) continue;
    const { problem } = readProfile(site.profile);
    if (problem === null) continue;
    site.profile = null;
    said.push(
      `the weights of a site could not be read (${problem}); those that ship with the application hold`,
    );
  }
}
