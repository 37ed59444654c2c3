import { type LanguageRules, pairs, phrases, vowelRuns, words } from './language-rules.ts';

export const german: LanguageRules = {
  code: 'de',
  name: 'German',
  functionWords: words(
    'der die das den dem des ein eine einen einem einer eines und oder aber sondern in im an am auf aus bei beim mit von vom zu zum zur ' +
      'für durch um über unter vor nach zwischen seit bis während wegen trotz als wie dass daß wenn weil ob ist sind war waren sein wird ' +
      'werden wurde hat haben hatte kann können soll sollen muss müssen darf dürfen mag will wollen es er sie wir ihr ich du man sich mich ' +
      'dich uns euch ihm ihn ihnen mein meine meinen dein deine deinen seine seinen ihre ihren unser unsere euer eure dieser diese dieses ' +
      'diesen diesem jener welche welcher welches was wer wo wann warum wieso da dort hier dann so auch noch schon nur sehr mal ja denn doch je pro',
  ),
  negations: words('nicht kein keine keinen keinem keiner keines ohne nie niemals gegen weder statt'),
  articles: words('der die das den dem des ein eine einen einem einer eines'),
  pointing: new Map([
    ['nach', 'towards'],
    ['zu', 'towards'],
    ['zum', 'towards'],
    ['zur', 'towards'],
    ['in', 'towards'],
    ['von', 'from'],
    ['vom', 'from'],
    ['aus', 'from'],
  ]),
  endings:
    'e en n er es em s ern ens nen st t te ten tes ter test et est eten etes eter end ende enden ender endes ste sten ster stes se ses sen'.split(
      ' ',
    ),
  leastStem: 3,
  // "gefahren", "gepackt"
  alternates: (stem, ending) =>
    /^(?:en|t|et|te|ten|es|er)$/.test(ending) && stem.startsWith('ge') && stem.length > 5
      ? [stem.slice(2)]
      : [],
  irregular: pairs(
    'fuhr:fahren fuhren:fahren ging:gehen gingen:gehen gegangen:gehen kam:kommen kamen:kommen gab:geben gibt:geben gegeben:geben nahm:nehmen nimmt:nehmen ' +
      'genommen:nehmen sah:sehen sieht:sehen gesehen:sehen las:lesen liest:lesen gelesen:lesen schrieb:schreiben geschrieben:schreiben fand:finden fanden:finden ' +
      'gefunden:finden hilft:helfen half:helfen geholfen:helfen isst:essen ass:essen gegessen:essen trank:trinken getrunken:trinken lief:laufen ' +
      'stand:stehen gestanden:stehen flog:fliegen geflogen:fliegen schnitt:schneiden geschnitten:schneiden zog:ziehen gezogen:ziehen ' +
      'wusch:waschen gewaschen:waschen brachte:bringen gebracht:bringen dachte:denken gedacht:denken besser:gut beste:gut besten:gut bester:gut bestes:gut',
  ),
  own: words(
    'reis arten dame damen wanne wannen steuer reiter leiter master muster kater tester reste ersten gast gaste name namen wandern wanderer buche wetter messer hafer hafen',
  ),
  // "eu", "au", "ei", "ie", "äu" are one; "io", "ia", "ea" in foreign words are two.
  syllables: (word) =>
    vowelRuns(
      word,
      /[aeiouyäöüàéèêáíóú]+/g,
      /(?<=i)(?=[aou])|(?<=e)(?=[ao]|um)|(?<=eu|au|äu|ei|ai)(?=[aei])|(?<=u)(?=[ao])|(?<=[aou]e?)(?=[éè])|(?<=[lnr]i)(?=en$)|(?<=(?:mil|lin)i)(?=e)|(?<=e)(?=i(?:tät|ne))|(?<=[^aeq]u)(?=ell)|(?<=[öü])(?=e)/g,
    ),
  ease: {
    name: 'Amstad (1978)',
    source: 'T. Amstad, Wie verständlich sind unsere Zeitungen?, Universität Zürich, 1978',
    of: ({ words: count, sentences, syllables }) => 180 - count / sentences - 58.5 * (syllables / count),
    standard: 60,
    step: 1,
  },
  vagueLinks: phrases(
    'hier|klicken|hier klicken|klicken sie hier|klick hier|mehr|mehr dazu|mehr lesen|mehr erfahren|mehr infos|weiter|weiterlesen|weiter lesen|lesen|link|dieser link|diese seite|dieser artikel|dieser beitrag|dieser post|seite|artikel|beitrag|quelle|website|webseite|details|infos|info|zum artikel|zum beitrag|zur seite|jetzt lesen|siehe hier|dort|da',
  ),
  abbreviations: words(
    'bzw usw z.b d.h u.a z.t ca ggf evtl inkl exkl bspw vgl nr str tel abs abb max min mind dr prof hr fr st sog o.ä u.ä i.d.r v.a jh mio mrd jan feb mär apr jun jul aug sep okt nov dez',
  ),
  ordinalAfter:
    /(?:^|\s)(?:am|der|die|das|dem|den|des|vom|zum|zur|im|beim|ab|bis|seit|jede[mnrs]?)\s\d{1,2}$/i,
};
