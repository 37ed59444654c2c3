import { chromium } from '@playwright/test';

const [, , script, theme = 'light'] = process.argv;
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const c = await b.newContext({
  viewport: { width: 1280, height: 800 },
  colorScheme: theme as 'light',
  serviceWorkers: 'block',
});
const p = await c.newPage();
p.on('console', (m) => m.type() === 'error' && console.log('C', m.text()));
p.on('pageerror', (e) => console.log('E', e.message));
const base = 'http://127.0.0.1:4400';
const shot = async (n: string) => {
  await p.screenshot({ path: `/tmp/shots/${n}.png` });
};
await new Function('p', 'base', 'shot', `return (async()=>{${script}})()`)(p, base, shot);
await b.close();
