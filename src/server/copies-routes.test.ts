import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import request from 'supertest';
import { beforeEach, describe, expect, it } from 'vitest';
import { copiesRoutes } from './copies-routes.ts';

let folder = '';
const app = () => express().use('/copies', copiesRoutes(folder));
const name = (day: string, posts = 3, database = 'dune-sparrow') =>
  `${database}_2026-11-${day}T09-00-00.000Z_${posts}.backup.zip`;
const put = (file: string, content = 'PK') =>
  request(app()).put(`/copies/${file}`).set('content-type', 'application/zip').send(Buffer.from(content));

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'copies-'));
});

describe('copies that lie with the server', () => {
  it('are kept, listed with the newest first, and handed out as they came', async () => {
    expect((await put(name('20'), 'first')).status).toBe(201);
    expect((await put(name('21', 4), 'second')).status).toBe(201);
    const { body } = await request(app()).get('/copies');
    expect(body.copies).toEqual([
      { name: name('21', 4), database: 'dune-sparrow', made: '2026-11-21T09:00:00.000Z', posts: 4 },
      { name: name('20'), database: 'dune-sparrow', made: '2026-11-20T09:00:00.000Z', posts: 3 },
    ]);
    const file = await request(app())
      .get(`/copies/${name('20')}`)
      .responseType('blob');
    expect(String(file.body)).toBe('first');
  });
  it('go when a week has passed, those of another database by themselves', async () => {
    await put(name('01', 1, 'dune-sparrow-demo'));
    for (const day of ['01', '02', '10', '11', '12']) await put(name(day));
    expect(readdirSync(folder).sort()).toEqual(
      [name('01', 1, 'dune-sparrow-demo'), name('10'), name('11'), name('12')].sort(),
    );
  });
  it.each([
    '../../etc/passwd',
    '..%2f..%2fetc%2fpasswd',
    'notes.txt',
    'dune-sparrow_x_1.backup.zip',
    'constructor',
  ])('have no other names, such as %s', async (file) => {
    writeFileSync(join(folder, 'notes.txt'), 'private');
    expect((await put(file)).status).toBeGreaterThanOrEqual(400);
    expect((await request(app()).get(`/copies/${file}`)).status).toBeGreaterThanOrEqual(400);
    expect(readdirSync(folder)).toEqual(['notes.txt']);
  });
  it('are for the pages of this server alone', async () => {
    for (const from of ['cross-site', 'same-site', 'none'])
      expect((await request(app()).get('/copies').set('sec-fetch-site', from)).status).toBe(403);
    expect((await request(app()).get('/copies').set('sec-fetch-site', 'same-origin')).status).toBe(200);
  });
});
