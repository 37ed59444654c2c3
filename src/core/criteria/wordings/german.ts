import { ageingWords, answerWords, claimWords, whole, wordSet } from './building.ts';
import type { Wording } from './wording.ts';

const NUMBERS = 'zwei|drei|vier|fünf|sechs|sieben|acht|neun|zehn';
const PEOPLE =
  'menschen|leute|deutschen|leser\\p{L}*|kunden|kundinnen|nutzer\\p{L}*|käufer\\p{L}*|fahrer\\p{L}*|befragten|teilnehmer\\p{L}*|haushalte|unternehmen|firmen|betriebe|mitarbeiter\\p{L}*|beschäftigten|patienten|kinder|frauen|männer|besucher\\p{L}*|gäste|bevölkerung|fälle|unfälle|seiten|texte|räder|autos';
/** "Legen Sie", "Leg den", "Lege das": a verb first, then whom or what it is about. */
const BARE =
  'nimm|nehmt|leg|lege|legt|stell|stelle|stellt|zieh|ziehe|zieht|dreh|drehe|dreht|drück|drücke|drückt|öffne|öffnet|schließ|schließe|schließt|prüf|prüfe|prüft|wähl|wähle|wählt|klick|klicke|klickt|pack|packe|packt|roll|rolle|rollt|häng|hänge|hängt|wasch|wasche|wascht|spül|spüle|spült|lass|lasst|schneid|schneide|setz|setze|setzt|füll|fülle|mach|mache|macht|geh|gehe|geht|achte|achtet|schau|schaut|lies|schreib|schreibe|such|suche|sucht|probier|probiere|miss|notiere|vergiss|vermeide|verwende|nutze|bring|bringe|bringt|fahr|fahre|fahrt|kauf|kaufe|kauft|frag|frage|fragt|warte|rechne|plane|trag|trage|reinige|trockne|entferne|befestige|montiere|starte|gib|halt|halte|haltet|denk|denke|denkt|tipp|tippe|tippt|ruf|rufe|melde|bewege|verschiebe|markiere|ziel|teste|testet|sorg|sorge|beginne|beginn|erstelle|speichere|aktiviere|deaktiviere|installiere|lade|lösche|ergänze|beachte|beachtet|überprüfe|überprüft';
const ORDER = new RegExp(
  `^(?:(?:zuerst|zunächst|als erstes|dann|danach|anschließend|nun|jetzt|schließlich|zum schluss|zuletzt|und|bitte|niemals|nie|immer),? )?(?:\\p{L}{3,}(?:en|ern|eln) sie|(?:${BARE})|seien sie|tun sie)(?![\\p{L}])`,
  'iu',
);

