import { criterion } from '../criterion.ts';
import type { DraftFacts, ImageFact, PictureSize } from '../draft-facts.ts';
import { imagePlaces, nameOf } from '../image-reading.ts';
import { grouped, measure } from '../judging.ts';
import { ramp, wished } from '../ramp.ts';

/** Pictures whose size is known. */
function sized({ images, settings: { pictures } }: DraftFacts): { image: ImageFact; size: PictureSize }[] {
  return images.flatMap((image) => {
    const size = pictures.get(image.src);
    return size ? [{ image, size }] : [];
  });
}

export const imageWeight = criterion({
  id: 'image-weight',
  group: 'media',
  title: 'Picture file size',
  place: 'featured',
  weight: 2,
  needs: ['picture-files'],
  target: ({ imageKilobytes, imagePixels }) =>
    `${wished(imageKilobytes, 'kB')}, at most ${imagePixels} px wide`,
  measure(facts) {
    const { limits } = facts.settings;
    const judged = sized(facts).map(({ image, size }) => {
      const wide = size.width !== null && size.width > limits.imagePixels;
      return { image, size, share: ramp(size.bytes / 1000, limits.imageKilobytes) * (wide ? 0.5 : 1) };
    });
    const poor = judged.filter(({ share }) => share < 1).sort((a, b) => a.share - b.share);
    const share = judged.reduce((sum, one) => sum + one.share, 0) / judged.length;
    const heaviest = Math.max(...judged.map(({ size }) => size.bytes));
    const [worst] = poor;
    const width = worst?.size.width ? ` and ${grouped(worst.size.width)} px wide` : '';
    return measure(
      share,
      `${Math.round(heaviest / 1000)} kB`,
      worst
        ? `${nameOf(worst.image)} is ${grouped(Math.round(worst.size.bytes / 1000))} kB${width}. Save it smaller.`
        : '',
      imagePlaces(poor.map(({ image }) => image)),
    );
  },
});
