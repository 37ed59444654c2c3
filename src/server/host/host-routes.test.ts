import express from 'express';
import request from 'supertest';
import { afterEach, describe, expect, it } from 'vitest';
import { order, PICTURE, PICTURE_SHA, standing } from './host.test-data.ts';
import { hostRoutes } from './host-routes.ts';

const closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing.splice(0)) close();
});

async function routes() {
  const made = await standing();
  closing.push(made.close, () => made.queue.stop());
  return { ...made, app: express().use('/host', hostRoutes(made)) };
}

describe('the way of a page to where posts are published', () => {
  it('is for the pages of this server alone', async () => {
    const { app } = await routes();
    const { status } = await request(app).get('/host/ways').set('sec-fetch-site', 'cross-site');
    expect(status).toBe(403);
  });
  it('takes a picture by its hash, an order, and tells what becomes of it without the post itself', async () => {
    const { app, queue } = await routes();
    expect((await request(app).put(`/host/pictures/${PICTURE_SHA}`).send(PICTURE)).status).toBe(201);
    expect(
      (
        await request(app)
          .put(`/host/pictures/${'0'.repeat(64)}`)
          .send(PICTURE)
      ).status,
    ).toBe(400);
    expect((await request(app).put('/host/pictures/..%2F..%2Fx').send(PICTURE)).status).toBe(400);
    const taken = await request(app).post('/host/jobs').send(order());
    expect(taken.status).toBe(202);
    await queue.settled();
    const { jobs } = (await request(app).get('/host/jobs')).body as { jobs: Record<string, unknown>[] };
    expect(jobs).toMatchObject([{ title: 'A rye loaf', state: 'done', pictures: 1, placed: 1 }]);
    expect(Object.keys(jobs[0])).not.toContain('properties');
  });
  it.each([
    ['nothing', {}],
    ['no way', { ...order(), way: { kind: 'constructor' } }],
    ['no endpoint', { ...order(), way: { kind: 'micropub', endpoint: ' ' } }],
    ['another deed', { ...order(), action: 'toString' }],
    ['properties that are no lists', { ...order(), properties: { name: 'x' } }],
    [
      'a picture without its hash',
      { ...order(), pictures: [{ src: 'a', sha: '../x', name: 'a', type: 'b' }] },
    ],
    ['a day that is none', { ...order(), due: 'soon' }],
    ['a withdrawal of nothing', { ...order(), action: 'withdraw', url: '' }],
  ])('refuses an order with %s', async (_, given) => {
    const { app, queue } = await routes();
    expect((await request(app).post('/host/jobs').send(given)).status).toBe(400);
    expect(queue.all()).toEqual([]);
  });
  it('takes a token and never tells it', async () => {
    const { app, tokens } = await routes();
    const endpoint = 'https://blog.example/micropub';
    const answer = await request(app).put('/host/token').send({ endpoint, token: ' s3cret-words ' });
    expect([answer.body, tokens.of(endpoint)]).toEqual([{ isSet: true }, 's3cret-words']);
    const bad = await request(app).put('/host/token').send({ endpoint, token: 'two\r\nlines' });
    expect(bad.status).toBe(400);
    for (const path of ['ways', 'jobs'])
      expect((await request(app).get(`/host/${path}`)).text).not.toMatch(/s3cret|"token"/);
    await request(app).put('/host/token').send({ endpoint, token: '' });
    expect(tokens.of(endpoint)).toBeNull();
  });
  it('sets how the blog looks, soundly or not at all', async () => {
    const { app, blog } = await routes();
    const { settings } = blog.store;
    const put = (more: object) =>
      request(app)
        .put('/host/settings')
        .send({ ...settings, ...more });
    const category = { name: 'Constructor', slug: 'constructor', description: '', parent: '' };
    expect((await put({ look: 'lines', categories: [category] })).body).toMatchObject({
      settings: { look: 'lines', categories: [category] },
    });
    for (const more of [
      { look: 'tiles' },
      { perPage: 0 },
      { perPage: 2.5 },
      { moreWords: ' ' },
      { categories: [{ ...category, parent: 'nowhere' }] },
      { categories: [category, category] },
      { categories: [{ ...category, name: '' }] },
      { addressPattern: '/journal' },
      { addressPattern: '/{constructor}/{slug}' },
      { redirects: [{ from: '/a', to: 'javascript:alert(1)', since: '', why: '' }] },
      { redirects: [{ from: 'a', to: '/b', since: '', why: '' }] },
      { redirects: 'none' },
    ])
      expect((await put(more)).status).toBe(400);
    expect(blog.store.settings.look).toBe('lines');
  });
  it('tries a way and says what is wrong with it', async () => {
    const { app } = await routes();
    const tried = (way: object) => request(app).post('/host/try').send({ way });
    expect((await tried({ kind: 'stand-in' })).body).toMatchObject({ media: true, schedules: true });
    const none = await tried({ kind: 'micropub', endpoint: 'https://blog.example/micropub' });
    expect([none.status, (none.body as { problem: string }).problem]).toEqual([
      409,
      'There is no token for https://blog.example/micropub. Set one in House rules.',
    ]);
    expect((await tried({ kind: 'folder' })).status).toBe(409);
    expect((await tried({ kind: '__proto__' })).status).toBe(400);
  });
});
