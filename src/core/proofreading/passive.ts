import type { LanguageRemark } from './language-remark.ts';

const BE =
  /(?<![\p{L}\p{M}\uE000'’-])(?:am|is|are|was|were|be|been|being|isn['’]t|aren['’]t|wasn['’]t|weren['’]t|gets?|got)\s+(?:(?:not|never|also|often|always|usually|already|still|only|being|been|\p{L}+ly)\s+){0,2}(\p{L}+)(?![\p{L}\p{M}\uE000-])/giu;

const IRREGULAR: ReadonlySet<string> = new Set(
  (
    'beaten become begun bent bet bitten blown broken brought built burnt bought caught chosen cut dealt dug done drawn driven ' +
    'eaten fed felt fought found flown forbidden forgotten forgiven frozen given ground grown hung heard hidden hit held hurt kept ' +
    'known laid led lent let lit lost made meant met paid proven put quit read ridden rung run said seen sold sent set sewn ' +
    'shaken shot shown shut sung spent split spread spoken stolen struck stuck sworn swept taken taught torn told thought ' +
    'thrown understood undone undertaken overtaken upset woken won worn woven written rewritten withdrawn withheld overseen'
  ).split(' '),
);

/** Participles that are said of a state more often than of something done: "is interested", "is used to". */
const STATES: ReadonlySet<string> = new Set(
  (
    'advanced ashamed bored committed complicated concerned confused crowded dedicated delighted detailed determined disappointed ' +
    'divorced embarrassed excited exhausted experienced fixed frightened gone interested involved limited located lost married ' +
    'mixed naked needed outdated pleased prepared qualified related relaxed retired satisfied scared skilled sophisticated ' +
    'supposed surprised talented tired unlimited unprecedented unused used varied worried wicked wretched sacred red aged bed feed ' +
    'indeed speed need seed weed shed sped exceed proceed succeed based situated set inclined accustomed allowed done interrelated'
  ).split(' '),
);

/** "Is made", "was often taken": something is done, and nobody does it. */
export function passives(masked: string): LanguageRemark[] {
  const remarks: LanguageRemark[] = [];
  for (const hit of masked.matchAll(BE)) {
    const [quote, word] = hit;
    const lower = word.toLowerCase();
    if (STATES.has(lower) || /^un\p{L}+ed$/u.test(lower)) continue;
    if (!IRREGULAR.has(lower) && !/[^e]ed$/.test(lower)) continue;
    // "Is run by" is done; "got run" is not. After "get" only what is sure.
    if (/^g[eo]t/i.test(quote) && !/\bby\b/.test(masked.slice(hit.index, hit.index + quote.length + 12)))
      continue;
    const after = /^\s+by\s+(?!hand\b|foot\b|now\b|then\b|\w+ing\b|default\b|then\b)/i.test(
      masked.slice(hit.index + quote.length),
    );
    remarks.push({
      kind: 'passive',
      start: hit.index,
      end: hit.index + quote.length,
      quote,
      says: after ? 'Say who does it first: the words after “by”.' : 'Who does it? Say so where it matters.',
      instead: [],
    });
  }
  return remarks;
}
