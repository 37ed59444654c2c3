import { criterion, type Fix } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { altEdit, altFor } from '../fixing/alt-texts.ts';
import { asWritten } from '../fixing/as-written.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { placesToName } from '../fixing/naming.ts';
import { imagePlaces } from '../image-reading.ts';
import { measure, NO_KEYWORD } from '../judging.ts';
import { namesSubject } from '../keyword-stems.ts';

/** How far an alt text names the keyword or a supporting one: as matched, or by enough of the keyword's words. */
function namedIn(alt: string, facts: DraftFacts): number {
  const matched = facts.targetValueIn(alt);
  return matched === 0 && namesSubject(alt, facts.reader) ? 1 : matched;
}

export const altKeyword = criterion({
  id: 'alt-keyword',
  group: 'media',
  title: 'Keyword in alt text',
  place: 'featured',
  weight: 1,
  needs: ['pictures'],
  target: () => 'one alt text with the keyword or a supporting one, not most of them',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const { images } = facts;
    const values = images.map(({ alt }) => (alt ? namedIn(alt, facts) : 0));
    const holding = images.filter((_, at) => values[at] > 0);
    const measured = `${holding.length} of ${images.length}`;
    if (holding.length === 0)
      return measure(
        0,
        measured,
        `Where a picture shows it, name "${facts.keyword}" in its alt text.`,
        imagePlaces(images.slice(0, 1)),
      );
    // One is wished; beyond the first, half of the others may follow.
    const allowed = 1 + (images.length - 1) / 2;
    const repeated = images.filter(({ alt }) => alt && facts.targetValueIn(alt) > 0).length;
    const over = Math.max(0, repeated - allowed) / Math.max(1, images.length - allowed);
    const best = Math.max(...values);
    return measure(
      best * (1 - over),
      measured,
      over > 0
        ? 'Most alt texts repeat the keyword. Describe what each picture shows.'
        : 'Use the keyword as it is typed in one alt text.',
      imagePlaces(holding),
    );
  },
  fixes(facts) {
    if (!facts.keyword || !facts.english || facts.images.some(({ alt }) => alt && namedIn(alt, facts) > 0))
      return [];
    return firstFixes(facts.images, (image): Fix[] => {
      const alt = image.alt?.trim() || altFor(image, facts)?.text || '';
      const written = (text: string): Fix => ({
        label: `Say "${text}"`,
        edits: [altEdit(image, text)],
        readOver: true,
      });
      if (alt !== (image.alt ?? '').trim() && facts.targetValueIn(alt) > 0) return [written(alt)];
      return placesToName(alt, asWritten(facts.keyword, facts), facts.reader.vocabulary)
        .slice(0, 1)
        .map(({ start, end, text }) => written(alt.slice(0, start) + text + alt.slice(end)));
    });
  },
});
