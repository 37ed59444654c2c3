/** Which way a function word points: a phrase with one may not be turned round. */
export type Direction = 'none' | 'towards' | 'from';

const DIRECTIONS: ReadonlyMap<string, Direction> = new Map<string, Direction>(
  Object.entries({
    to: 'towards',
    into: 'towards',
    for: 'towards',
    from: 'from',
  }),
);

/** Words that say from where or to where, and never stand for another: "word to pdf" is not "word about pdf". */
export const isWay = (form: string): boolean => form === 'to' || form === 'into' || form === 'from';

/** The direction that an English function word (folded) gives. */
export const directionOf = (form: string): Direction => DIRECTIONS.get(form) ?? 'none';
