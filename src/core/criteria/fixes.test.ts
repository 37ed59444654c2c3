import { describe, expect, it } from 'vitest';
import type { CriterionId } from './criteria-list.ts';
import { type Case, judge, PROSE, studyTerm, words } from './judge.test-data.ts';

const OTHERS = [{ title: 'Tide table', slug: 'tide-table' }];
const TENT = `${PROSE} Air your tent after the rain. A tent is heavy when it is wet.`;
const LATER = `${words(120)}\n\nAir your tent after the rain.`;

/** For each criterion that offers changes: a post at fault, and what the first of them says. */
const CASES: [CriterionId, Case, string | RegExp][] = [
  [
    'meta-title-width',
    {
      title:
        'How we air, dry, fold and store every tent of the whole house: a guide for long winters by the sea',
      md: PROSE,
    },
    'Write "How we air, dry, fold and store every tent of the whole house"',
  ],
  [
    'meta-title-keyword',
    { title: 'How to air a tent', keyword: 'two-person tent', md: PROSE },
    'Write "How to air a two-person tent"',
  ],
  [
    'meta-title-distinct',
    { title: 'Tide table', keyword: 'causeway walk', md: PROSE, others: OTHERS },
    'Write "Causeway walk: tide table"',
  ],
  ['meta-description-width', { md: PROSE }, 'Take the opening sentences'],
  [
    'meta-description-keyword',
    { keyword: 'two-person tent', metaDescription: 'How to air a tent at home.', md: PROSE },
    'Name it in the description',
  ],
  ['slug-shape', { title: 'Airing tents', slug: 'the_airing_of_2024', md: PROSE }, 'Use "airing-tents"'],
  ['slug-keyword', { keyword: 'two-person tent', slug: 'airing', md: PROSE }, 'Use "two-person-tent"'],
  ['title-single', { keyword: 'two-person tent', md: PROSE }, 'Call it "Two-person tent"'],
  ['heading-order', { md: `## One\n\n${PROSE}\n\n#### Two\n\n${PROSE}` }, 'Make it level 3'],
  [
    'heading-spacing',
    // Of a language whose order of sentences is not read: all of these are alike.
    { md: `${words(200)}\n\n**In the rain**\n\n${words(200)}`, language: 'fi' },
    'Make "In the rain" a heading',
  ],
  [
    'heading-keyword',
    { keyword: 'two-person tent', md: `## Airing a tent\n\n${PROSE}` },
    'Write "Airing a two-person tent"',
  ],
  ['heading-distinct', { md: `## One\n\n${PROSE}\n\n##\n\n${PROSE}` }, 'Remove the empty heading'],
  [
    'keyword-title',
    { title: 'What to air after the rain', keyword: 'two-person tent', md: PROSE },
    'Call it "Two-person tent: what to air after the rain"',
  ],
  ['keyword-intro', { keyword: 'two-person tent', md: TENT }, 'Say "two-person tent"'],
  ['keyword-rate', { keyword: 'two-person tent', md: TENT }, 'Say "two-person tent"'],
  ['keyword-spread', { keyword: 'two-person tent', md: LATER }, 'Say "two-person tent"'],
  ['supporting-keywords', { supporting: ['wet tent'], md: TENT }, 'Say "wet tent"'],
  ['staple-terms', { md: TENT, study: { terms: [studyTerm('wet tent')] } }, 'Say "wet tent"'],
  [
    'supporting-terms',
    { md: TENT, study: { terms: [studyTerm('wet tent', 'supporting')] } },
    'Say "wet tent"',
  ],
  [
    'alt-present',
    { md: `${PROSE}\n\n![](/tent-by-the-lake.jpg)` },
    'Say "Tent by the lake", from its file name',
  ],
  ['alt-quality', { md: `${PROSE}\n\n![Photo of a tent by the lake](/a.jpg)` }, 'Say "A tent by the lake"'],
  [
    'alt-keyword',
    { keyword: 'light two-person tent', md: `${PROSE}\n\n![Smoke rises by the tent](/a.jpg)` },
    'Say "Smoke rises by the light two-person tent"',
  ],
  [
    'links-internal',
    {
      md: `${words(150)} See [the table](/tides), [the tides](/tides), [the hours](/hours) and [the map](/map).`,
    },
    'Take the link off "the tides": it stands above already',
  ],
  [
    'links-external',
    { html: `<p>${PROSE} See https://tides.example/today for more.</p>` },
    'Link https://tides.example/today',
  ],
  [
    'link-words',
    { md: `${PROSE} Read more [here](/tide-table).`, others: OTHERS },
    'Name the page that it leads to',
  ],
  [
    'links-live',
    { md: `${PROSE} See [the tides](/tide-tables).`, others: OTHERS, site: { pages: [] } },
    'Lead to /tide-table ("Tide table")',
  ],
  ['paragraph-length', { md: words(160) }, 'Break it in the middle'],
  [
    'sentence-length',
    {
      md: `The town is small. We like the sea. It is wide here. The road along the dyke is flat and quiet for most of the day, but you share it with heavy tractors in the weeks of the harvest. The quay is empty at noon in the long months of the winter, and the gulls come closer than anybody on the pier would like them to come. They steal what they see there, so the baker has put a net over the whole stand and a small bell on the string of it. The ferry goes at nine in the summer months; the last one back to the town leaves the island at about six in the evening of every day.`,
    },
    'Make two sentences of it',
  ],
  [
    'scannable',
    { md: `${PROSE} You need three things: a pump, two levers and a patch.` },
    'Make a list of 3 points',
  ],
  [
    'reading-ease',
    {
      md: 'We utilise two instruments in order to measure the rain every evening. Numerous visitors have asked about additional information. The majority of them prefer a simple answer. Prior to the summer the council of the island considers several alternatives. The council is able to follow a recommendation. The people of the quay then walk home along the dyke, and the gulls keep them company. Information about precipitation is available at the administration building in the afternoon. A recommendation of the municipality considers several environmental alternatives, and additional documentation is necessary for a definitive decision. Many people of the island have come to the hall in the evening to talk about it. Most of them would like to keep the road as it is, with the trees and the old lamps. A large number of visitors agree with them, and the baker does too. Nobody has asked the gulls. In order to protect the vegetation, the municipality has introduced a temporary limitation of vehicles. Numerous organisations appreciate the decision and the consideration of the population.',
    },
    /^Use plainer words in \d+ places \(".+" for ".+"\)$/,
  ],
  ['claims-sourced', { md: `${PROSE} In 2023 about 62 % of the riders came back.` }, 'It is our own count'],
  [
    'own-words',
    {
      md: `${PROSE}\n\nThe lock is open from nine until the tide turns.\n\nThe lock is open from nine until the tide turns.`,
    },
    'Take out what was said before',
  ],
];

describe('changes that a criterion offers', () => {
  it.each(CASES)('%s', (id, given, label) => {
    const line = judge(id, given);
    if (typeof label === 'string') expect(line.fixes[0]).toBe(label);
    else expect(line.fixes[0]).toMatch(label);
    const mended = line.mended();
    expect(mended.share).toBeGreaterThan(line.share!);
    expect(mended.total).toBeGreaterThan(line.total);
  });

  it('are there for two dozen criteria at least', () =>
    expect(new Set(CASES.map(([id]) => id)).size).toBeGreaterThanOrEqual(24));
});
