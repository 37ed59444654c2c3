import { asHeading, isMostlyVerb } from '../language/index.ts';
import { isQuestion } from './phrase-stems.ts';

/** A working title, and what the post would tell. */
export interface WorkingTitle {
  title: string;
  /** Clauses of what it would tell beside the title: "what they cost". Empty: the phrases do not say. */
  tells: string[];
}

/** What phrases of a group ask beside their subject: by which words, and in which clause (`it`: the subject again). */
const ASPECTS: readonly (readonly [RegExp, (it: string, plural: boolean) => string])[] = [
  [
    /\b(?:how much|costs?|prices?|budget|cheap|expensive|affordable|fees?|rates?)\b/,
    (_, many) => (many ? 'what they cost' : 'what it costs'),
  ],
  [
    /\bhow long (?:does|do) (?:it|they|.+) take\b|\bduration\b/,
    (_, many) => (many ? 'how long they take' : 'how long it takes'),
  ],
  [
    /\b(?:how long|last|lifespan|when (?:to|should i) replace|replace|replacement|wear)\b/,
    (_, many) => (many ? 'how long they last' : 'how long it lasts'),
  ],
  [/\b(?:what size|which size|sizes?|litres?|liters?|width|dimensions?)\b/, () => 'which size'],
  [/\b(?:fix|mend|repair|patch|broken|hole)\b/, (it) => `how to mend ${it}`],
  [
    /\b(?:clean|wash|cleaning|washing|care|maintain|maintenance|store|storage)\b/,
    (it) => `how to look after ${it}`,
  ],
  [/\b(?:attach|mount|install|set up|setup|fitting)\b/, (it) => `how to put ${it} on`],
  [/\b(?:check|measure|test|gauge)\b/, (it) => `how to check ${it}`],
  [/\b(?:how many|how much .* need|ratio|dose|amount)\b/, () => 'how much of it'],
  [/\b(?:best|top|good|recommended|reviews?|buying guide|choose|choosing|which)\b/, () => 'how to choose'],
  [/\b(?:used|second hand|buy|buying|for sale)\b/, () => 'what to look at before you buy'],
  [/\b(?:rent|rental|hire|lease)\b/, () => 'what to ask before you rent'],
  [/\b(?:legal|allowed|permit|permission|rules?|law)\b/, () => 'what is allowed'],
  [
    /\b(?:safe|safety|danger|dangerous|risks?)\b/,
    (_, many) => (many ? 'whether they are safe' : 'whether it is safe'),
  ],
  [
    /\b(?:heavy|weight|weigh|light|lightweight|ultralight)\b/,
    (_, many) => (many ? 'what they weigh' : 'what it weighs'),
  ],
  [/\b(?:how far|distance|miles|kilomet(?:re|er)s?|km)\b/, () => 'how far'],
  [/\b(?:plan|planning|planner|prepare|itinerary|book(?:ing)? ahead)\b/, () => 'how to plan for it'],
  [
    /\b(?:vs|versus|compared|comparison|difference|alternatives?)\b/,
    (_, many) => (many ? 'how they compare' : 'how it compares'),
  ],
  [
    /\b(?:what to (?:pack|wear|bring|take)|checklist|packing|tools?|equipment|gear|what do i need)\b/,
    () => 'what you need',
  ],
  [/\b(?:where|near me|nearby|places?)\b/, (_, many) => (many ? 'where to find them' : 'where to find it')],
  [/\b(?:examples?|templates?|samples?|ideas?)\b/, () => 'examples to start from'],
  [/\b(?:winter|cold|snow)\b/, () => 'what changes in winter'],
  [/\b(?:rain|wet)\b/, () => 'what changes in the rain'],
  [/\b(?:kids?|child|children|family|families|toddlers?|bab(?:y|ies))\b/, () => 'what changes with children'],
  [/\b(?:beginners?|first|starter|start|starting)\b/, () => 'how to begin'],
];
/** Aspects in a title; a line takes more. */
const IN_TITLE = 2;
const IN_LINE = 4;

/** What is wrong somewhere: causes and remedies are what is wanted. */
const TROUBLE =
  /\b(?:squeak\w*|creak\w*|leak\w*|noise|noisy|broken|loose|stuck|slow|sore|pain\w*|not working|won'?t|can'?t|error|problems?|rust\w*|mould|smell\w*|itch\w*|crack\w*|bites?)\b/;
const KINDS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:checklist|packing list|kit list|list)\b/, ', item by item'],
  [/\b(?:vs|versus)\b|\bor\b/, ': how to decide'],
  [/\b(?:chart|calculator|table)\b/, ', and how to read it'],
  [/\b(?:costs?|prices?|fees?)$/, ': what you pay, and for what'],
  [/\b(?:recipe|template|examples?)\b/, ' to start from'],
];
/** What stands in a phrase for where it is asked, or to ask for the best of it. */
const AROUND = /^(?:the )?(?:best|top \d+|top|good) | (?:near me|nearby|online|free|\d{4})$/g;

