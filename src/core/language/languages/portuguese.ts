import { type LanguageRules, pairs, phrases, vowelRuns, words } from './language-rules.ts';

export const portuguese: LanguageRules = {
  code: 'pt',
  name: 'Portuguese',
  functionWords: words(
    'o a os as um uma uns umas de do da dos das em no na nos nas num numa ao à aos às por pelo pela pelos pelas para pra com sobre sob entre até desde após e ou mas que como quando onde se porque quem qual quais ' +
      'é são era foi ser está estão estar há tem têm ter pode podem deve devem eu tu ele ela nós vós eles elas você vocês me te lhe lhes nos meu minha meus minhas teu tua seu sua seus suas nosso nossa nossos nossas ' +
      'este esta estes estas esse essa esses essas aquele aquela isto isso mais muito também já todo toda todos todas',
  ),
  negations: words('não sem nunca jamais nem nenhum nenhuma contra nada'),
  articles: words('o a os as um uma uns umas'),
  pointing: new Map([
    ['para', 'towards'],
    ['desde', 'from'],
  ]),
  endings: (
    's es o a os as e ar er ir ando endo indo ado ada ados adas ido ida idos idas am em amos emos imos ava avam ia iam ou eu iu aram eram iram ara era ira arei aria eria ' +
    'ar-se -lo -la or ora ores oras ao oes aes aos ns is eis'
  ).split(' '),
  leastStem: 3,
  alternates: (stem, ending) => {
    if (/^[ei]/.test(ending) && stem.endsWith('qu')) return [`${stem.slice(0, -2)}c`];
    if (/^[ei]/.test(ending) && stem.endsWith('gu')) return [stem.slice(0, -1)];
    // "papéis" of papel, "fáceis" of fácil, "homens" of homem.
    if (ending === 'is' && /[aeou]$/.test(stem)) return [`${stem}l`];
    if (ending === 'eis') return [`${stem}il`];
    if (ending === 'ns') return [`${stem}m`];
    return [];
  },
  irregular: pairs(
    'vai:ir vao:ir vamos:ir foi:ir faz:fazer fazem:fazer feito:fazer fez:fazer pode:poder podem:poder quer:querer querem:querer vem:vir vindo:vir poe:por posto:por diz:dizer dizem:dizer dito:dizer escrito:escrever aberto:abrir visto:ver veem:ver ve:ver ' +
      'paes:pao melhores:melhor dorme:dormir durmo:dormir sobe:subir',
  ),
  own: words('mes pau saude mao maos mae maes'),
  gendered: words('cas port livr banc pat prat cart pont mod dat rat cont trilh bols cost'),
  syllables: (word) =>
    vowelRuns(
      word.replace(/(?<=q)u(?=[eiéíêaáo])|(?<=g)u(?=[eiéíêaáo])/g, ''),
      /[aeiouáâãàéêíóôõúü]+/g,
      /(?<=[aeoáâéêóô])(?=[aeáâéêóôíú])|(?<=[aeáâéêóô])(?=o)(?<!ã)|(?<=[íú])(?=[aeo])|(?<=i)(?=[ãõáéóú])|(?<=^[^aeiou]*i)(?=[ao]s?$)|(?<=[aou])(?=i(?:m|nh|r$|z$))/g,
    ),
  ease: {
    name: 'Martins and others (1996)',
    source:
      'T. B. F. Martins, C. M. Ghiraldelo, M. G. V. Nunes and O. N. de Oliveira, Readability formulas applied to textbooks in Brazilian Portuguese, ICMSC-USP, 1996',
    of: ({ words: count, sentences, syllables }) =>
      248.835 - 1.015 * (count / sentences) - 84.6 * (syllables / count),
    standard: 60,
    step: 1,
  },
  vagueLinks: phrases(
    'aqui|clique aqui|clicar aqui|clica aqui|mais|leia mais|ler mais|saiba mais|saber mais|ver mais|veja mais|mais informações|mais info|continuar|continue lendo|continuar a ler|continue a ler|link|este link|esta página|este artigo|este post|página|artigo|post|fonte|site|website|detalhes|info|ver|ler|veja|ali|lá',
  ),
  abbreviations: words(
    'sr sra dr dra prof profa etc ex p.ex pág págs núm nº av tel máx mín aprox jan fev mar abr mai jun jul ago set out nov dez',
  ),
};
