import { createHash } from 'node:crypto';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { writeWhole } from '../blog/record-store.ts';

const SHA = /^[0-9a-f]{64}$/;

/** Files of pictures that wait to be sent, each by the SHA-256 of what is in it. */
export class PictureFiles {
  constructor(private readonly folder: string) {}

  private pathOf(sha: string): string | null {
    return SHA.test(sha) ? join(this.folder, sha) : null;
  }

  has(sha: string): boolean {
    const path = this.pathOf(sha);
    return path !== null && existsSync(path);
  }

  /** Keeps a file; false where it is not what its hash says. */
  put(sha: string, bytes: Buffer): boolean {
    const path = this.pathOf(sha);
    if (path === null || createHash('sha256').update(bytes).digest('hex') !== sha) return false;
    if (!existsSync(path)) writeWhole(path, bytes);
    return true;
  }

  read(sha: string): Buffer | null {
    const path = this.pathOf(sha);
    return path !== null && existsSync(path) ? readFileSync(path) : null;
  }

  drop(sha: string): void {
    const path = this.pathOf(sha);
    if (path !== null) rmSync(path, { force: true });
  }
}
