import type { LanguageRemark } from './language-remark.ts';

/** Words that delay a sentence; what stands for them, or nothing; and what to say. */
const OPENINGS: readonly { words: RegExp; instead: string | null; says: string }[] = [
  {
    words:
      /^(?:it is|it's|it’s) (?:important|worth|interesting|essential|necessary|useful) (?:to (?:note|remember|mention|know|understand|point out)|noting|mentioning|remembering|pointing out) that\s+/i,
    instead: '',
    says: 'Says that something will be said. Begin with it.',
  },
  {
    words:
      /^(?:(?:please )?note(?: also)?,? that|(?:it should be noted|it must be said|it goes without saying|needless to say|as (?:you (?:may|might|probably) (?:already )?know|mentioned (?:above|before|earlier)|we all know)),?(?: that)?)\s+/i,
    instead: '',
    says: 'Says that something will be said. Begin with it.',
  },
  {
    words: /^(?:please )?note,? however,? that\s+/i,
    instead: 'however, ',
    says: 'Says that something will be said. Begin with it.',
  },
  { words: /^in order to\s+/i, instead: 'to ', says: '“To” says the same.' },
  { words: /^due to the fact that\s+/i, instead: 'because ', says: '“Because” says the same.' },
  { words: /^in the event that\s+/i, instead: 'if ', says: '“If” says the same.' },
  { words: /^at this point in time,?\s+/i, instead: 'now ', says: '“Now” says the same.' },
  {
    words: /^(?:basically|actually|essentially|honestly|literally|frankly|obviously|clearly|of course),\s+/i,
    instead: '',
    says: 'Nothing is lost without it.',
  },
  {
    words:
      /^(?:at the end of the day|when all is said and done|all things considered|for all intents and purposes),\s+/i,
    instead: '',
    says: 'A worn phrase. Nothing is lost without it.',
  },
  {
    words: /^there (?:is|are|was|were) (?!no\b|nothing\b|none\b|\d)(?=[^.!?]{0,90}\b(?:that|which|who)\b)/i,
    instead: null,
    says: 'Begin with the thing itself: who or what does it?',
  },
  {
    words:
      /^(?:it (?:is|was)) (?=[^.!?,]{3,40} (?:that|who) )(?!\w+ed that|said|clear|true|possible|likely|unlikely|important|essential)/i,
    instead: null,
    says: 'Begin with who or what it is about.',
  },
];

/** Sentences that begin with words that carry nothing. */
export function weakOpenings(masked: string, starts: ReadonlySet<number>): LanguageRemark[] {
  const remarks: LanguageRemark[] = [];
  for (const start of starts) {
    const sentence = masked.slice(start, start + 200);
    for (const { words, instead, says } of OPENINGS) {
      const hit = words.exec(sentence);
      if (!hit) continue;
      const rest = sentence.slice(hit[0].length);
      // A sentence that begins with other words begins with a capital of its own.
      const taken = instead === '' ? hit[0].length + 1 : hit[0].trimEnd().length;
      const text =
        instead === null ? null : instead === '' ? rest.charAt(0).toUpperCase() : capital(instead.trim());
      if (instead === '' && !/^\p{L}/u.test(rest)) continue;
      remarks.push({
        kind: 'opening',
        start,
        end: start + taken,
        quote: masked.slice(start, start + taken),
        says,
        instead: text === null ? [] : [text],
      });
      break;
    }
  }
  return remarks;
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
