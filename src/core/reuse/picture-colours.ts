/** Colours of a picture with a sentence, as `#rrggbb`. */
export interface PictureColours {
  ground: string;
  words: string;
  /** The line along its foot, and the house's name. */
  line: string;
}

/** Two pairs to begin with: dark words on paper, light ones on marram. */
export const PICTURE_COLOURS: readonly { name: string; colours: PictureColours }[] = [
  { name: 'On paper', colours: { ground: '#fbf8f2', words: '#1f2a2e', line: '#1f5e63' } },
  { name: 'On marram', colours: { ground: '#1f5e63', words: '#fbf8f2', line: '#a9d4d1' } },
];

/** A contrast from which words can be read (WCAG 2.2, success criterion 1.4.3). */
export const READABLE_CONTRAST = 4.5;

/** Relative luminance of `#rrggbb`, 0-1 (WCAG 2.2). */
function luminance(colour: string): number {
  const [red, green, blue] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(colour.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

/**
 * Contrast of two colours, 1 (the same) to 21 (black on white), by WCAG 2.2.
 *
 * @example contrastOf('#000000', '#ffffff') // 21
 */
export function contrastOf(one: string, other: string): number {
  const [light, dark] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
}
