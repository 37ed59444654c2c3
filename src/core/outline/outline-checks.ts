import { matchingOf, PhraseMatcher, tokenize, type Vocabulary } from '../language/index.ts';
import { branchLength, type Outline } from './outline.ts';

/** What is not right with an outline yet. */
export interface OutlineCheck {
  /** The item that it concerns; null: the whole. */
  id: string | null;
  text: string;
}

/** Levels skipped, sections with one child, doubled and overlong headings, a keyword that stands in no heading. */
export function outlineChecks(
  outline: Outline,
  { keyword, characters }: { keyword: string; characters: number },
  vocabulary: Vocabulary,
): OutlineCheck[] {
  const checks: OutlineCheck[] = [];
  const seen = new Map<string, string>();
  outline.forEach(({ id, level, text }, at) => {
    const heading = text.replace(/\s+/g, ' ').trim();
    const before = at === 0 ? 1 : outline[at - 1].level;
    if (level > before + 1) checks.push({ id, text: `"${heading}" skips a level: H${before} to H${level}.` });
    if (heading === '') return;
    const children = outline
      .slice(at + 1, at + branchLength(outline, at))
      .filter((child) => child.level === level + 1);
    if (children.length === 1)
      checks.push({
        id,
        text: `"${heading}" has one heading below it. Add a second, or let its text stand under "${heading}".`,
      });
    if (heading.length > characters)
      checks.push({ id, text: `"${heading}" has ${heading.length} characters; ${characters} are enough.` });
    const key = heading.toLowerCase();
    if (seen.has(key)) checks.push({ id, text: `"${heading}" stands there twice.` });
    seen.set(key, id);
  });
  if (keyword.trim() && outline.some(({ text }) => text.trim())) {
    const matcher = new PhraseMatcher([keyword], vocabulary, matchingOf('en'));
    const found = outline.some(({ text }) => matcher.match(text, tokenize(text, vocabulary)).length > 0);
    if (!found) checks.push({ id: null, text: `No heading holds "${keyword}" or a form of it.` });
  }
  return checks;
}
