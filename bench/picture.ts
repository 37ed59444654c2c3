import { chromium, type Page } from '@playwright/test';
import { build } from 'vite';
import { place } from './place.ts';

const RUNS = 7;
/** Bytes that the picture is to weigh at most. */
const LIGHT = 200_000;

/** The drawing of pictures as one script, as it runs in the worker. */
async function script(): Promise<string> {
  const built = await build({
    configFile: false,
    logLevel: 'silent',
    build: {
      write: false,
      lib: {
        entry: place('src/web/workers/picture-canvas.ts'),
        formats: ['iife'],
        name: 'drawing',
      },
    },
  });
  const [{ output }] = built as unknown as { output: { code: string }[] }[];
  return output[0].code;
}

/** Milliseconds, each the median of some runs taken in turn, and the heaviest picture that came out. */
const measured = (page: Page): Promise<{ own: number; floor: number; heaviest: number }> =>
  page.evaluate(
    async ({ runs, most }) => {
      const { drawPicture, pixelsOf } = (
        window as unknown as { drawing: typeof import('../src/web/workers/picture-canvas.ts') }
      ).drawing;
      const [width, height] = [4000, 3000];
      const canvas = new OffscreenCanvas(width, height);
      const context = canvas.getContext('2d')!;
      for (let at = 0; at < 30_000; at++) {
        context.fillStyle = `hsla(${(at * 37) % 360}, 30%, ${20 + ((at * 7) % 60)}%, 0.5)`;
        context.fillRect((at * 7919) % width, (at * 104_729) % height, 10 + (at % 40), 6 + (at % 23));
      }
      const file = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 });
      const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)];
      const [own, floor]: [number[], number[]] = [[], []];
      let heaviest = 0;
      for (let run = -1; run < runs; run++) {
        let begun = performance.now();
        const whole = await createImageBitmap(file);
        const plain = new OffscreenCanvas(width, height);
        plain.getContext('2d')!.drawImage(whole, 0, 0);
        await plain.convertToBlob({ type: 'image/webp' });
        if (run >= 0) floor.push(performance.now() - begun);
        whole.close();
        begun = performance.now();
        const bitmap = await pixelsOf(file);
        const { blob } = await drawPicture(bitmap, file.type, {
          cut: { turn: 0, crop: null, width: 2400 },
          format: 'fitting',
          most,
          isShown: 'in the text',
        });
        if (run >= 0) own.push(performance.now() - begun);
        bitmap.close();
        heaviest = Math.max(heaviest, blob.size);
      }
      return { own: middle(own), floor: middle(floor), heaviest };
    },
    { runs: RUNS, most: LIGHT },
  );

/** 12 megapixels made as light as a page wants them, over one decoding and one encoding of the same by the browser itself. */
export async function pictureToWeight(): Promise<number> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage();
    // The runner of the bench names functions by a helper of its own.
    await page.addScriptTag({
      content: `window.__name = (named) => named;${await script()};window.drawing = drawing;`,
    });
    const { own, floor, heaviest } = await measured(page);
    if (heaviest > LIGHT) throw new Error(`A picture came out at ${heaviest} bytes.`);
    return own / floor;
  } finally {
    await browser.close();
  }
}
