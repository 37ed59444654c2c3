import { type LanguageRules, pairs, phrases, vowelRuns, words } from './language-rules.ts';

export const dutch: LanguageRules = {
  code: 'nl',
  name: 'Dutch',
  functionWords: words(
    "de het een 't en of maar want dus in op aan bij met van voor door over onder tussen na naar uit om tot tegen per als dan dat die dit deze wat wie waar wanneer hoe waarom welke welk is zijn was waren ben bent wordt worden werd heeft hebben had " +
      'kan kunnen kun moet moeten mag mogen wil willen zal zullen zou ik je jij u hij zij ze we wij jullie hem haar hun hen mij me mijn jouw uw zich ons onze er daar hier ook nog al wel zo te toch meer veel heel',
  ),
  negations: words('niet geen zonder nooit tegen niets niemand noch'),
  articles: words('de het een'),
  pointing: new Map([
    ['naar', 'towards'],
    ['tot', 'towards'],
    ['van', 'from'],
    ['uit', 'from'],
    ['vanaf', 'from'],
  ]),
  endings: 'e en n s er ers est ere eren t te ten de den d je jes tje tjes pje pjes ste sten ende end'.split(
    ' ',
  ),
  leastStem: 3,
  alternates: (stem, ending) => {
    const found: string[] = [];
    if (/([bdfgklmnprst])\1$/.test(stem)) found.push(stem.slice(0, -1));
    // "bomen" of boom: an open syllable has its long vowel written once.
    if (/^[e]/.test(ending) && /[^aeiou][aeou][bdfgklmnprst]$/.test(`x${stem}`))
      found.push(`${stem.slice(0, -1)}${stem.at(-2)}${stem.at(-1)}`);
    if (/^[e]/.test(ending) && /[vz]$/.test(stem)) {
      const hard = stem.slice(0, -1) + (stem.endsWith('v') ? 'f' : 's');
      found.push(hard);
      if (/[^aeiou][aeou][fs]$/.test(`x${hard}`))
        found.push(`${hard.slice(0, -1)}${hard.at(-2)}${hard.at(-1)}`);
    }
    if (/^(?:t|d|en|te|de)$/.test(ending) && stem.startsWith('ge') && stem.length > 5)
      found.push(stem.slice(2));
    return found;
  },
  irregular: pairs(
    'ging:gaan gegaan:gaan gaat:gaan doet:doen deed:doen gedaan:doen ziet:zien gezien:zien zag:zien koopt:kopen kocht:kopen gekocht:kopen brengt:brengen bracht:brengen gebracht:brengen rijdt:rijden reed:rijden gereden:rijden ' +
      'kiest:kiezen koos:kiezen gekozen:kiezen leest:lezen las:lezen gelezen:lezen schrijft:schrijven schreef:schrijven geschreven:schrijven vindt:vinden vond:vinden gevonden:vinden steden:stad schepen:schip eieren:ei kinderen:kind kleren:kleed beter:goed beste:goed',
  ),
  own: words(
    'kaart kaas kade noten note sport soort week weken reis rijs bank banket kamer kamera boter bot',
  ),
  syllables: (word) =>
    vowelRuns(
      word,
      /[aeiouyáéíóúàèëïöüê]+/g,
      /(?<=[aeiou])(?=[ëïö])|(?<=i)(?=[aou](?!w))(?<!ie?)|(?<=i)(?=[ao])|(?<=e)(?=a(?!u)|o|um)|(?<=u)(?=[ao])|(?<=oei|ooi|aai|ei|ui|ij)(?=e)/g,
    ),
  ease: {
    name: 'Douma (1960)',
    source: 'W. H. Douma, De leesbaarheid van landbouwbladen, Landbouwhogeschool Wageningen, 1960',
    of: ({ words: count, sentences, syllables }) =>
      206.84 - 0.93 * (count / sentences) - 77 * (syllables / count),
    standard: 60,
    step: 1,
  },
  vagueLinks: phrases(
    'hier|klik hier|klik|meer|lees meer|meer lezen|lees verder|verder lezen|verder|meer info|meer informatie|meer weten|bekijk|bekijk hier|link|deze link|deze pagina|dit artikel|dit bericht|deze post|pagina|artikel|bericht|bron|website|site|details|info|ga naar|daar',
  ),
  abbreviations: words(
    'dhr mevr mw dr prof bijv bv enz etc d.w.z o.a m.b.t t.o.v i.p.v nr blz p tel max min ca incl excl resp jan feb mrt apr jun jul aug sept okt nov dec',
  ),
};
