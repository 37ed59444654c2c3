import { ageingWords, answerWords, claimWords, whole, wordSet } from './building.ts';
import type { Wording } from './wording.ts';

const NUMBERS = 'deux|trois|quatre|cinq|six|sept|huit|neuf|dix';
const PEOPLE =
  'gens|personnes|français|lecteurs|lectrices|clients|clientes|utilisateurs|acheteurs|cyclistes|sondés|participants|répondants|foyers|ménages|entreprises|salariés|employés|patients|enfants|femmes|hommes|visiteurs|habitants|cas|accidents|pages|textes|élèves|vélos|voitures|internautes|consommateurs|population';
const INFINITIVES =
  'prendre|poser|mettre|ouvrir|fermer|tourner|tirer|pousser|appuyer|vérifier|choisir|cliquer|emporter|emballer|rouler|laver|rincer|laisser|couper|remplir|faire|aller|regarder|lire|écrire|chercher|essayer|mesurer|noter|éviter|utiliser|apporter|acheter|demander|attendre|calculer|prévoir|porter|nettoyer|sécher|retirer|enlever|fixer|monter|démonter|commencer|garder|tenir|penser|appeler|tester|ajouter|sélectionner|appuyer|saisir|placer|installer|retourner|serrer|desserrer|régler';
const ORDER = new RegExp(
  `^(?:(?:d['’]abord|tout d['’]abord|premièrement|ensuite|puis|après|enfin|maintenant|et|alors|avant de partir),? )?(?:(?!assez|chez|nez)\\p{L}{2,}ez(?:-(?:le|la|les|en|y|vous|moi|lui))?|n['’]?e? ?(?:pas )?\\p{L}{2,}(?:ez|er) pas|n['’]\\p{L}{2,}ez (?:pas|jamais|plus)|ne \\p{L}{2,}ez (?:pas|jamais|plus)|ne pas \\p{L}+|${INFINITIVES}|veuillez|pense|prends|mets|fais|va|évite|utilise|choisis|garde|lave|vérifie|ouvre|ferme|pose|note|essaie|n['’]oublie pas)(?![\\p{L}])`,
  'iu',
);

