import { type LanguageRules, pairs, phrases, vowelRuns, words } from './language-rules.ts';

export const italian: LanguageRules = {
  code: 'it',
  name: 'Italian',
  functionWords: words(
    'il lo la i gli le l un uno una di del dello della dei degli delle dell a al allo alla ai agli alle all da dal dallo dalla dai dagli dalle dall in nel nello nella nei negli nelle nell con su sul sullo sulla sui sugli sulle sull ' +
      'per tra fra e ed o ma che chi cui come quando dove se anche è sono era essere stato ha hanno aveva avere può possono deve devono si mi ti ci vi ne lui lei noi voi loro io tu mio mia tuo tua suo sua suoi sue nostro nostra vostro ' +
      'questo questa questi queste quello quella quelli quelle quale quali cosa perché più molto anche già tutto tutta tutti tutte',
  ),
  negations: words('non senza mai né nessun nessuna nessuno contro niente nulla'),
  articles: words('il lo la i gli le l un uno una'),
  pointing: new Map([
    ['verso', 'towards'],
    ['a', 'towards'],
    ['da', 'from'],
    ['dal', 'from'],
    ['dalla', 'from'],
  ]),
  endings: (
    'o a i e io ia are ere ire ando endo ato ata ati ate uto uta uti ute ito ita iti ite ano ono iamo ete ava avano eva evano iva era ero eranno ira iranno erei arsi ersi irsi arlo arla arli arle erlo erla irlo irla ' +
    'ino iscono isce isco hi he'
  ).split(' '),
  leastStem: 3,
  alternates: (stem, ending) =>
    /^(?:iamo|i|e|era|eranno|erei|ero)$/.test(ending) && stem.endsWith('h') ? [stem.slice(0, -1)] : [],
  irregular: pairs(
    'va:andare vanno:andare vado:andare fa:fare fanno:fare faccio:fare fatto:fare fatta:fare puo:potere possono:potere vuole:volere vogliono:volere viene:venire vengono:venire tiene:tenere tengono:tenere sceglie:scegliere scelgono:scegliere scelto:scegliere scelta:scegliere ' +
      'messo:mettere preso:prendere letto:leggere scritto:scrivere detto:dire dice:dire dicono:dire visto:vedere aperto:aprire cotto:cuocere cotta:cuocere uova:uovo dita:dito migliori:migliore',
  ),
  own: words('sera sero vera'),
  gendered: words(
    'port post cas fogli piant mod punt tavol cost colp past pes pesc mel coll pal mostr tort cors sal negozi cart canal manic',
  ),
  syllables: (word) =>
    vowelRuns(
      word,
      /[aeiouàèéìòóù]+/g,
      /(?<=[aeoàèéòó])(?=[aeoàèéòó])|(?<=[aeo])(?=[ìù])|(?<=[ìù])(?=[aeo])|(?<=^[^aeiou]*i)(?=[oae]$)(?<!^[cgs][ci]?i)/g,
    ),
  ease: {
    name: 'Gulpease (1988)',
    source:
      'P. Lucisano and M. E. Piemontese, Gulpease: una formula per la predizione della difficoltà dei testi in lingua italiana, Scuola e città 3, 1988',
    of: ({ words: count, sentences, letters = 0 }) => 89 + (300 * sentences - 10 * letters) / count,
    // Who has been to middle school reads 60 and more with ease, who has been to high school 40.
    standard: 50,
    step: 0.5,
  },
  vagueLinks: phrases(
    'qui|clicca qui|cliccare qui|clicca|di più|scopri di più|leggi di più|leggi|leggi tutto|continua|continua a leggere|maggiori informazioni|più informazioni|altro|vedi|vedi qui|vai|link|questo link|questa pagina|questo articolo|questo post|pagina|articolo|post|fonte|sito|sito web|dettagli|info|là|lì',
  ),
  abbreviations: words(
    'sig sig.ra dott dott.ssa prof ecc es p.es pag pagg n nr tel v.le p.za max min ca a.c d.c gen feb mar apr mag giu lug ago set ott nov dic',
  ),
};
