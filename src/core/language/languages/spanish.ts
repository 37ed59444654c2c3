import { type LanguageRules, pairs, phrases, vowelRuns, words } from './language-rules.ts';

export const spanish: LanguageRules = {
  code: 'es',
  name: 'Spanish',
  functionWords: words(
    'el la los las lo un una unos unas de del al a en y e o u pero que como para por con desde hasta entre sobre bajo tras durante según se su sus mi mis tu tus nuestro nuestra nuestros nuestras ' +
      'me te nos os le les yo tú él ella usted nosotros ellos ellas ustedes este esta estos estas ese esa esos esas aquel es son era fue ser está están estar hay ha han haber tiene tienen puede pueden debe deben ' +
      'si cuando donde quien cual cuales qué cómo cuándo dónde quién cuál más muy también ya todo toda todos todas',
  ),
  negations: words('no sin nunca jamás ni ningún ninguna contra nada tampoco'),
  articles: words('el la los las lo un una unos unas del al'),
  pointing: new Map([
    ['a', 'towards'],
    ['al', 'towards'],
    ['hacia', 'towards'],
    ['desde', 'from'],
  ]),
  endings: (
    's es o a os as e ar er ir ando iendo ado ada ados adas ido ida idos idas an en amos emos imos aba aban abas ia ian ias io aron ieron ara aran era eran iera ira iran are aria arian ' +
    'arlo arla arlos arlas arse erse irse erlo erla irlo irla andolo or ora ores oras on ones ona onas'
  ).split(' '),
  leastStem: 3,
  // "luces" of luz, "busque" of buscar, "pague" of pagar, "elijo" of elegir stays out.
  alternates: (stem, ending) => {
    if (/^[ei]/.test(ending) && stem.endsWith('c')) return [`${stem.slice(0, -1)}z`];
    if (/^[ei]/.test(ending) && stem.endsWith('qu')) return [`${stem.slice(0, -2)}c`];
    if (/^[ei]/.test(ending) && stem.endsWith('gu')) return [stem.slice(0, -1)];
    if (/^[ao]/.test(ending) && stem.endsWith('j')) return [`${stem.slice(0, -1)}g`];
    return [];
  },
  irregular: pairs(
    'va:ir van:ir vamos:ir fue:ir hace:hacer hacen:hacer hecho:hacer hizo:hacer puede:poder pueden:poder quiere:querer quieren:querer elige:elegir eligen:elegir elijo:elegir elija:elegir ' +
      'duerme:dormir duermen:dormir duermo:dormir encuentra:encontrar encuentran:encontrar cuenta:contar cuesta:costar cuestan:costar juega:jugar juegan:jugar pone:poner puesto:poner dice:decir dicho:decir escrito:escribir abierto:abrir roto:romper ' +
      'viene:venir vienen:venir sirve:servir sirven:servir mide:medir miden:medir pide:pedir piden:pedir empieza:empezar empiezan:empezar cierra:cerrar cierran:cerrar calienta:calentar',
  ),
  own: words('mes pero'),
  gendered: words(
    'cas puert libr pes banc plat cart car per foc punt mod dat rat mang cost sal coll bols cuent',
  ),
  // "ia", "ie", "ua", "ue" are one unless the weak vowel has an accent; "ea", "eo", "ao", "oa", "oe", "ae" are two.
  syllables: (word) =>
    vowelRuns(
      word.replace(/(?<=q)u|(?<=g)u(?=[eiéí])/g, ''),
      /[aeiouyáéíóúü]+/g,
      /(?<=[aeoáéó])(?=[aeoáéóíú])|(?<=[íú])(?=[aeoáéó])/g,
    ),
  ease: {
    name: 'Fernández Huerta (1959)',
    source: 'J. Fernández Huerta, Medidas sencillas de lecturabilidad, Consigna 214, 1959',
    of: ({ words: count, sentences, syllables }) =>
      206.84 - 60 * (syllables / count) - 1.02 * (count / sentences),
    standard: 60,
    step: 1,
  },
  vagueLinks: phrases(
    'aquí|pulse aquí|pulsa aquí|haz clic aquí|haga clic aquí|clic aquí|click aquí|más|leer más|ver más|saber más|más información|más info|seguir leyendo|sigue leyendo|continuar|enlace|este enlace|esta página|este artículo|este post|esta entrada|página|artículo|entrada|fuente|sitio|web|sitio web|detalles|info|ver|leer|allí|ahí',
  ),
  abbreviations: words(
    'sr sra srta dr dra ud uds etc p.ej pág págs núm av avda c tel máx mín ej a.m p.m ee.uu aprox ene feb mar abr may jun jul ago sept oct nov dic',
  ),
};
