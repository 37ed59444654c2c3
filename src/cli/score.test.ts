import { execFile, execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import Ajv from 'ajv/dist/2020.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CRITERION_IDS, defaultProfile, GROUPS } from '../core/criteria/index.ts';
import { type ScoreReportJson, writeStudyFile } from '../core/formats/index.ts';

const schema = JSON.parse(
  readFileSync(new URL('../core/formats/score-report.schema.json', import.meta.url), 'utf8'),
);
const validate = new Ajv({ allErrors: true }).compile(schema);
let folder = '';

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'dune-sparrow-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function file(name: string, text: string | Uint8Array): string {
  const path = join(folder, name);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, text);
  return path;
}

/** Runs the command as a user would. */
function run(...args: string[]): Promise<{ status: number; out: string; err: string }> {
  return new Promise((done) => {
    execFile(process.execPath, ['bin/dune-sparrow', ...args], { maxBuffer: 1 << 28 }, (error, out, err) => {
      done({ status: error ? Number(error.code) : 0, out, err });
    });
  });
}

async function report(path: string, ...args: string[]): Promise<ScoreReportJson> {
  const { out, status, err } = await run('score', path, '--json', ...args);
  expect(err).toBe('');
  expect(status).toBe(0);
  const json = JSON.parse(out);
  expect(validate(json), JSON.stringify(validate.errors)).toBe(true);
  return json;
}

const PAGE = `<!doctype html><html lang="en"><head><title>Tide tables for riders</title>
<meta name="description" content="Read a tide table in five minutes."><link rel="canonical" href="https://saltmarsh.example/journal/tide-table"></head>
<body><nav><a href="/">Home</a> <a href="/shop">Shop</a></nav><article><h1>Reading a tide table</h1>
<p>A tide table has two columns. Tide tables differ by harbour.</p>
<h2>The columns</h2><p>Look at the left one. See <a href="/journal/dyke">the dyke</a>, <a href="https://tide.example">the source</a>, <a href="#top">top</a> and <a href="mailto:a@b.example">us</a>.</p>
<ul><li>Low water</li><li>High water</li></ul>
<figure><img src="tide-table.png" alt="A tide table on a wall"><figcaption>By the door</figcaption></figure><img src="dot.gif" alt="">
<pre>not words here</pre></article><footer>Not counted at all</footer></body></html>`;

