import { imageSize } from 'image-size';
import type { PictureSize } from '../criteria/index.ts';

/** Bytes and pixel width of a picture file; the width is null where the file does not tell. Never throws. */
export function pictureSize(bytes: Uint8Array): PictureSize {
  try {
    const { width, height, orientation } = imageSize(bytes);
    // Orientations from 5 on are turned by a quarter.
    return { bytes: bytes.length, width: orientation !== undefined && orientation >= 5 ? height : width };
  } catch {
    return { bytes: bytes.length, width: null };
  }
}
