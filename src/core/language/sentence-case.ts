import { baseForm } from './inflections.ts';
import { isFunctionWord } from './stop-words.ts';
import { partOfSpeech } from './word-frequency.ts';

/** Abbreviations that keep their capitals wherever they stand; none of them is also a word. */
const ACRONYMS = new Map(
  (
    'DIY GPS FAQ FAQs USB LED LEDs PDF PDFs CSS HTML XML JSON SEO API APIs URL URLs UK EU USA TV TVs DVD SUV SUVs VAT CRM CMS KPI KPIs ' +
    'ROI VPN QR RSS SQL HTTP HTTPS DNS SSL BMI BBQ ATM NFC SMS HVAC PVC UV AI HR B2B B2C PPE MRI DNA ADHD GDPR SaaS WiFi iOS macOS'
  )
    .split(' ')
    .map((word) => [word.toLowerCase(), word]),
);

/** A phrase as a heading or title begins: its first letter a capital, abbreviations in theirs ("diy gps mount" is "DIY GPS mount"). */
export function asHeading(text: string): string {
  const told = text.replace(/[\p{L}\p{N}]+/gu, (word) => ACRONYMS.get(word.toLowerCase()) ?? word);
  // "iOS" stays as it is.
  return /^[a-z]+[A-Z]/.test(told) ? told : told.charAt(0).toUpperCase() + told.slice(1);
}

const PARTICLES = new Set(
  'up down off out in on at by with for from of to and or but the a an as if is are do does your my our its'.split(
    ' ',
  ),
);

/**
 * A heading with capital letters only where a sentence has them: headings are often written in capitals, all of them or the
 * first of every word. A word that no dictionary knows keeps its own.
 */
export function sentenceCase(text: string): string {
  const words = text.split(' ');
  const letters = text.replace(/[^\p{L}]/gu, '');
  if (letters.length > 4 && letters === letters.toUpperCase()) return asHeading(text.toLowerCase());
  const later = words.slice(1);
  const capitals = later.filter((word) => /^\p{Lu}\p{Ll}/u.test(word)).length;
  // Small words have a capital in titles alone.
  const titled = later.some(
    (word) => /^\p{Lu}\p{Ll}*$/u.test(word) && word !== 'I' && PARTICLES.has(word.toLowerCase()),
  );
  const content = later.filter((word) => !isFunctionWord(word.toLowerCase())).length;
  if (!titled && (capitals === 0 || capitals < content * 0.7)) return asHeading(text);
  const isName = (word: string) =>
    partOfSpeech(word) === undefined && partOfSpeech(baseForm(word)) === undefined && !isFunctionWord(word);
  return asHeading(
    words
      .map((word, at) => {
        const low = word.toLowerCase();
        if (at === 0 || word === 'I' || !/^\p{Lu}\p{Ll}*[^\p{L}]*$/u.test(word)) return word;
        return !titled && words.length === 2 && isName(low.replace(/[^\p{L}]/gu, '')) ? word : low;
      })
      .join(' '),
  );
}
