import { plainWords } from '../../language/index.ts';
import { criterion, type Fix } from '../criterion.ts';
import type { DraftFacts, ImageFact } from '../draft-facts.ts';
import { altEdit, altFor } from '../fixing/alt-texts.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { imageName, imagePlaces, nameOf } from '../image-reading.ts';
import { measure } from '../judging.ts';

const LEAD = /^(?:an? |the )?(?:image|picture|photo|photograph|graphic|illustration)s? (?:of|showing) /i;
const FILE_NAME = /\.(?:jpe?g|png|gif|webp|avif|svg)$|^(?:img|dsc|pxl|screenshot)[-_ ]?\d/i;

const described = (facts: DraftFacts) => facts.images.filter(({ alt }) => alt !== null && alt.trim() !== '');

/** What is wrong with an alternative text; null where nothing is. */
function faultOf({ alt, src }: ImageFact, facts: DraftFacts, seen: Set<string>): string | null {
  const text = (alt ?? '').trim();
  const low = text.toLowerCase();
  const repeated = seen.has(low);
  seen.add(low);
  const { altWords, altCharacters } = facts.settings.limits;
  if (FILE_NAME.test(text) || (low === imageName(src).toLowerCase() && !text.includes(' ')))
    return 'is a file name';
  if (repeated) return 'repeats another picture';
  if (low === facts.keyword.toLowerCase() || low === facts.fields.title.trim().toLowerCase())
    return 'is the keyword or the title alone';
  if (LEAD.test(text)) return 'begins by saying that it is a picture';
  if (text.length > altCharacters) return `is longer than ${altCharacters} characters`;
  return plainWords(text).length < altWords &&
    !/[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}]{3}/u.test(text)
    ? `is shorter than ${altWords} words`
    : null;
}

function faulty(facts: DraftFacts): { image: ImageFact; fault: string }[] {
  const seen = new Set<string>();
  return described(facts).flatMap((image) => {
    const fault = faultOf(image, facts, seen);
    return fault === null ? [] : [{ image, fault }];
  });
}

export const altQuality = criterion({
  id: 'alt-quality',
  group: 'media',
  title: 'Alt text that describes',
  place: 'featured',
  weight: 2,
  needs: ['pictures'],
  target: (limits) => `${limits.altWords} words to ${limits.altCharacters} characters, in words of its own`,
  measure(facts) {
    const all = described(facts);
    if (all.length === 0)
      return measure(0, 'none', 'No picture has alt text yet.', imagePlaces(facts.images));
    const found = faulty(facts);
    return measure(
      (all.length - found.length) / all.length,
      `${all.length - found.length} of ${all.length}`,
      `The alt text of ${found[0] ? nameOf(found[0].image).replace(/^The/, 'the') : ''} ${found[0]?.fault}.`,
      imagePlaces(found.map(({ image }) => image)),
    );
  },
  fixes(facts) {
    return firstFixes(faulty(facts), ({ image }): Fix[] => {
      const rest = (image.alt ?? '').trim().replace(LEAD, '');
      if (rest === (image.alt ?? '').trim()) {
        const found = altFor(image, facts);
        return found && found.text !== rest
          ? [
              {
                label: `Say "${found.text}", from ${found.from}`,
                edits: [altEdit(image, found.text)],
                readOver: true,
              },
            ]
          : [];
      }
      if (rest === '') return [];
      const alt = rest[0].toUpperCase() + rest.slice(1);
      return [{ label: `Say "${alt}"`, edits: [altEdit(image, alt)] }];
    });
  },
});