describe('facts counted by hand', () => {
  it('of a whole page', async () => {
    const { facts, format } = await report(
      file('page.html', PAGE),
      '--keyword',
      'tide table',
      '--site',
      'https://saltmarsh.example',
    );
    expect(format).toBe('html');
    // 4 + 6 + 5 + 2 + 5 + 9 (See the dyke, the source, top and us) + 2 + 2 + 3
    expect(facts.words).toBe(37);
    expect(facts).toMatchObject({
      title: 'Reading a tide table',
      metaTitle: 'Tide tables for riders',
      metaDescription: 'Read a tide table in five minutes.',
      slug: 'tide-table',
      language: 'en',
      sentences: 6,
      paragraphs: 2,
      headings: [
        { level: 1, text: 'Reading a tide table' },
        { level: 2, text: 'The columns' },
      ],
      images: [
        { src: 'tide-table.png', alt: 'A tide table on a wall' },
        { src: 'dot.gif', alt: '' },
      ],
      links: [
        { href: '/journal/dyke', text: 'the dyke', kind: 'internal' },
        { href: 'https://tide.example', text: 'the source', kind: 'external' },
        { href: '#top', text: 'top', kind: 'fragment' },
        { href: 'mailto:a@b.example', text: 'us', kind: 'mail' },
      ],
      keyword: {
        phrase: 'tide table',
        exact: 2,
        variant: 1,
        inTitle: 'exact',
        inIntro: 'exact',
        inHeadings: 0,
        inSlug: 'exact',
        inMetaTitle: 'variant',
        inMetaDescription: 'exact',
        inAlt: 1,
      },
    });
    expect(facts.keyword!.perHundredWords).toBeCloseTo((100 * 3) / 37, 9);
  });

  it('of Markdown with front matter; options win over it', async () => {
    const path = file(
      'post.md',
      '---\ntitle: Dyke ride\nkeyword: dyke\nsupporting: [gulls]\nslug: dyke-ride\nmetaTitle: M\ndescription: D\n---\nOne two three.\n\n## Four\n\nFive well-known gulls.\n',
    );
    const own = await report(path);
    expect(own.facts).toMatchObject({
      title: 'Dyke ride',
      metaTitle: 'M',
      metaDescription: 'D',
      slug: 'dyke-ride',
      words: 7,
      sentences: 2,
      keyword: { phrase: 'dyke' },
    });
    const given = await report(path, '--keyword', 'gulls', '--supporting', 'one two, three');
    expect(given.facts.keyword).toMatchObject({ phrase: 'gulls', exact: 1 });
    expect(given.criteria.find((line) => line.id === 'supporting-keywords')!.measured).toBe('2 of 2');
  });

  it.each([
    ['german.txt', 'Die Fähre fährt früh. Wir warten am Ufer.', { words: 8, sentences: 2, language: null }],
    ['arabic.md', '# رحلة\n\nذهبنا إلى البحر. عدنا مساء؟', { words: 6, sentences: 2 }],
    [
      'japanese.html',
      '<html lang="ja"><p>雨です。行きません。</p></html>',
      { sentences: 2, language: 'ja', readability: { fleschReadingEase: null, fleschKincaidGrade: null } },
    ],
    ['empty.md', '', { words: 0, sentences: 0, title: null, keyword: null, headings: [] }],
    ['no-headings.txt', 'Just a line.\n\nAnd another.', { words: 5, paragraphs: 2, headings: [] }],
    ['broken.html', '<h2>Kit<p>One <b>two<p>three</h2><li>four', { words: 5 }],
    ['only-front.md', '---\ntitle: T\n---\n', { title: 'T', words: 0 }],
  ])('of %s', async (name, text, facts) => {
    expect((await report(file(name, text))).facts).toMatchObject(facts);
  });

  it('of a page with 20,000 words', async () => {
    const body = Array.from(
      { length: 1000 },
      (_, at) =>
        `<p>On day ${at} we rode along the dyke with a bike tour group until the wind turned and dropped again.</p>`,
    ).join('\n');
    const { facts, score } = await report(
      file('long.html', `<html lang="en"><body><article><h1>Long</h1>${body}</article></body></html>`),
      '--keyword',
      'bike tour',
    );
    expect(facts.words).toBe(1 + 20 * 1000);
    expect(facts.keyword!.exact).toBe(1000);
    expect(score).toBeGreaterThan(0);
  });

  it('reads UTF-16 and a byte order mark', async () => {
    const utf16 = new Uint8Array([
      0xff,
      0xfe,
      ...[...'Süd wind.'].flatMap((char) => [char.charCodeAt(0) & 255, char.charCodeAt(0) >> 8]),
    ]);
    expect((await report(file('utf16.txt', utf16))).facts.words).toBe(2);
    expect((await report(file('bom.md', '\uFEFF---\ntitle: B\n---\nx'))).facts.title).toBe('B');
  });
});

describe('the report', () => {
  it('names every criterion and group once, in order, with points that add up', async () => {
    const json = await report(file('sum.html', PAGE));
    expect(json.criteria.map((line) => line.id)).toEqual([...CRITERION_IDS]);
    expect(json.groups.map((group) => group.id)).toEqual([...GROUPS]);
    expect(json.criteria.reduce((sum, line) => sum + line.available, 0)).toBeCloseTo(100, 9);
    expect(json.score).toBeCloseTo(
      json.criteria.reduce((sum, line) => sum + line.points, 0),
      0,
    );
    for (const line of json.criteria) expect(line.advice === null).toBe(line.points === line.available);
  });
  it('for people gives score, ridge and notes, most points first', async () => {
    const { out, status } = await run('score', file('text.html', PAGE), '--keyword', 'tide table');
    expect(status).toBe(0);
    expect(out).toMatch(/text\.html: [\d.]+ of 100, 37 words/);
    expect(out).toMatch(/█/);
    const gains = [...out.matchAll(/^ *\+([\d.]+)/gm)].map((hit) => Number(hit[1]));
    expect(gains.length).toBeGreaterThan(5);
    expect(gains).toEqual([...gains].sort((a, b) => b - a));
  });
});

