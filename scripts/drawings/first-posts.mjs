// The pictures of the demo's first posts, by file.
import { bag, bike, dunes, floor, grain, S, scene, sky, wheel } from './parts.mjs';

export const FIRST_POSTS = {
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
