import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  hasReadingFormula,
  keywordKeys,
  languageRules,
  matchingOf,
  readingEaseOf,
  sentenceBreaks,
  tokenize,
  Vocabulary,
  WordMeasure,
} from '../index.ts';

const CODES = ['de', 'fr', 'es', 'it', 'nl', 'pt', 'sv'];

describe('syllables, as a speaker counts them', () => {
  const WORDS: Record<string, string> = {
    de: 'Haus1 Auto2 Radreise3 Häuser2 Bäume2 Packtasche3 Universität5 Familie4 Museum3 Idee2 Ferien3 neu1 neue2 Bauer2 Feuer2 Reihe2 Straße2 Aktion3 Linie3 Theater3 Schlafsack2 wasserdicht3 Eier2 Anleitung3 Radio3 Ausrüstung3 Kilometer4 Europa3 bequem2 Zelt1',
    fr: 'maison2 vélo2 sacoche2 table1 tables1 voyage2 étanche2 eau1 théâtre2 chaos2 nation2 bière1 pays2 rue1 enfant2 mangent1 belle1 musique2 région2 vieux1 ville1 fille1 oiseau2 montagne2 réel2 assurance3 quatre1 automobile4 pluie1 lumière2',
    es: 'casa2 bicicleta4 viaje2 río2 día2 país2 ciudad2 aéreo4 teatro3 guitarra3 queso2 agua2 lluvia2 canción2 impermeable5 leer2 caos2 bueno2 escuela3 aire2 guía2 pingüino3 aeropuerto5 seis1 oír2 línea3 Europa3 huevo2 coche2 fácil2',
    it: 'casa2 bicicletta4 viaggio2 paese3 poeta3 chiesa2 ciao1 guida2 acqua2 uomo2 aereo4 buono2 pioggia2 caffè2 città2 teatro3 impermeabile6 assicurazione6 famiglia3 piano2 paura3 zio2 Europa3 figlio2 foglie2 giugno2 idea3 riparare4 pane2 tenda2',
    nl: 'huis1 fiets1 vakantie3 fietstas2 boom1 bomen2 museum3 Italië4 idee2 ideeën3 zee1 zeeën2 leeuw1 nieuw1 nieuwe2 koffie2 theater3 reis1 januari4 radio3 bloeien2 eieren3 tentoonstelling4 waterdicht3 schoen1 oorlog2 bureau2 uiteindelijk4 paklijst2 aardappel3',
    pt: 'casa2 bicicleta4 viagem3 coração3 pão1 saída3 país2 rio2 dia2 água2 chuva2 teatro3 leitura3 guitarra3 queijo2 impermeável5 avião3 ruim2 baú2 aéreo4 pães1 feijão2 outono3 loja2 escola3 mãe1 caminho3 fácil2 Europa3 hotéis2',
    sv: 'hus1 cykel2 cykelväska4 resa2 vattentät3 museum3 idé2 station3 familj2 trädgård2 Europa3 energi3 semester3 tält1 packlista3 vägg1 radio3 teater3 bil1 hyra2 flygplats2 kaffe2 tröja2 aktion3 försäkring3 nya2 sjö1 Malmö2 oändlig3 boende3',
  };
  it.each(CODES)('in %s: 27 of 30 words at least are right', (code) => {
    const { syllables } = languageRules(code)!;
    const wrong = WORDS[code].split(' ').filter((entry) => {
      const [, word, count] = /^(\D+)(\d)$/.exec(entry)!;
      return syllables(word.toLowerCase()) !== Number(count);
    });
    expect(wrong.length, wrong.join(' ')).toBeLessThanOrEqual(3);
  });
  it.each(CODES)('are whole and one at least in %s, whatever the word', (code) => {
    const { syllables } = languageRules(code)!;
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.constantFrom('constructor', '__proto__', 'toString')), (word) => {
        const count = syllables(word.toLowerCase());
        expect(Number.isInteger(count) && count >= 1).toBe(true);
      }),
    );
  });
});

