import { describe, expect, it } from 'vitest';
import {
  addressOfLine,
  embedAddress,
  readHtml,
  readMarkdown,
  writeHtml,
  writeMarkdownBody,
} from './index.ts';

describe('addresses that can be embedded', () => {
  it.each([
    ['https://www.youtube.com/watch?v=abc_DEF-123', 'video', 'https://www.youtube.com/watch?v=abc_DEF-123'],
    ['https://youtu.be/abc_DEF-123?t=90', 'video', 'https://www.youtube.com/watch?v=abc_DEF-123&t=90'],
    [
      'https://www.youtube-nocookie.com/embed/abc_DEF-123',
      'video',
      'https://www.youtube.com/watch?v=abc_DEF-123',
    ],
    ['https://vimeo.com/123456789', 'video', 'https://vimeo.com/123456789'],
    ['https://player.vimeo.com/video/123456789?h=1', 'video', 'https://vimeo.com/123456789'],
    [
      'https://tube.example/w/abcdefghijkABCDEFGHIJK',
      'video',
      'https://tube.example/w/abcdefghijkABCDEFGHIJK',
    ],
    ['https://files.example/talks/lock.mp4', 'video', 'https://files.example/talks/lock.mp4'],
    ['http://files.example/lock.MP3?x=1', 'audio', 'http://files.example/lock.MP3?x=1'],
    [
      'https://www.openstreetmap.org/#map=12/52.1/4.3',
      'map',
      'https://www.openstreetmap.org/#map=12/52.1/4.3',
    ],
    ['https://social.example/@ferry/109876543210', 'post', 'https://social.example/@ferry/109876543210'],
  ])('%s is a %s', (address, kind, href) => expect(embedAddress(address)).toMatchObject({ kind, href }));
  it.each([
    'https://tide.example/journal/lock',
    'https://www.youtube.com/@channel',
    'https://vimeo.com/about',
    'ftp://files.example/lock.mp4',
    'javascript:alert(1)//lock.mp4',
    '/talks/lock.mp4',
    'constructor',
  ])('%s stays a link', (address) => expect(embedAddress(address)).toBeNull());
  it('takes a line for an address only where it is nothing else', () => {
    expect(addressOfLine(' https://vimeo.com/123456789 ')).toBe('https://vimeo.com/123456789');
    expect(addressOfLine('see https://vimeo.com/123456789')).toBeNull();
  });
});

describe('code that embeds a page', () => {
  it('is read as what it shows; everything else of it is dropped', () => {
    const { draft } = readHtml(
      '<p>Before</p><div style="x"><iframe src="//player.vimeo.com/video/123456789" title="The lock" onload="x()" allow="camera"></iframe><script>x()</script></div>',
    );
    expect(draft.blocks.map(({ kind, text, embed }) => [kind, text, embed])).toEqual([
      ['paragraph', 'Before', undefined],
      ['embed', 'The lock', { kind: 'video', href: 'https://vimeo.com/123456789' }],
    ]);
  });
  it('of an address nobody knows is a page in a frame', () =>
    expect(
      readHtml('<iframe src="https://maps.tide.example/f?id=7"></iframe>').draft.blocks[0],
    ).toMatchObject({
      kind: 'embed',
      embed: { kind: 'page', href: 'https://maps.tide.example/f?id=7' },
    }));
  it.each(['javascript:alert(1)', 'data:text/html,x', 'about:blank', ''])(
    'without a page (%s) is nothing',
    (src) => expect(readHtml(`<p>a</p><iframe src="${src}"></iframe>`).draft.blocks).toHaveLength(1),
  );
});

describe('an embed in a page', () => {
  const { draft } = readHtml(
    '<iframe src="https://player.vimeo.com/video/123456789" title="The lock"></iframe>',
  );
  it('is a link with its title, which loads nothing', () =>
    expect(writeHtml(draft)).toBe(
      '<figure class="embed embed-video"><a href="https://vimeo.com/123456789">The lock</a></figure>',
    ));
  it('comes back from Markdown', () =>
    expect(readMarkdown(writeMarkdownBody(draft)).draft.blocks[0]).toMatchObject({
      kind: 'embed',
      text: 'The lock',
      embed: { kind: 'video', href: 'https://vimeo.com/123456789' },
    }));
});
