import { tellingStems } from '../../language/index.ts';

/** A sentence that can be chosen, and whose it is. */
export interface CandidateSentence {
  text: string;
  /** Sentences of one owner (a page) are not counted as agreeing with each other. */
  owner: string;
}

/** Sentences that lean on one before them, or on a picture beside them, say nothing by themselves. */
const LEANS =
  /^(?:it|its|this|that|these|those|they|them|their|he|she|his|her|but|and|so|then|also|however|therefore|instead|otherwise|such|both|here|there|the (?:former|latter)|the (?:same|other|second|third|last)(?= (?:is|was|are|one)\b|[,.])|another|one of (?:them|these)|as (?:above|mentioned|shown)|for (?:example|instance)|in (?:addition|this|that|other words)|if (?:so|not)|see|note|click|read|again|next|finally|second|third|yes|no|or)\b/i;
/** Points elsewhere, or back, wherever it stands. */
const POINTS =
  /\b(?:above|below|see (?:our|the|also|[\w-]+\(\d)|the (?:picture|photo|table|chart|list) (?:above|below|shows)|click|subscribe|newsletter|cookies?|as I said|so far)\b/i;
const SHORTEST = 7;
const LONGEST = 34;

/** Whether a sentence can stand alone, out of its text. */
export function standsAlone(sentence: string): boolean {
  const text = sentence.trim();
  if (!/^["“'‘(]?[\p{Lu}\d]/u.test(text) || !/[.!]["”'’)]?$/.test(text)) return false;
  // Code and markup are no sentences.
  if ((text.match(/[\\{}<>$=|^~#`]/g)?.length ?? 0) > 2 || text.startsWith('(')) return false;
  // Half of what somebody said is no quotation.
  if ((text.match(/["“”]/g)?.length ?? 0) % 2 === 1) return false;
  const words = text.split(/\s+/).length;
  return words >= SHORTEST && words <= LONGEST && !LEANS.test(text) && !POINTS.test(text);
}

/** Two sentences that share so much say the same. */
const SAME = 0.6;
/** How much the words of the subject count beside agreement with the other sentences. */
const SUBJECT = 0.5;

/**
 * The sentences that are most central to a subject: those that agree with most sentences of other owners (degree in the graph of
 * likeness, after G. Erkan and D. Radev, "LexRank", JAIR 22, 2004), and that hold most of the subject's words. Only sentences that
 * stand alone; at most two of an owner; none that says what one before it says. `subject` gives stems their weights.
 */
export function centralSentences(
  candidates: readonly CandidateSentence[],
  subject: ReadonlyMap<string, number>,
  most: number,
): CandidateSentence[] {
  const usable = candidates
    .filter(({ text }) => standsAlone(text))
    .map((one) => ({ ...one, stems: tellingStems(one.text) }))
    .filter(({ stems }) => stems.size >= 3);
  const holders = new Map<string, number>();
  for (const { stems } of usable) for (const each of stems) holders.set(each, (holders.get(each) ?? 0) + 1);
  const rarity = (each: string) => Math.log(1 + usable.length / (holders.get(each) ?? 1));
  const lengths = usable.map(({ stems }) => Math.sqrt(sum([...stems].map((each) => rarity(each) ** 2))));
  const total = sum([...subject.values()]) || 1;
  const likeness = (a: number, b: number) => {
    let shared = 0;
    for (const each of usable[a].stems) if (usable[b].stems.has(each)) shared += rarity(each) ** 2;
    return shared / (lengths[a] * lengths[b] || 1);
  };
  const rated = usable.map((one, at) => {
    let degree = 0;
    for (let other = 0; other < usable.length; other++)
      if (usable[other].owner !== one.owner) degree += likeness(at, other);
    let about = 0;
    for (const each of one.stems) about += subject.get(each) ?? 0;
    return { at, degree, about: about / total };
  });
  const highest = Math.max(...rated.map(({ degree }) => degree), 1e-9);
  rated.sort(
    (a, b) =>
      (1 - SUBJECT) * (b.degree / highest - a.degree / highest) + SUBJECT * (b.about - a.about) ||
      (usable[a.at].text < usable[b.at].text ? -1 : 1),
  );
  const chosen: number[] = [];
  const byOwner = new Map<string, number>();
  for (const { at, about } of rated) {
    if (chosen.length === most) break;
    if (subject.size > 0 && about === 0) continue;
    const { owner, stems } = usable[at];
    if ((byOwner.get(owner) ?? 0) >= 2) continue;
    const isSaid = chosen.some((other) => {
      let both = 0;
      for (const each of stems) if (usable[other].stems.has(each)) both += 1;
      return both / Math.min(stems.size, usable[other].stems.size) >= SAME;
    });
    if (isSaid) continue;
    chosen.push(at);
    byOwner.set(owner, (byOwner.get(owner) ?? 0) + 1);
  }
  return chosen.map((at) => ({ text: usable[at].text, owner: usable[at].owner }));
}

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0);

/** Weights of the stems of a phrase, each the same. */
export const subjectOfPhrase = (phrase: string): Map<string, number> =>
  new Map([...tellingStems(phrase)].map((each) => [each, 1]));
