import { plainerWords, splitOf } from '../../criteria/index.ts';
import { centralSentences, subjectOfPhrase } from '../known/index.ts';
import { type ComposeOrder, fieldValue } from '../patterns/index.ts';
import { sentencesIn } from '../sentences.ts';
import type { Composed } from './composed.ts';
import { words } from './wording.ts';

const paragraphsOf = (text: string) =>
  text
    .split(/\n+/)
    .map((part) => part.trim())
    .filter(Boolean);

/** Share of its words that a text keeps where no length is wished for. */
const SHORTER = 0.6;
/** A sentence with a figure, a name or a quotation says something that would be lost. */
const HOLDS_FACT = /\d|["“”]|(?<!^)(?<![.!?]["”’)]?\s)\b\p{Lu}\p{Ll}+/u;

/** The sentences of a passage that say most of it, in its order. */
export function composeShorter({ known, words: wished }: ComposeOrder): Composed {
  const { selection } = known;
  const all = paragraphsOf(selection).flatMap((text, paragraph) =>
    sentencesIn(text).map((sentence) => ({ sentence, paragraph })),
  );
  const target = wished ?? Math.ceil(words(selection) * SHORTER);
  const subject = subjectOfPhrase(selection);
  const rank = new Map(
    centralSentences(
      all.map(({ sentence }, at) => ({ text: sentence, owner: String(at) })),
      subject,
      all.length,
    ).map(({ text }, at) => [text, at]),
  );
  const order = all
    .map((one, at) => ({
      ...one,
      at,
      rate: (rank.get(one.sentence) ?? all.length) - (HOLDS_FACT.test(one.sentence) ? all.length / 2 : 0),
    }))
    .sort((a, b) => a.rate - b.rate || a.at - b.at);
  const kept = new Set<number>();
  let sum = 0;
  for (const { sentence, at } of order) {
    if (kept.size > 0 && sum + words(sentence) > target) continue;
    kept.add(at);
    sum += words(sentence);
  }
  const out: string[] = [];
  let last = -1;
  all.forEach(({ sentence, paragraph }, at) => {
    if (!kept.has(at)) return;
    if (paragraph === last) out[out.length - 1] += ` ${sentence}`;
    else out.push(sentence);
    last = paragraph;
  });
  const left = all.length - kept.size;
  return {
    text: out.join('\n\n'),
    note:
      left > 0
        ? `${left} of ${all.length} sentences left out; those that stay are as they were. Read whether they still follow.`
        : 'Nothing could be left out: each sentence says something of its own.',
  };
}

/** Applies changes to a text from its end on. */
function changed(text: string, changes: readonly { start: number; end: number; text: string }[]): string {
  let out = text;
  for (const change of [...changes].sort((a, b) => b.start - a.start))
    out = out.slice(0, change.start) + change.text + out.slice(change.end);
  return out;
}

/** Sentences of more words are split where they can be. */
const LONG_SENTENCE = 24;

/** Plainer words, and long sentences in two. */
export function composePlainer({ known }: ComposeOrder): Composed {
  let exchanged = 0;
  let split = 0;
  const text = paragraphsOf(known.selection)
    .map((paragraph) =>
      sentencesIn(paragraph)
        .map((sentence) => {
          const plain = plainerWords(sentence);
          exchanged += plain.length;
          const said = changed(sentence, plain);
          const parted = words(said) > LONG_SENTENCE ? splitOf(said) : null;
          if (parted) split += 1;
          return parted ? changed(said, [parted]) : said;
        })
        .join(' '),
    )
    .join('\n\n');
  return {
    text,
    note:
      exchanged + split === 0
        ? 'No word here has a plainer one that always means the same, and no sentence can be split by rule.'
        : `${[
            exchanged > 0
              ? `${exchanged} ${exchanged === 1 ? 'word' : 'words'} exchanged for plainer ones`
              : '',
            split > 0 ? `${split} ${split === 1 ? 'sentence' : 'sentences'} split` : '',
          ]
            .filter(Boolean)
            .join(', ')}.`,
  };
}

const CONTRACTED: readonly (readonly [RegExp, string])[] = [
  [/\b(it|that|there|what|who|here) is\b/gi, "$1's"],
  [/\b(you|we|they) are\b/gi, "$1're"],
  [/\bI am\b/g, "I'm"],
  [
    /\b(I|you|we|they) have\b(?= (?:been|had|made|seen|done|got|come|gone|found|ever|never|already|\w+ed)\b)/gi,
    "$1've",
  ],
  [/\b(I|you|we|they|it|he|she) will\b/gi, "$1'll"],
  [/\b(do|does|did|is|are|was|were|have|has|had|could|should|would) not\b/gi, "$1n't"],
  [/\bcannot\b/gi, "can't"],
  [/\bwill not\b/gi, "won't"],
];
const IN_FULL: readonly (readonly [RegExp, string])[] = [
  [/\bcan['’]t\b/g, 'cannot'],
  [/\bCan['’]t\b/g, 'Cannot'],
  [/\bwon['’]t\b/gi, 'will not'],
  [/\bn['’]t\b|(?<=\w)n['’]t\b/g, ' not'],
  [/\b(it|that|there|what|who|here|he|she)['’]s\b(?! (?:own|been|got)\b)/gi, '$1 is'],
  [/\blet['’]s\b/g, 'let us'],
  [/\bLet['’]s\b/g, 'Let us'],
  [/['’]re\b/g, ' are'],
  [/['’]ve\b/g, ' have'],
  [/['’]ll\b/g, ' will'],
  [/\bI['’]m\b/g, 'I am'],
];
const EMPHASIS = /\b(?:really|very|extremely|incredibly|absolutely|totally|literally|simply) (?=\p{Ll})/gu;
const FORMAL = /\b(?:formal|serious|neutral|professional|matter-of-fact|academic)\b/i;
const RELAXED = /\b(?:friendly|casual|informal|playful|chatty|conversational|relaxed|warm|encouraging)\b/i;
const QUIET = /\b(?:calm|matter-of-fact|sober|neutral|serious|formal|professional)\b/i;

/** Another tone, as far as rules reach: short forms or full ones, emphasis and exclamation marks. */
export function composeTone({ known, values }: ComposeOrder): Composed {
  const tone = fieldValue(values, 'tone');
  const wished = tone.replace(/\binformal\b/gi, 'casual');
  let text = paragraphsOf(known.selection).join('\n\n');
  const done: string[] = [];
  const swap = (pairs: readonly (readonly [RegExp, string])[], what: string) => {
    const before = text;
    for (const [pattern, instead] of pairs) text = text.replace(pattern, instead);
    if (text !== before) done.push(what);
  };
  if (FORMAL.test(wished)) swap(IN_FULL, 'words are written in full');
  else if (RELAXED.test(wished)) swap(CONTRACTED, 'words are said short');
  if (QUIET.test(wished)) {
    swap([[EMPHASIS, '']], 'emphasis is out');
    swap([[/!+(?=["'”’)\s]|$)/g, '.']], 'exclamation marks are out');
  }
  return {
    text,
    note:
      done.length > 0
        ? `By rule: ${done.join(', ')}. The words themselves are yours to change.`
        : `The stand-in has no rule that makes this ${tone || 'another tone'}: it stands as it was.`,
  };
}
