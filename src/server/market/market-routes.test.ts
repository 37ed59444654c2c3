import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { packKeywords, unpackKeywords } from '../../core/research/index.ts';
import { marketRoutes } from './market-routes.ts';
import type { WorldData } from './world-data.ts';

const file = join(mkdtempSync(join(tmpdir(), 'market-')), 'market.json');
const world: WorldData = {
  pages: [
    {
      address: 'https://oxter.example/tar',
      title: 'Tar and twine',
      publisher: 'Oxter',
      kind: 'maker',
      standing: 50,
      home: 'GB',
      description: '',
      text: { title: 'Tar and twine', description: '', headings: [], blocks: ['Tar keeps twine.'] },
      sections: [{ heading: '', text: 'Tar keeps twine.' }],
      html: '<!doctype html>',
    },
  ],
  keywords: {
    GB: packKeywords([
      {
        phrase: 'tar and twine',
        region: 'GB',
        volume: 90,
        months: null,
        givenDifficulty: null,
        found: null,
        setIntent: null,
        source: { name: 'Simulated market', date: '2026-11-01' },
      },
    ]),
  },
  questions: [{ text: 'What is twine?', place: 'related', volumes: { GB: 10 } }],
};
writeFileSync(file, JSON.stringify(world));
const app = express().use('/market', marketRoutes(file));

describe('the market over http', () => {
  it('answers with phrases, questions and pages', async () => {
    const phrases = await request(app).get('/market/keywords?seed=twine&seed=tar&region=GB');
    expect(unpackKeywords(phrases.body).map(({ phrase }) => phrase)).toEqual(['tar and twine']);
    const questions = await request(app).get('/market/questions?seed=twine&region=GB');
    expect(questions.body).toEqual({ questions: [{ text: 'What is twine?', place: 'related', volume: 10 }] });
    const pages = await request(app).get('/market/results?query=twine&region=GB&limit=3');
    expect(pages.body.pages).toMatchObject([{ rank: 1, title: 'Tar and twine', html: '<!doctype html>' }]);
    expect((await request(app).get('/market/regions')).body).toEqual({ regions: ['GB'] });
  });

  it.each([
    ['/market/keywords?region=GB', 'Name 1 to 20 phrases as `seed`.'],
    [`/market/keywords?seed=${'a'.repeat(201)}&region=GB`, 'A phrase has at most 200 characters.'],
    ['/market/keywords?seed=twine&region=Britain', 'Name a region by two letters, such as GB.'],
    ['/market/results?query=twine&region=GB&limit=900', 'Ask for 1 to 50 pages as `limit`.'],
    ['/market/keywords?seed[x]=twine&region=GB', 'Name 1 to 20 phrases as `seed`.'],
  ])('says what is wrong with %s', async (address, problem) => {
    const answer = await request(app).get(address);
    expect([answer.status, answer.body]).toEqual([400, { problem }]);
  });

  it('says so where the world was not built', async () => {
    const bare = express().use('/market', marketRoutes(`${file}.missing`));
    const answer = await request(bare).get('/market/keywords?seed=twine&region=GB');
    expect([answer.status, answer.body.problem]).toEqual([503, expect.stringContaining('npm start')]);
  });
});
