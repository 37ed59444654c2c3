import { stem as porter2 } from 'porter2';

/**
 * The English stem of a word in normal form, by the Porter 2 algorithm (M. F. Porter, "The English (Porter2)
 * stemming algorithm", 2002). For grouping; too coarse for matching (university and universe share one).
 */
export const stem = (normal: string): string => porter2(normal);
