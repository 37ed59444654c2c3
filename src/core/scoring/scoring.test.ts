import { describe, expect, it } from 'vitest';
import { DraftReadings, defaultProfile } from '../criteria/index.ts';
import { emptyFields, readMarkdown } from '../draft/index.ts';
import { Vocabulary } from '../language/index.ts';
import { indexedPost, type SiteIndex, type SiteSettings, unknownSite } from '../site/index.ts';
import { emptyScene, profileEffect, scorePost } from './index.ts';

const site: SiteSettings = {
  ...unknownSite(),
  name: 'Saltmarsh',
  baseAddress: 'https://saltmarsh.example',
  titlePattern: '{title} | {site}',
  addressPattern: '/journal/{slug}/',
  pages: [{ address: 'https://saltmarsh.example/rent', title: 'Rent' }, { address: '/courses' }],
};
describe('scoring a post within its site', () => {
  const read = readMarkdown(
    '# Tides\n\nA tide table has two columns. See [rent](/rent), [old](/gone) and [home](https://www.saltmarsh.example/).',
  ).draft;
  const document = { fields: { ...emptyFields(), title: 'Tides', slug: 'tides' }, draft: read };
  const score = (settings: SiteSettings, index: SiteIndex | null) =>
    scorePost(
      document,
      indexedPost('a', document),
      { ...emptyScene(), site: settings, index },
      new DraftReadings(),
    );

  it('takes the house language where the post names none', () => {
    expect(score({ ...site, language: 'de' }, null).facts.english).toBe(false);
    expect(score({ ...site, language: 'en-GB' }, null).facts.english).toBe(true);
  });
  it('puts the title through the pattern', () =>
    expect(score(site, null).facts.metaTitle).toBe('Tides | Saltmarsh'));
  it('tells links apart by the host', () => {
    expect(score(site, null).facts.links.map((link) => [link.kind, link.path])).toEqual([
      ['internal', '/rent'],
      ['internal', '/gone'],
      ['internal', '/'],
    ]);
    expect(score(unknownSite(), null).facts.links[2].kind).toBe('external');
  });
  it('alone, nothing that needs a site applies', () => {
    const needs = ['meta-title-distinct', 'keyword-free', 'links-live'];
    const { report } = score(site, null);
    expect(report.criteria.filter((line) => needs.includes(line.id) && line.applies)).toEqual([]);
  });
});

const draft = readMarkdown('## Weigh\n\nOn a scale.\n\n![A scale](media/scale.png)\n\nA last line.').draft;

describe('another profile', () => {
  it('is tried on a post without changing anything', () => {
    const document = { fields: { ...emptyFields(), title: 'Scales', keyword: 'bag scale' }, draft };
    const scene = emptyScene();
    const same = profileEffect('a', document, scene, defaultProfile, new Vocabulary());
    expect(same.after).toBe(same.before);
    const weights = { ...defaultProfile.weights, 'title-single': 60 };
    const tried = profileEffect('a', document, scene, { ...defaultProfile, weights }, new Vocabulary());
    expect(tried.before).toBe(same.before);
    expect(tried.after).toBeGreaterThan(tried.before);
    expect(scene.site.profile).toBeNull();
  });
});
