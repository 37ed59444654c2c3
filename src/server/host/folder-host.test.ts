import {
  appendFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { type PostFields, readMarkdown } from '../../core/draft/index.ts';
import { ContentFolder } from './content-folder.ts';
import { underVersionControl } from './git-folder.test-data.ts';
import { order, PICTURE, PICTURE_SHA } from './host.test-data.ts';
import { openPublishing } from './publishing.ts';

const POST = `---
layout: post   # the usual one
title: 'A rye loaf'
date: 2026-11-01T08:00:00Z
weight: 7
---

Begin the day *before*.

* Flour
* Water

Bake it dark.
`;

const closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing.splice(0)) close();
});

/** A folder of posts under version control, and a queue that sends to it. */
function contentOf(files: Record<string, string> = { 'posts/2026-11-01-rye-loaf.md': POST }) {
  const folder = mkdtempSync(join(tmpdir(), 'content-'));
  for (const [path, text] of Object.entries(files)) {
    mkdirSync(join(folder, path, '..'), { recursive: true });
    writeFileSync(join(folder, path), text);
  }
  const lines = underVersionControl(folder);
  const content = new ContentFolder(folder);
  const publishing = openPublishing(mkdtempSync(join(tmpdir(), 'host-')), '1', {}, () => null, { content });
  closing.push(() => publishing.queue.stop());
  const { queue } = publishing;
  queue.pictures.put(PICTURE_SHA, PICTURE);
  const send = async (
    fields: Partial<PostFields>,
    { text = POST, url = '', known = null as string | null, pictures = false } = {},
  ) => {
    const read = readMarkdown(text);
    const sent = order({}, { way: { kind: 'folder' }, url, known, ...(pictures ? {} : { pictures: [] }) });
    queue.order({
      ...sent,
      document: { fields: { ...read.fields, slug: 'rye-loaf', ...fields }, draft: read.draft },
    });
    await queue.settled();
    return queue.all().at(-1)!;
  };
  return { folder, lines, send, ...publishing, content };
}

