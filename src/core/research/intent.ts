import { plainWords } from '../language/index.ts';
import { INTENTS, type Intent, type Keyword, type PublisherKind } from './keyword.ts';
import { isQuestion } from './phrase-stems.ts';

/** Words that tell what somebody wants who types them. */
const WORDS: Record<Exclude<Intent, 'navigational'>, RegExp> = {
  transactional:
    /\b(?:buy|hire|rent|rental|rentals|order|booking|book|price|prices|cheap|deal|deals|discount|sale|shop|delivery|tickets?|flights?|classes|course|voucher|reserve|reservation|sign up|subscribe|hotels?)\b/,
  commercial:
    /(?:^top\b|\btop \d)|\b(?:best|review|reviews|reviewed|test|tested|vs|versus|compared?|comparison|alternatives?|which|good|recommended|recommendations?|rated|or buy|buyers? guide|for beginners? under|(?:tools?|software|apps?|platforms?|services|crm) for)\b/,
  informational:
    /\b(?:how|what|why|when|where|who|can|does|do|is|are|should|guide|tips|ideas|list|checklist|plan|planner|planning|learn|meaning|example|examples|template|chart|calculator|route|routes|map|times|repair|fix|mend|replace|checks?|average cost|cost of)\b/,
};

/** What leaves little doubt, even within a question. */
const SURE: Record<Exclude<Intent, 'navigational' | 'informational'>, RegExp> = {
  transactional:
    /\b(?:near me|nearby|for sale|second hand|used .+ for sale|coupons?|promo code|discount code|quotes?$|appointment|free shipping|free trial|download|outlet|online order|order .+ online|same day|open now|sign up)\b|\bquote\b/,
  commercial:
    /\b(?:worth it|worth the money|worth buying|should i (?:buy|get|choose)|buying guide|which .+ (?:buy|choose)|(?:most|least) (?:reliable|comfortable|durable|popular|affordable|efficient|accurate|quiet)|(?:cheap|quiet|light|strong|fast|small|safe|warm|dry|simpl|bright|comfi)est)\b|^[\p{L}\d -]+ or [\p{L}\d -]+ (?:bikes?|tyres?|lights?|bags?|tents?|cars?|phones?|laptops?|shoes)$/u,
};

/** What a page of each kind is mostly for. */
const KIND_INTENT: Record<PublisherKind, Intent> = {
  shop: 'transactional',
  maker: 'commercial',
  magazine: 'informational',
  blog: 'informational',
  institution: 'informational',
  forum: 'informational',
  community: 'informational',
};

/** What pages of an intent do, many of them and one. */
const KIND_WORDS: Record<Intent, readonly [string, string]> = {
  informational: ['explain', 'explains'],
  commercial: ['are by makers', 'is by a maker'],
  transactional: ['sell or rent', 'sells or rents'],
  navigational: ['are its own', 'is its own'],
};

export interface IntentReading {
  intent: Intent;
  /** Points of each intent, adding up to 1 (all 0 where nothing tells). */
  shares: Record<Intent, number>;
  /** What spoke for the intent chosen, in words. */
  reasons: string[];
}

/** One clear word counts as much as all of the first pages together. */
const WORD_POINTS = 1;
const PAGE_POINTS = 1;
/** What leaves little doubt outweighs a question's form. */
const SURE_POINTS = 2.5;

/** Publishers whose own name a phrase holds. */
function namedPublisher(phrase: string, found: Keyword['found']): string | null {
  const words = new Set(plainWords(phrase.toLowerCase()));
  for (const { publisher } of found?.slice(0, 10) ?? []) {
    const name = plainWords(publisher.toLowerCase()).filter((word) => word.length > 3);
    if (name.length > 0 && name.every((word) => words.has(word))) return publisher;
  }
  return null;
}

/** What somebody who types a phrase wants, read from its words and from the kinds of the ten first pages. */
export function intentOf({ phrase, found }: Pick<Keyword, 'phrase' | 'found'>): IntentReading {
  const shares: Record<Intent, number> = {
    informational: 0,
    commercial: 0,
    transactional: 0,
    navigational: 0,
  };
  const text = plainWords(phrase.toLowerCase()).join(' ');
  const reasons: Record<Intent, string[]> = {
    informational: [],
    commercial: [],
    transactional: [],
    navigational: [],
  };
  const publisher = namedPublisher(phrase, found);
  if (publisher) {
    shares.navigational += 3;
    reasons.navigational.push(`it names ${publisher}, which is found for it`);
  }
  const asked = isQuestion(phrase);
  if (asked) {
    shares.informational += 2 * WORD_POINTS;
    reasons.informational.push('it asks a question');
  }
  for (const intent of ['transactional', 'commercial'] as const) {
    const hit = SURE[intent].exec(text);
    if (!hit) continue;
    shares[intent] += SURE_POINTS;
    reasons[intent].push(`it says "${hit[0]}"`);
  }
  for (const intent of ['transactional', 'commercial', 'informational'] as const) {
    const hit = WORDS[intent].exec(text);
    // A question about buying is still a question.
    if (!hit || (asked && intent === 'informational')) continue;
    if (intent !== 'informational' && SURE[intent].test(text)) continue;
    shares[intent] += asked ? WORD_POINTS / 2 : WORD_POINTS;
    reasons[intent].push(`it says "${hit[0]}"`);
  }
  const first = found?.slice(0, 10) ?? [];
  for (const intent of INTENTS) {
    const pages = first.filter(({ kind }) => KIND_INTENT[kind] === intent).length;
    if (pages === 0) continue;
    shares[intent] += (PAGE_POINTS * pages) / first.length;
    const [many, one] = KIND_WORDS[intent];
    reasons[intent].push(
      first.length === 1
        ? `the one page found ${one}`
        : `${pages} of the first ${first.length} pages ${many}`,
    );
  }
  const sum = INTENTS.reduce((total, intent) => total + shares[intent], 0);
  if (sum === 0)
    return {
      intent: 'informational',
      shares,
      reasons: ['nothing in it tells; most phrases ask for knowledge'],
    };
  const intent = INTENTS.reduce((best, next) => (shares[next] > shares[best] ? next : best));
  for (const each of INTENTS) shares[each] /= sum;
  return { intent, shares, reasons: reasons[intent] };
}
