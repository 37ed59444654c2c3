import type { Block, PostDocument } from '../../draft/index.ts';
import { asHeading, fold, isFunctionWord } from '../../language/index.ts';
import { titleLikeness } from './title-likeness.ts';

/** A title that could be taken, and what it was made of. */
export interface TitleCandidate {
  text: string;
  from: string;
}

/** Candidates that are made at most. */
const MOST = 5;
/** Words of a heading that can stand in a list of three. */
const SHORT = 4;

const wordsOf = (text: string): string[] => text.match(/[\p{L}\p{N}'’-]+/gu) ?? [];
const isQuestion = (text: string): boolean => text.trim().endsWith('?');

/** Items of the longest ordered list; 0: there is none. */
function mostSteps(blocks: readonly Block[]): number {
  const items = new Map<string, Set<string>>();
  for (const { path } of blocks)
    for (const [at, part] of path.entries()) {
      const item = path[at + 1];
      if (part.type === 'list' && part.ordered && item?.type === 'item')
        (items.get(part.key) ?? items.set(part.key, new Set()).get(part.key)!).add(item.key);
    }
  return Math.max(0, ...[...items.values()].map((keys) => keys.size));
}

/** A text that begins in lower case where its first word is no name: it has none of its capitals elsewhere. */
function within(text: string): string {
  const [first = ''] = wordsOf(text);
  return /^\p{Lu}\p{Ll}+$/u.test(first) || first === 'A'
    ? text.charAt(0).toLowerCase() + text.slice(1)
    : text;
}

/** The title with the keyword in front and the rest behind it; null where that says nothing, or it stands there already. */
function keywordFirst(title: string, keyword: string): string | null {
  const at = title.toLowerCase().indexOf(keyword.toLowerCase());
  if (at < 1) return null;
  const before = title.slice(0, at).replace(/[\s:,–—-]+$/, '');
  const after = title.slice(at + keyword.length).replace(/^[\s:,–—-]+/, '');
  const rest = after || before;
  const words = wordsOf(rest);
  const last = words.at(-1)?.toLowerCase() ?? '';
  // "How to fix a": what is left of a sentence without its object.
  if (words.length < 2 || isFunctionWord(last) || (after && before && wordsOf(before).length > 1))
    return null;
  // "... for a first trip" goes on from the keyword by itself.
  const joint = isFunctionWord(words[0].toLowerCase()) && after ? ' ' : ': ';
  return `${asHeading(keyword)}${joint}${within(rest)}`;
}

/** Headings as a list of three, where enough are short and do not say the keyword again. */
function outOfHeadings(headings: readonly string[], keyword: string): string | null {
  const told = new Set(wordsOf(fold(keyword)));
  const short = headings
    .map((heading) => heading.replace(/[\s.:!]+$/, ''))
    .filter((heading) => {
      const words = wordsOf(heading);
      return (
        words.length > 0 &&
        words.length <= SHORT &&
        !isQuestion(heading) &&
        !/[,:;–—]|\band\b/i.test(heading) &&
        !words.some((word) => told.has(fold(word))) &&
        !/^(?:introduction|conclusion|summary|faqs?|questions|in short|final|before|after)\b/i.test(heading)
      );
    })
    .slice(0, 3)
    .map(within);
  if (short.length < 2) return null;
  return `${asHeading(keyword)}: ${short.slice(0, -1).join(', ')} and ${short.at(-1)}`;
}

/**
 * Two to five titles for a post, made of what it says: its keyword, its steps, the questions it answers, its headings. None is the
 * title or meta title that it has. Fewer where the post holds little; none without a keyword.
 */
export function titleCandidates({ fields, draft }: PostDocument): TitleCandidate[] {
  const keyword = fields.keyword.trim();
  if (!keyword) return [];
  const headings = draft.blocks
    .filter(({ kind, level }) => kind === 'heading' && (level === 2 || level === 3))
    .map(({ text }) => text.trim())
    .filter(Boolean);
  const questions = [...headings.filter(isQuestion), ...fields.questions.filter(isQuestion)];
  const [asked] = questions
    .map((text) => ({ text, likeness: titleLikeness(text, keyword) }))
    .filter(({ likeness }) => likeness >= 0.5)
    .sort((a, b) => b.likeness - a.likeness || (a.text < b.text ? -1 : 1));
  const steps = mostSteps(draft.blocks);
  const made: (TitleCandidate | null)[] = [
    candidate(keywordFirst(fields.title, keyword), 'its title, the keyword first'),
    candidate(outOfHeadings(headings, keyword), 'its headings'),
    steps >= 3
      ? { text: `${asHeading(keyword)} in ${steps} steps`, from: `its list of ${steps} steps` }
      : null,
    questions.length >= 3
      ? {
          text: `${asHeading(keyword)}: ${questions.length} questions answered`,
          from: 'the questions it answers',
        }
      : null,
    asked ? { text: asked.text, from: 'a question it answers' } : null,
    candidate(
      `${asHeading(keyword)}: ${within(fields.title)}`,
      'keyword and title',
      !fields.title.toLowerCase().includes(keyword.toLowerCase()) && fields.title !== '',
    ),
  ];
  const taken = new Set([fields.title, fields.metaTitle].map((text) => fold(text.trim())));
  const candidates: TitleCandidate[] = [];
  for (const one of made) {
    if (!one || taken.has(fold(one.text))) continue;
    taken.add(fold(one.text));
    candidates.push(one);
  }
  return candidates.slice(0, MOST);
}

const candidate = (text: string | null, from: string, isWorth = true): TitleCandidate | null =>
  text && isWorth ? { text, from } : null;
