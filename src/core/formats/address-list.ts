import Papa from 'papaparse';
import { UnreadableFile } from '../draft/index.ts';
import type { SitePage } from '../site/index.ts';

/** Addresses as read from a table or a pasted list. */
export interface AddressList {
  pages: SitePage[];
  /** Lines that hold no address, each as a sentence with its number. */
  problems: string[];
}

const ADDRESS_NAMES = [
  'address',
  'url',
  'link',
  'permalink',
  'loc',
  'page',
  'path',
  'page url',
  'page address',
];
const TITLE_NAMES = ['title', 'meta title', 'page title', 'name', 'heading'];
/** Lines that are named one by one; the rest are counted. */
const MOST_NAMED = 5;

const isAddress = (text: string) => /^(?:https?:\/\/[^\s/]+\S*|\/\S*)$/i.test(text);

/** True for a text of which most lines are addresses and nothing else. */
export function looksLikeAddresses(text: string): boolean {
  const lines = text.split('\n').flatMap((line) => line.trim() || []);
  return lines.length > 0 && lines.filter(isAddress).length >= lines.length * 0.8;
}

/**
 * Reads addresses, one a line: a pasted list, or a table (any delimiter, header names matched) with an address column
 * and perhaps a title column. Throws {@link UnreadableFile} where no line holds an address.
 */
export function readAddressList(text: string): AddressList {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const names = (data[0] ?? []).map((name) => name.trim().toLowerCase().replace(/[_-]+/g, ' '));
  const headed = !data[0]?.some((cell) => isAddress(cell.trim()));
  const column = (known: string[]) => (headed ? names.findIndex((name) => known.includes(name)) : -1);
  const [addressAt, titleAt] = [column(ADDRESS_NAMES), column(TITLE_NAMES)];
  const pages: SitePage[] = [];
  const bad: number[] = [];
  data.slice(headed && addressAt >= 0 ? 1 : 0).forEach((row, at) => {
    const cells = row.map((cell) => cell.trim());
    const place = addressAt >= 0 ? addressAt : cells.findIndex(isAddress);
    const address = cells[place] ?? '';
    if (!isAddress(address)) {
      bad.push(at + (headed && addressAt >= 0 ? 2 : 1));
      return;
    }
    const title =
      titleAt >= 0 ? cells[titleAt] : cells.find((cell, other) => other !== place && /\p{L}/u.test(cell));
    pages.push({ address, ...(title && !isAddress(title) ? { title } : {}) });
  });
  if (pages.length === 0)
    throw new UnreadableFile(
      'holds no address. Give one address a line, or a table with a column named "address".',
    );
  const named = bad.slice(0, MOST_NAMED).join(', ');
  const more = bad.length > MOST_NAMED ? ` and ${bad.length - MOST_NAMED} more` : '';
  return {
    pages,
    problems: bad.length
      ? [`${bad.length === 1 ? 'Line' : 'Lines'} ${named}${more}: no address; left out.`]
      : [],
  };
}
