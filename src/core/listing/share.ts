import type { Share } from '../draft/index.ts';
import { type CutLine, cutToWidth } from './cut.ts';

/** Pixels of a share's picture: the shape that networks cut to, and the size below which they show a small one or none. */
export const SHARE_PICTURE = { width: 1200, height: 630, leastWidth: 600, leastHeight: 315 } as const;

/** Type sizes on a card, in pixels. */
const TITLE_TYPE = 17;
const DESCRIPTION_TYPE = 14;
/** How wide a card of 500 pixels sets its title over two lines and its description on one, in pixels. */
const TITLE_WIDTH = 2 * 460;
const DESCRIPTION_WIDTH = 468;

/** Title and description as a card cuts them. */
export const shareCut = ({ title, description }: Share): { title: CutLine; description: CutLine } => ({
  title: cutToWidth(title, TITLE_TYPE, TITLE_WIDTH),
  description: cutToWidth(description, DESCRIPTION_TYPE, DESCRIPTION_WIDTH),
});

/** What is wrong with a picture for shares, in a sentence; null where nothing is. `pictureFault(1200, 630)` is null. */
export function sharePictureFault(width: number, height: number): string | null {
  const own = `${width.toLocaleString('en')} x ${height.toLocaleString('en')} px`;
  const { width: full, height: tall, leastWidth, leastHeight } = SHARE_PICTURE;
  if (width < leastWidth || height < leastHeight)
    return `Too small: ${own}. Below ${leastWidth} x ${leastHeight} most networks show a thumbnail or nothing.`;
  if (width < full || height < tall)
    return `Small: ${own}. At ${full.toLocaleString('en')} x ${tall} it is sharp on every screen.`;
  const cut = Math.abs(width / height - full / tall) / (full / tall);
  return cut > 0.25 ? `Another shape (${own}): what the card shows is what networks leave of it.` : null;
}
