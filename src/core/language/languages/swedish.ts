import { type LanguageRules, pairs, phrases, vowelRuns, words } from './language-rules.ts';

export const swedish: LanguageRules = {
  code: 'sv',
  name: 'Swedish',
  functionWords: words(
    'en ett den det de och eller men för att i på av till från med om under över mellan vid hos genom efter före innan sedan mot som när var vad vem hur varför vilken vilket vilka där här då så är var vara blir bli blev varit har hade ha ' +
      'kan kunde ska skall skulle måste får vill bör jag du han hon vi ni dem mig dig sig oss er min mitt mina din ditt dina sin sitt sina vår vårt våra er ert era denna detta dessa man också även mer mycket bara redan än ju',
  ),
  negations: words('inte ej icke utan aldrig ingen inget inga mot varken'),
  articles: words('en ett den det de'),
  pointing: new Map([
    ['till', 'towards'],
    ['från', 'from'],
  ]),
  endings:
    'a e n r s t ar rna arna en er erna or orna et na ad ade at ande ende are arens aren arna aste ast as ens ets erns er ers de dde tt te na nas ns des dda'.split(
      ' ',
    ),
  leastStem: 3,
  alternates: (stem, ending) => {
    // "nycklar" of nyckel, "vägrar" stays; "regler" of regel; "kammen" of kam.
    const found: string[] = [];
    if (/(?:mm|nn)$/.test(stem)) found.push(stem.slice(0, -1));
    if (/^(?:ar|arna|er|erna|en|et|ens|ets)$/.test(ending) && /[^aeiouy][lrn]$/.test(stem))
      found.push(`${stem.slice(0, -1)}e${stem.at(-1)}`);
    return found;
  },
  irregular: pairs(
    'bocker:bok bockerna:bok fotter:fot fotterna:fot hander:hand handerna:hand stader:stad staderna:stad natter:natt ' +
      'gick:ga gatt:ga gar:ga akt:aka akte:aka valde:valja valt:valja valj:valja valjer:valja kopte:kopa kopt:kopa koper:kopa gjorde:gora gjort:gora gor:gora skrev:skriva skrivit:skriva laste:lasa last:lasa sag:se sett:se ser:se nya:ny nytt:ny basta:bra bast:bra battre:bra langre:lang langst:lang storre:stor storst:stor man:man mannen:man',
  ),
  own: words('bar baren matta matt sal sala skola skol vasa vas lager tala tal'),
  // Swedish has no diphthongs but "au" and "eu" of foreign words: each vowel is one.
  syllables: (word) => vowelRuns(word.replace(/(?<=[ae])u/g, ''), /[aeiouyåäöéèü]/g, null),
  ease: {
    name: 'LIX (1968)',
    source: 'C.-H. Björnsson, Läsbarhet, Liber, 1968',
    of: ({ words: count, sentences, longWords = 0 }) => count / sentences + (100 * longWords) / count,
    // 30 to 40 is easy, 40 to 50 of middling difficulty: more is harder.
    standard: 40,
    step: -0.5,
  },
  vagueLinks: phrases(
    'här|klicka här|klicka|mer|läs mer|läsa mer|läs vidare|fortsätt|fortsätt läsa|mer info|mer information|se mer|se här|visa|visa mer|länk|denna länk|den här länken|denna sida|den här sidan|denna artikel|den här artikeln|detta inlägg|sida|artikel|inlägg|källa|webbplats|hemsida|detaljer|info|där',
  ),
  abbreviations: words(
    't.ex bl.a o.s.v osv d.v.s dvs m.m m.fl ca nr s tel max min inkl exkl fr.o.m t.o.m s.k dr prof jan feb mar apr jun jul aug sept okt nov dec',
  ),
};
