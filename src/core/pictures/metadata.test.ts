import { describe, expect, it } from 'vitest';
import { isMoving, withoutMetadata } from './index.ts';

const text = (words: string) => [...words].map((letter) => letter.charCodeAt(0));
const bytes = (...parts: (number[] | Uint8Array)[]) => Uint8Array.from(parts.flatMap((part) => [...part]));
const be32 = (value: number) => [value >>> 24, (value >>> 16) & 255, (value >>> 8) & 255, value & 255];
const le32 = (value: number) => be32(value).reverse();

const segment = (marker: number, content: number[]) => [
  0xff,
  marker,
  (content.length + 2) >> 8,
  (content.length + 2) & 255,
  ...content,
];
const scan = [...segment(0xda, [1, 2, 3]), 5, 0xff, 0, 9, 0xff, 0xd0, 7];
const jpeg = (notes: number[][], behind: number[] = []) =>
  bytes(
    [0xff, 0xd8],
    segment(0xe0, text('JFIF\0')),
    notes.flat(),
    segment(0xe2, text('ICC_PROFILE\0colours')),
    segment(0xdb, [1, 2]),
    scan,
    segment(0xc4, [4]),
    scan,
    [0xff, 0xd9],
    behind,
  );
const chunk = (name: string, content: number[]) => [
  ...be32(content.length),
  ...text(name),
  ...content,
  ...be32(0),
];
const png = (...notes: number[][]) =>
  bytes(
    [0x89],
    text('PNG\r\n\x1a\n'),
    chunk('IHDR', [1]),
    notes.flat(),
    chunk('IDAT', [2]),
    chunk('IEND', []),
  );
const riff = (...chunks: number[][]) => {
  const body = chunks.flat();
  return bytes(text('RIFF'), le32(body.length + 4), text('WEBP'), body);
};
const part = (name: string, content: number[]) => [
  ...text(name),
  ...le32(content.length),
  ...content,
  ...(content.length % 2 ? [0] : []),
];

describe('a picture without what was written beside it', () => {
  const exif = segment(0xe1, text('Exif\0\0place'));
  it.each([
    ['JPEG', jpeg([exif, segment(0xed, text('Photoshop')), segment(0xfe, text('a word'))]), jpeg([])],
    ['JPEG with a film behind it', jpeg([exif], jpeg([exif]) as unknown as number[]), jpeg([])],
    [
      'JPEG in the colours of print',
      jpeg([segment(0xee, text('Adobe'))]),
      jpeg([segment(0xee, text('Adobe'))]),
    ],
    [
      'PNG',
      png(chunk('eXIf', text('place')), chunk('iTXt', text('a word')), chunk('gAMA', [1])),
      png(chunk('gAMA', [1])),
    ],
    [
      'WebP',
      riff(
        part('VP8X', [0b1110, 0, 0, 0]),
        part('VP8L', [1, 2, 3]),
        part('EXIF', [9]),
        part('XMP ', text('ab')),
      ),
      riff(part('VP8X', [0b0010, 0, 0, 0]), part('VP8L', [1, 2, 3])),
    ],
  ])('%s', (_name, file, wished) => {
    const bare = withoutMetadata(file)!;
    expect([...bare.bytes]).toEqual([...wished]);
    expect(bare.removed).toBe(file.length - wished.length);
    expect(withoutMetadata(bare.bytes)).toEqual({ bytes: bare.bytes, removed: 0 });
  });
  it('is not made of a file that breaks off, of another kind, or of nothing', () => {
    const whole = [jpeg([exif]), png(chunk('eXIf', [1, 2, 3])), riff(part('EXIF', [1, 2, 3]))];
    for (const file of whole)
      for (let length = 0; length < file.length; length++) {
        const bare = withoutMetadata(file.subarray(0, length));
        if (bare) expect(bare.bytes.length).toBeLessThanOrEqual(length);
      }
    expect(withoutMetadata(bytes(text('GIF89a')))).toBeNull();
    expect(withoutMetadata(new Uint8Array())).toBeNull();
  });
});

describe('a picture that moves', () => {
  const image = [0x2c, 0, 0, 0, 0, 1, 0, 1, 0, 0, 2, 1, 9, 0];
  const gif = (...parts: number[][]) =>
    bytes(text('GIF89a'), [1, 0, 1, 0, 0x80, 0, 0], [0, 0, 0, 9, 9, 9], parts.flat(), [0x3b]);
  it.each<[string, Uint8Array, boolean]>([
    ['GIF of one image', gif(image), false],
    ['GIF of two', gif([0x21, 0xf9, 1, 7, 0], image, image), true],
    ['GIF that repeats', gif([0x21, 0xff, 11, ...text('NETSCAPE2.0'), 3, 1, 0, 0, 0], image), true],
    ['GIF that breaks off', gif(image).subarray(0, 24), false],
    ['WebP that moves', riff(part('VP8X', [0b10, 0, 0, 0])), true],
    ['WebP', riff(part('VP8X', [0b1000, 0, 0, 0])), false],
    ['PNG', png(), false],
    ['PNG that moves', png(chunk('acTL', [1])), true],
    ['JPEG', jpeg([]), false],
    ['nothing', new Uint8Array(), false],
  ])('%s', (_name, file, moves) => expect(isMoving(file)).toBe(moves));
});
