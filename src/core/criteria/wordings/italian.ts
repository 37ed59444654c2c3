import { ageingWords, answerWords, claimWords, whole, wordSet } from './building.ts';
import type { Wording } from './wording.ts';

const NUMBERS = 'due|tre|quattro|cinque|sei|sette|otto|nove|dieci';
const PEOPLE =
  'persone|gente|italiani|lettori|lettrici|clienti|utenti|acquirenti|ciclisti|intervistati|partecipanti|famiglie|aziende|imprese|lavoratori|dipendenti|pazienti|bambini|donne|uomini|visitatori|abitanti|casi|incidenti|pagine|testi|studenti|biciclette|auto|consumatori|popolazione';
/** Orders to "tu", to "voi" and to "Lei". */
const BARE =
  'prendi|prendete|prenda|metti|mettete|metta|apri|aprite|apra|chiudi|chiudete|chiuda|gira|girate|giri|tira|tirate|spingi|spingete|premi|premete|prema|controlla|controllate|controlli|verifica|verificate|verifichi|scegli|scegliete|scelga|fai|fate|faccia|porta|portate|porti|arrotola|arrotolate|lava|lavate|lavi|sciacqua|sciacquate|lascia|lasciate|lasci|taglia|tagliate|riempi|riempite|vai|andate|vada|guarda|guardate|guardi|leggi|leggete|legga|scrivi|scrivete|scriva|cerca|cercate|cerchi|prova|provate|provi|misura|misurate|annota|annotate|evita|evitate|eviti|usa|usate|usi|utilizza|utilizzate|utilizzi|compra|comprate|chiedi|chiedete|aspetta|aspettate|calcola|calcolate|pulisci|pulite|pulisca|asciuga|asciugate|togli|togliete|tolga|rimuovi|rimuovete|rimuova|fissa|fissate|monta|montate|smonta|smontate|inizia|iniziate|comincia|cominciate|tieni|tenete|tenga|pensa|pensate|chiama|chiamate|aggiungi|aggiungete|aggiunga|seleziona|selezionate|selezioni|inserisci|inserite|inserisca|clicca|cliccate|cliccare|posiziona|posizionate|installa|installate|ricorda|ricordate|ricordati|assicurati|assicuratevi|assicurarsi|trascina|trascinate|attiva|attivate|disattiva|consulta|consultate|segui|seguite|sposta|spostate|fate|dai|date|conta|contate';
const ORDER = new RegExp(
  `^(?:(?:prima di tutto|innanzitutto|per prima cosa|poi|quindi|dopo|ora|adesso|infine|e|allora|sempre),? )?(?:(?:${BARE})(?:lo|la|li|le|ne|ci|vi)?|non \\p{L}+(?:are|ere|ire|ate|ete|ite)|\\p{L}{3,}(?:are|ere|ire|arre|orre)(?:lo|la|li|le)? (?:il|lo|la|i|gli|le|l['’]|un|uno|una|su|sul|sulla|bene|con))(?![\\p{L}])`,
  'iu',
);