/** How German says what the criteria look for. */
export const german: Wording = {
  claims: claimWords({
    percent: 'prozent',
    of: 'der|des|aller|von',
    numbers: NUMBERS,
    tens: 'zwanzig|dreißig|vierzig|fünfzig|sechzig|siebzig|achtzig|neunzig',
    months: 'januar|jänner|februar|märz|april|mai|juni|juli|august|september|oktober|november|dezember',
    ratios:
      '(?<!(?:schritt|seite|teil|kapitel|punkt|abbildung|datensatz|zeile|folie|blatt|bild) )(?:# von (?:#|hundert|tausend)|eine[rsnm]? von (?:\\d+|fünf|sechs|sieben|acht|neun|zehn|hundert|tausend))(?! (?:jahren?|monaten?|wochen?|tagen?|stunden?|minuten?|sternen?|punkten?))|(?:fast |nur |etwa )?jede[rsnm]? (?:zweite|dritte|vierte|fünfte|sechste|siebte|achte|neunte|zehnte|zwanzigste|hundertste)[rsnm]?(?! (?:jahr|monat|woche|tag|stunde|minute|sekunde|mal|zeile|reihe|spalte|seite|wort)\\p{L}*)',
    fractions: `(?:die hälfte|ein drittel|ein viertel|ein fünftel|ein zehntel|zwei drittel|drei viertel) (?:aller|(?:der|des|von|unserer|dieser)(?: \\p{L}+){0,2}? (?:${PEOPLE}))`,
    times:
      '(?:doppelt|#mal|# mal|#-mal) so \\p{L}+|(?:#mal|# mal|#-mal) (?:mehr|weniger|häufiger|öfter|seltener|schneller|langsamer|größer|länger|höher|teurer)|(?:um )?(?:das|ein) (?:doppelte|dreifache|vierfache|fünffache|zehnfache|\\d{1,3}-?fache)|\\d{1,3}-?fache?[nrs]?',
    money: 'euro|eur|cent|dollar|pfund|franken|chf',
    hints: ' von |jede|hälfte|drittel|viertel|fünftel|zehntel|doppelt|mal |fache',
    ownVoice: 'wir|uns|unsere?[nmrs]?|mein|meine[nmrs]?',
    ownCount:
      '(?:haben|hatten) (?:wir|ich)|(?:wir|ich) (?:haben|habe|hatten) [^.]{0,80}(?:gezählt|gemessen|gewogen|verkauft|vermietet|repariert|befragt|getestet|gestoppt|erfasst|beobachtet|gesehen)|(?:wir|ich) (?:zählen|zählten|maßen|messen|wogen|verkaufen|verkauften|vermieten|vermieteten|reparieren|reparierten|testeten|sehen|sahen|befragten)|(?:in|bei|unter|von|aus|an) (?:unser|mein)e[mnr] (?:\\p{L}+ )?(?:werkstatt|laden|geschäft|büro|küche|garten|team|praxis|kunden|kundinnen|gästen|lesern|nutzern|mitgliedern|umfrage|zählung|tests?|daten|zahlen|erfahrung)',
    settings:
      'standard\\p{L}*|einstell\\p{L}*|eingestellt|gesetzt|setzen|zoom\\p{L}*|skalier\\p{L}*|vergrößer\\p{L}*|verkleiner\\p{L}*|deckkraft|helligkeit|kontrast|transparenz|sättigung|maßstab|lautstärke|voreinstellung\\p{L}*|voreingestellt\\p{L}*|schieberegler',
    clock: 'uhr|h',
    goesOn: 'er|sie|es|das|dies|diese[rsnm]?|dieselben?|seine?[nrsm]?|ihre?[nrsm]?|dabei|darin|davon',
    advice: new RegExp(
      `${ORDER.source}|^(?:\\p{L}+ ){0,8}(?:sollten|sollte|müssen|dürfen) (?:sie|man|du)(?![\\p{L}])`,
      'iu',
    ),
  }),
  ageing: ageingWords(
    'kürzlich|neulich|neuerdings|heutzutage|derzeit|zurzeit|zur zeit|momentan|im moment|vor kurzem|unlängst|in letzter zeit|dieses jahr|diesen monat|diese woche|letztes jahr|letzten monat|letzte woche|nächstes jahr|nächsten monat|nächste woche|im vergangenen jahr|vergangenes jahr|vergangene woche|in den letzten wochen|in den letzten monaten|in den kommenden wochen|in den kommenden monaten|bis heute|stand heute',
  ),
  stock: {
    // A clause with "dass" has its verb at the end: without what stands before it it would be no sentence.
    openers: [],
    fillers: [
      'es ist wichtig zu beachten',
      'es ist wichtig zu wissen',
      'es sei darauf hingewiesen',
      'es versteht sich von selbst',
      'es ist kein geheimnis',
      'wie wir alle wissen',
      'wie allgemein bekannt',
      'am ende des tages',
      'nicht zuletzt aus diesem grund',
      'last but not least',
      'zusammenfassend lässt sich sagen',
      'alles in allem lässt sich sagen',
      'im großen und ganzen',
      'in der heutigen zeit',
      'in der heutigen schnelllebigen',
      'in der heutigen digitalen',
      'in zeiten von',
      'in unserer schnelllebigen',
      'in einer welt, in der',
      'in diesem artikel erfahren sie',
      'in diesem artikel erfährst du',
      'in diesem beitrag erfahren sie',
      'in diesem beitrag erfährst du',
      'in diesem blogbeitrag',
      'ohne weitere umschweife',
      'tauchen wir ein',
      'lassen sie uns eintauchen',
      'tauchen sie ein in die welt',
      'auf das nächste level',
      'aufs nächste level',
      'aufs nächste niveau',
      'ein echter game changer',
      'ein gamechanger',
      'das volle potenzial',
      'das volle potential',
      'spielt eine entscheidende rolle',
      'spielen eine entscheidende rolle',
      'spielt eine wichtige rolle',
      'spielen eine wichtige rolle',
      'spielt eine zentrale rolle',
      'gewinnt zunehmend an bedeutung',
      'gewinnen zunehmend an bedeutung',
      'erfreut sich immer größerer beliebtheit',
      'erfreuen sich immer größerer beliebtheit',
      'der möglichkeiten sind keine grenzen',
      'sind keine grenzen gesetzt',
      'die möglichkeiten sind endlos',
      'nur die zeit wird zeigen',
      'über den tellerrand',
      'maßgeschneiderte lösungen',
      'wenn es um das thema',
      'egal ob anfänger oder',
      'ob anfänger oder profi',
      'ein absolutes muss',
      'ein absolutes must-have',
    ],
  },
  answers: answerWords({
    forms: {
      price: whole(
        'kosten|kostet|preise?|preisliste|gebühr|gebühren|tarif|tarife|miete|mieten|leihen|ausleihen|verleih|kaufen|bestellen|buchen',
      ),
      number:
        /^(?:wie (?:viele?|lange|oft|weit|alt|groß|hoch|tief|schnell|schwer|breit|dick|warm|heiß))(?![\p{L}])|(?:^|\s)(?:\p{L}*druck|temperatur|größe|größentabelle|dosierung|grenzwert|höchstmenge|anzahl)(?![\p{L}])/u,
      steps:
        /^wie (?:man|kann|kannst|können|macht|mache|baue|baut|wechsle|wechselt|repariere|repariert|reinige|reinigt|pflege|packe|packt|wasche|funktioniert)(?![\p{L}])|(?:^|\s)(?:\p{L}*anleitung|schritt für schritt|checkliste|packliste|rezept|tutorial|(?:selbst|selber) \p{L}+|(?!tieren|bieren|papieren|manieren)\p{L}{2,}ieren|anpassen|aktualisieren|aufsetzen|verwalten|verfolgen|schützen|lagern|entkalken|stricken|nähen|falten|streichen|verlegen|schneiden|düngen|anlegen|lösen|beheben|reinigen|waschen|wechseln|reparieren|bauen|aufbauen|einstellen|pflegen|machen|packen|flicken|ölen|schmieren|montieren|anbringen|installieren|einrichten|schreiben|kochen|backen|pflanzen|auswählen|lernen|berechnen|messen|prüfen|planen|entfernen|löschen|ändern|verbinden|erstellen)(?![\p{L}])/u,
      comparison: whole(
        '(?:der|die|das) beste[nrs]?|beste[rsnm]?|welche[rsnm]?|vs|versus|oder|vergleich|\\p{L}*test|alternativen?|unterschiede?|erfahrungen|bewertung(?:en)?|empfehlung(?:en)?|kaufberatung|vergleichen',
      ),
      definition: whole('(?:was|wer) (?:ist|sind|war|bedeutet|heißt|bedeuten)|bedeutung|definition|begriff'),
    },
    verbs:
      'ist|sind|war|waren|heißt|bedeutet|bezeichnet|nennt man|hat|haben|hatte|hatten|braucht|brauchen|benötigt|benötigen|nimmt|nehmen|funktioniert|funktionieren|beginnt|beginnen|kommt|kommen|geht|gehen|kann|können|soll|sollen|sollte|sollten|muss|müssen|darf|dürfen|wird|werden|wurde|wurden|kostet|kosten|dauert|dauern|hält|halten|hilft|helfen|hängt|hängen|zeigt|zeigen|gibt|geben|macht|machen|bietet|bieten|erlaubt|erlauben|lässt|lassen|bringt|bringen|enthält|enthalten|umfasst|umfassen|besteht|bestehen|gehört|gehören|liegt|liegen|steht|stehen|passt|passen|schützt|schützen|verhindert|verhindern|dient|dienen|sorgt|sorgen|verwendet|verwenden|nutzt|nutzen|wiegt|wiegen|reicht|reichen|läuft|laufen|entsteht|entstehen|eignet|eignen|bleibt|bleiben|führt|führen|trägt|tragen|sitzt|sitzen|fährt|fahren|misst|messen|beschreibt|beschreiben|verbindet|verbinden|schließt|schließen|öffnet|öffnen|unterscheidet|unterscheiden|erfordert|erfordern|ermöglicht|ermöglichen|macht|stellt|stellen|lohnt|lohnen|gilt|gelten',
    money: 'euro|eur|cent|dollar|pfund|franken|chf',
    free: 'kostenlos|kostenfrei|gratis|umsonst|kostet nichts|kosten nichts',
    numbers: `${NUMBERS}|elf|zwölf|fünfzehn|zwanzig|dreißig|vierzig|fünfzig|sechzig|hundert|tausend|hälfte|viertel|halb\\p{L}*`,
    comparing:
      '\\p{L}+er als|mehr (?:\\p{L}+ )?als|weniger (?:\\p{L}+ )?als|besser\\p{L}*|beste[nrsm]?|schlechter\\p{L}*|billiger\\p{L}*|günstiger\\p{L}*|teurer|statt|anstatt|anstelle|im vergleich|verglichen|während|dagegen|hingegen|im gegensatz|empfehlen|empfiehlt|empfehlenswert|bevorzug\\p{L}*|wählen|erste wahl|hängt (?:\\p{L}+ )?davon ab|kommt (?:\\p{L}+ )?darauf an|unterscheide[tn]',
    showing:
      '(?:so |und |aber )?(?:hier (?:ist|sind|kommt|kommen|folgt|folgen|finden)|das (?:sind|ist)|dies (?:sind|ist))',
    order: ORDER,
  }),
  style: {
    openers: wordSet(
      'er sie es das dies diese dieser dieses diesen diesem ihn ihm ihr ihre seine sein jener jene aber und oder doch dann da dort hier ' +
        'beide beides andere anderer anderes andererseits außerdem jedoch deshalb daher deswegen darum also stattdessen sonst zudem auch ' +
        'nur sogar wieder so dadurch damit dabei dafür dagegen daran darauf daraus darin darüber davon dazu danach inzwischen schließlich ' +
        'trotzdem dennoch einige manche alle keine jede jeder jedes welche denn zwar allerdings ebenso ebenfalls zuletzt anschließend',
    ),
    pointing: wordSet(
      'er es das dies diese dieser dieses diesen diesem ihn ihm ihre seine seinen seiner ihren ihrer beide beides dieselbe derselbe dasselbe damit dabei davon darin dazu',
    ),
    persons: [
      wordSet('du dich dir dein deine deinen deiner ihr euch euer eure ihnen'),
      wordSet('wir uns unser unsere unseren unserem unserer'),
      wordSet('ich mich mir mein meine meinen meiner meinem'),
      wordSet('sie'),
      wordSet('er ihn ihm sein seine seinen seiner'),
      wordSet('ihre ihren ihrer ihrem'),
      wordSet('es'),
    ],
    modals: wordSet(
      'kann können könnte könnten soll sollen sollte sollten muss müssen müsste darf dürfen will wollen wollte mag möchte möchten wird werden würde würden',
    ),
    negations: wordSet('nicht kein keine keinen keinem keiner nie niemals nichts niemand'),
    conditions: wordSet('wenn falls sobald sofern ob'),
    isPast: (form) => PAST.has(form) || (form.length > 5 && /[^t]ten?$/.test(form) && PRETERITE.test(form)),
    articles: wordSet(
      'der die das den dem des ein eine einen einem einer unser unsere mein meine dein deine',
    ),
    prepositions: wordSet(
      'in im an am auf aus bei beim mit nach von vom vor zu zum zur für durch um ohne gegen unter über zwischen seit bis',
    ),
    beginsAs: (form) => (ORDERS.has(form) ? 'order' : 'noun'),
  },
};

const PAST = wordSet(
  'war waren hatte hatten wurde wurden ging gingen kam kamen sagte sagten machte machten fuhr fuhren fand fanden gab gaben nahm nahmen sah sahen stand standen ' +
    'lag lagen blieb blieben schrieb schrieben las lasen saß saßen lief liefen zog zogen hielt hielten brachte brachten dachte dachten wusste wussten konnte konnten musste mussten',
);
/** Weak verbs: "kaufte", "legten", "rechneten"; adjectives in -te are rarer. */
const PRETERITE = /(?:[bcdfgklmnpszßhr]|et)ten?$/;
const ORDERS = wordSet(BARE.replaceAll('|', ' '));
