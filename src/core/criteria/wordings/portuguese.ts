import { ageingWords, answerWords, claimWords, whole, wordSet } from './building.ts';
import type { Wording } from './wording.ts';

const NUMBERS = 'dois|duas|três|quatro|cinco|seis|sete|oito|nove|dez';
const PEOPLE =
  'pessoas|gente|portugueses|brasileiros|leitores|leitoras|clientes|usuários|utilizadores|compradores|ciclistas|inquiridos|entrevistados|participantes|famílias|domicílios|empresas|trabalhadores|funcionários|pacientes|crianças|mulheres|homens|visitantes|habitantes|casos|acidentes|páginas|textos|alunos|bicicletas|carros|consumidores|população';
const BARE =
  'pegue|pega|tome|coloque|coloca|ponha|põe|abra|abre|feche|fecha|gire|gira|puxe|puxa|empurre|empurra|aperte|aperta|pressione|pressiona|prima|verifique|verifica|confira|confere|escolha|escolhe|faça|faz|leve|leva|enrole|enrola|lave|lava|enxágue|deixe|deixa|corte|corta|encha|enche|vá|vai|olhe|olha|leia|lê|escreva|escreve|procure|procura|experimente|experimenta|meça|mede|anote|anota|evite|evita|use|usa|utilize|utiliza|traga|traz|compre|compra|pergunte|pergunta|espere|espera|calcule|calcula|planeje|planeia|limpe|limpa|seque|seca|retire|retira|tire|tira|remova|remove|fixe|fixa|monte|monta|desmonte|comece|começa|mantenha|mantém|pense|pensa|ligue|liga|desligue|adicione|adiciona|selecione|seleciona|digite|insira|insere|clique|clica|posicione|instale|instala|lembre|lembre-se|certifique-se|arraste|ative|desative|consulte|consulta|siga|segue|mova|reserve|reserva|tenha|seja|conte|aguarde|marque|toque|volte|repita|prefira|peça';
const ORDER = new RegExp(
  `^(?:(?:primeiro|em primeiro lugar|depois|em seguida|de seguida|agora|por fim|por último|finalmente|e|então|sempre|antes de sair),? )?(?:(?:${BARE})(?:-(?:o|a|os|as|se|lhe))?|não (?:se )?\\p{L}+(?:e|a|es|as)(?:-se)?|nunca \\p{L}+(?:e|a|es|as)|\\p{L}{3,}(?:ar|er|ir|or) (?:o|a|os|as|um|uma|uns|umas|seu|sua|bem|em))(?![\\p{L}])`,
  'iu',
);

