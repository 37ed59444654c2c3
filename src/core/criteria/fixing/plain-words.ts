import type { Change } from './naming.ts';

/**
 * Longer words and phrases with the plain one that says the same in every sentence; verbs with the forms that end alike, so
 * that only what fits the grammar around it is exchanged.
 */
const VERBS: [string, string][] = [
  ['utilise', 'use'],
  ['utilize', 'use'],
  ['commence', 'start'],
  ['endeavour', 'try'],
  ['endeavor', 'try'],
  ['ascertain', 'find out'],
  ['facilitate', 'ease'],
  ['necessitate', 'need'],
  ['demonstrate', 'show'],
  ['purchase', 'buy'],
  ['terminate', 'end'],
  ['accomplish', 'do'],
  ['anticipate', 'expect'],
  ['obtain', 'get'],
];
const FORMS: Record<string, [third: string, past: string, gerund: string]> = {
  use: ['uses', 'used', 'using'],
  start: ['starts', 'started', 'starting'],
  try: ['tries', 'tried', 'trying'],
  'find out': ['finds out', 'found out', 'finding out'],
  ease: ['eases', 'eased', 'easing'],
  need: ['needs', 'needed', 'needing'],
  show: ['shows', 'showed', 'showing'],
  buy: ['buys', 'bought', 'buying'],
  end: ['ends', 'ended', 'ending'],
  do: ['does', 'did', 'doing'],
  expect: ['expects', 'expected', 'expecting'],
  get: ['gets', 'got', 'getting'],
};
const PHRASES: [string, string][] = [
  ['in order to', 'to'],
  ['prior to', 'before'],
  ['subsequent to', 'after'],
  ['in the event that', 'if'],
  ['due to the fact that', 'because'],
  ['in spite of the fact that', 'although'],
  ['with regard to', 'about'],
  ['with respect to', 'about'],
  ['in addition to', 'besides'],
  ['at this point in time', 'now'],
  ['at the present time', 'now'],
  ['a large number of', 'many'],
  ['a majority of', 'most'],
  ['the majority of', 'most'],
  ['for the purpose of', 'for'],
  ['in close proximity to', 'near'],
  ['is able to', 'can'],
  ['are able to', 'can'],
  ['has the ability to', 'can'],
  ['have the ability to', 'can'],
  ['approximately', 'about'],
  ['numerous', 'many'],
  ['subsequently', 'later'],
  ['additionally', 'also'],
  ['consequently', 'so'],
  ['sufficient', 'enough'],
  ['frequently', 'often'],
  ['predominantly', 'mostly'],
];

const PLAIN = new Map<string, string>(PHRASES);
for (const [long, plain] of VERBS) {
  const stem = long.replace(/e$/, '');
  const [third, past, gerund] = FORMS[plain];
  PLAIN.set(`${stem}${long.endsWith('e') ? 'es' : 's'}`, third);
  // A participle may stand where the simple past of the other does not ("was purchased", "was demonstrated").
  if (past !== 'did' && past !== 'got' && past !== 'showed') PLAIN.set(`${stem}ed`, past);
  PLAIN.set(`${stem}ing`, gerund);
  // The bare form of these can also be a noun ("a purchase").
  if (!/^(?:purchase|endeavou?r)$/.test(long)) PLAIN.set(long, plain);
}
// "The purchasing department", "purchases" and their like are nouns as often as verbs.
for (const noun of ['purchases', 'purchasing', 'endeavours', 'endeavors', 'demonstrated']) PLAIN.delete(noun);

const ANY = new RegExp(
  `(?<![\\p{L}\\p{N}_-])(?:${[...PLAIN.keys()].sort((a, b) => b.length - a.length).join('|')})(?![\\p{L}\\p{N}_-])`,
  'giu',
);

const DETERMINED =
  /^\s+(?:the|our|your|my|his|her|its|their|this|that|these|those|us|them|it|you|which|whom)\b/i;

/** Longer words of a text with the plain ones for them, in its order. */
export function plainerWords(text: string): Change[] {
  return [...text.matchAll(ANY)].map((found) => {
    const known = PLAIN.get(found[0].toLowerCase())!;
    // "The majority of our tours" is "most of our tours", "the majority of tours" is "most tours".
    const plain =
      known === 'most' && DETERMINED.test(text.slice(found.index + found[0].length)) ? 'most of' : known;
    const first = /^\p{Lu}/u.test(found[0]) ? plain.charAt(0).toUpperCase() + plain.slice(1) : plain;
    return { start: found.index, end: found.index + found[0].length, text: first };
  });
}
