// Takes the pictures of docs/screenshots/ from the demo data. Starts and stops its own server.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { root } from './prepare.mjs';

const PORT = 4329;
const POST = 'demo-fix-flat-bike-tyre';
const VIEWS = [
  { file: 'posts', path: '/posts' },
  { file: 'write', path: `/posts/${POST}/write` },
  { file: 'write-dark', path: `/posts/${POST}/write`, dark: true },
  { file: 'target', path: '/posts/demo-bike-tour-packing-list/target' },
  {
    file: 'outline',
    path: '/posts/demo-bike-tour-packing-list/outline',
    press: 'Read headings from the draft',
  },
  { file: 'release', path: `/posts/${POST}/release` },
];

const server = spawn(process.execPath, ['scripts/run.mjs', '--demo'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((ready) =>
  server.stdout.on('data', (chunk) => String(chunk).includes('is ready at') && ready()),
);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
for (const { file, path, dark, press } of VIEWS) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${PORT}${path}`);
  await page
    .getByRole('img', { name: /Score by group/ })
    .last()
    .waitFor();
  if (press) {
    await page.getByRole('button', { name: press }).click();
    await page.getByRole('list', { name: 'Outline' }).waitFor();
  }
  await page.evaluate(() => document.fonts.ready);
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: `${root}/docs/screenshots/${file}.png` });
  await context.close();
}
await browser.close();
server.kill('SIGTERM');
