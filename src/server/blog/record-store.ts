import { createHash } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';

/** Writes a file whole or not at all: what was there stays until all of it is on the disk, whatever happens in between. */
export function writeWhole(path: string, bytes: string | Uint8Array, mode = 0o644): void {
  mkdirSync(dirname(path), { recursive: true });
  const part = `${path}.${process.pid}.part`;
  const file = openSync(part, 'w', mode);
  try {
    const whole = typeof bytes === 'string' ? Buffer.from(bytes) : bytes;
    for (let written = 0; written < whole.length; ) written += writeSync(file, whole, written);
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
  renameSync(part, path);
  // The new name is on the disk only when its folder is.
  const folder = openSync(dirname(path), 'r');
  try {
    fsyncSync(folder);
  } catch {
    // Some file systems cannot; the rename itself stands.
  } finally {
    closeSync(folder);
  }
}

/** A file name for whatever a record is called. */
const fileOf = (key: string): string => `${createHash('sha256').update(key).digest('hex').slice(0, 32)}.json`;

/** Records as files, one each, all of them in memory; each is written whole before the call returns. */
export class RecordStore<Row extends object> {
  private readonly rows = new Map<string, Row>();
  /** Files that could not be read, which are left as they are. */
  readonly damaged: string[] = [];

  constructor(
    private readonly folder: string,
    private readonly keyOf: (row: Row) => string,
  ) {
    for (const name of existsSync(folder) ? readdirSync(folder).sort() : []) {
      const path = join(folder, name);
      // What a write that ended too soon has left.
      if (name.endsWith('.part')) rmSync(path, { force: true });
      if (!name.endsWith('.json')) continue;
      try {
        const row = JSON.parse(readFileSync(path, 'utf8')) as Row;
        this.rows.set(keyOf(row), row);
      } catch {
        this.damaged.push(path);
      }
    }
  }

  get(key: string): Row | undefined {
    return this.rows.get(key);
  }

  all(): Row[] {
    return [...this.rows.values()];
  }

  put(row: Row): void {
    const key = this.keyOf(row);
    writeWhole(join(this.folder, fileOf(key)), `${JSON.stringify(row)}\n`);
    this.rows.set(key, row);
  }

  delete(key: string): void {
    rmSync(join(this.folder, fileOf(key)), { force: true });
    this.rows.delete(key);
  }
}
