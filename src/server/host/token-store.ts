import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeWhole } from '../blog/record-store.ts';

/**
 * Tokens of endpoints, in a file that only its owner can read. They are put in and used here, and told to nobody: whoever
 * could change the endpoint in a page could not send them elsewhere, for each goes to its own endpoint alone.
 */
export class TokenStore {
  private readonly path: string;
  private tokens: Map<string, string>;

  constructor(folder: string) {
    this.path = join(folder, 'tokens.json');
    this.tokens = new Map(
      existsSync(this.path)
        ? (JSON.parse(readFileSync(this.path, 'utf8')) as [endpoint: string, token: string][])
        : [],
    );
  }

  of(endpoint: string): string | null {
    return this.tokens.get(endpoint) ?? null;
  }

  /** Keeps a token; an empty one takes the endpoint's away. */
  set(endpoint: string, token: string): void {
    const next = new Map(this.tokens);
    if (token === '') next.delete(endpoint);
    else next.set(endpoint, token);
    writeWhole(this.path, `${JSON.stringify([...next])}\n`, 0o600);
    this.tokens = next;
  }
}
