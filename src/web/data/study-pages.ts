import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { database } from './database.ts';
import { sha256 } from './digest.ts';
import type { StudyPageRef, StudyPageRow } from './study-rows.ts';

type ListedResult = Pick<StudyPageRef, 'address' | 'publisher' | 'kind' | 'rank' | 'title'>;

/** A page's content as it was brought in. */
export interface PageContent {
  format: StudyPageRow['format'];
  text: string;
}

const toBase64 = (bytes: Uint8Array): string => btoa(strFromU8(bytes, true));
const fromBase64 = (text: string): Uint8Array => strToU8(atob(text), true);

/** A content as a row, under the key that its text has. */
export async function pageRowOf(siteId: string, { format, text }: PageContent): Promise<StudyPageRow> {
  const bytes = strToU8(text);
  return { siteId, key: await sha256(bytes), format, packed: toBase64(deflateSync(bytes, { level: 6 })) };
}

/** Found pages as a study refers to them, in their order; `left`: addresses that are left out. */
export const foundPages = (
  results: readonly ListedResult[],
  contents: readonly StudyPageRow[],
  left: ReadonlySet<string>,
): StudyPageRef[] =>
  results.map(({ address, publisher, kind, rank, title }, at) => ({
    key: contents[at].key,
    address,
    publisher,
    kind,
    rank,
    title,
    left: left.has(address),
    problem: '',
  }));

/** The content of a row. */
export const contentOf = ({ format, packed }: StudyPageRow): PageContent => ({
  format,
  text: strFromU8(inflateSync(fromBase64(packed))),
});

/** Contents of pages by their keys; a key that nothing lies under is not among them. */
export async function pageContents(
  siteId: string,
  keys: readonly string[],
): Promise<Map<string, PageContent>> {
  const rows = await database().studyPages.bulkGet(keys.map((key): [string, string] => [siteId, key]));
  return new Map(rows.flatMap((row) => (row ? [[row.key, contentOf(row)]] : [])));
}
