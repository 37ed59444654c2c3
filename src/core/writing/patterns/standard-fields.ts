import type { PatternField } from './pattern.ts';

const field = (
  id: string,
  name: string,
  kind: PatternField['kind'],
  suggestions: string[] = [],
): PatternField => ({
  id,
  name,
  kind,
  required: false,
  suggestions,
  most: null,
});

/** How near a text keeps to the notes that it is made from. */
export const CLOSENESS = ['only what the notes say', 'near the notes', 'freely around the notes'] as const;

/** Fields that most patterns share. They are filled from the post's target and the house's rules. */
export const STANDARD_FIELDS = {
  topic: field('topic', 'Topic', 'line'),
  points: field('points', 'Main points', 'list'),
  audience: field('audience', 'Audience', 'choice', [
    'beginners',
    'people who compare before they buy',
    'professionals of the trade',
  ]),
  keywords: field('keywords', 'Keywords', 'list'),
  tone: field('tone', 'Tone', 'choice', [
    'friendly',
    'calm',
    'matter-of-fact',
    'encouraging',
    'formal',
    'playful',
  ]),
  style: field('style', 'Style', 'choice', ['step by step', 'story', 'comparison', 'questions and answers']),
  language: field('language', 'Language', 'line'),
  length: field('length', 'Length in words', 'number'),
  closeness: field('closeness', 'How close to the notes', 'choice', [...CLOSENESS]),
  count: field('count', 'Results, 1 to 3', 'number'),
} as const;

export type StandardField = keyof typeof STANDARD_FIELDS;

/** Standard fields by their names, those of `required` marked as such. */
export const fieldsOf = (
  names: readonly StandardField[],
  required: readonly StandardField[] = [],
): PatternField[] => names.map((name) => ({ ...STANDARD_FIELDS[name], required: required.includes(name) }));

/** A field of a pattern's own. */
export const ownField = (
  id: string,
  name: string,
  kind: PatternField['kind'],
  more: Partial<PatternField> = {},
): PatternField => ({ ...field(id, name, kind), ...more });
