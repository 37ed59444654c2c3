import type { Known } from '../known/index.ts';
import { type FieldValue, fieldValue, type Pattern, type PatternField } from './pattern.ts';

/** Results of one request at most. */
export const MOST_RESULTS = 3;

/** What a field is filled with from the post and its house; empty: nothing is known for it. */
function filledFrom(
  { id }: PatternField,
  pattern: Pattern,
  { brief, house, around, outline }: Known,
): string {
  switch (id) {
    case 'topic':
      return brief.title || brief.keyword;
    case 'keywords':
      return [brief.keyword, ...brief.supporting.slice(0, 3)].filter(Boolean).join('\n');
    case 'points':
      return (
        brief.points.length > 0
          ? brief.points
          : outline.filter(({ level }) => level === 2).map(({ text }) => text)
      )
        .slice(0, 8)
        .join('\n');
    case 'audience':
      return brief.audience.join(', ');
    case 'tone':
      return brief.tone;
    case 'style':
      return brief.style;
    case 'language':
      return brief.language || house.language;
    case 'length':
      return pattern.words === null ? '' : String(pattern.words);
    case 'closeness':
      return 'near the notes';
    case 'count':
      return '1';
    case 'heading':
      return around?.heading ?? '';
    case 'notes':
      return around?.note ?? '';
    case 'step':
      return brief.nextStep;
    case 'question':
      return brief.questions[0] ?? '';
    case 'questions':
      return brief.questions.slice(0, 8).join('\n');
    default:
      return '';
  }
}

/** The fields of a pattern as a post fills them. */
export const filledFields = (pattern: Pattern, known: Known): FieldValue[] =>
  pattern.fields.map((field) => ({ id: field.id, value: filledFrom(field, pattern, known) }));

/** What keeps a pattern from being asked with these values, by field; none: it can. */
export function fieldFaults(pattern: Pattern, values: readonly FieldValue[]): { id: string; text: string }[] {
  return pattern.fields.flatMap((field) => {
    const value = fieldValue(values, field.id);
    const says = (text: string) => [{ id: field.id, text }];
    if (value === '') return field.required ? says(`${field.name} is needed.`) : [];
    if (field.most !== null && value.length > field.most)
      return says(`${field.name} has ${value.length} characters; ${field.most} are the most.`);
    if (field.kind !== 'number') return [];
    const number = Number(value);
    if (!/^\d{1,5}$/.test(value) || number < 1) return says(`${field.name} is a whole number from 1 on.`);
    if (field.id === 'count' && number > MOST_RESULTS)
      return says(`${MOST_RESULTS} results are the most at once.`);
    if (field.id === 'length' && number > 5000) return says('5,000 words are the most at once.');
    return [];
  });
}

/** How many results are wished for. */
export function resultsWished(values: readonly FieldValue[]): number {
  const wished = Number(fieldValue(values, 'count'));
  return Number.isInteger(wished) && wished >= 1 ? Math.min(wished, MOST_RESULTS) : 1;
}
