import { gzipSync } from 'node:zlib';
import { expect, test } from '@playwright/test';

const MOST = 250_000;

test('the scripts that come until Posts is visible stay within 250 kB gzipped', async ({ page }) => {
  const scripts = new Map<string, Promise<Buffer>>();
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) scripts.set(response.url(), response.body());
  });
  await page.goto('/posts');
  await expect(
    page.getByRole('table', { name: 'Posts' }).getByRole('link', { name: /Waterproof panniers/ }),
  ).toBeVisible();
  const sizes = await Promise.all(
    [...scripts].map(async ([url, body]) => ({ url, size: gzipSync(await body).length })),
  );
  const sum = sizes.reduce((total, { size }) => total + size, 0);
  expect(sizes.length).toBeGreaterThan(1);
  expect(sum, sizes.map(({ url, size }) => `${size} ${url}`).join('\n')).toBeLessThanOrEqual(MOST);
});

test('every answer carries the strict policy, and nothing is asked of another host', async ({
  page,
  request,
  baseURL,
}) => {
  const foreign: string[] = [];
  page.on('request', (asked) => {
    if (!asked.url().startsWith(baseURL!) && !/^(?:data|blob):/.test(asked.url())) foreign.push(asked.url());
  });
  await page.goto('/posts');
  await expect(page.getByRole('table', { name: 'Posts' })).toBeVisible();
  for (const path of ['/', '/posts/any/write', '/healthz', '/icon.svg', '/assets/none.js']) {
    const policy = (await request.get(path)).headers()['content-security-policy'];
    expect(policy, path).toContain("script-src 'self'");
    expect(policy, path).toContain("default-src 'none'");
    expect(policy, path).not.toContain('unsafe-eval');
  }
  expect(foreign).toEqual([]);
});

test('an address that is no screen says so', async ({ page }) => {
  await page.goto('/nowhere/at/all');
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
});
