import { type LanguageRules, pairs, phrases, vowelRuns, words } from './language-rules.ts';

export const french: LanguageRules = {
  code: 'fr',
  name: 'French',
  functionWords: words(
    'le la les l un une des du de d au aux à en et ou où mais donc or ni car dans par pour sur sous avec chez vers entre depuis pendant avant après ' +
      'que qu qui quoi dont ce cet cette ces c mon ma mes ton ta tes son sa ses notre nos votre vos leur leurs je tu il elle on nous vous ils elles me te se lui y ' +
      'est sont était être été a ont avait avoir eu fait faire peut peuvent doit doivent comme si quand comment pourquoi quel quelle quels quelles plus très aussi bien tout tous toute toutes',
  ),
  negations: words('ne pas sans jamais aucun aucune non ni contre rien'),
  articles: words('le la les l un une des du de d'),
  pointing: new Map([
    ['vers', 'towards'],
    ['en', 'towards'],
    ['depuis', 'from'],
  ]),
  endings: (
    's x e es er ez ee ees ent ons ait ais aient ant ants ante antes era eras erai erons eront erait ir is it irent issons issez issent issant ira i ie ies u ue us ues ' +
    'eux euse euses if ifs ive ives re rez'
  ).split(' '),
  leastStem: 3,
  alternates: (stem, ending) => {
    // "chevaux", "principaux"; "mange-ons", "commenç-ons" come out by themselves.
    if (ending === 'x' && stem.endsWith('au')) return [`${stem.slice(0, -1)}l`];
    return stem.endsWith('nn') || stem.endsWith('ll') || stem.endsWith('tt') ? [stem.slice(0, -1)] : [];
  },
  irregular: pairs(
    'yeux:oeil va:aller vont:aller vais:aller fait:faire font:faire faites:faire peut:pouvoir peuvent:pouvoir veut:vouloir veulent:vouloir vient:venir viennent:venir prend:prendre prennent:prendre pris:prendre ' +
      'mis:mettre met:mettre mettent:mettre choisit:choisir lit:lire lisent:lire lu:lire ecrit:ecrire ecrivent:ecrire ecrivez:ecrire ecrivons:ecrire dit:dire disent:dire voit:voir voient:voir vu:voir boit:boire boivent:boire bu:boire ' +
      'meilleure:meilleur meilleurs:meilleur meilleures:meilleur belle:beau belles:beau beaux:beau nouvelle:nouveau nouvelles:nouveau nouveaux:nouveau vieille:vieux vieilles:vieux blanche:blanc blanches:blanc seche:sec seches:sec longue:long longues:long fraiche:frais fraiches:frais',
  ),
  own: words(
    'cours corps temps pays bras fois mois repas souris avis mer mere maire mari marie poisson poissons moins dent dents vent vente ventes porte porter part parti partie',
  ),
  // A last e is silent; "ia", "io", "éa" are two.
  syllables: (word) => {
    if (word === 'pays') return 2;
    // An e at the end is not spoken where another vowel stands before it; the u of "qu" and "gue" never is.
    const spoken = word
      .replace(/qu(?=[eéèêiîïaâoô])|gu(?=[eéèêiîï])/g, 'q')
      .replace(/(?<=[aeiouyàâéèêëîïôûù].*[^aeiouyàâéèêëîïôûù])e?s?$/, (end) =>
        end.startsWith('e') ? '' : end,
      );
    return vowelRuns(
      spoken,
      /[aeiouyàâäéèêëîïôöûüùœæ]+/g,
      /(?<=é)(?=[aâoôiuèeê])|(?<=a)(?=[oô])|(?<=[aeou])(?=[ëï])|(?<=[bcdfgptv][rl]i)(?=[eéèaou])|(?<=o)(?=[aeé](?!u))/g,
    );
  },
  ease: {
    name: 'Kandel and Moles (1958)',
    source:
      'L. Kandel and A. Moles, Application de l’indice de Flesch à la langue française, Cahiers d’études de radio-télévision 19, 1958',
    of: ({ words: count, sentences, syllables }) =>
      207 - 1.015 * (count / sentences) - 73.6 * (syllables / count),
    standard: 60,
    step: 1,
  },
  vagueLinks: phrases(
    "ici|cliquez ici|cliquer ici|clique ici|en savoir plus|savoir plus|lire la suite|la suite|lire plus|lire|suite|plus|voir|voir plus|voir ici|ce lien|lien|cette page|cet article|ce post|ce billet|page|article|source|site|site web|détails|plus d'infos|infos|continuer|découvrir|là",
  ),
  abbreviations: words(
    'm mme mlle dr pr st ste etc p pp ex env av apr j.-c cf vol no n° tél max min janv févr avr juil sept oct nov déc',
  ),
};
