// Shapes that the drawings of the demo scenario are put together from.
const SKY = {
  dawn: ['#f3d9b8', '#c9d8d3'],
  noon: ['#dbe7ea', '#b9cfd4'],
  dusk: ['#e8b98f', '#6d8793'],
  shed: ['#efe6d3', '#e3d5b8'],
};

export const sky = (name, w, h) =>
  `<defs><linearGradient id="s" x1="0" x2="0" y1="0" y2="1"><stop offset="0" stop-color="${SKY[name][1]}"/><stop offset="1" stop-color="${SKY[name][0]}"/></linearGradient></defs><rect width="${w}" height="${h}" fill="url(#s)"/>`;
export const dunes = (y, color, seed, w = 1200, h = 800) => {
  let d = `M0 ${h}V${y}`;
  for (let x = 0; x < w; x += w / 5) d += `q${w / 10} ${-30 - ((seed * (x + 37)) % 50)} ${w / 5} 0`;
  return `<path d="${d}V${h}Z" fill="${color}"/>`;
};
export const wheel = (x, y, r) =>
  `<g fill="none" stroke="#1f2a2e"><circle cx="${x}" cy="${y}" r="${r}" stroke-width="9"/><circle cx="${x}" cy="${y}" r="6" stroke-width="5"/>${Array.from({ length: 12 }, (_, i) => `<line x1="${x}" y1="${y}" x2="${x + r * Math.cos((i * Math.PI) / 6)}" y2="${y + r * Math.sin((i * Math.PI) / 6)}" stroke-width="1.5"/>`).join('')}</g>`;
export const bag = (x, y, w, h, color) =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" rx="14" fill="${color}"/><rect x="${x}" y="${y}" width="${w}" height="${h * 0.18}" rx="10" fill="#1f2a2e" opacity=".35"/><rect x="${x + w * 0.42}" y="${y + h * 0.1}" width="${w * 0.16}" height="${h * 0.2}" fill="#e9dfc8"/>`;
export const bike = (x, y, s = 1, color = '#1f5e63', bags = true) =>
  `<g transform="translate(${x} ${y}) scale(${s})">${wheel(0, 0, 92)}${wheel(280, 0, 92)}<g fill="none" stroke="${color}" stroke-width="12" stroke-linecap="round" stroke-linejoin="round"><path d="M0 0 90 -130 230 -140 118 0 0 0M90 -130 118 0M230 -140 280 0M222 -170 232 -140"/><path d="M205 -180h44q16 4 10 26" stroke="#1f2a2e"/><path d="M62 -158h50" stroke="#1f2a2e" stroke-width="14"/><path d="M80 -150l10 20" stroke="#1f2a2e"/></g>${bags ? bag(-62, -96, 108, 118, '#9a5a0b') : ''}${bags ? bag(244, -70, 74, 84, '#9a5a0b') : ''}</g>`;
export const scene = (w, h, inner) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="0 0 ${w} ${h}">${inner}</svg>`;
export const S = (inner) => scene(1200, 800, inner);
export const floor = `<rect width="1200" height="800" fill="#efe6d3"/>${Array.from({ length: 9 }, (_, i) => `<line x1="0" x2="1200" y1="${i * 96}" y2="${i * 96}" stroke="#ddcfae" stroke-width="3"/>`).join('')}`;
export const grain = (w, h) =>
  `<filter id="n"><feTurbulence baseFrequency=".8" numOctaves="3"/><feColorMatrix values="0 0 0 0 .3 0 0 0 0 .3 0 0 0 0 .25 0 0 0 .28 0"/></filter><rect width="${w}" height="${h}" filter="url(#n)"/>`;