/** Whether a noun stands for several: "panniers", not "canvas". */
const isPlural = (noun: string) => /(?:[^su]s|children|people|men|women|feet|teeth|clothes)$/.test(noun);

/** The noun that a phrase is about: the last word before "for", "in" and their like. */
function nounOf(phrase: string): string {
  const [before] = phrase.split(
    / (?:for|in|on|with|without|of|to|at|from|by|near|under|before|after|without|that|when|while|vs|or) /,
  );
  return before.trim().split(/\s+/).at(-1) ?? '';
}

const listed = (parts: readonly string[]) =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** What the phrases of a group ask beside their head, most of them first. */
function aspectsOf(head: string, others: readonly string[]): string[] {
  const many = isPlural(nounOf(head));
  const it = many ? 'them' : 'it';
  const votes = new Map<number, number>();
  for (const phrase of others) {
    const at = ASPECTS.findIndex(([cue]) => cue.test(phrase.toLowerCase()));
    if (at >= 0 && !ASPECTS[at][0].test(head)) votes.set(at, (votes.get(at) ?? 0) + 1);
  }
  return [...votes].sort((a, b) => b[1] - a[1] || a[0] - b[0]).map(([at]) => ASPECTS[at][1](it, many));
}

/** Words that tell to do something where what it is done to follows, though they name things as well. */
const ORDERS = new Set(
  'rent hire buy fix mend repair clean plan pack choose learn make build start train book carry store change replace check find set wash'.split(
    ' ',
  ),
);

/** Whether a phrase tells to do something: "plan a bike tour", "clean panniers". */
function isOrder(phrase: string): boolean {
  const [first, second = ''] = phrase.split(' ');
  if (first.endsWith('ing')) return false;
  if (/^(?:a|an|the|your|my)$/.test(second)) return true;
  // "Roll top panniers" are no order, though one can roll.
  return ORDERS.has(first)
    ? second !== '' && isPlural(nounOf(phrase))
    : second === 'to' && isMostlyVerb(first);
}

/** A question as a title: "How to fix a flat", "Are panniers waterproof?". */
function asked(question: string): string {
  const bare = question.trim().replace(/\?+$/, '').replace(/\bi\b/g, 'I');
  return /^(?:how|what|when|where|which \w+) to\b/i.test(bare) ? asHeading(bare) : `${asHeading(bare)}?`;
}

/**
 * A working title as somebody would write it over a post for a group of phrases (English), and what that post would tell:
 * the head as a question or an order, or as a subject with what the other phrases ask about it.
 *
 * @example
 * workingTitle('waterproof panniers', ['waterproof panniers cost', 'mend waterproof panniers'])
 * // { title: 'Waterproof panniers: what they cost and how to mend them', tells: [] }
 */
export function workingTitle(head: string, others: readonly string[]): WorkingTitle {
  const phrase = head.toLowerCase().replace(/\s+/g, ' ').trim();
  const tells = aspectsOf(phrase, others).slice(0, IN_LINE);
  if (isQuestion(phrase)) return { title: asked(phrase), tells };
  if (isOrder(phrase)) return { title: asHeading(`how to ${phrase}`), tells };
  const best = /^(?:the )?(?:best|top)\b/.test(phrase);
  const bare = phrase.replace(AROUND, '').trim() || phrase;
  const subject = asHeading(bare);
  const own = best && !tells.includes('how to choose') ? ['how to choose', ...tells] : tells;
  const kind = KINDS.find(([cue]) => cue.test(bare));
  if (kind) return { title: `${subject}${kind[1]}`, tells: own };
  if (TROUBLE.test(bare)) return { title: `${subject}: causes and what to do`, tells: own };
  if (own.length > 0)
    return {
      title: `${subject}: ${listed(own.slice(0, IN_TITLE))}`,
      // A line that only says the title again says nothing.
      tells: own.length > IN_TITLE ? own : [],
    };
  const question = others.find((other) => isQuestion(other));
  if (question) return { title: asked(question), tells };
  return { title: `${subject}: a short guide`, tells };
}

/** What a post would tell, as a sentence: the clauses, or the phrases that it would answer; empty: nothing beside its title. */
export function tellingLine(tells: readonly string[], phrases: readonly string[]): string {
  if (tells.length > 0) return `Would tell ${listed(tells)}.`;
  // A phrase alone stands beside the line already.
  if (phrases.length < 2) return '';
  const named = phrases.slice(0, 2).map((phrase) => `"${phrase}"`);
  return `Would answer ${listed(named)}.`;
}
