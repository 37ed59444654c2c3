import { execFile } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readAuditFile } from '../core/audit/index.ts';

let folder = '';
const prose = (what: string, sentences: number) =>
  Array.from(
    { length: sentences },
    (_, at) =>
      `On day ${at + 1} the ${what} of the estuary tells a rider when the causeway is dry, and when it is better to wait for the ferry.`,
  ).join(' ');
const post = (name: string, title: string, description: string) =>
  writeFileSync(
    join(folder, 'site', `${name}.md`),
    `---\ntitle: "${title}"\nslug: ${name}\nkeyword: tide table\nstatus: published\ndescription: "${description}"\n---\n\n${prose('tide table', 20)}\n`,
  );

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'audited-'));
  mkdirSync(join(folder, 'site'));
  post('tide-table', 'Tide table for riders', '');
  post('constructor', '=Low water', '');
  writeFileSync(
    join(folder, 'performance.csv'),
    'Query,Page,Clicks,Impressions,CTR,Position\ntide table,https://sound.example/constructor,3,900,0.3%,8\ntide table,https://sound.example/tide-table,9,100,9%,3\n',
  );
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const run = (
  args: string[],
  env: Record<string, string> = {},
): Promise<{ status: number; out: string; err: string }> =>
  new Promise((done) => {
    execFile(
      process.execPath,
      [join(process.cwd(), 'bin/dune-sparrow'), 'audit', ...args],
      { cwd: folder, maxBuffer: 1 << 28, env: { ...process.env, ...env } },
      (error, out, err) => done({ status: error ? Number(error.code) : 0, out, err }),
    );
  });

describe('an audit on the command line', () => {
  it('tells the mean, what is worth mending first and what costs most, and of an earlier day what rose', async () => {
    const first = await run(['site', '--json']);
    expect([first.status, first.err]).toEqual([0, '']);
    const { audit } = readAuditFile(first.out);
    expect(audit?.posts.map(({ id, path }) => [id, path])).toEqual([
      ['constructor.md', '/constructor'],
      ['tide-table.md', '/tide-table'],
    ]);
    writeFileSync(join(folder, 'then.json'), first.out);
    post(
      'tide-table',
      'Tide table for riders',
      'A tide table tells a rider when the causeway to the island is dry: how to read one, and what to do when you are late.',
    );
    const { out, status } = await run(['site', '--since', 'then.json', '--performance', 'performance.csv']);
    expect(status).toBe(0);
    expect(out).toMatch(/^2 posts: \d+\.\d of 100 on average/);
    expect(out).toContain('Worth mending first, points times impressions:');
    expect(out.indexOf('=Low water')).toBeLessThan(out.indexOf('Tide table for riders'));
    expect(out).toMatch(/Rose \(1\):\n {2}\+\d+\.\d {2}Tide table for riders: .*mostly listing/);
    expect(out).not.toContain('Fell');
  });
  it('is a table that no spreadsheet computes, and says by its status whether the mean is enough', async () => {
    const { out, status } = await run(['site', '--format', 'csv', '--min', '100']);
    expect(status).toBe(1);
    expect(out).toContain("'=Low water");
    expect((await run(['site', '--min', '1'])).status).toBe(0);
  });
  it('names posts in two languages that do not name each other', async () => {
    const inLanguage = (name: string, language: string, translations: string) =>
      writeFileSync(
        join(folder, 'languages', `${name}.md`),
        `---\ntitle: ${name}\nslug: ${name}\nlanguage: ${language}\nstatus: published\n${translations}---\n\n${prose(name, 20)}\n`,
      );
    mkdirSync(join(folder, 'languages'));
    inLanguage('tides', 'en', 'translations:\n  de: /gezeiten\n');
    inLanguage('gezeiten', 'de', '');
    const { out } = await run(['languages']);
    expect(out).toContain(
      'Languages that do not fit (1):\n  /gezeiten, gezeiten: “tides” names it as the same in another language, and is not named back.',
    );
    expect((await run(['site'])).out).not.toContain('Languages');
  });
  it.each([
    [['nothing'], 'nothing is not there. Check the name.'],
    [['site/tide-table.md'], 'is one file: dune-sparrow score takes it.'],
    [[], 'Name the site: dune-sparrow audit FOLDER'],
    [['site', 'site'], 'audit takes one folder or sitemap, not 2.'],
    [['site', '--since', 'performance.csv'], 'The audit is not valid JSON.'],
    [['site', '--performance', 'site/tide-table.md'], 'holds no search performance'],
    [['site', '--format', 'sarif'], '--format takes text, json or csv, not "sarif".'],
    [['site', '--keyword', 'x'], 'There is no option --keyword of audit.'],
  ])('refuses %j in a sentence', async (args, says) => {
    const { status, err } = await run(args);
    expect([status, err]).toEqual([2, expect.stringContaining(says)]);
  });
});

describe('an audit of a site by its sitemap', () => {
  let server: Server;
  let address = '';
  const page = (title: string, body: string, head = '') =>
    `<!doctype html><html lang="en"><head><title>${title}</title>${head}</head><body><main><h1>${title}</h1>${body}</main></body></html>`;
  beforeAll(async () => {
    server = createServer((request, response) => {
      const send = (type: string, text: string) =>
        response.writeHead(200, { 'content-type': type }).end(text);
      const urls = (...paths: string[]) =>
        paths.map((path) => `<url><loc>${address}${path}</loc></url>`).join('');
      if (request.url === '/sitemap.xml')
        send(
          'application/xml',
          `<sitemapindex><sitemap><loc>${address}/posts.xml</loc></sitemap></sitemapindex>`,
        );
      else if (request.url === '/posts.xml')
        send('application/xml', `<urlset>${urls('/', '/shop', '/low-water', '/gone')}</urlset>`);
      else if (request.url === '/')
        send(
          'text/html',
          page('Sound', '<p>Hello.</p>', '<link rel="alternate" hreflang="de" href="/shop">'),
        );
      else if (request.url === '/shop') send('text/html', page('Shop', '<p>Maps.</p>'));
      else if (request.url === '/low-water')
        send('text/html', page('Low water on the sound', `<p>${prose('low water', 20)}</p>`));
      else response.writeHead(404).end();
    });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });
  it('reads posts as posts and pages as pages, and says what it could not read', async () => {
    const allowed = { ALLOW_HOSTS: address.replace('http://', '') };
    const { out, status, err } = await run([`${address}/sitemap.xml`, '--json'], allowed);
    const { audit } = readAuditFile(out);
    expect(audit?.posts.map(({ path, title }) => [path, title])).toEqual([
      ['/low-water', 'Low water on the sound'],
    ]);
    // Its address says what it wants to be found for.
    expect(audit?.posts[0].gains.map(([id]) => id)).not.toContain('keyword-title');
    expect(audit?.pages.map(({ path, kind, faults }) => [path, kind, faults.length > 0])).toEqual([
      ['/', 'home', true],
      ['/shop', 'shop', true],
    ]);
    expect([status, err]).toEqual([2, `dune-sparrow: ${address}/gone: There is no page (404).\n`]);
    // Heads that name pages in other languages are held against those pages.
    expect(audit?.pairs).toEqual([
      { path: '/', title: 'Sound', fault: 'It names “Shop” as German, which is in English.' },
    ]);
  });
  it('asks no host that is not public, unless it is allowed', async () => {
    const { status, err } = await run([`${address}/sitemap.xml`]);
    expect([status, err]).toEqual([2, expect.stringContaining('is not asked')]);
  });
});
