import { describe, expect, it } from 'vitest';
import { type Block, type Draft, readHtml, readMarkdown, writeHtml, writeMarkdownBody } from './index.ts';

const picture = (src: string, rest: Partial<Block['image']> = {}, text = ''): Block => ({
  id: src,
  kind: 'image',
  path: [],
  text,
  marks: [],
  image: { src, alt: src, ...rest },
});
const draft = (...blocks: Block[]): Draft => ({ version: 1, blocks });
const pictures = ({ blocks }: Draft) => blocks.map(({ image, text }) => ({ ...image, text }));

const three = draft(
  picture('a.png', { across: 3 }, 'One'),
  picture('b.png', { across: 3, link: '/b' }),
  picture('c.png', { across: 3 }),
  picture('d.png', { side: 'wide' }, 'All of it'),
);

describe('pictures side by side', () => {
  it('are plain figures in HTML, laid out by themselves, each with its caption', () => {
    const html = writeHtml(three);
    expect(html.match(/<figure/g)).toHaveLength(4);
    expect(html).toMatch(
      /^<div class="pictures" style="display:grid;grid-template-columns:repeat\(3,1fr\);gap:12px"><figure class="across-3"/,
    );
    expect(html).toContain('<figcaption>One</figcaption>');
    expect(html).toContain('<figure class="side-wide">');
    expect(html).not.toMatch(/script/);
  });
  it('come back from HTML and Markdown as they went', () => {
    expect(pictures(readHtml(writeHtml(three)).draft)).toEqual(pictures(three));
    expect(pictures(readMarkdown(writeMarkdownBody(three)).draft)).toEqual(pictures(three));
  });
  it('alone, or with others that say another number, is a row of its own', () => {
    const mixed = draft(
      picture('a.png', { across: 2 }),
      picture('b.png', { across: 3 }),
      picture('c.png', { across: 3 }),
    );
    const html = writeHtml(mixed);
    expect(html.match(/class="pictures"/g)).toHaveLength(1);
    expect(html.startsWith('<figure class="across-2">')).toBe(true);
    expect(pictures(readHtml(html).draft)).toEqual(pictures(mixed));
  });
});
