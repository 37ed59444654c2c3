import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inspect } from 'node:util';
import express from 'express';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import {
  nothingKnown,
  SHIPPED_PATTERNS,
  type TextEvent,
  type TextRequest,
} from '../../core/writing/index.ts';
import { createApp } from '../app.ts';
import { PLAYED_KEY, PLAYED_TEXT, type PlayedEndpoint, playEndpoint } from './played-endpoint.test-data.ts';
import { textRoutes } from './text-routes.ts';

const folder = mkdtempSync(join(tmpdir(), 'texts-'));
const app = express().use('/text', textRoutes({ folder, version: 'test', outward: {}, pace: 0 }));
let endpoint: PlayedEndpoint;
beforeAll(async () => {
  endpoint = await playEndpoint();
});
afterAll(async () => {
  await endpoint.close();
  rmSync(folder, { recursive: true });
});

const asked = (more: Partial<TextRequest['compose']> = {}): TextRequest => ({
  messages: [{ role: 'user', content: 'Titles, please.' }],
  temperature: 0.5,
  maxTokens: 200,
  compose: {
    recipe: 'titles',
    known: {
      ...nothingKnown(),
      brief: { ...nothingKnown().brief, keyword: 'tide tables', points: ['read the two columns'] },
    },
    values: [],
    pieces: 3,
    pixels: null,
    words: null,
    before: [],
    seed: 0,
    ...more,
  },
});

async function eventsFor(body: object): Promise<TextEvent[]> {
  const { text, status, headers } = await request(app).post('/text/generate').send(body);
  expect(status).toBe(200);
  expect(headers['content-type']).toMatch(/^text\/event-stream/);
  expect(headers['cache-control']).toContain('no-transform');
  return text
    .split('\n\n')
    .filter(Boolean)
    .map((event) => JSON.parse(event.replace(/^data: /, '')) as TextEvent);
}
const textOf = (events: readonly TextEvent[]) =>
  events.flatMap((event) => (event.kind === 'piece' ? event.text : [])).join('');

