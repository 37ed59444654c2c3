// Draws the demo scenario's pictures (run by hand; the results are committed) and saves them with Debian's Chromium.
// With names behind it, those alone: `node scripts/draw-demo-pictures.mjs spoke-key.webp`.
import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { FIRST_POSTS } from './drawings/first-posts.mjs';
import { LATER_POSTS } from './drawings/later-posts.mjs';

const wanted = process.argv.slice(2);
const pictures = Object.entries({ ...FIRST_POSTS, ...LATER_POSTS }).filter(
  ([name]) => wanted.length === 0 || wanted.includes(name),
);

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage();
for (const [name, svg] of pictures) {
  const type = name.endsWith('.webp') ? 'image/webp' : 'image/png';
  const data = await page.evaluate(
    async ([source, mime]) => {
      const image = new Image();
      image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(source)}`;
      await image.decode();
      const canvas = document.createElement('canvas');
      canvas.width = image.naturalWidth;
      canvas.height = image.naturalHeight;
      canvas.getContext('2d').drawImage(image, 0, 0);
      return canvas.toDataURL(mime, 0.82).split(',')[1];
    },
    [svg, type],
  );
  writeFileSync(new URL(`../src/demo/media/${name}`, import.meta.url), Buffer.from(data, 'base64'));
  console.log(name, Math.round(data.length * 0.75));
}
await browser.close();
