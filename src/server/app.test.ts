import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import request from 'supertest';
import { beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';

let web = '';
let data = '';
beforeAll(() => {
  web = mkdtempSync(join(tmpdir(), 'dune-sparrow-web-'));
  mkdirSync(join(web, 'assets'));
  data = mkdtempSync(join(tmpdir(), 'dune-sparrow-demo-'));
  writeFileSync(join(web, 'index.html'), '<meta name="dune-sparrow-demo" content="off"><p>application</p>');
  writeFileSync(join(web, 'assets', 'a-1.js'), 'let a = 1;\n'.repeat(500));
  writeFileSync(join(data, 'scenario.json'), '{}');
});

const app = (demo = false) =>
  createApp({ web, demo: demo ? data : null, market: join(data, 'market.json'), version: '1.2.3' });

describe('the server', () => {
  it('tells that it is well', async () => {
    const { body, status } = await request(app()).get('/healthz');
    expect([status, body]).toEqual([200, { status: 'ok', version: '1.2.3' }]);
  });
  it('sends the service worker never kept, and another with the demo than without', async () => {
    writeFileSync(join(web, 'service-worker.js'), 'const CACHE = `dune-sparrow-1`;');
    const [own, demo] = [
      await request(app()).get('/service-worker.js'),
      await request(app(true)).get('/service-worker.js'),
    ];
    expect(own.headers['cache-control']).toBe('no-cache');
    expect(own.text).toContain('`dune-sparrow-1`');
    expect(demo.text).toContain('`dune-sparrow-demo-1`');
  });
  it('answers deep links with the application, never kept', async () => {
    const { text, headers } = await request(app()).get('/posts/some-id/write');
    expect(text).toContain('application');
    expect(headers['cache-control']).toBe('no-cache');
  });
  it('says to the page whether there is demo data', async () => {
    expect((await request(app(true)).get('/')).text).toContain('content="on"');
    expect((await request(app()).get('/')).text).toContain('content="off"');
    expect((await request(app(true)).get('/demo/scenario.json')).status).toBe(200);
    expect((await request(app()).get('/demo/scenario.json')).status).toBe(404);
  });
  it('sends assets kept for a year, packed where they go to another machine', async () => {
    const asked = (from: express.Express) =>
      request(from).get('/assets/a-1.js').set('accept-encoding', 'gzip');
    const far = express()
      .use(({ socket }, _response, next) => {
        Object.defineProperty(socket, 'remoteAddress', { value: '192.0.2.7' });
        next();
      })
      .use(app());
    const here = await asked(app());
    expect(here.headers['content-encoding']).toBeUndefined();
    expect(here.headers['cache-control']).toContain('immutable');
    const there = await asked(far);
    expect(there.headers['content-encoding']).toBe('gzip');
    expect(there.text).toBe(here.text);
  });
  it.each(['/', '/assets/none.js', '/no-such-file.png', '/healthz', '/posts/%'])(
    '%s carries the strict policy',
    async (path) => {
      const policy = (await request(app()).get(path)).headers['content-security-policy'];
      expect(policy).toContain("default-src 'none'");
      expect(policy).toContain("script-src 'self';");
      expect(policy).toContain("frame-ancestors 'none'");
      expect(policy).not.toMatch(/unsafe-eval|https?:/);
    },
  );
  it('a missing file is missing, in words', async () => {
    const { status, text } = await request(app()).get('/assets/none.js');
    expect([status, text]).toEqual([404, 'There is no such file.']);
  });
});