describe('a folder', () => {
  const prose = `${'We ride along the dyke in the morning and rest at the lock at noon. '.repeat(5)}\n\n`;
  const one = (title: string, keyword: string, link: string) =>
    `---\ntitle: ${title}\nkeyword: ${keyword}\n---\n${prose}See [the other page](${link}).\n`;
  const lineOf = (json: ScoreReportJson, id: string) => json.criteria.find((line) => line.id === id)!;

  it('is a site: links, targets and meta titles are judged among its files', async () => {
    file('site/a.md', one('Same', 'bike tour', 'b.md'));
    file('site/b.md', one('Same', 'bike tours', '/gone'));
    file('site/deep/c.html', `<h1>Third</h1><p>${prose}</p><p><a href="../a.md">the first</a></p>`);
    const { out, status } = await run('score', join(folder, 'site'), '--json');
    expect(status).toBe(0);
    const [a, b, c] = JSON.parse(out) as ScoreReportJson[];
    expect([a, b, c].map((json) => validate(json))).toEqual([true, true, true]);
    expect([
      lineOf(a, 'links-live').measured,
      lineOf(b, 'links-live').measured,
      lineOf(c, 'links-live').measured,
    ]).toEqual(['1 of 1', '0 of 1', '1 of 1']);
    expect(lineOf(a, 'keyword-free').advice).toContain('"Same"');
    expect(lineOf(a, 'meta-title-distinct').points).toBe(0);
    expect(lineOf(c, 'meta-title-distinct').points).toBeGreaterThan(0);
  });
  it('files named one by one are judged alone, in an array', async () => {
    const { out } = await run(
      'score',
      file('x.md', one('X', 'k', '/y')),
      file('y.md', one('Y', 'k', '/x')),
      '--json',
    );
    const list = JSON.parse(out) as ScoreReportJson[];
    expect(list.length).toBe(2);
    expect(lineOf(list[0], 'keyword-free').applies).toBe(false);
  });
  it('weighs the pictures that lie beside', async () => {
    const png = Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    );
    file('pics/media/dyke-lane.png', png);
    file('pics/p.md', '![A lane](media/dyke-lane.png)');
    const [json] = JSON.parse((await run('score', join(folder, 'pics'), '--json')).out) as ScoreReportJson[];
    expect(lineOf(json, 'image-weight').applies).toBe(true);
  });
});