describe('a folder of posts', () => {
  it('gains a file for a new post, with its picture beside', async () => {
    const { send, folder } = contentOf({});
    const job = await send(
      { title: 'The first' },
      { text: 'Text.\n\n![A loaf](media/loaf.webp)\n', pictures: true },
    );
    expect([job.state, job.url]).toEqual(['done', 'folder:rye-loaf.md']);
    expect(readFileSync(join(folder, 'rye-loaf.md'), 'utf8')).toBe(
      '---\ntitle: The first\nslug: rye-loaf\nstatus: draft\n---\n\nText.\n\n![A loaf](media/loaf.webp)\n',
    );
    expect(readFileSync(join(folder, 'media/loaf.webp')).equals(PICTURE)).toBe(true);
  });
  it('has pictures beside each post, in a folder within it too', async () => {
    const { send, folder, content } = contentOf();
    const [{ path }] = content.list();
    const job = await send(
      { slug: '' },
      {
        url: `folder:${path}`,
        known: content.read(path).version,
        text: `${POST}\n![A loaf](media/loaf.webp)\n`,
        pictures: true,
      },
    );
    expect(job.state).toBe('done');
    expect(readFileSync(join(folder, 'posts/media/loaf.webp')).equals(PICTURE)).toBe(true);
    expect(readFileSync(join(folder, path), 'utf8')).toContain('![A loaf](media/loaf.webp)');
    expect(existsSync(join(folder, 'media'))).toBe(false);
    const out = await send({ slug: '' }, { url: 'folder:../x.md', pictures: true });
    expect(out.state).toBe('failed');
    expect(existsSync(join(folder, '..', 'media'))).toBe(false);
  });
  it('is watched: what anybody changes in it is counted', async () => {
    const { folder, content } = contentOf();
    closing.push(content.watch());
    await vi.waitFor(() => {
      writeFileSync(join(folder, 'posts/2026-11-01-rye-loaf.md'), `${POST}Salt.\n`);
      expect(content.changeCount).toBeGreaterThan(0);
    });
  });
  it.each([
    ['a file that was written anew and put in the place of the old one', 'posts/2026-11-01-rye-loaf.md'],
    ['a file in a folder that came later', 'posts/2026/loaf.md'],
    ['a file in a folder that went and came back', 'posts/gone/loaf.md'],
  ])('is watched on: %s', async (_, path) => {
    const { folder, content } = contentOf();
    mkdirSync(join(folder, 'posts/gone'), { recursive: true });
    closing.push(content.watch());
    rmSync(join(folder, 'posts/gone'), { recursive: true });
    for (const name of ['gone', '2026']) mkdirSync(join(folder, 'posts', name), { recursive: true });
    const file = join(folder, path);
    writeFileSync(`${file}.new`, POST);
    renameSync(`${file}.new`, file);
    // Until all of that is told.
    let told = -1;
    while (told !== content.changeCount) {
      told = content.changeCount;
      await new Promise((done) => setTimeout(done, 300));
    }
    appendFileSync(file, 'Salt.\n');
    await vi.waitFor(() => expect(content.changeCount).toBeGreaterThan(told), { timeout: 5000 });
  });
  it('changes by the lines that were meant', async () => {
    const { send, lines, content } = contentOf();
    const [file] = content.list();
    expect(file.path).toBe('posts/2026-11-01-rye-loaf.md');
    const at = { url: `folder:${file.path}`, known: content.read(file.path).version };
    await send({ title: 'A darker rye loaf', slug: '', updated: '2026-11-29T12:00:00Z' }, at);
    expect(lines()).toEqual(["-title: 'A rye loaf'", "+title: 'A darker rye loaf'"]);
    const [next] = content.list();
    await send(
      { title: 'A darker rye loaf', slug: '' },
      {
        ...at,
        known: content.read(next.path).version,
        text: POST.replace('A rye loaf', 'A darker rye loaf').replace('Bake it dark.', 'Bake it darker.'),
      },
    );
    expect(lines()).toEqual([
      "-title: 'A rye loaf'",
      "+title: 'A darker rye loaf'",
      '-Bake it dark.',
      '+Bake it darker.',
    ]);
  });
  it('shows what was changed on the disk, and is not written over', async () => {
    const { send, folder, lines, content, queue } = contentOf();
    const [{ path }] = content.list();
    const { version } = content.read(path);
    writeFileSync(join(folder, path), POST.replace('dark', 'pale'));
    const job = await send({ title: 'Mine' }, { url: `folder:${path}`, known: version });
    expect([job.state, job.problem]).toEqual([
      'changed',
      'The file posts/2026-11-01-rye-loaf.md was changed since it was read.',
    ]);
    expect(lines()).toEqual(['-Bake it dark.', '+Bake it pale.']);
    queue.again(job.id, null);
    await queue.settled();
    expect(lines()).toContain("+title: 'Mine'");
  });
  it('has a post of that slug already, which is shown before anything is written', async () => {
    const { send, lines } = contentOf();
    const job = await send({ title: 'Another loaf' });
    expect([job.state, job.url]).toEqual(['changed', 'folder:posts/2026-11-01-rye-loaf.md']);
    expect(lines()).toEqual([]);
  });
  it('keeps a withdrawn post, as a draft', async () => {
    const { queue, lines, content } = contentOf();
    const url = `folder:${content.list()[0].path}`;
    queue.order(
      order({}, { way: { kind: 'folder' }, action: 'withdraw', url, properties: {}, pictures: [] }),
    );
    await queue.settled();
    expect(lines()).toEqual([]);
    queue.order(order({}, { way: { kind: 'folder' }, action: 'restore', url, properties: {}, pictures: [] }));
    await queue.settled();
    expect(lines()).toEqual(['+status: published']);
  });
  it('is never left: by dots, from the root, or through a link', async () => {
    const { send, folder, content } = contentOf();
    const outside = mkdtempSync(join(tmpdir(), 'outside-'));
    writeFileSync(join(outside, 'secret.md'), 'Secret.');
    symlinkSync(outside, join(folder, 'linked'));
    symlinkSync(join(outside, 'secret.md'), join(folder, 'secret.md'));
    expect(content.list().map(({ path }) => path)).toEqual(['posts/2026-11-01-rye-loaf.md']);
    for (const path of [
      '../x.md',
      '/etc/passwd',
      'linked/secret.md',
      'secret.md',
      'a/../../x.md',
      'a\0b.md',
    ]) {
      const job = await send({ title: 'Out' }, { url: `folder:${path}` });
      expect([path, job.state]).toEqual([path, 'failed']);
    }
    expect(readdirSync(outside)).toEqual(['secret.md']);
    expect(readFileSync(join(outside, 'secret.md'), 'utf8')).toBe('Secret.');
    expect(content.putPicture('../../evil.png', PICTURE)).toBe('media/-..-evil.png');
    expect(existsSync(join(folder, '..', 'evil.png'))).toBe(false);
  });
  it('is read again only where a file changed', () => {
    const { content, folder } = contentOf();
    const [before] = content.list();
    expect(content.list()[0]).toBe(before);
    writeFileSync(join(folder, before.path), `${POST}More.\n`);
    expect(content.list()[0]).not.toBe(before);
    expect(statSync(join(folder, before.path)).size).toBe(POST.length + 6);
  });
  it('with files that are no posts, or called as methods of objects are, is a folder all the same', () => {
    const { content } = contentOf({
      'constructor.md': '---\nconstructor: x\n__proto__: y\ntitle: toString\n---\nText.',
      'bytes.md': '\x00\x01\x02\x03',
      '.hidden/x.md': 'No.',
      'node_modules/y/readme.md': 'No.',
      'page.html': '<title>A page</title><p>Text',
    });
    expect(content.list().map(({ path, fields }) => [path, fields.title || fields.metaTitle])).toEqual(
      expect.arrayContaining([
        ['constructor.md', 'toString'],
        ['page.html', 'A page'],
      ]),
    );
    expect(content.list().every(({ path }) => !/hidden|node_modules/.test(path))).toBe(true);
  });
});
