import express from 'express';
import request from 'supertest';
import { afterEach, expect, it } from 'vitest';
import { outwardTo, type PlayedHost, playHost } from './hostile-host.test-data.ts';
import { networkRoutes } from './network-routes.ts';

let host: PlayedHost | null = null;
afterEach(async () => {
  await host?.close();
  host = null;
});
async function app() {
  host = await playHost((_request, response) => response.end('ok'));
  return express().use('/network', networkRoutes('1', outwardTo([host])));
}
const tokenOf = async (server: express.Express) =>
  String((await request(server).get('/network/token').set('sec-fetch-site', 'same-origin')).body.token);

it('a page of this server asks with its token, and learns how an address stands', async () => {
  const server = await app();
  const { status, body } = await request(server)
    .post('/network/check')
    .set('x-dune-sparrow', await tokenOf(server))
    .send({ address: `${host!.address}/page` });
  expect([status, body]).toEqual([
    200,
    { address: `${host!.address}/page`, state: 'fine', status: 200, to: null, says: '' },
  ]);
});
it('nobody else is answered: without the token, with a wrong one, from another page', async () => {
  const server = await app();
  const token = await tokenOf(server);
  const ask = (headers: Record<string, string>) =>
    request(server)
      .post('/network/check')
      .set(headers)
      .send({ address: `${host!.address}/page` });
  expect((await ask({})).status).toBe(403);
  expect((await ask({ 'x-dune-sparrow': `${token.slice(1)}x` })).status).toBe(403);
  expect((await ask({ 'x-dune-sparrow': 'é'.repeat(16) })).status).toBe(403);
  for (const site of ['cross-site', 'same-site', 'none'])
    expect((await ask({ 'x-dune-sparrow': token, 'sec-fetch-site': site })).status).toBe(403);
  expect((await request(server).get('/network/token').set('sec-fetch-site', 'cross-site')).status).toBe(403);
  expect(host!.asked).toEqual([]);
});
it('a question without an address is told so', async () => {
  const server = await app();
  const token = await tokenOf(server);
  for (const body of [{}, { address: 7 }, { address: 'x'.repeat(5000) }]) {
    const answer = await request(server).post('/network/check').set('x-dune-sparrow', token).send(body);
    expect([answer.status, answer.body.problem]).toEqual([400, 'Say which address is to be checked.']);
  }
});

it('the page at an address is read: its text, where it stands in the end, and what went wrong', async () => {
  host = await playHost((asked, response) => {
    const path = asked.url!;
    if (path === '/robots.txt') response.end('User-agent: *\nDisallow: /closed');
    else if (path === '/old') response.writeHead(301, { location: '/tides' }).end();
    else if (path === '/tides')
      response
        .writeHead(200, { 'content-type': 'text/html; charset=windows-1252' })
        .end(Buffer.from('<title>Tides</title><p>Caf\xe9 at low water</p>', 'latin1'));
    else if (path === '/notes') response.writeHead(200, { 'content-type': 'text/plain' }).end('# Tides');
    else if (path === '/photo') response.writeHead(200, { 'content-type': 'image/png' }).end('x');
    else if (path === '/guarded') response.writeHead(403).end();
    else if (path === '/closed') response.end('never');
    else if (path === '/large')
      response.writeHead(200, { 'content-type': 'text/html' }).end('x'.repeat(200_000));
    else response.writeHead(404).end();
  });
  const server = express().use('/network', networkRoutes('1', outwardTo([host])));
  const token = await tokenOf(server);
  const read = async (address: string) =>
    (await request(server).post('/network/page').set('x-dune-sparrow', token).send({ address })).body;
  const at = (path: string) => `${host!.address}${path}`;
  expect(await read(at('/old'))).toMatchObject({
    address: at('/old'),
    found: at('/tides'),
    format: 'html',
    text: '<title>Tides</title><p>Café at low water</p>',
    problem: '',
  });
  expect(await read(at('/notes'))).toMatchObject({ format: 'text', text: '# Tides' });
  for (const [path, problem] of [
    ['/photo', 'image/png'],
    ['/guarded', 'save it'],
    ['/closed', 'robots.txt'],
    ['/gone', 'no page (404)'],
    ['/large', 'larger'],
  ]) {
    const answer = await read(at(path));
    expect([path, answer.text, answer.format]).toEqual([path, '', null]);
    expect(answer.problem).toContain(problem);
  }
  expect((await read('http://127.0.0.1:9/')).problem).not.toBe('');
  expect((await read('file:///etc/passwd')).problem).toContain('http');
  expect(host.asked.some(({ url }) => url === '/closed')).toBe(false);
});
