import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from '@playwright/test';

/** The application on ports of its own, with data of its own: what a test does to its blog meets no other test. */
export interface OwnServer {
  /** The address of a page of the application. */
  at: (path: string) => string;
  /** The address of a page of its blog. */
  blog: (path: string) => string;
  stop: () => void;
}

/** Starts the application anew; `args` as on its command line. */
export async function startServer(port: number, args: readonly string[]): Promise<OwnServer> {
  const server = spawn(process.execPath, ['scripts/run.mjs', ...args], {
    env: {
      ...process.env,
      PORT: String(port),
      BLOG_PORT: String(port + 1),
      DATA_DIR: mkdtempSync(join(tmpdir(), 'data-')),
    },
    stdio: 'ignore',
  });
  const at = (path: string) => `http://127.0.0.1:${port}${path}`;
  await expect
    .poll(
      () =>
        fetch(at('/')).then(
          ({ ok }) => ok,
          () => false,
        ),
      { timeout: 120_000 },
    )
    .toBe(true);
  return { at, blog: (path) => `http://127.0.0.1:${port + 1}${path}`, stop: () => server.kill() };
}