describe('what goes wrong', () => {
  it.each([
    [['score', '/no/such/file.md'], /is not there/],
    [['score'], /Name at least one file/],
    [['scroe', 'x'], /no command "scroe"/],
    [['score', 'x.md', '--keywrod', 'a'], /no option --keywrod.*--keyword/],
    [['score', 'x.md', '--min', 'lots'], /--min takes a score/],
    [['score', 'x.md', '--constructor', '1'], /no option --constructor/],
    [['score', 'x.md', '--keyword'], /--keyword needs a value/],
    [['score', 'x.md', '--profile', '/no/profile.json'], /cannot be read/],
  ])('%j is one clear line and exit 2', async (args, line) => {
    const { status, out, err } = await run(...args);
    expect(status).toBe(2);
    expect(out).toBe('');
    expect(err).toMatch(line);
    expect(err.trim().split('\n').length).toBe(1);
  });
  it('a text with the word "constructor" has a score, and --min judges it', async () => {
    const path = file(
      'words.md',
      '# The constructor\n\nA constructor makes what the constructor of it says.\n',
    );
    const { score } = await report(path);
    expect(Number.isFinite(score)).toBe(true);
    expect((await run('score', path, '--min', '70')).status).toBe(score >= 70 ? 0 : 1);
  });
  it('--min exits 1 below, 0 above; a missing file beside it wins with 2 and leaves the rest whole', async () => {
    const path = file('min.md', 'Short.');
    expect((await run('score', path, '--min', '70')).status).toBe(1);
    expect((await run('score', path, '--min', '0')).status).toBe(0);
    const both = await run('score', path, join(folder, 'missing.md'), '--min', '70', '--json');
    expect(both.status).toBe(2);
    expect(JSON.parse(both.out).length).toBe(1);
  });
  it('a profile with a wrong name is refused; a right one moves the score', async () => {
    const path = file('p.md', '# T\n\nText.');
    const bad = await run('score', path, '--profile', file('bad.json', '{"version":1,"weights":{"nope":1}}'));
    expect([bad.status, bad.err]).toEqual([2, expect.stringContaining('nope')]);
    const good = await report(
      path,
      '--profile',
      file(
        'good.json',
        JSON.stringify({ ...defaultProfile, weights: { ...defaultProfile.weights, 'title-single': 90 } }),
      ),
    );
    expect(good.score).toBeGreaterThan((await report(path)).score);
  });
  it('a study brings its criteria in; a file that is none is refused', async () => {
    const path = file('studied.md', '---\nkeyword: panniers\n---\n\nPanniers hang on hooks of the rack.');
    const facts = {
      keywordRateUpper: 1,
      words: { lower: 5, median: 8, upper: 9, best: 20 },
      score: null,
      terms: [
        { key: 'hook', form: 'hooks', group: 'staple', heading: false, share: 1, lower: 1, upper: 2 },
        { key: 'seam', form: 'seam', group: 'staple', heading: false, share: 1, lower: 1, upper: 2 },
      ],
      topics: [
        {
          name: 'Hooks',
          share: 0.8,
          stems: [
            ['hook', 0.5],
            ['rack', 0.5],
          ],
        },
      ],
    };
    const study = { query: 'panniers', region: 'GB', made: '2026-11-01T00:00:00Z', pages: [], facts };
    const good = file('study.json', writeStudyFile(study as never));
    const line = (json: ScoreReportJson, id: string) => json.criteria.find((each) => each.id === id)!;
    const [alone, beside] = [await report(path), await report(path, '--study', good)];
    expect(line(alone, 'staple-terms').applies).toBe(false);
    expect(line(beside, 'staple-terms')).toMatchObject({ applies: true, measured: '1 of 2' });
    expect(line(beside, 'topics-covered').advice).toBeNull();
    // Seven words are what the pages have.
    expect(line(beside, 'body-length').target).toBe('7-13 words');
    const bad = file(
      'bad-study.json',
      JSON.stringify({ ...study, format: 'dune-sparrow-study', version: 1, facts: {} }),
    );
    for (const [given, said] of [
      [bad, 'This is no exported study at facts'],
      [file('no.json', '{'), 'not valid JSON'],
      [join(folder, 'gone.json'), 'cannot be read'],
    ]) {
      const { status, err } = await run('score', path, '--study', given);
      expect([status, err]).toEqual([2, expect.stringContaining(said)]);
    }
  });
  it('an empty folder and a broken site.json say so', async () => {
    mkdirSync(join(folder, 'none'), { recursive: true });
    expect((await run('score', join(folder, 'none'))).err).toMatch(/holds no post/);
    file('badsite/site.json', '{');
    file('badsite/a.md', 'x');
    expect((await run('score', join(folder, 'badsite'))).err).toMatch(/site\.json is not valid JSON/);
  });
});

it('--help and --version answer', () => {
  expect(execFileSync('bin/dune-sparrow', ['--help'], { encoding: 'utf8' })).toContain(
    'Usage: dune-sparrow score',
  );
  expect(execFileSync('bin/dune-sparrow', ['--version'], { encoding: 'utf8' }).trim()).toMatch(
    /^\d+\.\d+\.\d+$/,
  );
});
