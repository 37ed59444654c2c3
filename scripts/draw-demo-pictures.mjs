// Draws the demo scenario's pictures (run by hand; the results are committed) and saves them with Debian's Chromium.
import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const SKY = {
  dawn: ['#f3d9b8', '#c9d8d3'],
  noon: ['#dbe7ea', '#b9cfd4'],
  dusk: ['#e8b98f', '#6d8793'],
  shed: ['#efe6d3', '#e3d5b8'],
};

const sky = (name, w, h) =>
  `<defs><linearGradient id="s" x1="0" x2="0" y1="0" y2="1"><stop offset="0" stop-color="${SKY[name][1]}"/><stop offset="1" stop-color="${SKY[name][0]}"/></linearGradient></defs><rect width="${w}" height="${h}" fill="url(#s)"/>`;
const dunes = (y, color, seed, w = 1200, h = 800) => {
  let d = `M0 ${h}V${y}`;
  for (let x = 0; x < w; x += w / 5) d += `q${w / 10} ${-30 - ((seed * (x + 37)) % 50)} ${w / 5} 0`;
  return `<path d="${d}V${h}Z" fill="${color}"/>`;
};
const wheel = (x, y, r) =>
  `<g fill="none" stroke="#1f2a2e"><circle cx="${x}" cy="${y}" r="${r}" stroke-width="9"/><circle cx="${x}" cy="${y}" r="6" stroke-width="5"/>${Array.from({ length: 12 }, (_, i) => `<line x1="${x}" y1="${y}" x2="${x + r * Math.cos((i * Math.PI) / 6)}" y2="${y + r * Math.sin((i * Math.PI) / 6)}" stroke-width="1.5"/>`).join('')}</g>`;
const bag = (x, y, w, h, color) =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" rx="14" fill="${color}"/><rect x="${x}" y="${y}" width="${w}" height="${h * 0.18}" rx="10" fill="#1f2a2e" opacity=".35"/><rect x="${x + w * 0.42}" y="${y + h * 0.1}" width="${w * 0.16}" height="${h * 0.2}" fill="#e9dfc8"/>`;
const bike = (x, y, s = 1, color = '#1f5e63', bags = true) =>
  `<g transform="translate(${x} ${y}) scale(${s})">${wheel(0, 0, 92)}${wheel(280, 0, 92)}<g fill="none" stroke="${color}" stroke-width="12" stroke-linecap="round" stroke-linejoin="round"><path d="M0 0 90 -130 230 -140 118 0 0 0M90 -130 118 0M230 -140 280 0M222 -170 232 -140"/><path d="M205 -180h44q16 4 10 26" stroke="#1f2a2e"/><path d="M62 -158h50" stroke="#1f2a2e" stroke-width="14"/><path d="M80 -150l10 20" stroke="#1f2a2e"/></g>${bags ? bag(-62, -96, 108, 118, '#9a5a0b') : ''}${bags ? bag(244, -70, 74, 84, '#9a5a0b') : ''}</g>`;
