import { isDeterminer, isLikelyVerb, partOfSpeech, plainWords } from '../../language/index.ts';
import type { AgeingWords, AnswerWords, ClaimWords, StockWords, StyleWords, Wording } from './wording.ts';

const words = (list: string): ReadonlySet<string> => new Set(list.split(' '));

/** Digits of a figure, few enough that a page of digits is not gone through from each of them. */
const DIGITS = '\\d{1,12}';

const ORDERS = words(
  'bring take use keep allow leave carry drink eat cut set plan add buy choose check put give make save expect pay try start stop turn ask wait let get go book pack pick',
);

const claims: ClaimWords = {
  mayBe:
    /[%$£€¥]|\dx\b|per ?cent|dollar|pound|euro|pence|cents|half|third|quarter|twice|thrice|times|out of| in (?:every|\d|one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|a hundred)|(?:19|20)\d\d/i,
  figure: new RegExp(
    [
      // "100% free" is a way of speaking, "0x%08" is code.
      '(?:\\d|\\b(?:two|three|four|five|six|seven|eight|nine|ten|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety))\\s?(?:%(?![\\w])|per ?cent\\b)(?<!\\b100\\s?(?:%|per ?cent)(?! of\\b))',
      `\\b(?:${DIGITS}|one|two|three|four|five|six|seven|eight|nine|ten) (?:out of|in) (?:every )?(?:${DIGITS}|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|a hundred)\\b(?! (?:years?|months?|weeks?|days?|hours?|minutes?|seconds?|summers?|winters?|seasons?)\\b)`,
      '\\b(?:half|a third|a quarter|two thirds|three quarters) of (?:all|our|those|these|riders|people|readers|the (?:\\p{L}+ ){0,2}\\p{L}+[^s\\P{L}]s)\\b',
      `\\b(?:twice|thrice|(?:two|three|four|five|six|seven|eight|nine|ten|${DIGITS}) times) (?:as|more|less|the|faster|slower|longer|higher|lower)\\b`,
      '\\b[1-9]\\d{0,11}x\\b',
    ].join('|'),
    'iu',
  ),
  money: /[$£€¥]\s?\d|\b\d[\d.,]{0,20}\s?(?:dollars?|pounds?|euros?|pence|cents)\b/i,
  ownVoice: /\b(?:we|us|our|ours|my)\b/i,
  ownCount:
    /\b(?:we|I) (?:have |had |ever |once )?(?:saw|see|seen|count(?:ed)?|measure[d]?|weigh(?:ed)?|s[eo]ld?|rent(?:ed)?(?: out)?|mend(?:ed)?|repair(?:ed)?|ask(?:ed)?|test(?:ed)?|timed?|log(?:ged)?|survey(?:ed)?|interview(?:ed)?|track(?:ed)?|record(?:ed)?|found)\b|\b(?:in|at|of|among|from|to) (?:our|my) (?:own |last |first |small )?(?:workshop|shop|store|yard|office|kitchen|garden|team|practice|customers?|clients?|guests?|readers?|users?|members?|students?|patients?|survey|records?|books|counts?|tests?|data|figures|experience)\b/i,
  setting:
    /\b(?:defaults?|set|scale[ds]?|reduced?|enlarged?|zoom(?:ed)?(?: in| out)?|opacity|brightness|contrast) (?:to|at|by|of) \d[\d.,]{0,9}\s?(?:%|per ?cent)/i,
  dated: /\b(?:in|since|by|until|from|between) (?:19|20)\d\d\b/gi,
  counted:
    /(?<![\p{L}\d][\d.,/-]{0,3})(?<!\p{Lu}[\p{L}.]{0,20} )(?!(?:19|20)\d\d\b)\d{1,3}(?:,\d{3}|\d){0,9}(?![\d.,]*\d)(?! ?(?:am|pm|o['’]clock)\b)(?! (?:of )?(?:January|February|March|April|May|June|July|August|September|October|November|December)\b)(?= \p{L})/u,
  goesOn: /^(?:it|they|this|that|these|those|he|she|its|their|the same)\b/i,
  isAdvice(sentence) {
    const [first, second] = plainWords(sentence.slice(0, 40));
    if (first === undefined) return false;
    return (
      ((ORDERS.has(first) || partOfSpeech(first) === 'v') && second !== undefined) ||
      /^(?:never|always|do not|don['’]t|please) \p{L}/iu.test(sentence)
    );
  },
};

const ageing: AgeingWords = {
  words:
    /\b(?:recently|lately|nowadays|at the moment|these days|this (?:year|month|week)|last (?:year|month|week)|next (?:year|month|week)|as of (?:now|today)|the coming (?:weeks|months|year))\b/gi,
  hints: words('recently lately nowadays moment days year month week now today weeks months'),
  dated: /\b(?:in|since|as of|by|until) ((?:19|20)\d\d)\b/gi,
};

const stock: StockWords = {
  openers: [
    'it is important to note that ',
    "it's important to note that ",
    'it is worth noting that ',
    "it's worth noting that ",
    'it is worth mentioning that ',
    'it should be noted that ',
    'it goes without saying that ',
    'it is no secret that ',
    "it's no secret that ",
    'the fact of the matter is that ',
    'the truth is that ',
    'needless to say, ',
    'as we all know, ',
    'as you may know, ',
    'at the end of the day, ',
    'when all is said and done, ',
    'last but not least, ',
    'first and foremost, ',
    'in conclusion, ',
    'all things considered, ',
    'in a nutshell, ',
  ],
  fillers: [
    "in today's world",
    "in today's fast-paced",
    "in today's digital",
    'in this day and age',
    'in the ever-changing',
    'in the ever-evolving',
    'ever-evolving landscape',
    'in the world of today',
    'since the dawn of time',
    'without further ado',
    'look no further',
    "let's dive in",
    'let us dive in',
    "let's take a closer look",
    'dive deep into',
    'take it to the next level',
    'to the next level',
    'a game changer',
    'a game-changer',
    'the possibilities are endless',
    'the sky is the limit',
    'only time will tell',
    'think outside the box',
    'one-stop shop',
    'your needs and preferences',
    'a testament to',
    'unlock the full potential',
    'unlock the power of',
    'harness the power of',
    'plays a crucial role',
    'plays a vital role',
    'play a crucial role',
    'play a vital role',
    'whether you are a beginner or',
    "whether you're a beginner or",
    'in this article, we will',
    "in this article, we'll",
    'in this blog post, we will',
    "in this blog post, we'll",
    'in this post, we will explore',
    'has become increasingly important',
    'have become increasingly important',
    'when it comes to',
    'at this point in time',
  ],
  rare: words(
    "note noting mentioning noted goes secret fact truth needless know day done least foremost conclusion considered nutshell today's " +
      'age changing evolving today dawn ado further dive closer deep level changer endless sky tell outside shop preferences testament unlock ' +
      'harness crucial vital beginner article blog explore increasingly comes point',
  ),
};

/** Sentences in which the verb comes first and what it is to be done with second: "Roll the tent", "Shake it". */
function ordersSomething(said: string): boolean {
  const [first, second] = plainWords(said.slice(0, 60));
  const part = first === undefined ? undefined : partOfSpeech(first);
  return (
    (part === 'v' || part === 'm') &&
    second !== undefined &&
    (isDeterminer(second) || /^(?:it|them|both)$/.test(second))
  );
}

const ORDER =
  /^(?:first|then|next|now|and|so|before you|after that|finally|always|never|do not|don['’]t)?,?\s*(?:bring|take|use|keep|turn|open|close|push|pull|put|set|cut|check|look|write|read|choose|pick|pack|begin|start|stop|go|add|mix|remove|lift|hold|make|let|leave|find|press|click|select|type|run|call|ask|buy|book|wait|lay|place|wash|dry|clean|cross|ride|give|say|test|measure|plan|count|think|ignore|avoid|try)\b/i;

const answers: AnswerWords = {
  forms: [
    [/^(?:rent|buy|hire|book|order)\b|\b(?:cost|costs|price|prices|fee|fees|rental|hire)\b/, 'price'],
    [
      /^(?:how (?:much|many|long|often|far|old|big|deep|fast|heavy)\b)|\b(?:pressure|temperature|size|sizes|dosage|limit|rate|rates)\b/,
      'number',
    ],
    [
      /^how (?:to|do|can|does)\b|^(?:fix|make|build|choose|clean|repair|change|install|set up|write|cook|bake|grow)\b|\b(?:tutorial|instructions|checklist|packing list|recipe|steps)\b/,
      'steps',
    ],
    [/^(?:best|top|which)\b|\b(?:vs|versus|or|compared|comparison|alternatives?|reviews?)\b/, 'comparison'],
    [/^(?:what|who) (?:is|are)\b|\b(?:meaning|definition)\b/, 'definition'],
  ],
  linking:
    /\b(?:is|are|means|was|were|has|have|needs?|takes?|works?|begins?|starts?|comes?|goes|can|should|must|will|costs?|lasts?|keeps?|helps?|depends?|shows?|tells?|gives?|do|does|makes?|provides?|allows?|lets?|brings?|offers?|contains?|holds?|includes?|requires?|uses?)\b/i,
  price:
    /[$£€¥]\s?\d|\d\s?(?:dollars?|pounds?|euros?|pence|cents)\b|\b(?:free of charge|for free|costs nothing)\b/i,
  number:
    /\d|\b(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|sixty|hundred|thousand|half|quarter)\b/i,
  comparing:
    /\b(?:\p{L}+er than|more \p{L}+ than|less \p{L}+ than|better|best|worse|cheaper|instead of|rather than|compared|whereas|while|unlike|choose|recommend|prefer|first choice|depends on)\b/iu,
  showing: /^(?:so |and |but )?(?:here (?:is|are|comes?|follows?)|these are)\b/i,
  isOrder: (said) => ORDER.test(said) || ordersSomething(said),
  isVerb: isLikelyVerb,
};

const PAST = words(
  'was were had did went came said got took made knew thought found gave told felt became left put kept began brought wrote sat ' +
    'stood lost paid met ran sent fell rode bought held led read grew drew broke spent cut rose drove built lay',
);
/** Words in -ed that are no past form. */
const NO_PAST = words('need feed speed bed weed seed indeed exceed proceed embed shed sled wed red');

const style: StyleWords = {
  openers: words(
    'it its this that these those they them their he him his she her hers but so and or nor yet still then there here both such ' +
      'another others other however therefore instead otherwise one ones neither either also too even only again thus meanwhile ' +
      'besides afterwards after once now most some any many all none few each above beyond which whoever whatever whichever',
  ),
  pointing: words(
    'it its this that these those they them their theirs he him his she her hers one ones both such',
  ),
  persons: [
    words('you your yourself yours'),
    words('we our us ours'),
    words('i my me mine'),
    words('she her hers'),
    words('he him his'),
    words('they them their'),
    words('it its'),
  ],
  modals: words('will would can could may might should must'),
  negations: words("not no never nothing nobody don't doesn't"),
  conditions: words('if when'),
  isPast: (form) => PAST.has(form) || (form.length > 3 && form.endsWith('ed') && !NO_PAST.has(form)),
  articles: words('the a an our your my'),
  prepositions: words('in on at after before with for from to of by'),
  beginsAs(form) {
    const part = partOfSpeech(form);
    if (part === 'v' || part === 'm') return 'order';
    return part === 'n' || part === undefined ? 'noun' : null;
  },
};

/** How English says what the criteria look for. */
export const english: Wording = { claims, ageing, stock, answers, style };
