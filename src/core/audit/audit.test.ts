import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GROUPS } from '../criteria/index.ts';
import {
  type Audit,
  type AuditedPost,
  auditChange,
  auditCsv,
  auditedPost,
  auditTotals,
  byPromise,
  keptDays,
  promiseOf,
  readAuditFile,
  writeAuditFile,
} from './index.ts';

const post = (id: string, score: number, more: Partial<AuditedPost> = {}): AuditedPost => ({
  id,
  title: id,
  path: `/${id}`,
  status: 'published',
  score,
  words: 800,
  groups: GROUPS.map(() => score / 100),
  gains: [['meta-title-width', (100 - score) / 2]],
  clicks: 0,
  impressions: 0,
  ...more,
});
const audit = (day: string, posts: AuditedPost[], more: Partial<Audit> = {}): Audit => ({
  day,
  at: `${day}T09:00:00.000Z`,
  core: 1,
  rules: 'r',
  hasFigures: true,
  posts,
  pages: [],
  ...more,
});

describe('the figures of a site', () => {
  it('are means over its posts; a group counts only where it applies', () => {
    const none = post('b', 60, { groups: GROUPS.map((_, at) => (at === 0 ? null : 0.6)) });
    const { mean, groups, posts } = auditTotals([post('a', 80), none]);
    expect([mean, posts]).toEqual([70, 2]);
    expect(groups[0]).toEqual({ group: GROUPS[0], share: 0.8 });
    expect(groups[1].share).toBeCloseTo(0.7);
  });
  it('add faults up by what they cost, whatever they are called', () => {
    const { faults } = auditTotals([
      post('a', 90, {
        gains: [
          ['constructor', 2],
          ['meta-title-width', 1],
        ],
      }),
      post('b', 90, { gains: [['meta-title-width', 4]] }),
    ]);
    expect(faults).toEqual([
      { id: 'meta-title-width', title: 'Meta title width', posts: 2, points: 5 },
      { id: 'constructor', title: 'constructor', posts: 1, points: 2 },
    ]);
  });
  it('are none without posts', () => {
    expect(auditTotals([])).toMatchObject({ posts: 0, mean: null, faults: [] });
  });
  it('leave out what wins next to nothing, and know groups of which nothing applies', () => {
    const own = auditedPost(
      {
        ...post('a', 99),
        gains: [
          ['alt-present', 0.9],
          ['image-name', 0.01],
        ],
      },
      [
        { id: 'media', points: 3, available: 4 },
        { id: 'links', points: 0, available: 0 },
      ],
    );
    expect(own.gains).toEqual([['alt-present', 0.9]]);
    expect(own.groups[GROUPS.indexOf('media')]).toBe(0.75);
    expect(own.groups[GROUPS.indexOf('links')]).toBeNull();
  });
});

describe('what is most promising', () => {
  it('is what has points to win where many searchers see it', () => {
    const [seen, bad, good] = [
      post('seen', 90, { impressions: 1000 }),
      post('bad', 20, { impressions: 10 }),
      post('good', 99, { impressions: 2000 }),
    ];
    expect([seen, bad, good].map(promiseOf)).toEqual([10_000, 800, 2000]);
    expect(byPromise([bad, good, seen]).map(({ id }) => id)).toEqual(['seen', 'good', 'bad']);
    expect(byPromise([post('a', 90), post('b', 40)]).map(({ id }) => id)).toEqual(['b', 'a']);
  });
});

