import { ageingWords, answerWords, claimWords, whole, wordSet } from './building.ts';
import type { Wording } from './wording.ts';

const NUMBERS = 'twee|drie|vier|vijf|zes|zeven|acht|negen|tien';
const PEOPLE =
  "mensen|nederlanders|vlamingen|belgen|lezers|klanten|gebruikers|kopers|fietsers|ondervraagden|deelnemers|huishoudens|bedrijven|werknemers|medewerkers|patiënten|kinderen|vrouwen|mannen|bezoekers|inwoners|gevallen|ongelukken|pagina's|teksten|leerlingen|fietsen|auto's|consumenten|bevolking";
const BARE =
  'neem|leg|zet|trek|draai|duw|druk|open|sluit|controleer|kies|klik|pak|rol|hang|was|spoel|laat|snijd|knip|vul|maak|ga|let|kijk|lees|schrijf|zoek|probeer|meet|noteer|vergeet|vermijd|gebruik|breng|koop|vraag|wacht|reken|bereken|plan|draag|reinig|droog|verwijder|bevestig|monteer|start|begin|geef|houd|denk|typ|bel|test|zorg|voeg|selecteer|voer|plaats|installeer|sleep|schakel|bekijk|volg|verplaats|doe|kom|stop|haal|schuif|smeer|vet|bewaar|reserveer|overweeg|onthoud|herhaal|wijzig|stel|raadpleeg|activeer|teken|spaar|tel|weeg|verhoog|verlaag|ruim';
const ORDER = new RegExp(
  `^(?:(?:eerst|ten eerste|dan|daarna|vervolgens|nu|tot slot|ten slotte|en|altijd|nooit),? )?(?:${BARE})(?![\\p{L}])(?! (?:ik|hij|zij|we|wij|het (?:een|de)))`,
  'iu',
);

