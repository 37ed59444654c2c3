/** A picture that was written once: how many bytes it took, and what was written. */
export interface Written<File> {
  bytes: number;
  file: File;
}

/** Writes a picture at a width in pixels and a quality from 0 to 1. */
export type WritePicture<File> = (width: number, quality: number) => Promise<Written<File>>;

/** A picture as light as was wished, or as light as it can be. */
export interface FittedPicture<File> extends Written<File> {
  width: number;
  quality: number;
  /** Not as light as was wished, at the lowest quality and the least width. */
  tooHeavy: boolean;
}

/** Above this quality files grow and nobody sees why. */
const BEST = 0.84;
/** Below this every reader sees it: a narrower picture looks better. */
const POOREST = 0.45;
/** What each step narrower leaves of the width. */
const NARROWER = 0.82;
/** Pixels that a picture keeps at least. */
const LEAST_WIDTH = 320;
/** Times that a quality between the two is tried. */
const TRIES = 3;

/**
 * The best quality at which a picture takes no more than `most` bytes: the best there is where that suffices, else found
 * between best and poorest in a few trials; where even the poorest is too heavy, the same with a narrower picture.
 * `holdsQuality` false: a format without one (PNG), whose weight only the width changes.
 */
export async function fitWeight<File>(
  write: WritePicture<File>,
  { width, most, holdsQuality }: { width: number; most: number; holdsQuality: boolean },
): Promise<FittedPicture<File>> {
  for (let now = width; ; now = Math.max(Math.min(LEAST_WIDTH, width), Math.round(now * NARROWER))) {
    const fine = { width: now, quality: BEST, ...(await write(now, BEST)), tooHeavy: false };
    if (fine.bytes <= most) return fine;
    const last = now <= LEAST_WIDTH;
    if (!holdsQuality) {
      if (last) return { ...fine, tooHeavy: true };
      continue;
    }
    const poor = { width: now, quality: POOREST, ...(await write(now, POOREST)), tooHeavy: false };
    if (poor.bytes <= most) return bestBetween(write, poor, fine, most);
    if (last) return { ...poor, tooHeavy: true };
  }
}

/** Tries qualities where the wished weight would stand if bytes grew evenly (in their logarithm) between the two. */
async function bestBetween<File>(
  write: WritePicture<File>,
  poor: FittedPicture<File>,
  fine: FittedPicture<File>,
  most: number,
): Promise<FittedPicture<File>> {
  let [low, high] = [poor, fine];
  for (let tries = 0; tries < TRIES && low.bytes < 0.93 * most; tries++) {
    const share = (Math.log(most) - Math.log(low.bytes)) / (Math.log(high.bytes) - Math.log(low.bytes));
    // A little below, so that most trials end under the limit.
    const quality = low.quality + (high.quality - low.quality) * Math.min(0.9, Math.max(0.1, share * 0.97));
    const next = { width: low.width, quality, ...(await write(low.width, quality)), tooHeavy: false };
    if (next.bytes <= most) low = next;
    else high = next;
  }
  return low;
}
