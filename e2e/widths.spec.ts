import { expect, test } from '@playwright/test';
import { pixelWidth } from '../src/core/listing/index.ts';
import { openPost } from './steps/writer.ts';

const LINES = [
  'Bike tour packing list: what a first trip really needs',
  'AVATAR Toyota "Wave" – To. Yes, We. P.A.',
  'Waterproof panniers that stay dry | Saltmarsh Wheelworks',
  'HOW TO FIX A FLAT TYRE BY THE ROAD',
  'Süße Fähre über den Øresund, 42 % günstiger',
  'The rider’s map: 1,200 km in 10 days',
  'What is a touring bike? (And who needs one?)',
];

test('computed widths are those of the page itself', async ({ page }) => {
  await openPost(page, /Tide table/);
  for (const size of [20, 14]) {
    const measured = await page.evaluate(
      async ([lines, px]) => {
        await document.fonts.load(`${px}px Arimo`, (lines as string[]).join(''));
        return (lines as string[]).map((line) => {
          const span = document.createElement('span');
          span.style.cssText = `font: ${px}px Arimo; white-space: pre; position: absolute; font-kerning: normal; font-variant-numeric: normal`;
          span.textContent = line;
          document.body.append(span);
          const { width } = span.getBoundingClientRect();
          span.remove();
          return width;
        });
      },
      [LINES, size] as const,
    );
    for (const [at, line] of LINES.entries()) {
      expect(Math.abs(measured[at] - pixelWidth(line, size)), `${line} at ${size} px`).toBeLessThan(0.1);
    }
  }
});