describe('the way of a page to text', () => {
  it('answers with the stand-in, in pieces, without a model, and the same again', async () => {
    const body = { way: { kind: 'stand-in' }, request: asked() };
    const events = await eventsFor(body);
    expect(textOf(events)).toContain('Tide tables');
    expect(events.at(-1)).toMatchObject({ kind: 'end', finish: 'done', model: '', problem: '' });
    expect(textOf(await eventsFor(body))).toBe(textOf(events));
  });
  it('says what is missing where there is nothing to make a text from', async () => {
    const events = await eventsFor({
      way: { kind: 'stand-in' },
      request: asked({ recipe: 'gaps', known: nothingKnown() }),
    });
    expect(events).toMatchObject([
      { kind: 'end', finish: 'failed', problem: expect.stringMatching(/No pages were studied/) },
    ]);
  });
  it('answers every recipe for a post of which nothing is known', async () => {
    for (const { recipe } of SHIPPED_PATTERNS) {
      const events = await eventsFor({
        way: { kind: 'stand-in' },
        request: asked({ recipe, known: nothingKnown() }),
      });
      expect(events.at(-1)).toMatchObject({ kind: 'end' });
      expect(JSON.stringify(events)).not.toMatch(/undefined|NaN|could not be made/);
    }
  });
  it('passes on what an endpoint answers, with the key that lies here', async () => {
    const way = { kind: 'endpoint', base: endpoint.base, model: 'good' };
    await request(app)
      .put('/text/key')
      .send({ base: `${endpoint.base}/`, key: ` ${PLAYED_KEY} ` })
      .expect(200);
    const events = await eventsFor({ way, request: asked() });
    expect(textOf(events)).toBe(PLAYED_TEXT);
    expect(endpoint.asked.at(-1)).toMatchObject({ key: PLAYED_KEY, body: { messages: asked().messages } });
    // Nothing goes out that the messages do not hold.
    expect(JSON.stringify(endpoint.asked.at(-1)!.body)).not.toMatch(/compose|known|recipe/);
  });
  it('shows the last four characters of a key and nothing more, and keeps it from other eyes', async () => {
    await request(app).put('/text/key').send({ base: endpoint.base, key: PLAYED_KEY });
    const shown = await request(app).get('/text/key').query({ base: endpoint.base });
    expect(shown.body).toEqual({ isSet: true, ends: 'end4' });
    const [file] = readdirSync(folder);
    expect(readFileSync(join(folder, file), 'utf8')).toContain(PLAYED_KEY);
    expect(statSync(join(folder, file)).mode & 0o777).toBe(0o600);
    const models = await request(app).post('/text/models').send({ base: endpoint.base });
    expect(models.body).toEqual({ models: ['another', 'good'] });
    await request(app).put('/text/key').send({ base: endpoint.base, key: '' });
    expect((await request(app).get('/text/key').query({ base: endpoint.base })).body).toEqual({
      isSet: false,
      ends: '',
    });
    const refused = await request(app).post('/text/models').send({ base: endpoint.base });
    expect(refused.body.problem).toMatch(/does not know the key/);
  });
  it('sends a key to its own endpoint alone', async () => {
    await request(app).put('/text/key').send({ base: endpoint.base, key: PLAYED_KEY });
    const other = await playEndpoint();
    await eventsFor({ way: { kind: 'endpoint', base: other.base, model: 'good' }, request: asked() });
    expect(other.asked.at(-1)!.key).toBe('');
    await other.close();
  });
  it.each([
    ['no messages', { way: { kind: 'stand-in' }, request: { ...asked(), messages: [] } }],
    [
      'a role that is none',
      { way: { kind: 'stand-in' }, request: { ...asked(), messages: [{ role: 'toString', content: 'x' }] } },
    ],
    [
      'a recipe that is none',
      { way: { kind: 'stand-in' }, request: asked({ recipe: '__proto__' as 'titles' }) },
    ],
    ['too much heat', { way: { kind: 'stand-in' }, request: { ...asked(), temperature: 9 } }],
    ['nothing but where it comes from', { way: { kind: 'stand-in' } }],
  ])('refuses a request with %s', async (_, body) => {
    const { status, body: said } = await request(app).post('/text/generate').send(body);
    expect([status, said.problem]).toEqual([400, 'That is no request for text.']);
  });
  it.each([
    ['in no known way', { kind: 'constructor' }],
    ['from an endpoint without an address', { kind: 'endpoint', base: '', model: 'good' }],
    ['from nowhere', undefined],
  ])('says what is missing where text is to come %s', async (_, way) => {
    const { status, body: said } = await request(app).post('/text/generate').send({ way, request: asked() });
    expect([status, said.problem]).toEqual([
      400,
      'It is not known where the text comes from. Choose it in House rules; an endpoint needs its address.',
    ]);
  });
  it('refuses a key that is none, and one for where it would be sent in the open', async () => {
    const put = (body: object) => request(app).put('/text/key').send(body);
    expect((await put({ base: endpoint.base, key: 'two words' })).status).toBe(400);
    expect((await put({ base: ' ', key: 'x' })).status).toBe(400);
    const open = await put({ base: 'http://text.example/v1', key: PLAYED_KEY });
    expect([open.status, JSON.stringify(open.body)]).toEqual([409, expect.stringMatching(/https alone/)]);
    expect(JSON.stringify(open.body)).not.toContain(PLAYED_KEY);
  });
  it('prints no key, whatever goes wrong with it, and writes it to its own file alone', async () => {
    const printed: string[] = [];
    const spies = [
      ...(['log', 'info', 'warn', 'error', 'debug'] as const).map((name) =>
        vi.spyOn(console, name).mockImplementation((...said) => void printed.push(inspect(said))),
      ),
      ...[process.stdout, process.stderr].map((stream) =>
        vi.spyOn(stream, 'write').mockImplementation((said) => {
          printed.push(String(said));
          return true;
        }),
      ),
    ];
    const own = mkdtempSync(join(tmpdir(), 'texts-server-'));
    mkdirSync(join(own, 'web', 'assets'), { recursive: true });
    writeFileSync(join(own, 'web', 'index.html'), '<p>application</p>');
    // As it is started outside of tests, with what it prints then.
    vi.stubEnv('NODE_ENV', 'production');
    const server = createApp({
      web: join(own, 'web'),
      demo: null,
      market: join(own, 'market.json'),
      version: 'test',
      texts: join(own, 'texts'),
    });
    const { base } = endpoint;
    await request(server).put('/text/key').send({ base, key: PLAYED_KEY }).expect(200);
    await request(server).put('/text/key').type('json').send(`{"key": ${PLAYED_KEY}`);
    await request(server)
      .put('/text/key')
      .send({ base, key: [PLAYED_KEY] });
    for (const model of ['unknown-key', 'forbidden', 'cuts', 'malformed', 'page', 'says-error', 'moved'])
      await request(server)
        .post('/text/generate')
        .send({ way: { kind: 'endpoint', base, model }, request: asked() });
    await request(server).post('/text/models').send({ base });
    console.error('the last line');
    for (const spy of spies) spy.mockRestore();
    vi.unstubAllEnvs();
    expect(endpoint.asked.filter(({ key }) => key === PLAYED_KEY).length).toBeGreaterThan(6);
    expect(printed.join('\n')).toContain('the last line');
    expect(printed.filter((said) => said.includes(PLAYED_KEY.slice(4, 24)))).toEqual([]);
    const files = readdirSync(own, { recursive: true, withFileTypes: true }).filter((one) => one.isFile());
    const holding = files.filter((one) =>
      readFileSync(join(one.parentPath, one.name), 'utf8').includes(PLAYED_KEY),
    );
    expect(holding).toHaveLength(1);
    rmSync(own, { recursive: true });
  });
  it('is for the pages of this server alone', async () => {
    const { status } = await request(app)
      .get('/text/key')
      .query({ base: 'x' })
      .set('sec-fetch-site', 'cross-site');
    expect(status).toBe(403);
  });
});
