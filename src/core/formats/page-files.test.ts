import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { addressesIn, documentOfPage, pageOfAddress, readPageFiles } from './index.ts';

const prose = 'Waterproof panniers keep a sleeping bag dry on a wet road by the sea. '.repeat(4);
const html = (head = '') =>
  `<!doctype html><html><head><title>Panniers</title>${head}</head><body><nav><ul><li><a href="/">Home</a></li></ul></nav><article><h1>Panniers</h1><p>${prose}</p></article></body></html>`;
const file = (path: string, text: string) => ({ path, bytes: strToU8(text) });

describe('pages that were saved', () => {
  it('are known by their canonical address, by what the browser wrote, else by their file', async () => {
    const pages = await readPageFiles([
      file('a.html', html('<link rel="canonical" href="https://www.one.example/panniers">')),
      file(
        'b.html',
        html().replace('<html>', '<!-- saved from url=(0032)https://two.example/panniers -->\n<html>'),
      ),
      file('c.html', html()),
    ]);
    expect(
      pages.map(({ address, publisher, title, problem }) => [address, publisher, title, problem]),
    ).toEqual([
      ['https://www.one.example/panniers', 'one.example', 'Panniers', ''],
      ['https://two.example/panniers', 'two.example', 'Panniers', ''],
      ['c.html', 'c.html', 'Panniers', ''],
    ]);
    expect(
      documentOfPage(pages[0])
        .draft.blocks.map(({ text }) => text)
        .join(' '),
    ).not.toContain('Home');
  });
  it('take order and addresses from a list that names them', async () => {
    const pages = await readPageFiles([
      file('a.html', html()),
      file('b.html', html()),
      file('list.csv', 'address,file\nhttps://two.example/b,b.html\nhttps://one.example/a,pages/a.html\n'),
    ]);
    expect(pages.map(({ address }) => address)).toEqual(['https://two.example/b', 'https://one.example/a']);
  });
  it('come out of a zip, with Markdown and text among them; what belongs to a saved page is passed over', async () => {
    const zip = zipSync({
      'x/one.html': strToU8(html()),
      'x/one_files/style.css': strToU8('p{}'),
      'x/two.md': strToU8(`# Two\n\n${prose}`),
      'x/three.txt': strToU8(`Three\n\n${prose}`),
    });
    const pages = await readPageFiles([{ path: 'pages.zip', bytes: zip }]);
    expect(pages.map(({ path, format, problem }) => [path, format, problem])).toEqual([
      ['x/one.html', 'html', ''],
      ['x/three.txt', 'text', ''],
      ['x/two.md', 'markdown', ''],
    ]);
  });
  it('that cannot be read say why and do not spoil the rest', async () => {
    const pages = await readPageFiles([
      file('good.html', html()),
      file('empty.html', '<html><body><div id="root"></div></body></html>'),
      { path: 'broken.zip', bytes: strToU8('PK no zip') },
      { path: 'picture.html', bytes: Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]) },
      file('deep.html', `${'<div>'.repeat(10_000)}deep`),
    ]);
    const problems = new Map(pages.map(({ path, problem }) => [path, problem]));
    expect(problems.get('good.html')).toBe('');
    expect(problems.get('empty.html')).toContain('No article was found');
    expect(problems.get('broken.zip')).toContain('broken.zip cannot be read');
    expect(problems.get('picture.html')).toContain('PNG picture');
    expect(problems.get('deep.html')).toContain('nested too deeply');
  });
});

describe('pages at addresses', () => {
  it('are named a line each, twenty in a go, each once', () => {
    const lines = Array.from({ length: 25 }, (_, at) => `https://tide.example/${at}`);
    const { first, rest, none } = addressesIn(
      `Read these:\n<${lines[0]}>,\n${lines.join('\n')}\ntide.example/more\nno address`,
    );
    expect(first).toEqual(lines.slice(0, 20));
    expect(rest).toEqual([...lines.slice(20), 'https://tide.example/more']);
    // What is no address is handed back, not lost.
    expect(none).toEqual(['Read these:', 'no address']);
    expect(addressesIn('')).toEqual({ first: [], rest: [], none: [] });
  });
  it('are pages with title and publisher as they say, or say what went wrong', () => {
    const text = `<title>Tides | The Quay</title><meta property="og:site_name" content="The Quay &amp; Co"><h1>Tides</h1><p>${'High water comes twice a day. '.repeat(8)}</p>`;
    const read = {
      address: 'https://a.example/x',
      found: 'https://a.example/tides',
      format: 'html' as const,
      text,
      problem: '',
    };
    expect(pageOfAddress(read)).toMatchObject({
      address: 'https://a.example/tides',
      publisher: 'The Quay & Co',
      title: 'Tides',
      problem: '',
    });
    expect(pageOfAddress({ ...read, text: '<p>Two words</p>' }).problem).toContain('No article was found');
    expect(
      pageOfAddress({ ...read, found: null, format: null, text: '', problem: 'There is no page (404).' }),
    ).toMatchObject({
      address: 'https://a.example/x',
      problem: 'There is no page (404).',
    });
  });
});
