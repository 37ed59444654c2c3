import { syntaxClassOf } from '../language/index.ts';

/** Kinds of words are fewer. */
const KINDS = 256;

const kinds = new Map<string, number>();

/** The kind of a word; 0 where there is none. */
export function kindOf(form: string | undefined): number {
  if (form === undefined) return 0;
  let kind = kinds.get(form);
  if (kind === undefined) {
    kind = syntaxClassOf(form);
    kinds.set(form, kind);
  }
  return kind;
}

/** What is known of a place between two words beside the words themselves: which of the kinds around it stand together. */
const TOGETHER = 7;

/**
 * Writes the features of a place between two words into `out`: the kinds of the two before it and the two after it, alone and
 * together, each as one number.
 */
export function kindFeatures(k2: number, k1: number, l1: number, l2: number, out: Float64Array): void {
  out[0] = number(0, k1, l1, 0);
  out[1] = number(1, l1, l2, 0);
  out[2] = number(2, k2, k1, 0);
  out[3] = number(3, k1, l1, l2);
  out[4] = number(4, k1, 0, 0);
  out[5] = number(5, l1, 0, 0);
  out[6] = number(6, l2, 0, 0);
}

const number = (which: number, a: number, b: number, c: number): number =>
  ((which * KINDS + a) * KINDS + b) * KINDS + c;

/** Room for the features of one place. */
export const kindRoom = (): Float64Array => new Float64Array(TOGETHER);