/** How Italian says what the criteria look for. */
export const italian: Wording = {
  claims: claimWords({
    percent: 'per ?cento',
    of: 'dei|degli|delle|di|del|della',
    numbers: NUMBERS,
    tens: 'venti|trenta|quaranta|cinquanta|sessanta|settanta|ottanta|novanta',
    months: 'gennaio|febbraio|marzo|aprile|maggio|giugno|luglio|agosto|settembre|ottobre|novembre|dicembre',
    ratios:
      '(?<!(?:passo|pagina|parte|capitolo|punto|figura) )(?:#|un[oa]?) (?:(?!ore|giorni)\\p{L}+ )?su (?:#|cento|mille)(?! (?:anni|mesi|settimane|giorni|ore|minuti|stelle))',
    fractions: `(?:la metà|un terzo|un quarto|un quinto|un decimo|(?:i )?due terzi|(?:i )?tre quarti) (?:dei|degli|delle|della|di (?:tutti i|tutte le))(?: \\p{L}+){0,2}? ?(?:${PEOPLE})`,
    times:
      '# volte (?:più|meno|superior[ei]|inferior[ei][ei]|tanto|quell[aoe]|(?:la|il) (?:prezzo|peso|dimensione|media|numero|importo|volume|durata|valore|velocità|altezza|lunghezza|superficie))|(?:il|al|del) (?:doppio|triplo|quadruplo)(?! ?clic)(?: d[ei]\\p{L}*)?|(?:è|sono) (?:raddoppiat|triplicat|quadruplicat)[aoei]',
    money: 'euro|eur|centesimi|dollari|dollaro|sterline|franchi',
    hints:
      ' su |metà|terzo|quarto|quinto|decimo|terzi|quarti|volte|doppio|triplo|quadruplo|addoppiat|triplicat',
    ownVoice: 'noi|nostr[oaei]|mi[oae]|miei|abbiamo|siamo|offriamo|noleggiamo|vendiamo',
    ownCount:
      '(?:abbiamo|avevamo|ho) (?:\\p{L}+ )?(?:contato|misurato|pesato|venduto|noleggiato|riparato|chiesto|intervistato|provato|testato|cronometrato|registrato|osservato|visto)|(?:contiamo|misuriamo|pesiamo|vendiamo|noleggiamo|ripariamo|vediamo)|(?:nel|nella|nei|nelle|tra|fra|dei|delle|dai|dalle|secondo) (?:i |le )?(?:nostr[oaei]|mi[oae]|miei) (?:\\p{L}+ )?(?:officina|laboratorio|negozio|ufficio|cucina|giardino|squadra|clienti|lettori|utenti|soci|sondaggio|conteggio|prov[ae]|test|dati|cifre|esperienza)',
    settings:
      'predefinit\\p{L}*|impost\\p{L}*|regol\\p{L}*|zoom|scala|ingrandi\\p{L}*|opacità|luminosità|contrasto|trasparenza|saturazione|volume|cursore',
    years: "nel|dal|al|fino al|dopo il|prima del|tra il|fra il|entro il|dall['’]anno|nell['’]anno",
    clock: 'h|ore',
    goesOn:
      "egli|ella|esso|essa|essi|esse|questo|questa|questi|queste|quest['’]\\p{L}+|ciò|il suo|la sua|i suoi|le sue|lo stesso|la stessa|ne",
    advice: new RegExp(
      `${ORDER.source}|^(?:(?:si )?(?:deve|dovresti|dovrebbe|può|puoi|consiglia)|bisogna|occorre|è (?:meglio|consigliabile|opportuno)|conviene)(?![\\p{L}])`,
      'iu',
    ),
  }),
  ageing: ageingWords(
    "recentemente|di recente|ultimamente|oggigiorno|al giorno d'oggi|al giorno d’oggi|attualmente|al momento|in questo momento|in questi giorni|quest'anno|quest’anno|questo mese|questa settimana|l'anno scorso|l’anno scorso|il mese scorso|la settimana scorsa|la scorsa settimana|lo scorso anno|lo scorso mese|l'anno prossimo|l’anno prossimo|il prossimo anno|il mese prossimo|il prossimo mese|la prossima settimana|la settimana prossima|nelle ultime settimane|negli ultimi mesi|nei prossimi mesi|nelle prossime settimane|ad oggi|poco fa|da poco",
    "nel|dal|fino al|entro il|prima del|nell['’]anno",
  ),
  stock: {
    openers: [
      'è importante notare che ',
      'è importante sottolineare che ',
      'va sottolineato che ',
      'va detto che ',
      'vale la pena ricordare che ',
      'bisogna tenere presente che ',
      'non è un segreto che ',
      'inutile dire che ',
      'va da sé che ',
      'il fatto è che ',
      'la verità è che ',
      'come tutti sappiamo, ',
      'come è noto, ',
      'in fin dei conti, ',
      'alla fine dei conti, ',
      'in conclusione, ',
      'in definitiva, ',
      'ultimo ma non meno importante, ',
      'tutto sommato, ',
    ],
    fillers: [
      'nel mondo di oggi',
      'nel mondo odierno',
      'nel frenetico mondo',
      "nell'era digitale",
      'in un mondo sempre più',
      'in continua evoluzione',
      'in costante evoluzione',
      'dalla notte dei tempi',
      'senza ulteriori indugi',
      'non cercare oltre',
      'immergiamoci nel',
      'immergiti nel mondo',
      'al livello successivo',
      'a un livello superiore',
      'cambia le regole del gioco',
      'una vera rivoluzione',
      'le possibilità sono infinite',
      'il limite è il cielo',
      'solo il tempo lo dirà',
      'pensare fuori dagli schemi',
      'le tue esigenze e preferenze',
      'adatto alle tue esigenze',
      'soluzioni su misura',
      'tutto il potenziale',
      'il pieno potenziale',
      'svolge un ruolo cruciale',
      'svolgono un ruolo cruciale',
      'gioca un ruolo cruciale',
      'giocano un ruolo cruciale',
      'gioca un ruolo fondamentale',
      'svolge un ruolo fondamentale',
      'riveste un ruolo fondamentale',
      'che tu sia un principiante o',
      'che siate principianti o',
      'in questo articolo esploreremo',
      'in questo articolo, esploreremo',
      'in questo articolo scoprirai',
      'in questo articolo vedremo',
      'in questo articolo, vedremo',
      'in questo post del blog',
      'sta diventando sempre più importante',
      'è diventato sempre più importante',
      'quando si tratta di',
      'a questo punto nel tempo',
    ],
  },
  answers: answerWords({
    forms: {
      price: whole(
        'prezz[oi]|quanto costa|quanto costano|costa|costano|cost[oi]|tariff[ae]|comprare|acquistare|noleggiare|noleggio|prenotare|ordinare|affittare',
      ),
      number:
        /^(?:quant[oaie]|ogni quanto|a che (?:velocità|temperatura|altezza|pressione|distanza)|che (?:misura|taglia|pressione))(?![\p{L}])|(?:^|\s)(?:pressione|temperatura|dimension[ei]|taglie?|misure?|dosaggio|durata|velocità)(?![\p{L}])/u,
      steps:
        /^come(?![\p{L}])|^(?:riparare|fare|montare|costruire|pulire|cambiare|sostituire|installare|scrivere|cucinare|piantare|scegliere|lavare|piegare|ingrassare|oliare|imparare|creare|cancellare|collegare|impostare|pianificare|preparare|usare)(?![\p{L}])|(?:^|\s)(?:tutorial|istruzioni|passo (?:passo|dopo passo)|passaggi|ricetta|lista di controllo|cosa portare|cosa mettere)(?![\p{L}])/u,
      comparison: whole(
        'miglior[ei]?|migliore|quale|quali|vs|versus|o|confronto|alternativ[ae]|recension[ei]|opinioni|differenz[ae]|oppure',
      ),
      definition:
        /(?:^|\s)(?:(?:che )?cos['’]?è|cosa (?:è|sono|significa|vuol dire)|che cosa (?:è|sono)|chi è|definizione|significato)(?![\p{L}])/u,
    },
    verbs:
      'è|sono|era|erano|fu|furono|significa|significano|ha|hanno|aveva|serve|servono|richiede|richiedono|prende|prendono|ci vuole|ci vogliono|funziona|funzionano|inizia|iniziano|comincia|cominciano|viene|vengono|va|vanno|può|possono|deve|devono|costa|costano|dura|durano|tiene|tengono|aiuta|aiutano|dipende|dipendono|mostra|mostrano|dice|dà|danno|fa|fanno|offre|offrono|permette|permettono|consente|consentono|lascia|lasciano|porta|portano|contiene|contengono|comprende|comprendono|include|includono|usa|usano|utilizza|utilizzano|protegge|proteggono|evita|evitano|pesa|pesano|resta|restano|rimane|rimangono|conviene|convengono|consiste|consistono|esiste|esistono|risulta|risultano|misura|misurano|rappresenta|rappresentano|garantisce|garantiscono|resiste|resistono|riduce|riducono|indica|indicano|si (?:chiama|chiamano|compone|compongono|usa|usano|monta|montano|lava|lavano|chiude|chiudono|trova|trovano)|basta|bastano|rende|rendono',
    money: 'euro|eur|centesimi|dollari|dollaro|sterline|franchi',
    free: 'gratis|gratuit[oaie]|gratuitamente|non costa nulla|non costa niente|non costano nulla',
    numbers: `${NUMBERS}|undici|dodici|quindici|venti|trenta|quaranta|cinquanta|sessanta|cento|mille|metà|mezz[oa]|quarto`,
    comparing:
      'più (?:\\p{L}+ )?(?:di|che|del|della|dei)|meno (?:\\p{L}+ )?(?:di|che|del|della|dei)|miglior[ei]?|meglio|peggior[ei]|peggio|più economic\\p{L}+|più car\\p{L}+|invece di|anziché|piuttosto che|rispetto a\\p{L}*|confronto|mentre|a differenza|scegli\\p{L}*|consigli\\p{L}*|raccomand\\p{L}*|prefer\\p{L}*|prima scelta|dipend\\p{L}*|ideal[ei] per|adatt[aoei] a',
    showing: '(?:quindi |e |ma )?(?:ecco|questi sono|queste sono|questo è|questa è|di seguito)',
    order: ORDER,
  }),
  style: {
    openers: wordSet(
      'egli ella esso essa essi esse loro questo questa questi queste quello quella quelli quelle ciò suo sua suoi sue lo la li le gli ne ma e ed o né però quindi poi ' +
        'allora dopo qui lì là così anche inoltre neanche tuttavia altrimenti altro altra altri altre entrambi entrambe alcuni alcune nessuno nessuna ogni tutti tutte ' +
        'infine perfino solo soltanto intanto tale tali dunque pertanto eppure invece infatti',
    ),
    pointing: wordSet(
      'egli ella esso essa essi esse loro questo questa questi queste quello quella quelli quelle ciò suo sua suoi sue entrambi entrambe ne gli lo',
    ),
    persons: [
      wordSet('tu te ti tuo tua tuoi tue voi vi vostro vostra vostri vostre'),
      wordSet('noi ci nostro nostra nostri nostre'),
      wordSet('io me mi mio mia miei mie'),
      wordSet('ella essa lei'),
      wordSet('egli esso lui gli'),
      wordSet('loro essi esse'),
      wordSet('ciò questo'),
    ],
    modals: wordSet(
      'può possono potrebbe potrebbero deve devono dovrebbe dovrebbero puoi devi vuole vogliono potete dovete sarà saranno bisogna occorre',
    ),
    negations: wordSet('non mai niente nulla nessuno nessuna nessun senza neanche né'),
    conditions: wordSet('se quando qualora'),
    isPast: (form) =>
      /^(?:era|erano|fu|furono|aveva|avevano|fece|disse|venne|mise|ebbe|stava|stavano)$/.test(form) ||
      (form.length > 5 && /(?:ava|avano|eva|evano|iva|ivano|arono|irono|erono)$/.test(form)),
    articles: wordSet('il lo la i gli le un uno una nostro nostra mio mia tuo tua'),
    prepositions: wordSet(
      'in nel nella nei nelle su sul sulla di del della dei delle a al alla ai alle da dal dalla con senza per tra fra verso dopo prima durante secondo contro sotto sopra',
    ),
    beginsAs: (form) => (ORDERS.has(form) ? 'order' : 'noun'),
  },
};

const ORDERS = wordSet(BARE.replaceAll('|', ' '));
