import { stem, stemCount } from '../language/index.ts';
import { EQUALS } from './equals.ts';
import { isExpository } from './expository.ts';
import { kinLists, kinStems } from './generated/kin.ts';

/** What a word is worth where another of the same matter stands. */
const EQUAL = 0.75;
/** Kin of the dictionary are nearer on paper than in use. */
const KIN = 0.85;
/** Words that are met so often are kin of everything. */
const COMMON = 30_000;

let table: Map<string, Map<string, number>> | null = null;

function readTable(): Map<string, Map<string, number>> {
  const out = new Map<string, Map<string, number>>();
  const near = (from: string, to: string, value: number) => {
    if (from === to) return;
    let own = out.get(from);
    if (!own) {
      own = new Map();
      out.set(from, own);
    }
    own.set(to, Math.max(own.get(to) ?? 0, value));
  };
  let before = '';
  const stems = kinStems.split(' ').map((coded) => {
    before = before.slice(0, Number.parseInt(coded[0], 36)) + coded.slice(1);
    return before;
  });
  kinLists.split(',').forEach((list, at) => {
    if (list)
      for (const each of list.split(' ')) {
        const to = stems[Number.parseInt(each.slice(1), 36)];
        // "Call" stands for so much that it is no sign of "phone".
        if (!isExpository(to) && stemCount(to) < COMMON) near(stems[at], to, (KIN * Number(each[0])) / 10);
      }
  });
  for (const line of EQUALS) {
    const all = [...new Set(line.map(stem))];
    for (const from of all) for (const to of all) near(from, to, EQUAL);
  }
  return out;
}

const NONE: ReadonlyMap<string, number> = new Map();

/** Stems that mean nearly the same as a stem, each with how nearly, 0-1. */
export function kinOf(stemText: string): ReadonlyMap<string, number> {
  table ??= readTable();
  return table.get(stemText) ?? NONE;
}
