import { criterion, type Fix } from '../criterion.ts';
import { altEdit, altFor } from '../fixing/alt-texts.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { imagePlaces, nameOf } from '../image-reading.ts';
import { measure } from '../judging.ts';

export const altPresent = criterion({
  id: 'alt-present',
  group: 'media',
  title: 'Alt text',
  place: 'featured',
  weight: 4,
  needs: ['pictures'],
  target: () => 'every picture has alt text or is marked as decorative',
  measure({ images }) {
    const judged = images.filter(({ alt }) => alt !== '');
    if (judged.length === 0)
      return measure(
        0,
        'all decorative',
        'Every picture is marked as decorative. Describe at least the one that shows the subject.',
        imagePlaces(images),
      );
    const missing = judged.filter(({ alt }) => alt === null || alt.trim() === '');
    const more = missing.length > 1 ? ` and ${missing.length - 1} more` : '';
    return measure(
      (judged.length - missing.length) / judged.length,
      `${judged.length - missing.length} of ${judged.length}`,
      `${missing[0] ? nameOf(missing[0]) : ''}${more} has no alt text. Say what it shows.`,
      imagePlaces(missing),
    );
  },
  fixes(facts) {
    return firstFixes(facts.images, (image): Fix[] => {
      if (image.alt === '' || (image.alt !== null && image.alt.trim() !== '')) return [];
      const found = altFor(image, facts);
      return found
        ? [
            {
              label: `Say "${found.text}", from ${found.from}`,
              edits: [altEdit(image, found.text)],
              readOver: true,
            },
          ]
        : [];
    });
  },
});
