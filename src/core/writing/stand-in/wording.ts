import { asHeading } from '../../language/index.ts';
import type { Quoted } from '../known/index.ts';

const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A count in words up to twelve: "three". */
export const inWords = (count: number): string => NUMBERS[count] ?? String(count);

/** "Three of 12 pages". */
export const ofPages = (count: number, all: number): string =>
  `${asHeading(inWords(count))} of ${all} studied ${all === 1 ? 'page' : 'pages'}`;

/** "a, b and c". */
export const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** What Markdown would take for its own. */
const escaped = (text: string) => text.replace(/([\\`*_[\]<>])/g, '\\$1');

const linked = (words: string, address: string) =>
  address === '' ? escaped(words) : `[${escaped(words)}](<${address.replace(/[<>\s]/g, '')}>)`;

/** Somebody's sentence as a quotation with its page: never as the writer's own. */
export const quotation = ({ text, who, address }: Quoted): string =>
  `> ${escaped(text)} — ${linked(who, address)}`;

/** A figure as a line of a list, with its page. */
export const figureLine = ({
  text,
  publisher,
  address,
}: {
  text: string;
  publisher: string;
  address: string;
}): string => `- ${escaped(text)} (${linked(publisher, address)})`;

/** A question as one would write it over an answer: typed ones have no capitals, or one in every word, and no mark at their end. */
export function asTyped(question: string): string {
  const bare = question.trim().replace(/[\s?.]+$/, '');
  const parts = bare.split(/\s+/);
  const capitals = parts.filter((word) => /^\p{Lu}/u.test(word)).length;
  const low = parts.length > 2 && capitals >= parts.length - 1 ? bare.toLowerCase() : bare;
  return `${asHeading(low.replace(/\bi\b/g, 'I'))}?`;
}

/** A phrase at the beginning of a sentence or a title. */
export const opening = (phrase: string): string => asHeading(phrase.trim());

/** A phrase inside a sentence: without its capital, where its first word is no name. */
export function inside(phrase: string): string {
  const text = phrase.trim().replace(/[.:!]+$/, '');
  const [first = ''] = text.split(/\s+/);
  return /^\p{Lu}\p{Ll}+(?:['’-]\p{Ll}+){0,3},?$/u.test(first) || first === 'A'
    ? text.charAt(0).toLowerCase() + text.slice(1)
    : text;
}

export const words = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** A rotation of a list: where it begins is the seed's. */
export function rotated<Item>(items: readonly Item[], by: number): Item[] {
  if (items.length === 0) return [];
  const from = ((by % items.length) + items.length) % items.length;
  return [...items.slice(from), ...items.slice(0, from)];
}