const scene = (w, h, inner) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="0 0 ${w} ${h}">${inner}</svg>`;
const S = (inner) => scene(1200, 800, inner);
const floor = `<rect width="1200" height="800" fill="#efe6d3"/>${Array.from({ length: 9 }, (_, i) => `<line x1="0" x2="1200" y1="${i * 96}" y2="${i * 96}" stroke="#ddcfae" stroke-width="3"/>`).join('')}`;
const grain = (w, h) =>
  `<filter id="n"><feTurbulence baseFrequency=".8" numOctaves="3"/><feColorMatrix values="0 0 0 0 .3 0 0 0 0 .3 0 0 0 0 .25 0 0 0 .28 0"/></filter><rect width="${w}" height="${h}" filter="url(#n)"/>`;

const PICTURES = {
  'bike-tour-packing-list.webp': S(
    `${floor}${bag(90, 120, 190, 240, '#1f5e63')}${bag(310, 120, 190, 240, '#1f5e63')}<ellipse cx="720" cy="220" rx="150" ry="62" fill="#9a5a0b"/><circle cx="870" cy="220" r="56" fill="#7c4708"/><rect x="960" y="150" width="150" height="170" rx="20" fill="#2b5c8a"/><path d="M130 470h180l40 220H90z" fill="#9b2c2c"/><rect x="430" y="480" width="60" height="230" rx="16" fill="#566266"/><rect x="520" y="600" width="260" height="34" rx="17" fill="#1f2a2e"/><circle cx="900" cy="600" r="110" fill="none" stroke="#1f2a2e" stroke-width="26"/>`,
  ),
  'waterproof-panniers-scale.webp': S(
    `${sky('shed', 1200, 800)}<rect y="600" width="1200" height="200" fill="#cdbb92"/><rect x="250" y="560" width="700" height="60" rx="10" fill="#566266"/><circle cx="600" cy="660" r="70" fill="#fff" stroke="#1f2a2e" stroke-width="8"/><line x1="600" y1="660" x2="640" y2="618" stroke="#9b2c2c" stroke-width="7"/>${bag(320, 260, 240, 300, '#7d898c')}${bag(630, 260, 240, 300, '#7d898c')}`,
  ),
  'waterproof-panniers-hose.webp': S(
    `${sky('noon', 1200, 800)}<rect y="640" width="1200" height="160" fill="#a9b68c"/>${bag(520, 300, 280, 360, '#1f5e63')}<path d="M0 250q180-80 300 20" fill="none" stroke="#9a5a0b" stroke-width="30"/>${Array.from({ length: 26 }, (_, i) => `<line x1="${310 + i * 4}" y1="${262 + i * 3}" x2="${520 + ((i * 53) % 260)}" y2="${300 + ((i * 97) % 280)}" stroke="#fff" stroke-width="4" opacity=".7"/>`).join('')}`,
  ),
  'first-bike-tour-lighthouse.webp': S(
    `${sky('dawn', 1200, 800)}<path d="M880 470 905 130h70l25 340z" fill="#fff"/><path d="M890 340h100l8 60H884zM898 220h84l5 56h-94z" fill="#9b2c2c"/><rect x="898" y="90" width="84" height="44" fill="#1f2a2e"/>${dunes(470, '#c6b98f', 7)}<rect x="60" y="500" width="760" height="120" fill="#b3a27a"/>${bike(200, 640, 0.9)}${bike(520, 650, 0.9, '#2b5c8a')}${dunes(735, '#8d9a68', 3)}`,
  ),
  'dyke-lane-reeds.webp': S(
    `${sky('noon', 1200, 800)}<path d="M540 330h120l360 470H180z" fill="#cfc3a4"/><path d="M0 420 540 330 180 800H0zM1200 420 660 330l360 470h180z" fill="#8d9a68"/>${Array.from(
      { length: 60 },
      (_, i) => {
        const x = i % 2 ? 20 + ((i * 71) % 330) : 860 + ((i * 67) % 320);
        return `<line x1="${x}" y1="800" x2="${x + 14}" y2="${430 + ((i * 37) % 140)}" stroke="#5f6d42" stroke-width="6"/>`;
      },
    ).join('')}`,
  ),
  'tide-table-cycling.webp': S(
    `${sky('shed', 1200, 800)}<rect x="150" y="90" width="520" height="620" fill="#fff" stroke="#566266" stroke-width="4"/>${Array.from({ length: 13 }, (_, i) => `<line x1="180" x2="640" y1="${160 + i * 42}" y2="${160 + i * 42}" stroke="#b9c5c8" stroke-width="3"/><rect x="190" y="${132 + i * 42}" width="${60 + ((i * 31) % 40)}" height="16" fill="#566266"/><rect x="380" y="${132 + i * 42}" width="${40 + ((i * 47) % 60)}" height="16" fill="#2b5c8a"/>`).join('')}${Array.from({ length: 4 }, (_, i) => `<circle cx="${800 + i * 95}" cy="200" r="12" fill="#9a5a0b"/><path d="M${800 + i * 95} 212v150" stroke="#1f2a2e" stroke-width="9"/><circle cx="${800 + i * 95}" cy="390" r="30" fill="none" stroke="#1f2a2e" stroke-width="11"/>`).join('')}`,
  ),
  'fix-flat-bike-tyre.webp': S(
    `${sky('shed', 1200, 800)}${wheel(600, 420, 330)}<path d="M250 250q-60 160 30 330" fill="none" stroke="#566266" stroke-width="40"/><path d="M120 300l190 60-14 40-190-40zM110 470l190 20-4 42-190-4z" fill="#e0b48a"/><rect x="290" y="352" width="120" height="22" rx="11" fill="#9a5a0b"/><rect x="290" y="488" width="120" height="22" rx="11" fill="#9a5a0b"/>`,
  ),
  'touring-tyre-pressure-gauge.webp': S(
    `${sky('shed', 1200, 800)}<path d="M-100 900a620 620 0 0 1 1400 0" fill="none" stroke="#1f2a2e" stroke-width="120"/><rect x="586" y="190" width="28" height="110" fill="#b08d3c"/><circle cx="600" cy="150" r="120" fill="#fff" stroke="#b08d3c" stroke-width="26"/>${Array.from({ length: 9 }, (_, i) => `<line x1="${600 + 90 * Math.cos(2.4 + i * 0.58)}" y1="${150 + 90 * Math.sin(2.4 + i * 0.58)}" x2="${600 + 74 * Math.cos(2.4 + i * 0.58)}" y2="${150 + 74 * Math.sin(2.4 + i * 0.58)}" stroke="#1f2a2e" stroke-width="6"/>`).join('')}<line x1="600" y1="150" x2="560" y2="90" stroke="#9b2c2c" stroke-width="8"/>`,
  ),
  'DSC_0093.webp': S(
    `${sky('dusk', 1200, 800)}${dunes(520, '#5f6d62', 5)}<path d="M420 640 600 400l190 240z" fill="#9a5a0b"/><path d="M600 400v240h-60z" fill="#1f2a2e" opacity=".5"/>${bike(860, 640, 0.6)}${dunes(690, '#3f4b3f', 9)}`,
  ),
  'IMG_2041.png': S(
    `${sky('noon', 1200, 800)}${dunes(460, '#b5a878', 4)}<path d="M0 620q400-90 1200-40v220H0z" fill="#9fb4b6"/>${dunes(690, '#8d9a68', 6)}${grain(1200, 800)}`,
  ),
  'touring-bike-rental-wide.png': scene(
    2600,
    1300,
    `<rect width="2600" height="1300" fill="#e3d5b8"/><rect x="300" y="120" width="900" height="1000" fill="#2f5d50"/><rect x="360" y="190" width="780" height="400" fill="#cfe0e2"/><rect y="1080" width="2600" height="220" fill="#b7a880"/><g transform="translate(620 100)">${bike(500, 880, 2.1, '#2f7d5a')}</g>`,
  ),
};

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage();
for (const [name, svg] of Object.entries(PICTURES)) {
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
