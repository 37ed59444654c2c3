import { ageingWords, answerWords, claimWords, whole, wordSet } from './building.ts';
import type { Wording } from './wording.ts';

const NUMBERS = 'två|tre|fyra|fem|sex|sju|åtta|nio|tio';
const PEOPLE =
  'människor|människorna|svenskar|svenskarna|läsare|läsarna|kunder|kunderna|användare|användarna|köpare|cyklister|cyklisterna|tillfrågade|deltagare|deltagarna|hushåll|hushållen|företag|företagen|anställda|patienter|patienterna|barn|barnen|kvinnor|kvinnorna|män|männen|besökare|besökarna|invånare|invånarna|fall|fallen|olyckor|olyckorna|sidor|sidorna|texter|elever|cyklar|bilar|konsumenter|befolkningen';
const BARE =
  'ta|tag|lägg|ställ|dra|vrid|tryck|öppna|stäng|kontrollera|kolla|välj|klicka|packa|rulla|häng|tvätta|skölj|låt|skär|klipp|fyll|gör|gå|titta|se|läs|skriv|sök|leta|prova|pröva|försök|mät|anteckna|glöm|undvik|använd|köp|fråga|vänta|räkna|planera|bär|rengör|torka|avlägsna|montera|starta|börja|ge|håll|tänk|ring|testa|lägg|markera|mata|placera|installera|följ|flytta|kom|sluta|hämta|skjut|smörj|spara|boka|boka|överväg|upprepa|ändra|ställ|aktivera|rita|sätt|skruva|lossa|fäst|byt|pumpa|blås|koppla|ange|justera|slå|bestäm|jämför|ha|var(?! (?:tredje|fjärde|femte|sjätte|sjunde|åttonde|nionde|tionde|tjugonde))|betala|be|lyssna|vik|knyt|spänn';
const ORDER = new RegExp(
  `^(?:(?:först|börja med att|sedan|därefter|efter det|nu|till sist|slutligen|och|alltid),? )?(?:${BARE})(?![\\p{L}])(?! (?:jag|han|hon|vi|de|man))`,
  'iu',
);

