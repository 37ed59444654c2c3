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