/** How Portuguese says what the criteria look for. */
export const portuguese: Wording = {
  claims: claimWords({
    percent: 'por ?cento',
    of: 'dos|das|de|do|da',
    numbers: NUMBERS,
    tens: 'vinte|trinta|quarenta|cinquenta|sessenta|setenta|oitenta|noventa',
    months: 'janeiro|fevereiro|março|abril|maio|junho|julho|agosto|setembro|outubro|novembro|dezembro',
    ratios:
      '(?<!(?:passo|página|parte|capítulo|ponto|figura) )(?:#|uma?) em cada (?:#|cem|mil)|(?:#|uma?) (?:de|entre) cada (?:#|cem|mil)',
    fractions: `(?:(?:a )?metade|um terço|um quarto|um quinto|um décimo|dois terços|três quartos) (?:dos|das|da|de (?:todos os|todas as|nossos|nossas))(?: \\p{L}+){0,2}? ?(?:${PEOPLE})`,
    times:
      '# vezes (?:mais|menos|maior(?:es)?|menor(?:es)?|superior(?:es)?|melhor|(?:o|a) (?:preço|peso|tamanho|média|número|valor|volume|duração|velocidade|altura|comprimento|superfície))|(?:o|ao) (?:dobro|triplo|quádruplo)(?: d[eoa]s?)?|(?:dobrou|triplicou|duplicou|quadruplicou|dobraram|duplicaram|triplicaram)',
    money: 'euros?|eur|cêntimos?|centavos?|dólares|dólar|libras?|reais|real',
    hints:
      ' em cada | de cada | entre cada |metade|terço|quarto|quinto|décimo|vezes|dobro|triplo|quádruplo|dobrou|dobraram|plicou|plicaram',
    ownVoice: 'nós|noss[oa]s?|meu|minha|meus|minhas|temos|oferecemos|alugamos|vendemos|cobramos|contamos',
    ownCount:
      '(?:contamos|contámos|medimos|pesamos|pesámos|vendemos|alugamos|alugámos|consertamos|reparamos|reparámos|perguntamos|entrevistamos|testamos|testámos|registramos|registámos|observamos|vimos)|(?:n[oa]s?|em|d[oa]s?|entre|segundo) (?:os |as |o |a )?(?:noss[oa]s?|meus?|minhas?) (?:\\p{L}+ )?(?:oficina|loja|escritório|cozinha|jardim|equipe|equipa|consultório|clientes|leitores|usuários|utilizadores|sócios|pesquisa|inquérito|contagem|testes?|dados|números|experiência)',
    settings:
      'padrão|predefinid\\p{L}*|ajust\\p{L}*|defin\\p{L}*|configur\\p{L}*|zoom|escala\\p{L}*|ampli\\p{L}*|opacidade|brilho|contraste|transparência|saturação|volume|deslizador',
    years: 'em|desde|até|antes de|depois de|entre|no ano de|no fim de|no início de',
    clock: 'h|horas',
    goesOn:
      'ele|ela|eles|elas|isso|isto|este|esta|estes|estas|esse|essa|esses|essas|seu|sua|seus|suas|o mesmo|a mesma',
    advice: new RegExp(
      `${ORDER.source}|^(?:(?:você )?(?:deve|deveria|pode|precisa)|é (?:melhor|recomendável|aconselhável|conveniente)|convém|recomenda-se|deve-se)(?![\\p{L}])`,
      'iu',
    ),
  }),
  ageing: ageingWords(
    'recentemente|ultimamente|hoje em dia|atualmente|actualmente|na atualidade|neste momento|no momento|nos dias de hoje|este ano|neste ano|este mês|neste mês|esta semana|nesta semana|no ano passado|o ano passado|no mês passado|na semana passada|no próximo ano|no ano que vem|no próximo mês|no mês que vem|na próxima semana|na semana que vem|nas últimas semanas|nos últimos meses|nos próximos meses|nas próximas semanas|até hoje|há pouco|há pouco tempo',
    'em|desde|até|antes de|no ano de',
  ),
  stock: {
    openers: [
      'é importante destacar que ',
      'é importante ressaltar que ',
      'é importante notar que ',
      'vale ressaltar que ',
      'vale destacar que ',
      'vale a pena lembrar que ',
      'vale lembrar que ',
      'cabe ressaltar que ',
      'não é segredo que ',
      'nem é preciso dizer que ',
      'escusado será dizer que ',
      'a verdade é que ',
      'o fato é que ',
      'como todos sabemos, ',
      'como é sabido, ',
      'no fim das contas, ',
      'ao fim e ao cabo, ',
      'em conclusão, ',
      'por último, mas não menos importante, ',
    ],
    fillers: [
      'no mundo de hoje',
      'no mundo atual',
      'na era digital',
      'em um mundo cada vez mais',
      'num mundo cada vez mais',
      'em constante evolução',
      'em constante mudança',
      'desde tempos imemoriais',
      'sem mais delongas',
      'não procure mais',
      'mergulhe no mundo',
      'vamos mergulhar',
      'para o próximo nível',
      'ao próximo nível',
      'um divisor de águas',
      'um verdadeiro divisor',
      'as possibilidades são infinitas',
      'as possibilidades são ilimitadas',
      'o céu é o limite',
      'só o tempo dirá',
      'pensar fora da caixa',
      'suas necessidades e preferências',
      'atende às suas necessidades',
      'soluções sob medida',
      'todo o potencial',
      'todo o seu potencial',
      'desempenha um papel crucial',
      'desempenham um papel crucial',
      'desempenha um papel fundamental',
      'desempenham um papel fundamental',
      'seja você um iniciante ou',
      'quer seja um principiante ou',
      'neste artigo, vamos explorar',
      'neste artigo vamos explorar',
      'neste artigo, você vai descobrir',
      'neste artigo você vai descobrir',
      'neste post, vamos',
      'neste post do blog',
      'vem ganhando cada vez mais',
      'tem se tornado cada vez mais importante',
      'tornou-se cada vez mais importante',
      'quando se trata de',
      'quando o assunto é',
    ],
  },
  answers: answerWords({
    forms: {
      price: whole(
        'preços?|quanto custa|quanto custam|custa|custam|custos?|tarifas?|comprar|alugar|aluguel|aluguer|reservar|encomendar|pedir',
      ),
      number:
        /^(?:quant[oa]s?|a cada quanto|a que (?:velocidade|temperatura|altura|distância)|qual (?:o tamanho|a pressão|a altura|a temperatura|a distância|a medida))(?![\p{L}])|(?:^|\s)(?:pressão|temperatura|tamanhos?|medidas|dosagem|dimensões|duração|velocidade)(?![\p{L}])/u,
      steps:
        /^como(?![\p{L}])|^(?:consertar|fazer|montar|construir|limpar|reparar|trocar|instalar|escrever|cozinhar|plantar|escolher|lavar|dobrar|lubrificar|aprender|criar|apagar|conectar|configurar|planejar|preparar|cuidar|usar)(?![\p{L}])|(?:^|\s)(?:tutorial|instruções|passo a passo|passos|receita|lista de verificação|lista de bagagem|o que levar)(?![\p{L}])/u,
      comparison: whole(
        'melhor|melhores|qual|quais|vs|versus|ou|comparativo|comparação|alternativas?|avaliações|opiniões|diferenças?',
      ),
      definition: /(?:^|\s)(?:o que (?:é|são|significa)|que é|quem é|definição|significado)(?![\p{L}])/u,
    },
    verbs:
      'é|são|era|eram|foi|foram|está|estão|fica|ficam|significa|significam|tem|têm|tinha|há|precisa|precisam|leva|levam|demora|demoram|funciona|funcionam|começa|começam|vem|vêm|vai|vão|pode|podem|deve|devem|custa|custam|dura|duram|mantém|mantêm|ajuda|ajudam|depende|dependem|mostra|mostram|diz|dá|dão|faz|fazem|oferece|oferecem|permite|permitem|deixa|deixam|traz|trazem|contém|contêm|inclui|incluem|requer|requerem|exige|exigem|usa|usam|utiliza|utilizam|serve|servem|protege|protegem|evita|evitam|pesa|pesam|resta|restam|convém|consiste|consistem|existe|existem|resulta|resultam|guarda|guardam|mede|medem|representa|representam|garante|garantem|resiste|resistem|reduz|reduzem|indica|indicam|chama-se|chamam-se|basta|bastam|costuma|costumam|cabe|cabem|aguenta|aguentam|sai|saem|torna|tornam',
    money: 'euros?|eur|cêntimos?|centavos?|dólares|dólar|libras?|reais|real',
    free: 'grátis|gratuit[oa]s?|gratuitamente|sem custo|não custa nada|não custam nada',
    numbers: `${NUMBERS}|onze|doze|quinze|vinte|trinta|quarenta|cinquenta|sessenta|cem|cento|mil|metade|mei[oa]s?|quarto`,
    comparing:
      'mais (?:\\p{L}+ )?(?:do )?que|menos (?:\\p{L}+ )?(?:do )?que|melhor|melhores|pior|piores|mais barat[oa]s?|mais car[oa]s?|em vez de|ao invés de|em lugar de|em comparação|comparad[oa]s?|enquanto|ao contrário|escolh\\p{L}*|recomend\\p{L}*|prefer\\p{L}*|aconselh\\p{L}*|primeira opção|depende[m]?|ideal para|ideais para',
    showing: '(?:então |e |mas )?(?:aqui (?:está|estão|vai|vão)|estes são|estas são|este é|esta é|eis)',
    order: ORDER,
  }),
  style: {
    openers: wordSet(
      'ele ela eles elas isso isto aquilo este esta estes estas esse essa esses essas aquele aquela seu sua seus suas dele dela lhe lhes mas e ou nem porém depois então ' +
        'aqui ali lá aí assim também além tampouco contudo todavia embora outro outra outros outras ambos ambas alguns algumas nenhum nenhuma cada todos todas ' +
        'finalmente inclusive até só somente apenas enquanto tal tais qual quais antes agora portanto entretanto',
    ),
    pointing: wordSet(
      'ele ela eles elas isso isto este esta estes estas esse essa esses essas aquele aquela seu sua seus suas dele dela ambos ambas lhe lhes',
    ),
    persons: [
      wordSet('você vocês tu te ti teu tua teus tuas seu sua seus suas'),
      wordSet('nós nos nosso nossa nossos nossas'),
      wordSet('eu me mim meu minha meus minhas'),
      wordSet('ela dela'),
      wordSet('ele dele lhe'),
      wordSet('eles elas deles delas lhes'),
      wordSet('isso isto'),
    ],
    modals: wordSet(
      'pode podem poderia poderiam deve devem deveria deveriam precisa precisam quer querem será serão costuma costumam',
    ),
    negations: wordSet('não nunca jamais nada ninguém nenhum nenhuma sem nem'),
    conditions: wordSet('se quando caso'),
    isPast: (form) =>
      /^(?:era|eram|foi|foram|havia|haviam|houve|estava|estavam|tinha|tinham|fez|disse|veio|pôs|teve|pôde|quis|fui|fomos)$/.test(
        form,
      ) ||
      (form.length > 4 &&
        /(?:ava|avam|aram|eram|iram|iam|ou|eu|iu)$/.test(form) &&
        !/(?:^seu|^meu|^teu|museu|europeu)$/.test(form)),
    articles: wordSet('o a os as um uma uns umas nosso nossa nossos nossas meu minha'),
    prepositions: wordSet(
      'em no na nos nas de do da dos das a ao à aos às com sem por pelo pela para sobre sob desde até entre contra durante após',
    ),
    beginsAs: (form) => (ORDERS.has(form) ? 'order' : 'noun'),
  },
};

const ORDERS = wordSet(BARE.replaceAll('|', ' '));
