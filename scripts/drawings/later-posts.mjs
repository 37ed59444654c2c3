// The pictures of the demo's later posts, by file.
import { bag, bike, dunes, floor, S, sky, wheel } from './parts.mjs';

const water = (y) =>
  `<rect y="${y}" width="1200" height="${800 - y}" fill="#8fb0b8"/>${Array.from({ length: 7 }, (_, i) => `<line x1="${60 + ((i * 173) % 300)}" x2="${560 + ((i * 211) % 560)}" y1="${y + 26 + i * 40}" y2="${y + 26 + i * 40}" stroke="#a9c4c9" stroke-width="5"/>`).join('')}`;
const reeds = (x, y, number) =>
  Array.from(
    { length: number },
    (_, i) =>
      `<line x1="${x + i * 22}" y1="${y}" x2="${x + 8 + i * 22}" y2="${y - 130 - ((i * 37) % 90)}" stroke="#5f6d42" stroke-width="7"/>`,
  ).join('');
const bench = `<rect y="610" width="1200" height="190" fill="#b99c6b"/><rect y="610" width="1200" height="16" fill="#9c8155"/>`;
const rider = (x, y, s, color) =>
  `<g transform="translate(${x} ${y}) scale(${s})"><path d="M150 -140 190 -290 90 -330" fill="none" stroke="${color}" stroke-width="46" stroke-linecap="round" stroke-linejoin="round"/><circle cx="212" cy="-350" r="38" fill="#e0b48a"/><path d="M176 -362a38 38 0 0 1 74 0z" fill="#9b2c2c"/><path d="M185 -280 245 -190" stroke="${color}" stroke-width="26" stroke-linecap="round"/></g>`;
const flag = (x, y, color) =>
  `<path d="M${x} ${y}v-430" stroke="#566266" stroke-width="12"/><path d="M${x} ${y - 430}q110 -26 200 4t170 -6v120q-80 26 -170 2t-200 0z" fill="${color}"/>`;
const boat = `<path d="M120 470h960l-80 150H210z" fill="#f4efe2"/><path d="M150 520h900l-20 36H168z" fill="#2b5c8a"/><rect x="640" y="300" width="300" height="170" fill="#f4efe2"/><rect x="670" y="330" width="70" height="60" fill="#9fb4b6"/><rect x="770" y="330" width="70" height="60" fill="#9fb4b6"/>`;
const cog = (x, y, r, teeth, color) =>
  `<g transform="translate(${x} ${y})">${Array.from({ length: teeth }, (_, i) => `<rect x="-9" y="${-r - 16}" width="18" height="34" fill="${color}" transform="rotate(${(360 / teeth) * i})"/>`).join('')}<circle r="${r}" fill="${color}"/></g>`;
const chain = (x, y, links) =>
  Array.from(
    { length: links },
    (_, i) =>
      `<rect x="${x + i * 74}" y="${y - 24}" width="96" height="48" rx="24" fill="${i % 2 ? '#7d898c' : '#566266'}"/><circle cx="${x + 24 + i * 74}" cy="${y}" r="11" fill="#c8d0d2"/>`,
  ).join('');
const hand = (x, y, turn = 0) =>
  `<g transform="translate(${x} ${y}) rotate(${turn})"><path d="M0 0h210q40 0 40 40t-40 40H0z" fill="#e0b48a"/><rect x="-150" y="-14" width="170" height="110" fill="#2b5c8a"/><path d="M150 0q60 -50 110 -30l-30 44z" fill="#d3a478"/></g>`;
const tent = (x, y, s) =>
  `<g transform="translate(${x} ${y}) scale(${s})"><path d="M0 0 210 -250 430 0z" fill="#9a5a0b"/><path d="M210 -250V0h-70z" fill="#1f2a2e" opacity=".45"/></g>`;
const lettering = (x, y, words, size = 40, color = '#1f2a2e') =>
  `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${size}" fill="${color}">${words}</text>`;

