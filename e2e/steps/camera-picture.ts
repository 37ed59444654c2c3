import type { Page } from '@playwright/test';

const ascii = (words: string) => Buffer.from(`${words}\0`, 'latin1');

/** What a camera writes beside a picture (EXIF 2.3): who took it, how it is turned, where it was taken. */
function exif({ artist, turn }: { artist: string; turn: number }): Buffer {
  const name = ascii(artist);
  const entry = (tag: number, type: number, count: number, value: number | Buffer) => {
    const out = Buffer.alloc(12);
    out.writeUInt16LE(tag, 0);
    out.writeUInt16LE(type, 2);
    out.writeUInt32LE(count, 4);
    if (Buffer.isBuffer(value)) value.copy(out, 8);
    else out.writeUInt32LE(value, 8);
    return out;
  };
  const table = (entries: Buffer[]) => {
    const count = Buffer.alloc(2);
    count.writeUInt16LE(entries.length);
    return Buffer.concat([count, ...entries, Buffer.alloc(4)]);
  };
  const first = 8;
  const nameAt = first + 2 + 3 * 12 + 4;
  const placeAt = nameAt + name.length;
  const degreesAt = placeAt + 2 + 4 * 12 + 4;
  const degrees = Buffer.alloc(48);
  for (const [at, value] of [52, 1, 30, 1, 0, 1, 1, 1, 15, 1, 0, 1].entries())
    degrees.writeUInt32LE(value, at * 4);
  const tiff = Buffer.concat([
    Buffer.from([0x49, 0x49, 42, 0, first, 0, 0, 0]),
    table([entry(0x112, 3, 1, turn), entry(0x13b, 2, name.length, nameAt), entry(0x8825, 4, 1, placeAt)]),
    name,
    table([
      entry(1, 2, 2, ascii('N')),
      entry(2, 5, 3, degreesAt),
      entry(3, 2, 2, ascii('E')),
      entry(4, 5, 3, degreesAt + 24),
    ]),
    degrees,
  ]);
  const content = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff]);
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(content.length + 2, 2);
  return Buffer.concat([head, content]);
}

/**
 * A photograph of 12 megapixels as a camera makes it, 4,000 by 3,000, heavy, with its notes. What it shows is made up: a sky, mud,
 * and thousands of stones.
 */
export async function cameraPicture(page: Page, notes: { artist: string; turn: number }): Promise<Buffer> {
  const base64 = await page.evaluate(async () => {
    const [width, height] = [4000, 3000];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d')!;
    const sky = context.createLinearGradient(0, 0, 0, height);
    sky.addColorStop(0, '#8fb3c9');
    sky.addColorStop(0.5, '#e2d3a8');
    sky.addColorStop(1, '#41532f');
    context.fillStyle = sky;
    context.fillRect(0, 0, width, height);
    for (let at = 0; at < 30_000; at++) {
      context.fillStyle = `hsla(${(at * 37) % 360}, 30%, ${20 + ((at * 7) % 60)}%, 0.5)`;
      context.fillRect((at * 7919) % width, (at * 104_729) % height, 10 + (at % 40), 6 + (at % 23));
    }
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 });
    const bytes = new Uint8Array(await blob.arrayBuffer());
    let text = '';
    for (let at = 0; at < bytes.length; at += 8192)
      text += String.fromCharCode(...bytes.subarray(at, at + 8192));
    return btoa(text);
  });
  const jpeg = Buffer.from(base64, 'base64');
  return Buffer.concat([jpeg.subarray(0, 2), exif(notes), jpeg.subarray(2)]);
}
