import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../criteria/index.ts';
import { unknownSite } from '../site/index.ts';
import { pictureSize, readSiteFile, writeSiteFile } from './index.ts';

describe('site.json', () => {
  const site = {
    ...unknownSite(),
    name: 'Saltmarsh',
    baseAddress: 'https://saltmarsh.example',
    language: 'en-GB',
    region: 'GB',
    titlePattern: '{title} | {site}',
    addressPattern: '/journal/{slug}',
    pages: [{ address: '/rent', title: 'Rent' }],
  };
  it('reads back what was written, the profile whole', () => {
    expect(readSiteFile(writeSiteFile(site))).toEqual({
      site: { ...site, profile: defaultProfile },
      problem: null,
    });
  });
  it('takes pages as plain addresses and lets what is missing be', () => {
    expect(readSiteFile('{"pages":["/a"]}').site).toEqual({ ...unknownSite(), pages: [{ address: '/a' }] });
  });
  it.each([
    ['{', 'not valid JSON'],
    ['[]', 'not valid'],
    ['{"name":3}', 'name'],
    ['{"pages":[{"title":"x"}]}', 'pages'],
    ['{"profile":{"version":2}}', 'profile'],
    ['{"profile":{"version":1,"limits":{"nope":1}}}', 'nope'],
  ])('%s is refused with a reason', (text, reason) => {
    const { site: read, problem } = readSiteFile(text);
    expect(read).toBeNull();
    expect(problem).toContain(reason);
  });
});

describe('the size of a picture file', () => {
  const png = (width: number, height: number) => {
    const bytes = new Uint8Array(33);
    bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
    new DataView(bytes.buffer).setUint32(16, width);
    new DataView(bytes.buffer).setUint32(20, height);
    return bytes;
  };
  it('is its bytes and its width', () =>
    expect(pictureSize(png(2600, 1300))).toEqual({ bytes: 33, width: 2600 }));
  it.each([
    ['nothing', new Uint8Array()],
    ['text', new TextEncoder().encode('no picture at all')],
    ['a cut file', png(10, 10).slice(0, 12)],
  ])('of %s is its bytes alone', (_, bytes) =>
    expect(pictureSize(bytes)).toEqual({ bytes: bytes.length, width: null }),
  );
});