/** How French says what the criteria look for. */
export const french: Wording = {
  claims: claimWords({
    percent: 'pour ?cent|p\\. ?100',
    of: 'des|de|du|d|les|la',
    numbers: NUMBERS,
    tens: 'vingt|trente|quarante|cinquante|soixante|soixante-dix|quatre-vingts?|quatre-vingt-dix',
    months: 'janvier|février|mars|avril|mai|juin|juillet|août|septembre|octobre|novembre|décembre',
    ratios:
      '(?<!(?:étape|page|partie|chapitre|point|figure) )(?:#|une?) (?:(?!heures?|jours?)\\p{L}+ )?sur (?:#|cent|mille)(?! (?:ans?|mois|semaines?|jours?|heures?|minutes?|étoiles?))',
    fractions: `(?:la moitié|un tiers|un quart|un cinquième|un dixième|(?:les )?deux tiers|(?:les )?trois quarts) (?:des|de (?:tous les|toutes les|nos|ces|la))(?: \\p{L}+){0,2}? ?(?:${PEOPLE})`,
    times:
      '# fois (?:plus|moins|supérieure?s?|inférieure?s?|mieux|(?:le|la) (?:prix|poids|taille|moyenne|nombre|montant|volume|durée|valeur|vitesse|hauteur|longueur|surface))|(?:le |du )?(?:double|triple|quadruple) (?:de|du|des)|(?:a|ont) (?:doublé|triplé|quadruplé)|(?:multiplié|divisé)e?s? par #',
    money: 'euros?|eur|centimes?|dollars?|livres?|francs?',
    hints: ' sur |moitié|tiers|quart|cinquième|dixième|fois|double|triple|doublé|multiplié|divisé',
    ownVoice: 'nous|notre|nos|mon|ma|mes',
    ownCount:
      "(?:nous|j['’]|je) ?(?:avons|ai|avions)(?: \\p{L}+)? (?:compté|mesuré|pesé|vendu|loué|réparé|interrogé|testé|chronométré|relevé|observé|vu|constaté)|(?:nous|je) (?:comptons|mesurons|vendons|louons|réparons|voyons|constatons)|(?:dans|chez|parmi|de|d['’]après|selon) (?:notre|nos|mon|mes) (?:\\p{L}+ )?(?:atelier|boutique|magasin|bureau|cuisine|jardin|équipe|pratique|clients|clientes|lecteurs|utilisateurs|membres|enquête|sondage|relevés?|tests?|données|chiffres|expérience)",
    settings:
      'par défaut|régl\\p{L}*|défini\\p{L}*|zoom\\p{L}*|échelle|agrandi\\p{L}*|opacité|luminosité|contraste|transparence|saturation|volume|curseur|paramètres?|exprimé\\p{L}*',
    years: "en|depuis|avant|après|jusqu['’]en|dès|entre|fin|début|l['’]année",
    clock: 'h|heures?',
    goesOn:
      'il|elle|ils|elles|ce|cela|ça|ceci|cet|cette|ces|celui-ci|celle-ci|son|sa|ses|leurs?|on y|le même|la même',
    advice: new RegExp(
      `${ORDER.source}|^(?:il (?:faut|vaut mieux|est conseillé|convient)|mieux vaut|vous (?:devez|devriez|pouvez)|on (?:peut|doit))(?![\\p{L}])`,
      'iu',
    ),
  }),
  ageing: ageingWords(
    "récemment|dernièrement|de nos jours|actuellement|en ce moment|ces temps-ci|ces derniers temps|à l'heure actuelle|à l’heure actuelle|cette année|ce mois-ci|cette semaine|l'année dernière|l’année dernière|l'an dernier|l’an dernier|le mois dernier|la semaine dernière|l'année prochaine|l’année prochaine|l'an prochain|l’an prochain|le mois prochain|la semaine prochaine|ces dernières semaines|ces derniers mois|ces dernières années|dans les prochains mois|dans les prochaines semaines|à ce jour|depuis peu|il y a peu",
    "en|depuis|avant|jusqu['’]en|dès|l['’]année",
  ),
  stock: {
    openers: [
      'il est important de noter que ',
      'il est important de savoir que ',
      'il convient de noter que ',
      'il convient de souligner que ',
      'il faut savoir que ',
      'il faut noter que ',
      'force est de constater que ',
      'il va sans dire que ',
      "il n'est un secret pour personne que ",
      "ce n'est un secret pour personne : ",
      'en fin de compte, ',
      'au final, ',
      'en conclusion, ',
      'pour conclure, ',
      'somme toute, ',
      'comme chacun le sait, ',
      'comme nous le savons tous, ',
      'dernier point mais non des moindres, ',
    ],
    fillers: [
      "il est important de noter qu'",
      "il convient de noter qu'",
      "il faut savoir qu'",
      "il va sans dire qu'",
      "force est de constater qu'",
      "dans le monde d'aujourd'hui",
      'dans un monde en constante évolution',
      'en constante évolution',
      'en perpétuelle évolution',
      "à l'ère du numérique",
      "à l'heure du numérique",
      'depuis la nuit des temps',
      'sans plus attendre',
      'sans plus tarder',
      'ne cherchez plus',
      'plongeons dans',
      'plongez dans le monde',
      "plongez dans l'univers",
      'passer au niveau supérieur',
      'au niveau supérieur',
      'change la donne',
      'changer la donne',
      'véritable révolution',
      'les possibilités sont infinies',
      'les possibilités sont illimitées',
      "seul l'avenir nous le dira",
      'sortir des sentiers battus',
      'vos besoins et vos préférences',
      'adapté à vos besoins',
      'libérer tout le potentiel',
      'exploiter tout le potentiel',
      'joue un rôle crucial',
      'jouent un rôle crucial',
      'joue un rôle essentiel',
      'jouent un rôle essentiel',
      'joue un rôle primordial',
      'que vous soyez débutant ou',
      'que vous soyez novice ou',
      'dans cet article, nous allons',
      'dans cet article, vous découvrirez',
      'dans cet article de blog',
      'est devenu incontournable',
      'est devenue incontournable',
      "lorsqu'il s'agit de",
      "quand il s'agit de",
      'à ce stade',
    ],
  },
  answers: answerWords({
    forms: {
      price: whole('prix|tarifs?|coûts?|coûte|combien coûte|acheter|louer|location|réserver|commander|frais'),
      number:
        /^(?:combien|quelle (?:taille|longueur|hauteur|pression|température|distance|durée|quantité|profondeur)|à quelle (?:vitesse|hauteur|température))(?![\p{L}])|(?:^|\s)(?:pression|température|tailles?|dosage|dimensions?|durée|vitesse)(?![\p{L}])/u,
      steps: new RegExp(
        `^(?:comment)(?![\\p{L}])|^(?:${INFINITIVES}|réparer|changer|fabriquer|construire|entretenir|installer|cuisiner|planter|apprendre|graisser|supprimer|créer|connecter)(?![\\p{L}])|(?:^|\\s)(?:tutoriel|tuto|mode d['’]emploi|étapes|étape par étape|recette|liste de contrôle|liste de voyage|que mettre)(?![\\p{L}])`,
        'u',
      ),
      comparison: whole(
        'meilleure?s?|quelle?s?|vs|versus|ou|comparatif|comparaison|alternatives?|avis|différences?|test',
      ),
      definition:
        /(?:^|\s)(?:c['’]est quoi|qu['’]est-ce que?|qu['’]est ce que?|qu est ce que|qui est|définition|signification|que signifie)(?![\p{L}])/u,
    },
    verbs:
      "est|sont|c['’]est|était|étaient|signifie|signifient|désigne|désignent|a|ont|avait|faut|prend|prennent|fonctionne|fonctionnent|commence|commencent|vient|viennent|va|vont|peut|peuvent|doit|doivent|coûte|coûtent|dure|durent|tient|tiennent|aide|aident|dépend|dépendent|montre|montrent|dit|donne|donnent|fait|font|offre|offrent|permet|permettent|laisse|laissent|apporte|apportent|contient|contiennent|comprend|comprennent|comporte|comportent|demande|demandent|exige|exigent|nécessite|nécessitent|utilise|utilisent|sert|servent|protège|protègent|évite|évitent|pèse|pèsent|reste|restent|porte|portent|convient|conviennent|se (?:compose|trouve|monte|fixe|lave|porte|ferme|plie)(?:nt)?|suffit|suffisent|existe|existent|rend|rendent|garde|gardent|mesure|mesurent|représente|représentent|désigne|consiste|consistent|assure|assurent|garantit|garantissent|résiste|résistent|réduit|réduisent",
    money: 'euros?|eur|centimes?|dollars?|livres?|francs?',
    free: 'gratuit\\p{L}*|gratuitement|sans frais|ne coûte rien|ne coûtent rien',
    numbers: `${NUMBERS}|onze|douze|quinze|vingt|trente|quarante|cinquante|soixante|cent|mille|moitié|demi\\p{L}*|quart`,
    comparing:
      'plus (?:\\p{L}+ )?que|moins (?:\\p{L}+ )?que|meilleure?s?|mieux|pires?|moins chers?|moins chères?|plus chers?|plutôt que|au lieu de|par rapport|comparée?s?|tandis que|alors que|contrairement|choisi\\p{L}*|recommand\\p{L}*|préfér\\p{L}*|conseill\\p{L}*|premier choix|dépend\\p{L}*|convient mieux|idéale?s? pour',
    showing: "(?:donc |et |mais )?(?:voici|voilà|ce sont|il s['’]agit)",
    order: ORDER,
  }),
  style: {
    openers: wordSet(
      'il elle ils elles ce cela ça ceci cet cette ces celui celle ceux celles son sa ses leur leurs lui eux y en mais et ou donc or car puis alors ' +
        'ensuite ici là ainsi aussi pourtant cependant toutefois sinon certains certaines plusieurs aucun aucune chaque tous toutes tout autre autres ' +
        'enfin finalement même encore seulement surtout ailleurs après dessus dessous quelques lequel laquelle lesquels néanmoins',
    ),
    pointing: wordSet(
      'il elle ils elles ce cela ça ceci cet cette ces celui celle ceux celles son sa ses leur leurs lui eux y en',
    ),
    persons: [
      wordSet('vous votre vos tu te toi ton ta tes'),
      wordSet('nous notre nos on'),
      wordSet("je j me moi mon ma mes j'ai"),
      wordSet('elle'),
      wordSet('il lui'),
      wordSet('ils elles leur leurs eux'),
      wordSet('cela ça ce'),
    ],
    modals: wordSet(
      'peut peuvent pourrait pourraient doit doivent devrait devraient faut faudrait pouvez devez devriez pourriez veut veulent voudrait sera seront',
    ),
    negations: wordSet('ne pas jamais rien aucun aucune personne sans'),
    conditions: wordSet("si quand lorsque lorsqu'il s'il s'ils"),
    isPast: (form) =>
      /^(?:étai(?:t|ent)|avai(?:t|ent)|fut|furent|eut|eurent|fit|firent|vint|vit|prit|dit|mit)$/.test(form) ||
      (form.length > 5 &&
        /(?:ait|aient)$/.test(form) &&
        !/^(?:parfait|souhait|portrait|extrait|retrait|trait|laient)$/.test(form)),
    articles: wordSet('le la les un une des notre nos votre vos mon ma mes du'),
    prepositions: wordSet(
      "dans en sur sous à au aux de du des pour par avec sans chez vers avant après depuis pendant entre contre d'après",
    ),
    beginsAs: (form) => (/^(?!assez|chez|nez).{2,}ez$/.test(form) || ORDERS.has(form) ? 'order' : 'noun'),
  },
};

const ORDERS = wordSet(INFINITIVES.replaceAll('|', ' '));
