import { type ChildProcess, spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, expect, type Page } from '@playwright/test';

/** A browser of its own that can be killed with everything that belongs to it. */
export async function startBrowser(
  profile: string,
  args: string[],
): Promise<{ page: Page; kill: () => Promise<void> }> {
  rmSync(join(profile, 'DevToolsActivePort'), { force: true });
  const process: ChildProcess = spawn(
    '/usr/bin/chromium',
    [...args, '--headless', '--remote-debugging-port=0', `--user-data-dir=${profile}`, 'about:blank'],
    { detached: true, stdio: 'ignore' },
  );
  const ended = new Promise((done) => process.once('exit', done));
  let port = '';
  await expect
    .poll(
      () => {
        try {
          [port] = readFileSync(join(profile, 'DevToolsActivePort'), 'utf8').split('\n');
        } catch {
          // Not up yet.
        }
        return port;
      },
      { intervals: [20] },
    )
    .not.toBe('');
  const browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
  const [context] = browser.contexts();
  const page = context.pages()[0] ?? (await context.newPage());
  return {
    page,
    kill: async () => {
      globalThis.process.kill(-(process.pid as number), 'SIGKILL');
      await ended;
      await browser.close().catch(() => {});
    },
  };
}
