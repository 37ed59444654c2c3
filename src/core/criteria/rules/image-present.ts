import { criterion } from '../criterion.ts';
import { count, measure } from '../judging.ts';
import { ramp } from '../ramp.ts';

export const imagePresent = criterion({
  id: 'image-present',
  group: 'media',
  title: 'Pictures',
  unit: 'pictures',
  place: 'text',
  weight: 3,
  needs: [],
  target: (limits) => `one picture for every ${limits.wordsPerImage} words`,
  measure({ images, words, settings: { limits } }) {
    const wanted = Math.max(1, Math.ceil(words / limits.wordsPerImage));
    const x =
      images.length === 0
        ? 0
        : words === 0
          ? Number.POSITIVE_INFINITY
          : (images.length * limits.wordsPerImage) / words;
    return measure(
      ramp(x, [0, 1, null, null]),
      images.length,
      `${count(words, 'word')} with ${count(images.length, 'picture')}: add ${count(Math.max(1, wanted - images.length), 'picture')}.`,
    );
  },
});