/** How Swedish says what the criteria look for. */
export const swedish: Wording = {
  claims: claimWords({
    percent: 'procent',
    of: 'av',
    numbers: NUMBERS,
    tens: 'tjugo|trettio|fyrtio|femtio|sextio|sjuttio|åttio|nittio',
    months: 'januari|februari|mars|april|maj|juni|juli|augusti|september|oktober|november|december',
    ratios:
      '(?<!(?:steg|sida|post|bild|rad|del|kapitel|punkt|figur) )(?:# av (?:#|hundra|tusen)|(?:en|ett) (?:av|på) (?:\\d+|fem|sex|sju|åtta|nio|tio|hundra|tusen))(?! (?:år|månader|veckor|dagar|timmar|minuter|stjärnor))|(?:nästan )?(?:var|vart) (?:tredje|fjärde|femte|sjätte|sjunde|åttonde|nionde|tionde|tjugonde|hundrade)(?! (?:år|månad|vecka|dag|timme|minut|rad|sida|gång))|varannan (?:svensk|kund|läsare|användare|cyklist|person|elev|patient)',
    fractions: `(?:hälften|en tredjedel|en fjärdedel|en femtedel|en tiondel|två tredjedelar|tre fjärdedelar) av (?:alla |de |våra |dessa )?(?:\\p{L}+ ){0,2}?(?:${PEOPLE})`,
    times:
      '(?:dubbelt|# gånger) så \\p{L}+|# gånger (?:mer|fler|färre|mindre|oftare|snabbare|större|längre|högre|dyrare)|(?:det dubbla|det tredubbla)|(?:har|hade) (?:fördubblats|tredubblats)|fördubblades',
    money: 'kronor|kr|öre|euro|eur|dollar|pund',
    hints:
      ' av | på |var|hälften|tredjedel|fjärdedel|femtedel|tiondel|dubbelt|gånger|dubbla|dubblats|dubblades',
    ownVoice: 'vi|oss|vår|vårt|våra|min|mitt|mina',
    ownCount:
      '(?:vi|jag) (?:har|hade) [^.]{0,60}(?:räknat|mätt|vägt|sålt|hyrt ut|lagat|reparerat|frågat|testat|klockat|registrerat|sett)|(?:vi|jag) (?:räknade|räknar|mätte|mäter|vägde|säljer|sålde|hyr ut|hyrde ut|lagar|lagade|testade|ser|såg)|(?:i|hos|bland|av|från|enligt|på) (?:vår|vårt|våra|min|mitt|mina) (?:\\p{L}+ )?(?:verkstad|butik|kontor|kök|trädgård|team|mottagning|kunder|gäster|läsare|användare|medlemmar|enkät|räkning|tester|test|data|siffror|erfarenhet)',
    settings:
      'standard\\p{L}*|förval\\p{L}*|inställ\\p{L}*|ställ|ange|zoom\\p{L}*|skal\\p{L}*|förstora\\p{L}*|förminska\\p{L}*|opacitet|ljusstyrka\\p{L}*|kontrast\\p{L}*|genomskinlighet|transparens|mättnad|volym\\p{L}*|skjutreglage\\p{L}*',
    clock: 'tiden',
    goesOn: 'den|det|de|han|hon|detta|denna|dessa|dess|hans|hennes|deras|samma|därmed|därav',
    advice: new RegExp(
      `${ORDER.source}|^(?:du|ni|man) (?:bör|ska|måste|kan|får|behöver)(?![\\p{L}])|^det är (?:bäst|bättre|klokt)(?![\\p{L}])`,
      'iu',
    ),
  }),
  ageing: ageingWords(
    'nyligen|på sistone|på senare tid|numera|nuförtiden|nu för tiden|i dagsläget|för närvarande|för tillfället|just nu|i år|den här månaden|denna månad|den här veckan|denna vecka|förra året|i fjol|förra månaden|förra veckan|nästa år|nästa månad|nästa vecka|under de senaste veckorna|under de senaste månaderna|de kommande veckorna|de kommande månaderna|hittills|för kort tid sedan',
  ),
  stock: {
    openers: [
      'det är viktigt att notera att ',
      'det är viktigt att komma ihåg att ',
      'det är värt att notera att ',
      'det är värt att nämna att ',
      'det är ingen hemlighet att ',
      'det säger sig självt att ',
      'faktum är att ',
      'sanningen är att ',
    ],
    fillers: [
      'som vi alla vet',
      'när allt kommer omkring',
      'i slutet av dagen',
      'sist men inte minst',
      'sammanfattningsvis kan man säga',
      'i det stora hela',
      'i dagens värld',
      'i dagens snabba',
      'i dagens digitala',
      'i den digitala tidsåldern',
      'i en värld där',
      'i ständig förändring',
      'ständigt föränderlig',
      'sedan urminnes tider',
      'utan vidare dröjsmål',
      'utan att dröja längre',
      'leta inte längre',
      'låt oss dyka in',
      'låt oss dyka ner',
      'dyk in i världen',
      'till nästa nivå',
      'en riktig game changer',
      'en gamechanger',
      'möjligheterna är oändliga',
      'oändliga möjligheter',
      'bara fantasin sätter gränser',
      'endast tiden får utvisa',
      'tänka utanför boxen',
      'tänka utanför ramarna',
      'dina behov och önskemål',
      'skräddarsydda lösningar',
      'den fulla potentialen',
      'sin fulla potential',
      'spelar en avgörande roll',
      'spelar en viktig roll',
      'spelar en central roll',
      'oavsett om du är nybörjare eller',
      'vare sig du är nybörjare eller',
      'i den här artikeln kommer vi',
      'i denna artikel kommer vi',
      'i den här artikeln går vi igenom',
      'i det här blogginlägget',
      'i detta blogginlägg',
      'har blivit allt viktigare',
      'blir allt viktigare',
      'när det kommer till',
      'när det gäller att',
      'vid den här tidpunkten',
    ],
  },
  answers: answerWords({
    forms: {
      price: whole('kostar|kostnad|kostnader|pris|priser|prislista|avgift|avgifter|hyra|köpa|beställa|boka'),
      number:
        /^(?:hur (?:mycket|många|länge|ofta|långt|gammal|stor|stort|hög|högt|djup|djupt|snabbt|tung|tungt|bred|varm))(?![\p{L}])|(?:^|\s)(?:\p{L}*tryck|temperatur|storlek|storlekar|mått|dosering|hastighet|antal)(?![\p{L}])/u,
      steps:
        /^hur (?:gör|man|kan|ska|byter|bygger|lagar|tvättar|packar|fungerar|skriver|rengör|monterar|viker|smörjer|jag|du)(?![\p{L}])|(?:^|\s)(?:guide|steg för steg|checklista|packlista|recept|handledning|instruktioner|bruksanvisning|själv|bygga|byta|laga|reparera|tvätta|rengöra|packa|smörja|olja|montera|installera|skriva|koka|baka|plantera|välja|lära|beräkna|mäta|kontrollera|planera|ansluta|skapa|sköta)(?![\p{L}])/u,
      comparison: whole(
        'bäst|bästa|vilken|vilket|vilka|vs|versus|eller|jämförelse|jämför|jämföra|test|alternativ|skillnad|skillnader|recension|recensioner|omdöme',
      ),
      definition: whole('(?:vad|vem) (?:är|betyder|innebär)|betydelse|definition|betyder'),
    },
    verbs:
      'är|var|heter|betyder|innebär|har|hade|behöver|behövs|tar|fungerar|börjar|kommer|går|kan|ska|bör|måste|får|vill|blir|blev|kostar|varar|räcker|håller|hjälper|beror|visar|säger|ger|gör|erbjuder|tillåter|låter|bringar|innehåller|omfattar|består|hör|ligger|står|passar|skyddar|förhindrar|hindrar|tjänar|används|använder|väger|uppstår|lämpar|förblir|leder|bär|sitter|kör|cyklar|mäter|beskriver|förbinder|stänger|öppnar|skiljer|kräver|möjliggör|ställer|lönar|gäller|utgör|finns|fästs|hängs|tål|släpper|ser|kallas|gäller|mår|rymmer|klarar|motsvarar|hamnar|ökar|minskar',
    money: 'kronor|kr|öre|euro|eur|dollar|pund',
    free: 'gratis|kostnadsfri\\p{L}*|kostnadsfritt|kostar ingenting|kostar inget',
    numbers: `${NUMBERS}|elva|tolv|femton|tjugo|trettio|fyrtio|femtio|sextio|hundra|tusen|hälften|halva?|halvt|kvart`,
    comparing:
      '\\p{L}+(?:are|re) än|mer (?:\\p{L}+ )?än|mindre (?:\\p{L}+ )?än|fler än|färre än|bättre|bäst|bästa|sämre|sämst|billigare|billigast|dyrare|i stället för|istället för|jämfört|i jämförelse|medan|däremot|till skillnad|välj|väljer|rekommender\\p{L}*|föredra\\p{L}*|förstahandsval|beror på|passar bäst|lämpar sig',
    showing: '(?:så |och |men )?(?:här (?:är|kommer|följer|hittar)|det (?:är|här är)|detta är)',
    order: ORDER,
  }),
  style: {
    openers: wordSet(
      'den det de dem han hon honom henne detta denna dessa dess hans hennes deras men och eller för så då där här sedan därför därmed därefter dock ändå annars dessutom ' +
        'också även bara igen båda bägge andra annan annat somliga några många alla ingen inget varje vilken vilket vilka emellertid tvärtom likaså samtidigt slutligen ' +
        'till sist först därtill ju nämligen således alltså istället',
    ),
    pointing: wordSet(
      'den det de dem han hon honom henne detta denna dessa dess hans hennes deras båda samma därmed därav',
    ),
    persons: [
      wordSet('du dig din ditt dina ni er ert era'),
      wordSet('vi oss vår vårt våra'),
      wordSet('jag mig min mitt mina'),
      wordSet('hon henne hennes'),
      wordSet('han honom hans'),
      wordSet('de dem deras'),
      wordSet('det den'),
    ],
    modals: wordSet('kan kunde ska skulle bör borde måste får vill ville behöver'),
    negations: wordSet('inte ej aldrig inget ingen inga ingenting utan'),
    conditions: wordSet('om när ifall'),
    isPast: (form) =>
      /^(?:var|hade|blev|gick|kom|sade|sa|gjorde|fann|gav|tog|såg|stod|låg|skrev|läste|satt|drog|höll|visste|kunde|fick|åkte)$/.test(
        form,
      ) ||
      (form.length > 4 &&
        /(?:ade|de|te)$/.test(form) &&
        !/^(?:både|inte|måste|nästa|bästa|utan)$/.test(form)),
    articles: wordSet('en ett den det de vår vårt våra min mitt mina din ditt'),
    prepositions: wordSet(
      'i på av till från med för om under över mellan genom vid hos efter före sedan utan mot enligt',
    ),
    beginsAs: (form) => (ORDERS.has(form) ? 'order' : 'noun'),
  },
};

const ORDERS = wordSet(BARE.replace(/\(.*?\)\)/, '').replaceAll('|', ' '));
