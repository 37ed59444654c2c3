import type { LikeTitle, TitleShapes } from '../../../../../../core/writing/index.ts';
import { counted, listInWords } from '../../../../../ui/figures.ts';

/** The shapes of studied titles in a sentence; those that none has are left out. */
export function shapesInWords({
  titles,
  numbers,
  questions,
  howTo,
  twoParts,
  years,
  characters,
}: TitleShapes): string {
  const shapes: [number, string][] = [
    [twoParts, 'in two parts'],
    [numbers, 'with a number'],
    [howTo, '“how to”'],
    [questions, 'a question'],
    [years, 'with a year'],
  ];
  const said = shapes.filter(([count]) => count > 0).map(([count, shape]) => `${count} ${shape}`);
  const of = `Of ${counted(titles, 'studied title')}`;
  return said.length === 0
    ? `${of} none has a number, a question or two parts; half are up to ${characters} characters.`
    : `${of} ${listInWords(said)}; half are up to ${characters} characters.`;
}

/** Likeness from which two titles are about the same thing. */
const ALIKE = 0.7;

export const likenessInWords = ({ title, likeness }: LikeTitle, where: string): string | null =>
  likeness >= ALIKE ? `Like ${where}: “${title}”` : null;
