import type { Asked } from './questions.ts';

/** Where a line says that its question comes from: after a tab or a bar. */
const PARTS = /\t|\s+\|\s+/;
const MARKS = /^\s*(?:[-*•]|\d+[.)])\s+/;
const MOST = 2000;

/**
 * Questions of a list, a line each: `How long do they last? | a customer`. Marks of lists are taken off, what stands after
 * a tab or a bar says where the question was met, empty lines and doubles are passed over.
 */
export function readQuestionList(text: string): Asked[] {
  const met = new Set<string>();
  const out: Asked[] = [];
  for (const line of text.replace(/^\uFEFF/, '').split(/\r?\n/)) {
    const [first, ...rest] = line.replace(MARKS, '').split(PARTS);
    const question = first.replace(/\s+/g, ' ').trim();
    const key = question.toLowerCase().replace(/[\s?.!]+$/, '');
    if (!/\p{L}{2}/u.test(question) || met.has(key) || out.length >= MOST) continue;
    met.add(key);
    const where = rest.join(' ').trim();
    out.push({ text: question, place: 'own', volume: null, ...(where ? { where } : {}) });
  }
  return out;
}
