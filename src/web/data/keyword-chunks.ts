import { type Keyword, packKeywords, unpackKeywords } from '../../core/research/index.ts';
import { database } from './database.ts';
import { StaleWrite } from './posts.ts';
import type { KeywordChunkRow } from './research-rows.ts';

/** Rows of one chunk. */
const CHUNK_ROWS = 5000;
/** The row under which the count of changes lies; real chunks count from 0. */
const STAMP = -1;

/** The row that counts changes. */
export const stampRow = (siteId: string, stamp: number): KeywordChunkRow => ({
  siteId,
  chunk: STAMP,
  packed: packKeywords([]),
  stamp,
});

/** How often the keywords of a site were changed: what was read under another number is out of date. */
export const keywordStamp = async (siteId: string): Promise<number> =>
  (await database().keywords.get([siteId, STAMP]))?.stamp ?? 0;

/** Every keyword of a site, in the order in which they came, and the number of changes that they are read under. */
export async function readKeywords(siteId: string): Promise<{ records: Keyword[]; stamp: number }> {
  const { keywords } = database();
  return database().transaction('r', keywords, async () => {
    const stamp = await keywordStamp(siteId);
    const chunks = await keywords
      .where('[siteId+chunk]')
      .between([siteId, 0], [siteId, Number.POSITIVE_INFINITY])
      .toArray();
    return { records: chunks.flatMap(({ packed }) => unpackKeywords(packed)), stamp };
  });
}

/** Keywords in chunks, those of the numbers given or all. */
export const chunksOf = (
  siteId: string,
  records: readonly Keyword[],
  only?: ReadonlySet<number>,
): KeywordChunkRow[] =>
  Array.from({ length: Math.ceil(records.length / CHUNK_ROWS) }, (_, chunk) => chunk)
    .filter((chunk) => !only || only.has(chunk))
    .map((chunk) => ({
      siteId,
      chunk,
      packed: packKeywords(records.slice(chunk * CHUNK_ROWS, (chunk + 1) * CHUNK_ROWS)),
    }));

/**
 * Writes the chunks in which rows changed, all or nothing; `rows` null: all of them, and none beside. Answers the new
 * number of changes. Throws {@link StaleWrite} where another tab changed them since `stamp`.
 */
export async function writeKeywords(
  siteId: string,
  records: readonly Keyword[],
  rows: Iterable<number> | null,
  stamp: number,
): Promise<number> {
  const { keywords } = database();
  const changed = rows && new Set(Array.from(rows, (row) => Math.floor(row / CHUNK_ROWS)));
  const made = chunksOf(siteId, records, changed ?? undefined);
  await database().transaction('rw', keywords, async () => {
    if ((await keywordStamp(siteId)) !== stamp)
      throw new StaleWrite('The keywords were changed in another tab.');
    if (!rows) await keywords.where('siteId').equals(siteId).delete();
    await keywords.bulkPut(made);
    await keywords.put(stampRow(siteId, stamp + 1));
  });
  return stamp + 1;
}