/** How Dutch says what the criteria look for. */
export const dutch: Wording = {
  claims: claimWords({
    percent: 'procent',
    of: 'van|der',
    numbers: NUMBERS,
    tens: 'twintig|dertig|veertig|vijftig|zestig|zeventig|tachtig|negentig',
    months: 'januari|februari|maart|april|mei|juni|juli|augustus|september|oktober|november|december',
    ratios:
      '(?<!(?:stap|pagina|deel|hoofdstuk|punt|figuur) )(?:# van (?:de )|(?:#|een|één) op (?:de |elke )?)(?:#|honderd|duizend)(?! (?:jaar|jaren|maanden|weken|dagen|uur|minuten|sterren))|(?:bijna |ruim )?(?:#|een|één) op de (?:#|honderd)',
    fractions: `(?:de helft|een derde|een kwart|een vijfde|een tiende|twee derde|driekwart|drie kwart) van (?:alle |de |onze |deze )(?:\\p{L}+ ){0,2}?(?:${PEOPLE})`,
    times:
      '(?:twee keer|drie keer|# keer|# maal|tweemaal|driemaal|dubbel) zo ?\\p{L}+|# (?:keer|maal) (?:meer|minder|vaker|sneller|langzamer|groter|langer|hoger|duurder)|(?:het dubbele|het drievoudige)|(?:is|zijn) (?:verdubbeld|verdrievoudigd)|verdubbelde[n]?',
    money: 'euro|eur|cent|dollar|pond|frank',
    hints: ' op | van |helft|derde|kwart|vijfde|tiende|keer|maal|dubbel|voudig',
    ownVoice: 'wij|we|ons|onze|mijn',
    ownCount:
      '(?:wij|we|ik) (?:hebben|heb|hadden) [^.]{0,80}(?:geteld|gemeten|gewogen|verkocht|verhuurd|gerepareerd|ondervraagd|getest|geklokt|geregistreerd|gezien)|(?:wij|we|ik) (?:telden|tellen|maten|meten|wogen|verkopen|verkochten|verhuren|verhuurden|repareren|repareerden|testten|zien|zagen)|(?:in|bij|onder|van|uit) (?:onze|ons|mijn) (?:\\p{L}+ )?(?:werkplaats|winkel|kantoor|keuken|tuin|team|praktijk|klanten|gasten|lezers|gebruikers|leden|enquête|telling|tests?|gegevens|cijfers|ervaring)',
    settings:
      'standaard\\p{L}*|instel\\p{L}*|ingesteld|stel|zoom\\p{L}*|schaal\\p{L}*|geschaald|vergroot\\p{L}*|verklein\\p{L}*|dekking|ondoorzichtigheid|helderheid|contrast|transparantie|verzadiging|volume|schuifregelaar',
    years: 'in|sinds|tot|voor|na|tussen|vanaf|eind|begin|in het jaar',
    clock: 'uur|u',
    goesOn: 'hij|zij|ze|het|dit|dat|deze|die|zijn|haar|hun|hetzelfde|dezelfde|daarbij|daarvan|hierbij',
    advice: new RegExp(
      `${ORDER.source}|^(?:u|je|jij|men) (?:moet|kunt|kan|mag|zou)(?![\\p{L}])|^het is (?:beter|verstandig|aan te raden)(?![\\p{L}])`,
      'iu',
    ),
  }),
  ageing: ageingWords(
    'onlangs|recentelijk|recent|de laatste tijd|tegenwoordig|vandaag de dag|heden ten dage|momenteel|op dit moment|op het moment|dezer dagen|dit jaar|deze maand|deze week|vorig jaar|vorige maand|vorige week|afgelopen jaar|afgelopen maand|afgelopen week|volgend jaar|volgende maand|volgende week|in de afgelopen weken|in de afgelopen maanden|de komende weken|de komende maanden|tot op heden|tot nu toe|kortgeleden',
    'in|sinds|tot|voor|vanaf|in het jaar',
  ),
  stock: {
    // A clause with "dat" has its verb at the end: without what stands before it it would be no sentence.
    openers: [],
    fillers: [
      'het is belangrijk om op te merken',
      'het is belangrijk om te weten',
      'het is goed om te weten',
      'het is geen geheim',
      'het spreekt voor zich',
      'zoals we allemaal weten',
      'aan het eind van de dag',
      'aan het einde van de dag',
      'last but not least',
      'al met al',
      'kortom, het is duidelijk',
      'in de wereld van vandaag',
      'in het huidige digitale tijdperk',
      'in het digitale tijdperk',
      'in een wereld waarin',
      'in een steeds veranderende',
      'steeds veranderende wereld',
      'in deze snel veranderende',
      'sinds mensenheugenis',
      'zonder verder oponthoud',
      'zonder verdere omhaal',
      'zoek niet verder',
      'laten we erin duiken',
      'duik in de wereld van',
      'naar een hoger niveau',
      'naar het volgende niveau',
      'een echte gamechanger',
      'een gamechanger',
      'de mogelijkheden zijn eindeloos',
      'eindeloze mogelijkheden',
      'de tijd zal het leren',
      'buiten de gebaande paden',
      'out of the box denken',
      'uw wensen en behoeften',
      'jouw wensen en behoeften',
      'oplossingen op maat',
      'het volledige potentieel',
      'speelt een cruciale rol',
      'spelen een cruciale rol',
      'speelt een belangrijke rol',
      'spelen een belangrijke rol',
      'of je nu een beginner bent of',
      'of u nu een beginner bent of',
      'in dit artikel duiken we',
      'in dit artikel bespreken we',
      'in dit artikel lees je',
      'in deze blogpost',
      'wordt steeds belangrijker',
      'worden steeds belangrijker',
      'als het gaat om',
      'wanneer het aankomt op',
      'als het aankomt op',
    ],
  },
  answers: answerWords({
    forms: {
      price: whole(
        'kosten|kost|prijs|prijzen|prijslijst|tarief|tarieven|huren|huur|kopen|bestellen|boeken|reserveren',
      ),
      number:
        /^(?:hoe ?(?:veel|lang|vaak|ver|oud|groot|hoog|diep|snel|zwaar|breed|dik|warm|heet))(?![\p{L}])|(?:^|\s)(?:\p{L}*druk|temperatuur|maat|maten|afmetingen|dosering|duur|snelheid|aantal)(?![\p{L}])/u,
      steps:
        /^hoe (?:moet|kan|kun|maak|bouw|vervang|repareer|was|reinig|pak|vouw|plak|je|werkt)(?![\p{L}])|(?:^|\s)(?:handleiding|stappenplan|stap voor stap|checklist|paklijst|recept|tutorial|zelf \p{L}+|maken|bouwen|vervangen|repareren|wassen|reinigen|schoonmaken|inpakken|plakken|smeren|oliën|monteren|installeren|instellen|schrijven|koken|bakken|planten|kiezen|leren|berekenen|meten|controleren|plannen|verwijderen|verbinden|aanmaken|opzetten|onderhouden)(?![\p{L}])/u,
      comparison: whole(
        'beste|welke|welk|vs|versus|of|vergelijking|vergelijken|test|alternatieven?|verschil|verschillen|ervaringen|review|reviews|aanraders?',
      ),
      definition: whole('(?:wat|wie) (?:is|zijn|betekent|betekenen)|betekenis|definitie'),
    },
    verbs:
      'is|zijn|was|waren|heet|heten|betekent|betekenen|heeft|hebben|had|hadden|heb|nodig|vraagt|vragen|duurt|duren|werkt|werken|begint|beginnen|komt|komen|gaat|gaan|kan|kunnen|kun|moet|moeten|mag|mogen|zal|zullen|wordt|worden|werd|werden|kost|kosten|houdt|houden|helpt|helpen|hangt|hangen|toont|tonen|laat|laten|geeft|geven|maakt|maken|biedt|bieden|brengt|brengen|bevat|bevatten|bestaat|bestaan|hoort|horen|ligt|liggen|staat|staan|past|passen|beschermt|beschermen|voorkomt|voorkomen|dient|dienen|zorgt|zorgen|gebruikt|gebruiken|weegt|wegen|loopt|lopen|ontstaat|ontstaan|blijft|blijven|leidt|leiden|draagt|dragen|zit|zitten|rijdt|rijden|meet|meten|beschrijft|beschrijven|verbindt|verbinden|sluit|sluiten|opent|openen|verschilt|verschillen|vereist|vereisen|stelt|stellen|geldt|gelden|vormt|vormen|levert|leveren|kiest|kiezen|verdient|verdienen|doet|doen',
    money: 'euro|eur|cent|dollar|pond|frank',
    free: 'gratis|kosteloos|kost niets|kosten niets',
    numbers: `${NUMBERS}|elf|twaalf|vijftien|twintig|dertig|veertig|vijftig|zestig|honderd|duizend|helft|halve?|kwart`,
    comparing:
      '\\p{L}+er dan|meer (?:\\p{L}+ )?dan|minder (?:\\p{L}+ )?dan|beter|betere|beste|slechter|slechtste|goedkoper|duurder|in plaats van|vergeleken|in vergelijking|terwijl|daarentegen|in tegenstelling|kies|kiezen|aan te raden|aanrader|raden|verkies\\p{L}*|voorkeur|eerste keus|hangt (?:\\p{L}+ )?af|ligt eraan|geschikt voor',
    showing:
      '(?:dus |en |maar )?(?:hier (?:is|zijn|komt|komen|volgt|volgen|vind)|dit (?:zijn|is)|dat (?:zijn|is))',
    order: ORDER,
  }),
  style: {
    openers: wordSet(
      'hij zij ze het dit dat deze die hem haar zijn hun ervan erop erin eruit daar hier dan toen maar en of want toch dus daarom daardoor daarna daarmee daarbij daarvan ' +
        'daarvoor hierdoor hiermee beide beiden andere anderen bovendien echter anders ook zelfs alleen weer zo intussen ondertussen uiteindelijk sommige sommigen veel ' +
        'alle geen elke elk iedere welke toch namelijk verder evenals tenslotte vervolgens eerst daarnaast',
    ),
    pointing: wordSet(
      'hij ze het dit dat deze die hem haar zijn hun beide beiden dezelfde hetzelfde ermee erbij ervan erin daarmee daarbij daarvan',
    ),
    persons: [
      wordSet('je jij jou jouw u uw jullie'),
      wordSet('wij we ons onze'),
      wordSet('ik mij me mijn'),
      wordSet('zij haar'),
      wordSet('hij hem zijn'),
      wordSet('hun hen ze'),
      wordSet('het'),
    ],
    modals: wordSet(
      'kan kunnen kun kunt zou zouden moet moeten mag mogen zal zullen wil willen hoeft hoeven',
    ),
    negations: wordSet('niet geen nooit niets niemand zonder'),
    conditions: wordSet('als wanneer indien tenzij'),
    isPast: (form) =>
      PAST.has(form) ||
      (form.length > 5 && /(?:[^aeiou]de|[^aeiou]te|den|tten)$/.test(form) && PRETERITE.test(form)),
    articles: wordSet('de het een onze ons mijn je jouw uw'),
    prepositions: wordSet(
      'in op aan bij met van voor naar uit over onder tussen door om tot sinds na zonder tegen per tijdens',
    ),
    beginsAs: (form) => (ORDERS.has(form) ? 'order' : 'noun'),
  },
};

const PAST = wordSet(
  'was waren had hadden werd werden ging gingen kwam kwamen zei zeiden deed deden vond vonden gaf gaven nam namen zag zagen stond stonden lag lagen bleef bleven ' +
    'schreef schreven las lazen zat zaten liep liepen trok trokken hield hielden bracht brachten dacht dachten wist wisten kon konden moest moesten reed reden maakte maakten',
);
/** Weak verbs: "kookte", "legden", "noteerde". */
const PRETERITE = /(?:[kfpst]ten?|(?:erd|eld|end|ld|gd|vd|rd|nd|kt)en?)$/;
const ORDERS = wordSet(BARE.replaceAll('|', ' '));
