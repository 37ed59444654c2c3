import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const port = Number(process.env['E2E_PORT'] ?? 4317);

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  // Limits against hanging, not bars: a machine that is shared can be several times slower for a while.
  timeout: 420_000,
  expect: { timeout: 45_000 },
  fullyParallel: true,
  retries: process.env['CI'] ? 1 : 0,
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    // A press that cannot be made says so, instead of waiting for the whole test to hang.
    actionTimeout: 60_000,
    navigationTimeout: 90_000,
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // What a test does to requests must reach them; the one about work without the server lets it in.
    serviceWorkers: 'block',
    // Recording every step costs a fifth of the whole run: the second try is recorded, or `--trace on` by hand.
    trace: 'on-first-retry',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `node scripts/run.mjs --demo`,
    port,
    env: {
      PORT: String(port),
      // Servers that tests play, as if they were hosts of the network.
      ALLOW_HOSTS: `127.0.0.1:${port + 1},127.0.0.1:${port + 3}`,
      BLOG_PORT: String(port + 2),
      DATA_DIR: mkdtempSync(join(tmpdir(), 'dune-sparrow-data-')),
    },
    reuseExistingServer: false,
    timeout: 180_000,
  },
});