describe('what became of a site between two days', () => {
  const before = audit('2026-11-01', [
    post('a', 70),
    post('b', 80),
    post('gone', 10),
    post('old-id', 50, { path: '/moved' }),
  ]);
  const after = audit('2026-11-30', [
    post('a', 75, { groups: GROUPS.map((group) => (group === 'links' ? 0.95 : 0.7)) }),
    post('b', 78),
    post('new', 100),
    post('new-id', 50.2, { path: '/moved' }),
  ]);
  const change = auditChange(before, after);
  it('is told of posts that are in both: which rose, which fell, by which group', () => {
    expect(change.rose).toEqual([{ id: 'a', title: 'a', before: 70, after: 75, group: 'links' }]);
    expect(change.fell).toMatchObject([{ id: 'b', before: 80, after: 78 }]);
    expect(change.mean?.before).toBeCloseTo(200 / 3);
    expect(change.mean?.after).toBeCloseTo(203.2 / 3);
  });
  it('knows a post again by its address where its id is another', () => {
    expect(change.came.map(({ id }) => id)).toEqual(['new']);
    expect(change.gone).toEqual(['gone']);
  });
  it('says where criteria, weights or limits were others', () => {
    expect(change.isJudgedOtherwise).toBe(false);
    expect(auditChange(before, { ...after, rules: 'other' }).isJudgedOtherwise).toBe(true);
    expect(auditChange({ ...before, core: 0 }, after).isJudgedOtherwise).toBe(true);
  });
  it('tells which other pages became fit, and which are no longer', () => {
    const page = (path: string, ...faults: string[]) => ({
      path,
      title: path,
      kind: 'shop' as const,
      faults,
    });
    const { fit, unfit } = auditChange(
      audit('2026-11-01', [], { pages: [page('/a', 'x'), page('/b'), page('/c', 'x')] }),
      audit('2026-11-30', [], { pages: [page('/a'), page('/b', 'x'), page('/c', 'y'), page('/d')] }),
    );
    expect([fit, unfit]).toEqual([['/a'], ['/b']]);
  });
  it('is nothing between an audit and itself, and every figure is one', () => {
    const posts = fc.uniqueArray(
      fc.tuple(fc.constantFrom('a', 'b', '__proto__', 'toString'), fc.integer({ min: 0, max: 100 })),
      { selector: ([id]) => id },
    );
    fc.assert(
      fc.property(posts, posts, (one, other) => {
        const a = audit(
          '2026-01-01',
          one.map(([id, score]) => post(id, score)),
        );
        const b = audit(
          '2026-01-02',
          other.map(([id, score]) => post(id, score)),
        );
        expect(auditChange(a, a)).toMatchObject({ rose: [], fell: [], came: [], gone: [] });
        const { mean, groups, rose, fell, came } = auditChange(a, b);
        for (const value of [
          mean?.before ?? 0,
          mean?.after ?? 0,
          ...groups.flatMap((g) => [g.before, g.after]),
        ])
          expect(Number.isFinite(value)).toBe(true);
        expect(rose.length + fell.length + came.length).toBeLessThanOrEqual(b.posts.length);
      }),
    );
  });
});

describe('an audit as a file', () => {
  const own = audit('2026-11-30', [post('a', 70)], {
    pages: [{ path: '/', title: 'Home', kind: 'home', faults: [] }],
  });
  it('comes back as it was written', () => {
    expect(readAuditFile(writeAuditFile(own))).toEqual({ audit: own, problem: null });
    expect(readAuditFile(`\uFEFF${writeAuditFile(own)}`).audit).toEqual(own);
  });
  it('holds nothing of where it was kept', () => {
    expect(readAuditFile(writeAuditFile({ ...own, siteId: 's', changed: '' } as Audit)).audit).toEqual(own);
  });
  it('is refused in words where it is none', () => {
    expect(readAuditFile('{').problem).toBe('The audit is not valid JSON. Export it again.');
    expect(readAuditFile('[]').problem).toContain('This is no exported audit');
    const wrong = writeAuditFile({ ...own, posts: [post('a', 170)] });
    expect(readAuditFile(wrong).problem).toContain('posts > 0 > score');
  });
  it('is a table of what there is to win first, which no spreadsheet computes', () => {
    const table = auditCsv(
      audit('2026-11-30', [
        post('good', 99, { impressions: 5 }),
        post('=1+1', 60, { impressions: 10, clicks: 2 }),
      ]),
    ).split('\n');
    expect(table[0]).toContain('Title,Address,Status,Score,Words,Clicks,Impressions,Points x impressions');
    expect(table[1]).toMatch(/^"?'=1\+1"?,\/=1\+1,published,60,800,2,10,400,60,/);
    expect(table[1]).toContain('Meta title width (+20)');
    expect(auditCsv(audit('2026-11-30', [post('a', 60)], { hasFigures: false })).split('\n')[1]).toContain(
      '800,,,,60',
    );
  });
});

describe('the days of which audits are kept', () => {
  it('are the latest forty, and of each month before them the first', () => {
    const days = Array.from({ length: 120 }, (_, at) =>
      new Date(Date.UTC(2026, 0, 10 + at)).toISOString().slice(0, 10),
    );
    const kept = keptDays(days);
    expect(kept).toHaveLength(43);
    expect(kept.slice(0, 3)).toEqual(['2026-01-10', '2026-02-01', '2026-03-01']);
    expect(kept.at(-1)).toBe(days.at(-1));
    expect(keptDays(kept)).toEqual(kept);
    expect(keptDays([])).toEqual([]);
  });
});