export const LATER_POSTS = {
  'canal-towpath-lock.webp': S(
    `${sky('dawn', 1200, 800)}${dunes(420, '#8d9a68', 5)}${water(560)}<rect y="520" width="1200" height="60" fill="#b3a27a"/><path d="M470 560 520 330h34l-40 230zM730 560 680 330h-34l40 230z" fill="#566266"/><rect x="240" y="320" width="330" height="30" fill="#fff"/><rect x="630" y="320" width="330" height="30" fill="#fff"/><rect x="540" y="350" width="120" height="220" fill="#5a4630"/>${bike(90, 500, 0.75, '#2f7d5a')}`,
  ),
  'towpath-reeds.webp': S(
    `${sky('noon', 1200, 800)}<path d="M520 360h90l250 440H420z" fill="#cfc3a4"/><path d="M610 360 860 800h340V420z" fill="#8fb0b8"/><path d="M0 430 520 360 420 800H0z" fill="#8d9a68"/>${reeds(30, 800, 17)}${reeds(820, 800, 17)}`,
  ),
  'headwind-flag.webp': S(
    `${sky('dusk', 1200, 800)}${dunes(520, '#8d9a68', 5)}${flag(120, 640, '#9b2c2c')}${bike(560, 660, 0.9)}${rider(560, 660, 0.9, '#2b5c8a')}${dunes(740, '#5f6d42', 8)}`,
  ),
  'headwind-pair.webp': S(
    `${sky('noon', 1200, 800)}${dunes(560, '#a9b68c', 4)}${bike(120, 660, 0.72, '#9b2c2c')}${rider(120, 660, 0.72, '#1f5e63')}${bike(640, 660, 0.72, '#2b5c8a')}${rider(640, 660, 0.72, '#9a5a0b')}${dunes(735, '#8d9a68', 6)}`,
  ),
  'low-gears-hill-lane.webp': S(
    `${sky('noon', 1200, 800)}${dunes(300, '#a9b68c', 9)}<path d="M0 800 1200 260v130L260 800z" fill="#cfc3a4"/><path d="M0 700 1200 170v90L0 800z" fill="#8f8675"/><path d="M260 800 1200 390v90L470 800z" fill="#8f8675"/><g transform="rotate(-24 520 520)">${bike(420, 560, 0.75)}${rider(420, 560, 0.75, '#9b2c2c')}</g>`,
  ),
  'cassette-teeth.webp': S(
    `${sky('shed', 1200, 800)}${cog(520, 400, 290, 36, '#7d898c')}${cog(520, 400, 230, 30, '#8f9b9e')}${cog(520, 400, 170, 22, '#a4afb1')}${cog(520, 400, 110, 15, '#bcc5c7')}<circle cx="520" cy="400" r="46" fill="#efe6d3"/><rect x="930" y="120" width="46" height="560" rx="10" fill="#9a5a0b"/>${Array.from({ length: 14 }, (_, i) => `<line x1="930" x2="${i % 5 ? 952 : 966}" y1="${160 + i * 36}" y2="${160 + i * 36}" stroke="#fff" stroke-width="5"/>`).join('')}`,
  ),
  'bicycle-ferry-ramp.webp': S(
    `${sky('dawn', 1200, 800)}${water(560)}${boat}<path d="M0 700h260l-60 -120h-60L0 640z" fill="#8f8675"/><g>${bike(300, 440, 0.5)}${bike(430, 440, 0.5, '#9b2c2c')}${bike(920, 440, 0.5, '#2f7d5a')}</g>`,
  ),
  'bicycle-ferry-strap.webp': S(
    `${sky('noon', 1200, 800)}${water(620)}<rect y="330" width="1200" height="24" fill="#f4efe2"/>${Array.from({ length: 7 }, (_, i) => `<rect x="${60 + i * 180}" y="330" width="20" height="330" fill="#f4efe2"/>`).join('')}${bike(420, 600, 1.2, '#1f5e63', false)}<path d="M520 340q-24 60 34 130" fill="none" stroke="#9a5a0b" stroke-width="26"/>`,
  ),
  'bike-tour-budget-notebook.webp': S(
    `${floor}<rect x="220" y="120" width="380" height="540" fill="#fff"/><rect x="600" y="120" width="380" height="540" fill="#faf6ec"/><line x1="600" x2="600" y1="120" y2="660" stroke="#566266" stroke-width="6"/>${Array.from({ length: 9 }, (_, i) => `<rect x="260" y="${180 + i * 48}" width="${120 + ((i * 53) % 90)}" height="14" fill="#7d898c"/><rect x="480" y="${180 + i * 48}" width="70" height="14" fill="#2b5c8a"/>`).join('')}<circle cx="780" cy="300" r="58" fill="#b08d3c"/><circle cx="880" cy="420" r="48" fill="#c8d0d2"/><circle cx="740" cy="470" r="44" fill="#b08d3c"/><rect x="660" y="560" width="300" height="26" rx="6" fill="#9b2c2c" transform="rotate(-12 800 570)"/>`,
  ),
  'bakery-bench.webp': S(
    `${sky('dawn', 1200, 800)}<rect x="0" y="120" width="1200" height="420" fill="#e3d5b8"/><rect x="110" y="180" width="330" height="250" fill="#cfe0e2"/><rect y="540" width="1200" height="260" fill="#b7a880"/><rect x="220" y="500" width="780" height="36" fill="#7c4708"/><rect x="260" y="536" width="36" height="140" fill="#5a4630"/><rect x="920" y="536" width="36" height="140" fill="#5a4630"/><path d="M540 330h130l20 170H520z" fill="#c9a873"/><circle cx="575" cy="330" r="42" fill="#b97a2f"/><circle cx="640" cy="326" r="40" fill="#a86a25"/><path d="M310 500a90 90 0 0 1 180 0z" fill="#2f7d5a"/><path d="M760 500a90 90 0 0 1 180 0z" fill="#9b2c2c"/>`,
  ),
  'bike-touring-food-stove.webp': S(
    `${sky('dusk', 1200, 800)}${dunes(430, '#5f6d62', 7)}<rect y="620" width="1200" height="180" fill="#6d7a4c"/>${bag(140, 370, 240, 280, '#1f5e63')}${bag(820, 370, 240, 280, '#1f5e63')}<rect x="560" y="600" width="90" height="80" rx="10" fill="#9b2c2c"/><path d="M560 600q45 -50 90 0z" fill="#e8b98f"/><rect x="510" y="430" width="190" height="130" rx="14" fill="#7d898c"/><rect x="700" y="470" width="90" height="16" fill="#1f2a2e"/><path d="M560 410q-20 -40 10 -80M620 410q-20 -50 14 -100" fill="none" stroke="#fff" stroke-width="9" opacity=".7"/>`,
  ),
  'pannier-larder.webp': S(
    `${floor}<rect x="90" y="300" width="1020" height="240" fill="#b99c6b"/><rect x="150" y="230" width="170" height="240" rx="16" fill="#e9dfc8"/><rect x="190" y="300" width="90" height="60" fill="#9a5a0b"/><rect x="380" y="250" width="150" height="220" rx="30" fill="#fff" opacity=".8"/>${Array.from({ length: 40 }, (_, i) => `<circle cx="${400 + ((i * 37) % 112)}" cy="${330 + ((i * 23) % 120)}" r="9" fill="#c25b2e"/>`).join('')}<circle cx="680" cy="400" r="76" fill="#b97a2f"/><path d="M680 324q-8 -40 20 -60" stroke="#7c4708" stroke-width="10" fill="none"/><circle cx="900" cy="404" r="62" fill="#6d9a4c"/><ellipse cx="900" cy="404" rx="22" ry="14" fill="#8db56a"/>`,
  ),
  'dynamo-light-lane.webp': S(
    `<rect width="1200" height="800" fill="#1c2833"/><path d="M480 430h240l420 370H60z" fill="#4a4d46"/><path d="M560 430h80l260 370H300z" fill="#e9dfb0" opacity=".55"/><path d="M0 300 480 430 60 800H0zM1200 300 720 430l420 370h60z" fill="#28382c"/>${reeds(20, 780, 12)}${reeds(930, 780, 12)}<circle cx="600" cy="720" r="60" fill="#fff7d6"/>`,
  ),
  'hub-dynamo-wires.webp': S(
    `${sky('shed', 1200, 800)}${Array.from({ length: 16 }, (_, i) => `<line x1="600" y1="400" x2="${600 + 720 * Math.cos((i * Math.PI) / 8)}" y2="${400 + 720 * Math.sin((i * Math.PI) / 8)}" stroke="#8f9b9e" stroke-width="6"/>`).join('')}<circle cx="600" cy="400" r="170" fill="#566266"/><circle cx="600" cy="400" r="120" fill="#7d898c"/><circle cx="600" cy="400" r="34" fill="#1f2a2e"/><rect x="700" y="350" width="120" height="90" rx="14" fill="#1f2a2e"/><path d="M820 380q120 -30 160 -200M820 410q160 -10 220 -200" fill="none" stroke="#9b2c2c" stroke-width="10"/>`,
  ),
  'touring-saddle-row.webp': S(
    `${sky('shed', 1200, 800)}${bench}${[
      [200, 150, '#5a4630'],
      [560, 120, '#1f2a2e'],
      [900, 180, '#2f5d50'],
    ]
      .map(
        ([x, w, color]) =>
          `<path d="M${x} 300q${w * 0.5} -50 ${w} 0q20 60 -${w * 0.3} 110l-${w * 0.08} 150q-${w * 0.12} 30 -${w * 0.24} 0l-${w * 0.08} -150q-${w * 0.5} -50 -${w * 0.3} -110z" fill="${color}"/>`,
      )
      .join('')}`,
  ),
  'sit-bones-cardboard.webp': S(
    `${floor}<rect x="200" y="180" width="800" height="380" fill="#c9a873"/>${Array.from({ length: 20 }, (_, i) => `<line x1="${220 + i * 40}" x2="${220 + i * 40}" y1="180" y2="560" stroke="#b59261" stroke-width="4"/>`).join('')}<ellipse cx="470" cy="350" rx="60" ry="40" fill="#8f7043"/><ellipse cx="730" cy="350" rx="60" ry="40" fill="#8f7043"/><rect x="360" y="450" width="520" height="60" fill="#f4efe2"/>${Array.from({ length: 25 }, (_, i) => `<line x1="${380 + i * 20}" x2="${380 + i * 20}" y1="450" y2="${i % 5 ? 470 : 486}" stroke="#1f2a2e" stroke-width="3"/>`).join('')}`,
  ),
  'handlebar-bag-open.webp': S(
    `${sky('shed', 1200, 800)}<rect x="60" y="300" width="1080" height="34" rx="17" fill="#1f2a2e"/><rect x="330" y="220" width="540" height="420" rx="30" fill="#1f5e63"/><rect x="370" y="270" width="460" height="330" rx="20" fill="#12393c"/><rect x="390" y="300" width="120" height="200" rx="12" fill="#2b5c8a"/><circle cx="600" cy="390" r="70" fill="#b97a2f"/><rect x="690" y="300" width="120" height="150" rx="14" fill="#9b2c2c"/><rect x="690" y="470" width="120" height="100" fill="#e9dfc8"/><rect x="330" y="120" width="540" height="110" rx="24" fill="#2f7d80"/>`,
  ),
  'handlebar-bag-sorted.webp': S(
    `${floor}<rect x="110" y="90" width="980" height="620" fill="#e9dfc8"/><line x1="600" x2="600" y1="110" y2="690" stroke="#8f8675" stroke-width="6" stroke-dasharray="18 14"/><rect x="190" y="160" width="90" height="150" rx="12" fill="#1f2a2e"/><rect x="330" y="180" width="150" height="100" rx="12" fill="#9b2c2c"/><circle cx="250" cy="450" r="70" fill="#b97a2f"/><rect x="370" y="400" width="130" height="190" rx="30" fill="#2b5c8a"/><rect x="690" y="160" width="330" height="40" rx="20" fill="#566266"/><circle cx="760" cy="390" r="90" fill="none" stroke="#1f2a2e" stroke-width="24"/><rect x="900" y="290" width="110" height="220" rx="20" fill="#7d898c"/><path d="M700 590h300" stroke="#566266" stroke-width="36"/>`,
  ),
  'carry-tent-rack.webp': S(
    `${sky('noon', 1200, 800)}<rect y="640" width="1200" height="160" fill="#a9b68c"/>${bike(360, 620, 1.5, '#2b5c8a')}<ellipse cx="380" cy="360" rx="200" ry="52" fill="#9b2c2c"/><rect x="290" y="312" width="22" height="98" fill="#1f2a2e"/><rect x="440" y="312" width="22" height="98" fill="#1f2a2e"/>`,
  ),
  'tent-parts.webp': S(
    `<rect width="1200" height="800" fill="#8d9a68"/>${reeds(0, 820, 9)}<path d="M140 200h330v220H140z" fill="#9a5a0b"/><path d="M140 270h330M140 340h330" stroke="#7c4708" stroke-width="5"/>${Array.from({ length: 5 }, (_, i) => `<rect x="${560 + i * 44}" y="180" width="18" height="420" rx="9" fill="#c8d0d2"/>`).join('')}${Array.from({ length: 10 }, (_, i) => `<path d="M${850 + (i % 5) * 54} ${240 + Math.floor(i / 5) * 200}q30 -30 26 10v110" fill="none" stroke="#1f2a2e" stroke-width="10"/>`).join('')}${tent(160, 690, 0.7)}`,
  ),
  'cleaning-chain-rag.webp': S(
    `${sky('shed', 1200, 800)}${cog(210, 330, 120, 18, '#7d898c')}${cog(1000, 300, 170, 26, '#7d898c')}${chain(180, 480, 12)}${hand(470, 440)}<path d="M600 400q90 -30 120 40t-30 120q-80 30 -110 -20t20 -140z" fill="#e9dfc8"/>`,
  ),
  'chain-drop.webp': S(
    `${sky('noon', 1200, 800)}${chain(60, 560, 15)}<path d="M560 90h110l-30 190h-50z" fill="#2f7d5a"/><path d="M600 280h30v50h-30z" fill="#1f2a2e"/><path d="M615 370q40 60 0 90q-40 -30 0 -90z" fill="#b08d3c"/>`,
  ),
  'broken-spoke-wheel.webp': S(
    `${sky('shed', 1200, 800)}${wheel(600, 420, 330)}<path d="M600 420 886 255" stroke="#efe6d3" stroke-width="14"/><path d="M600 420q80 -70 170 -40" fill="none" stroke="#9b2c2c" stroke-width="8"/><rect x="740" y="640" width="70" height="34" fill="#9b2c2c" transform="rotate(60 775 657)"/>`,
  ),
  'spoke-key.webp': S(
    `${sky('shed', 1200, 800)}<path d="M0 560q600 -120 1200 0v110q-600 -120 -1200 0z" fill="#7d898c"/><rect x="586" y="60" width="28" height="380" fill="#c8d0d2"/><rect x="572" y="400" width="56" height="110" fill="#b08d3c"/><circle cx="600" cy="450" r="120" fill="none" stroke="#9b2c2c" stroke-width="50"/><rect x="570" y="380" width="60" height="90" fill="#b08d3c"/><path d="M800 330a230 230 0 0 1 20 200" fill="none" stroke="#1f2a2e" stroke-width="14"/><path d="M786 540 820 580 850 528z" fill="#1f2a2e"/>`,
  ),
  'creaking-bike-ear.webp': S(
    `${sky('shed', 1200, 800)}${bike(520, 620, 1.5, '#1f5e63', false)}<circle cx="300" cy="400" r="120" fill="#e0b48a"/><path d="M180 390a120 120 0 0 1 240 -20z" fill="#5a4630"/><path d="M230 520q70 60 150 0l40 280H160z" fill="#2b5c8a"/><ellipse cx="330" cy="410" rx="24" ry="36" fill="#d3a478"/><path d="M450 380q40 20 0 60M490 350q70 50 0 120" fill="none" stroke="#9b2c2c" stroke-width="9"/>`,
  ),
  'rack-bolt-paint.webp': S(
    `${sky('noon', 1200, 800)}<path d="M0 200 1200 420v120L0 320z" fill="#1f5e63"/><path d="M380 0h90l90 800h-90z" fill="#566266"/><circle cx="480" cy="370" r="96" fill="#8f9b9e"/><path d="M480 306l56 32v64l-56 32-56-32v-64z" fill="#566266"/><path d="M500 350q120 20 200 60" stroke="#9b2c2c" stroke-width="26" stroke-linecap="round"/>`,
  ),
  'bike-touring-terms-board.webp': S(
    `${sky('shed', 1200, 800)}<rect x="120" y="80" width="960" height="600" fill="#7c4708"/><rect x="150" y="110" width="900" height="540" fill="#24332d"/><g opacity=".9">${bike(400, 500, 1.25, '#e9dfc8')}</g>${[
      [360, 330, 1],
      [690, 250, 2],
      [860, 410, 3],
      [560, 590, 4],
    ]
      .map(
        ([x, y, n]) => `<circle cx="${x}" cy="${y}" r="30" fill="#e9dfc8"/>${lettering(x - 11, y + 14, n)}`,
      )
      .join('')}`,
  ),
  'bike-parts-drawing.webp': S(
    `<rect width="1200" height="800" fill="#fbf8f0"/>${bike(330, 580, 1.6, '#566266')}<rect x="690" y="190" width="120" height="110" rx="16" fill="#2b5c8a"/>${[
      [250, 300, 1],
      [880, 470, 2],
      [850, 180, 3],
      [480, 700, 4],
    ]
      .map(
        ([x, y, n]) =>
          `<circle cx="${x}" cy="${y}" r="34" fill="#9b2c2c"/>${lettering(x - 12, y + 15, n, 42, '#fff')}`,
      )
      .join('')}`,
  ),
  'hire-bikes-row.webp': S(
    `${sky('dawn', 1200, 800)}<rect x="80" y="150" width="1040" height="420" fill="#7c5a3a"/>${Array.from({ length: 13 }, (_, i) => `<line x1="${80 + i * 80}" x2="${80 + i * 80}" y1="150" y2="570" stroke="#654729" stroke-width="5"/>`).join('')}<path d="M40 160 600 40l560 120z" fill="#4a3b2c"/><rect y="570" width="1200" height="230" fill="#b7a880"/>${['#1f5e63', '#9b2c2c', '#2b5c8a', '#2f7d5a', '#6a3d7a'].map((color, i) => bike(70 + i * 225, 640, 0.6, color, false)).join('')}`,
  ),
  'wren-head-tube.webp': S(
    `${sky('shed', 1200, 800)}<path d="M480 0h220l60 800H420z" fill="#2f7d5a"/><path d="M0 520 460 440v150L0 690z" fill="#2f7d5a"/><g fill="#fff"><ellipse cx="600" cy="400" rx="92" ry="66"/><circle cx="676" cy="340" r="42"/><path d="M520 390 460 290l84 60z"/></g><path d="M716 334l46 12-46 14z" fill="#b08d3c"/><circle cx="684" cy="332" r="7" fill="#1f2a2e"/><path d="M590 464v46M616 462v48" stroke="#fff" stroke-width="7"/>`,
  ),
};
