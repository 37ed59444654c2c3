import { parseXml, XmlElement } from '@rgrove/parse-xml';
import { describe, expect, it } from 'vitest';
import { DraftReadings } from '../../core/criteria/index.ts';
import { readMarkdown } from '../../core/draft/index.ts';
import { emptyScene, scorePost } from '../../core/scoring/index.ts';
import { indexedPost } from '../../core/site/index.ts';
import { junitReport } from './junit.ts';
import { markdownReport } from './markdown.ts';
import { sarifReport } from './sarif.ts';
import { lineNotes, type ScoredFile } from './scored-file.ts';
import { summaryOf } from './summary.ts';
import { linesInWords, textReport, textSummary } from './text.ts';

const SOURCE = [
  '---',
  'title: Reading a tide table',
  'keyword: tide table',
  'description: What the figures <mean> & when to cross',
  '---',
  '',
  'The tide turns four times a day. A **tide table** tells you when, for every',
  'harbour on the coast, and it is never wrong by more than a few minutes. Read it',
  'the evening before, write the hours on your hand, and leave an hour to spare.',
  'Nobody who did was ever caught by the water on the way home from the island.',
  '',
  '#### When to cross',
  '',
  'Cross in the last two hours of the ebb. Read more [here](/causeway).',
  '',
  '![](/img/DSC_0042.jpg)',
].join('\n');

function scored(path = 'posts/tides.md', source = SOURCE, enough = true): ScoredFile {
  const document = readMarkdown(source);
  const { facts, report } = scorePost(
    document,
    indexedPost(path, document),
    emptyScene(),
    new DraftReadings(),
  );
  return {
    file: { path, format: 'markdown', document, source, pictures: new Map() },
    facts,
    report,
    enough,
  };
}

describe('notes of a file', () => {
  it.each([
    ['heading-order', 12],
    ['link-words', 14],
    ['alt-present', 16],
    ['meta-title-width', 2],
    ['meta-description-width', 4],
  ])('%s stands at line %d', (id, line) =>
    expect(lineNotes(scored()).find((note) => note.id === id)?.lines).toEqual([line]),
  );
  it('a sentence inside a paragraph has the line on which it begins', () => {
    const claim = SOURCE.replace(
      'Read it\nthe evening',
      'In 2023\nsome 62 % of all walkers read it. Take the evening',
    );
    expect(lineNotes(scored('a.md', claim)).find((note) => note.id === 'claims-sourced')?.lines).toEqual([8]);
  });
  it('without a keyword there is one that says so, for the points of all that wait for it', () => {
    const notes = lineNotes(scored('a.md', SOURCE.replace('keyword: tide table\n', '')));
    const waiting = notes.filter(({ advice }) => advice.includes('primary keyword'));
    expect(waiting).toHaveLength(1);
    expect(waiting[0].gain).toBeGreaterThan(15);
  });
});

describe('the report for people', () => {
  it('names lines, most points first', () => {
    const text = textReport(scored());
    expect(text).toMatch(/^posts\/tides\.md: \d+\.\d of 100, \d+ words$/m);
    expect(text).toMatch(/\+\d+\.\d {2}line 12: 1 heading skips a level\./);
    const gains = [...text.matchAll(/^ +\+([\d.]+) /gm)].map((hit) => Number(hit[1]));
    expect(gains.length).toBeGreaterThan(5);
    expect(gains).toEqual([...gains].sort((a, b) => b - a));
  });
  it.each([
    [[], ''],
    [[4], 'line 4'],
    [[4, 9], 'lines 4 and 9'],
    [[4, 9, 12], 'lines 4, 9 and 12'],
    [[4, 9, 12, 13, 20], 'lines 4, 9, 12 and 2 more'],
  ])('%j', (lines, words) => expect(linesInWords(lines)).toBe(words));
  it('sums several files up', () => {
    const files = [scored('a.md'), scored('b.md', 'Short.'), scored('c.md', 'Too short.')];
    const summary = summaryOf(files)!;
    expect(summary.mean).toBeCloseTo(files.reduce((sum, { report }) => sum + report.score, 0) / 3, 9);
    expect(summary.worst.at(-1)?.path).toBe('a.md');
    expect(summary.faults[0].files).toBe(3);
    expect(textSummary(summary)).toMatch(/^3 files: \d+\.\d of 100 on average\n\nLowest scores:\n/);
    expect(summaryOf(files.slice(0, 1))).toBeNull();
  });
});

describe('reports for programs', () => {
  it('JUnit: a case for each criterion, its failures with their lines', () => {
    const file = scored('posts/tides.md', SOURCE, false);
    const { root } = parseXml(junitReport([file], 90));
    const suite = root!.children.find((each) => each instanceof XmlElement)!;
    const cases = suite.children.filter((each) => each instanceof XmlElement);
    const failed = cases.filter((each) =>
      each.children.some((child) => child instanceof XmlElement && child.name === 'failure'),
    );
    expect(cases).toHaveLength(file.report.criteria.length + 1);
    expect(suite.attributes).toMatchObject({ tests: String(cases.length), failures: String(failed.length) });
    expect(failed[0].attributes['name']).toBe('Score of 90 or more');
    const order = cases.find((each) => each.attributes['name'].includes('(heading-order)'));
    expect(order?.attributes).toMatchObject({ file: 'posts/tides.md', line: '12' });
  });
  it('JUnit: what a text says is no markup', () => {
    const odd = scored('a<b>"&.md', SOURCE.replace('When to cross', 'A < B & "C" \u0001'));
    expect(() => parseXml(junitReport([odd], null))).not.toThrow();
  });
  it('SARIF: a result for each note, at its line, by a rule that is declared', () => {
    const file = scored('posts/tide days.md', SOURCE, false);
    const [run] = JSON.parse(sarifReport([file], 90, '1.2.3')).runs;
    const rules = new Set(run.tool.driver.rules.map(({ id }: { id: string }) => id));
    expect(run.results).toHaveLength(lineNotes(file).length + 1);
    for (const { ruleId, level, message, locations } of run.results) {
      expect(rules).toContain(ruleId);
      expect(['error', 'warning', 'note']).toContain(level);
      expect(message.text).not.toBe('');
      expect(locations[0].physicalLocation.artifactLocation.uri).toBe('posts/tide%20days.md');
      expect(locations[0].physicalLocation.region.startLine).toBeGreaterThan(0);
    }
    const order = run.results.find(({ ruleId }: { ruleId: string }) => ruleId === 'heading-order');
    expect(order.locations[0].physicalLocation.region.startLine).toBe(12);
  });
  it('Markdown: a table of the files, then their notes', () => {
    const text = markdownReport([scored('a_b.md', SOURCE, false), scored('c|d.md')]);
    expect(text).toMatch(/^\*\*2 files: \d+\.\d of 100 on average\*\*$/m);
    expect(text).toMatch(/^\| a\\_b\.md \| \d+\.\d \(too low\) \|/m);
    expect(text).toMatch(/^\| \+\d+\.\d \| line 12 \| 1 heading skips a level\./m);
    expect(text).toContain('c\\|d.md');
    expect(markdownReport([scored('a\n# 100 of 100.md')])).toMatch(/^### a \\# 100 of 100\.md: /);
  });
});