describe('reading ease', () => {
  const counts = { words: 100, sentences: 8, syllables: 165, letters: 470, longWords: 24 };
  // By hand, from the published formulas.
  it.each([
    ['en', 'Flesch (1948)', 206.835 - 1.015 * 12.5 - 84.6 * 1.65],
    ['de', 'Amstad (1978)', 180 - 12.5 - 58.5 * 1.65],
    ['fr', 'Kandel and Moles (1958)', 207 - 1.015 * 12.5 - 73.6 * 1.65],
    ['es-MX', 'Fernández Huerta (1959)', 206.84 - 0.6 * 165 - 1.02 * 12.5],
    ['it', 'Gulpease (1988)', 89 + (300 * 8 - 10 * 470) / 100],
    ['nl', 'Douma (1960)', 206.84 - 0.93 * 12.5 - 0.77 * 165],
    ['pt_BR', 'Martins and others (1996)', 248.835 - 1.015 * 12.5 - 84.6 * 1.65],
    ['sv', 'LIX (1968)', 12.5 + 24],
  ])('of %s is by %s', (language, formula, figure) => {
    const ease = readingEaseOf(language, counts)!;
    expect(ease.formula).toBe(formula);
    expect(ease.figure).toBeCloseTo(figure, 9);
  });
  it('is held against the scale of its formula, whichever way that goes', () => {
    const lix = readingEaseOf('sv', counts)!;
    expect([lix.moreIsHarder, lix.wanted(60), lix.wanted(50)]).toEqual([true, 40, 45]);
    expect(lix.short(60)).toBeCloseTo((36.5 - 40) * 2, 9);
    const amstad = readingEaseOf('de', counts)!;
    expect(amstad.short(80)).toBeCloseTo(80 - (180 - 12.5 - 58.5 * 1.65), 9);
  });
  it('is not told where no formula is known, nor without sentences', () => {
    expect(readingEaseOf('fi', counts)).toBeNull();
    expect(readingEaseOf('de', { ...counts, sentences: 0 })).toBeNull();
    expect(['en-GB', 'de-AT', 'constructor', ''].map(hasReadingFormula)).toEqual([true, true, false, false]);
  });
  it('counts what the formulas ask for', () => {
    const vocabulary = new Vocabulary();
    const text = 'Die Packtaschen sind wasserdicht, und das Zelt passt hinein.';
    expect(new WordMeasure('de', vocabulary).of(tokenize(text, vocabulary))).toEqual({
      syllables: 1 + 3 + 1 + 3 + 1 + 1 + 1 + 1 + 2,
      letters: 50,
      longWords: 2,
    });
  });
});

describe('sentences', () => {
  const sentencesOf = (language: string, text: string): string[] => {
    const breaks = [0, ...sentenceBreaks(text, languageRules(language)), text.length];
    return breaks.slice(1).map((end, at) => text.slice(breaks[at], end).trim());
  };
  it.each([
    ['de', 'Am 3. Mai fahren wir los. Mit z. B. Zelten, ca. 20 km usw. Dann ist Pause.', 3],
    ['de', 'Das kostet 3. Dann kommt Dr. Marsch bzw. Frau Tief.', 2],
    ['fr', 'M. Rivage habite av. des Dunes. Il y a des tentes, des sacoches, etc. Puis on part.', 3],
    ['es', 'La Sra. Marea y el Dr. Dunas viven en la av. Norte. Salen a las nueve.', 2],
    ['it', 'Il dott. Duna e la sig.ra Marea partono. Portano p.es. una tenda.', 2],
    ['nl', 'Neem bijv. een tent mee. De heer J. Duin gaat i.p.v. mevr. Wad.', 2],
    ['pt', 'O Dr. Dunas mora na av. Norte. Leve p.ex. uma barraca.', 2],
    ['sv', 'Ta med t.ex. ett tält. Det väger ca. tre kilo m.m. och ryms i väskan.', 2],
  ])('in %s: %s', (language, text, count) => expect(sentencesOf(language, text)).toHaveLength(count));
});

describe('two keywords in one language', () => {
  const same = (language: string, a: string, b: string) => {
    const filed = new Set(keywordKeys(a, language).filed);
    return keywordKeys(b, language).asked.some((key) => filed.has(key));
  };
  it.each([
    ['de', 'Radreise Packliste', 'Packliste für Radreisen', true],
    ['de', 'Zelt mit Stangen', 'Zelt ohne Stangen', false],
    ['fr', "assurance d'habitation", 'assurances habitation', true],
    ['es', 'casa rural', 'casas rurales', true],
    ['it', 'testo nuovo', 'test nuovo', false],
    ['it', 'testo nuovo', 'testi nuovi', true],
    ['es', 'puerto de Málaga', 'puerta de Málaga', false],
    ['sv', 'cykelväska', 'cykelväskor', true],
    ['fi', 'pyörälaukku', 'pyörälaukut', false],
  ])('%s: "%s" and "%s" are one target: %s', (language, a, b, one) => expect(same(language, a, b)).toBe(one));
});

describe('what was in memory before', () => {
  it('changes no answer: words of several languages share a vocabulary', () => {
    const vocabulary = new Vocabulary();
    const id = vocabulary.idOf("l'assurance");
    expect(matchingOf('de').candidates(vocabulary, id)).not.toContain('assurance~');
    expect(matchingOf('fr').candidates(vocabulary, id)).toContain('assurance~');
    expect(matchingOf('en').normal(vocabulary, id)).toBe('lassurance');
  });
});
