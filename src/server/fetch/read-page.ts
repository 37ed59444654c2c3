import { decodeText, UnreadableFile } from '../../core/draft/index.ts';
import { goOut } from './go-out.ts';
import type { HostPace } from './host-pace.ts';
import type { Outward } from './outward.ts';
import { Refusal } from './refusal.ts';
import type { RobotsRules } from './robots-rules.ts';

/** A page of the network, or why it could not be read, as it crosses to the application. */
export interface PageAnswer {
  /** As it was asked for. */
  address: string;
  /** The address that answered in the end; null: none did. */
  found: string | null;
  format: 'html' | 'markdown' | 'text' | null;
  text: string;
  /** UTC instant at which it was read. */
  at: string;
  /** In words; empty: it was read. */
  problem: string;
}

const FORMATS: Record<string, PageAnswer['format']> = {
  'text/html': 'html',
  'application/xhtml+xml': 'html',
  'text/markdown': 'markdown',
  'text/plain': 'text',
};

/** What an answer is, by its type and, where that says nothing, by how it begins. */
function formatOf(type: string, body: Buffer): PageAnswer['format'] {
  const named = type.split(';')[0].trim().toLowerCase();
  if (Object.hasOwn(FORMATS, named)) return FORMATS[named];
  const opening = body.subarray(0, 200).toString('latin1').trimStart().toLowerCase();
  return named === '' && /^<(?:!doctype|html|head|body)/.test(opening) ? 'html' : null;
}

/** The text of an answer by the charset of its header, else as its bytes say. */
function textOf(type: string, body: Buffer): string {
  const charset = /charset\s*=\s*"?([\w:-]+)/i.exec(type)?.[1];
  if (charset) {
    try {
      return new TextDecoder(charset).decode(body);
    } catch {
      // A charset that nobody knows: the bytes will tell.
    }
  }
  return decodeText(body).text;
}

/** Reads the page at an address, where its host lets programs read it. Nothing is kept, no script of it is run. */
export async function readPage(
  address: string,
  outward: Outward,
  pace: HostPace,
  robots: RobotsRules,
  calledOff?: AbortSignal,
): Promise<PageAnswer> {
  const at = new Date().toISOString();
  const not = (problem: string, found: string | null = null): PageAnswer => ({
    address,
    found,
    format: null,
    text: '',
    at,
    problem,
  });
  try {
    const answer = await goOut(address, 'GET', outward, pace, {
      robots,
      calledOff,
      accept: 'text/html,application/xhtml+xml,text/markdown;q=0.9,text/plain;q=0.8',
    });
    const { status, headers, body, address: found } = answer;
    if (status === 404 || status === 410) return not(`There is no page (${status}).`, found);
    if (status === 401 || status === 403)
      return not(`The host lets no program read it (${status}). Open it in your browser and save it.`, found);
    if (status === 429) return not('The host has had enough of us for now (429). Try again later.', found);
    if (status >= 400) return not(`The host answers ${status}.`, found);
    const type = String(headers['content-type'] ?? '');
    const format = formatOf(type, body);
    if (format === null)
      return not(`It is no page of text but ${type.split(';')[0].trim() || 'something unnamed'}.`, found);
    return { address, found, format, text: textOf(type, body), at, problem: '' };
  } catch (error) {
    if (error instanceof Refusal) return not(error.message);
    if (error instanceof UnreadableFile) return not(`It ${error.message}`);
    throw error;
  }
}
