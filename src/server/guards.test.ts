import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { type AddressInfo, connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';
import { httpServer, portOf } from './main.ts';

let web = '';
beforeAll(() => {
  web = mkdtempSync(join(tmpdir(), 'dune-sparrow-guards-'));
  mkdirSync(join(web, 'assets'));
  writeFileSync(join(web, 'index.html'), '<p>application</p>');
});
const app = (hosts?: string[]) =>
  createApp({ web, demo: null, market: join(web, 'none.json'), version: '1', hosts });
const asked = async (host: string, hosts?: string[]) =>
  (await request(app(hosts)).get('/').set('host', host)).status;

describe('who the server answers', () => {
  it.each(['localhost:4310', '127.0.0.1', '[::1]:80', 'LOCALHOST'])('those who ask for %s', async (host) =>
    expect(await asked(host)).toBe(200),
  );
  it.each(['evil.example', 'localhost.evil.example:4310', '127.0.0.1.evil.example', 'constructor', ''])(
    'nobody who asks for "%s"',
    async (host) => {
      const { status, text } = await request(app()).get('/').set('host', host);
      expect([status, text]).toEqual([421, expect.stringContaining('HOST_NAMES')]);
    },
  );
  it('names that were allowed', async () => {
    expect(await asked('workshop.example:80', ['Workshop.example'])).toBe(200);
    expect(await asked('other.example', ['workshop.example'])).toBe(421);
  });
  it('the addresses that it is bound to', async () => {
    expect(await asked('192.168.1.7:4310', ['127.0.0.1'])).toBe(421);
    expect(await asked('192.168.1.7:4310', ['192.168.1.7'])).toBe(200);
    expect(await asked('192.168.1.7:4310', ['0.0.0.0'])).toBe(200);
    expect(await asked('[fe80::1]:4310', ['::'])).toBe(200);
    expect(await asked('evil.example', ['0.0.0.0'])).toBe(421);
  });
  it('says the same about frames in both ways', async () => {
    const { headers } = await request(app()).get('/');
    expect(headers['x-frame-options']).toBe('DENY');
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  });
  it('no more than six hundred questions to the market a minute', async () => {
    const one = app();
    const statuses = new Map<number, number>();
    for (let at = 0; at < 610; at++) {
      const { status, body } = await request(one).get('/market/regions');
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      if (status === 429) expect(body.problem).toContain('Wait a moment');
    }
    expect(statuses.get(429)).toBe(10);
  }, 60_000);
  it('nobody who never finishes to ask', async () => {
    const server = httpServer(app(), 300);
    expect([server.headersTimeout, httpServer(app()).headersTimeout]).toEqual([300, 15_000]);
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const socket = connect((server.address() as AddressInfo).port, '127.0.0.1');
    socket.write('GET / HTTP/1.1\r\nHost: localhost\r\n');
    const answer = await new Promise<string>((done) => {
      let said = '';
      socket.on('data', (part) => {
        said += String(part);
      });
      socket.on('close', () => done(said));
    });
    expect(answer).toMatch(/^HTTP\/1\.1 408/);
    server.close();
  }, 30_000);
});

describe('the port', () => {
  it.each(['1e3', '0x10', ' 80', '-1', '65536', '4310.0', '', '999999'])('is not "%s"', (text) =>
    expect(portOf(text)).toBeNull(),
  );
  it('is a number in decimal digits', () =>
    expect(['0', '4310', '65535'].map(portOf)).toEqual([0, 4310, 65_535]));
});
