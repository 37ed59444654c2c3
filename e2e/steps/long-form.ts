/** True in the long form of the tests (`LONG=1 npm test`): more kills, longer texts, larger tables. */
export const LONG = process.env['LONG'] === '1';

/** A size of a test: as much as proves the point, or the most that is promised in the long form. */
export const sized = (ordinary: number, long: number): number => (LONG ? long : ordinary);
