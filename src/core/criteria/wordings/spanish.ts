import { ageingWords, answerWords, claimWords, whole, wordSet } from './building.ts';
import type { Wording } from './wording.ts';

const NUMBERS = 'dos|tres|cuatro|cinco|seis|siete|ocho|nueve|diez';
const PEOPLE =
  'personas|gente|españoles|lectores|lectoras|clientes|usuarios|usuarias|compradores|ciclistas|encuestados|participantes|hogares|empresas|trabajadores|empleados|pacientes|niños|mujeres|hombres|visitantes|habitantes|casos|accidentes|páginas|textos|alumnos|bicicletas|coches|consumidores|población';
/** Orders to "tú" and to "usted". */
const BARE =
  'toma|tome|coge|coja|pon|ponga|abre|abra|cierra|cierre|gira|gire|tira|tire|empuja|empuje|aprieta|apriete|pulsa|pulse|presiona|presione|comprueba|compruebe|revisa|revise|elige|elija|escoge|escoja|haz|haga|lleva|lleve|guarda|guarde|enrolla|enrolle|lava|lave|enjuaga|enjuague|deja|deje|corta|corte|llena|llene|ve|vaya|mira|mire|lee|lea|escribe|escriba|busca|busque|prueba|pruebe|mide|mida|anota|anote|evita|evite|usa|use|utiliza|utilice|trae|traiga|compra|compre|pregunta|pregunte|espera|espere|calcula|calcule|planifica|planifique|limpia|limpie|seca|seque|retira|retire|quita|quite|fija|fije|monta|monte|empieza|empiece|comienza|comience|mantén|mantenga|piensa|piense|llama|llame|añade|añada|selecciona|seleccione|introduce|introduzca|coloca|coloque|instala|instale|recuerda|recuerde|asegúrate|asegúrese|ten|tenga|di|diga|sigue|siga|mueve|mueva|arrastra|arrastre|active|desactive|teclee|escoja|vuelva|vuelve|reduce|reduzca|aumenta|aumente|incluye|incluya|consulta|consulte|apunta|apunte|reserva|reserve|procura|procure';
const ORDER = new RegExp(
  `^(?:(?:primero|en primer lugar|luego|después|a continuación|ahora|por último|finalmente|y|entonces|siempre|antes de salir),? )?(?:(?:${BARE})(?:lo|la|los|las|le|les|se)?|no (?:\\p{L}+(?:es|as|e|a))|nunca \\p{L}+(?:es|as|e|a)|\\p{L}{3,}(?:[aei]r)(?:lo|la|los|las)? (?:el|la|los|las|un|una|unos|unas|tu|tus|su|sus|bien))(?![\\p{L}])`,
  'iu',
);

/** How Spanish says what the criteria look for. */
export const spanish: Wording = {
  claims: claimWords({
    percent: 'por ?ciento',
    of: 'de|del|de los|los|las',
    numbers: NUMBERS,
    tens: 'veinte|treinta|cuarenta|cincuenta|sesenta|setenta|ochenta|noventa',
    months:
      'enero|febrero|marzo|abril|mayo|junio|julio|agosto|septiembre|setiembre|octubre|noviembre|diciembre',
    ratios:
      '(?<!(?:paso|página|parte|capítulo|punto|figura) )(?:#|un[oa]?) de (?:cada )(?:#|cien|mil)|(?:#|un[oa]?) de entre (?:#|cien|mil)',
    fractions: `(?:la mitad|un tercio|un cuarto|la cuarta parte|la tercera parte|un quinto|la quinta parte|dos tercios|tres cuartos|tres cuartas partes) (?:de (?:los|las|todos los|todas las|nuestros|nuestras|estos|estas|la))(?: \\p{L}+){0,2}? ?(?:${PEOPLE})`,
    times:
      '# veces (?:más|menos|mayor(?:es)?|menor(?:es)?|superior(?:es)?|mejor|(?:la|el) (?:precio|peso|tamaño|media|número|importe|volumen|duración|valor|velocidad|altura|longitud|superficie))|(?:el|al) (?:doble|triple|cuádruple)(?! ?clic)(?: de)?|(?:se )?(?:ha|han) (?:duplicado|triplicado|cuadruplicado)|(?:multiplica|multiplicado|divide|dividido)s? por #',
    money: 'euros?|eur|céntimos?|dólares|dólar|libras?|pesos?',
    hints:
      ' de cada | de entre |mitad|tercio|cuarto|cuarta|quinto|tercera|veces|doble|triple|duplicado|multiplica|divid',
    ownVoice:
      'nosotros|nosotras|nos|nuestr[oa]s?|mi|mis|hemos|tenemos|cobramos|ofrecemos|alquilamos|vendemos',
    ownCount:
      '(?:hemos|habíamos|he) (?:\\p{L}+ )?(?:contado|medido|pesado|vendido|alquilado|reparado|preguntado|encuestado|probado|cronometrado|registrado|observado|visto)|(?:contamos|medimos|pesamos|vendimos|alquilamos|reparamos|encuestamos|probamos|vimos|registramos)|(?:en|de|entre|según) (?:nuestr[oa]s?|mis?) (?:\\p{L}+ )?(?:taller|tienda|oficina|cocina|jardín|equipo|consulta|clientes|clientas|lectores|usuarios|socios|encuesta|recuento|pruebas?|datos|cifras|experiencia)',
    settings:
      'por defecto|predeterminad\\p{L}*|ajust\\p{L}*|defin\\p{L}*|configur\\p{L}*|zoom|escala\\p{L}*|ampli\\p{L}*|opacidad|brillo|contraste|transparencia|saturación|volumen|deslizador',
    years: 'en|desde|hasta|antes de|después de|entre|a finales de|a principios de|en el año|para',
    clock: 'h|horas',
    goesOn:
      'él|ella|ellos|ellas|ello|esto|eso|este|esta|estos|estas|ese|esa|esos|esas|su|sus|lo mismo|el mismo|la misma|también',
    advice: new RegExp(
      `${ORDER.source}|^(?:(?:se )?(?:debe|deberías?|debes|puede|puedes|conviene|recomienda)|hay que|es (?:mejor|recomendable|conveniente))(?![\\p{L}])`,
      'iu',
    ),
  }),
  ageing: ageingWords(
    'recientemente|últimamente|hoy en día|hoy día|actualmente|en la actualidad|en este momento|en estos momentos|este año|este mes|esta semana|el año pasado|el mes pasado|la semana pasada|el año que viene|el próximo año|el mes que viene|el próximo mes|la próxima semana|la semana que viene|en las últimas semanas|en los últimos meses|en los próximos meses|en las próximas semanas|a día de hoy|hace poco',
    'en|desde|hasta|antes de|para|en el año',
  ),
  stock: {
    openers: [
      'cabe destacar que ',
      'cabe señalar que ',
      'cabe mencionar que ',
      'es importante destacar que ',
      'es importante señalar que ',
      'es importante tener en cuenta que ',
      'hay que tener en cuenta que ',
      'vale la pena mencionar que ',
      'no es ningún secreto que ',
      'ni que decir tiene que ',
      'huelga decir que ',
      'lo cierto es que ',
      'la verdad es que ',
      'en definitiva, ',
      'en conclusión, ',
      'al fin y al cabo, ',
      'por último, pero no menos importante, ',
      'como todos sabemos, ',
      'como es bien sabido, ',
    ],
    fillers: [
      'en el mundo actual',
      'en el mundo de hoy',
      'en la era digital',
      'en un mundo cada vez más',
      'en constante evolución',
      'en constante cambio',
      'desde tiempos inmemoriales',
      'sin más preámbulos',
      'sin más dilación',
      'no busques más',
      'no busque más',
      'sumérgete en el mundo',
      'sumerjámonos en',
      'al siguiente nivel',
      'un antes y un después',
      'las posibilidades son infinitas',
      'las posibilidades son ilimitadas',
      'el cielo es el límite',
      'solo el tiempo lo dirá',
      'pensar fuera de la caja',
      'tus necesidades y preferencias',
      'sus necesidades y preferencias',
      'se adapta a tus necesidades',
      'todo su potencial',
      'todo tu potencial',
      'desempeña un papel crucial',
      'desempeñan un papel crucial',
      'juega un papel crucial',
      'juegan un papel crucial',
      'juega un papel fundamental',
      'desempeña un papel fundamental',
      'tanto si eres principiante como',
      'ya seas principiante o',
      'en este artículo, exploraremos',
      'en este artículo exploraremos',
      'en este artículo te contamos',
      'en este artículo, te contamos',
      'en este artículo descubrirás',
      'en esta entrada del blog',
      'ha cobrado cada vez más importancia',
      'cada vez cobra más importancia',
      'cuando se trata de',
      'a la hora de la verdad',
    ],
  },
  answers: answerWords({
    forms: {
      price: whole(
        'precios?|cuánto cuesta|cuánto cuestan|cuesta|cuestan|coste|costo|tarifas?|comprar|alquilar|alquiler|reservar|pedir',
      ),
      number:
        /^(?:cuánt[oa]s?|cada cuánto|a qué (?:velocidad|temperatura|altura|distancia)|qué (?:tamaño|talla|presión|longitud|altura|temperatura|distancia|cantidad))(?![\p{L}])|(?:^|\s)(?:presión|temperatura|tamaños?|tallas?|dosis|medidas|duración|velocidad)(?![\p{L}])/u,
      steps:
        /^(?:cómo)(?![\p{L}])|^(?:arreglar|hacer|montar|construir|limpiar|reparar|cambiar|instalar|escribir|cocinar|plantar|elegir|lavar|doblar|engrasar|aprender|crear|borrar|conectar|configurar|planificar|preparar|cuidar|usar)(?![\p{L}])|(?:^|\s)(?:tutorial|instrucciones|paso a paso|pasos|receta|lista de comprobación|lista de equipaje|qué llevar)(?![\p{L}])/u,
      comparison: whole(
        'mejor|mejores|cuál|cuáles|vs|versus|o|comparativa|comparación|alternativas?|opiniones|diferencias?|reseñas?',
      ),
      definition: /(?:^|\s)(?:qué (?:es|son|significa)|quién es|definición|significado)(?![\p{L}])/u,
    },
    verbs:
      'es|son|era|eran|fue|fueron|está|están|significa|significan|tiene|tienen|tenía|hay|ha|han|necesita|necesitan|toma|toman|tarda|tardan|funciona|funcionan|empieza|empiezan|comienza|comienzan|viene|vienen|va|van|puede|pueden|debe|deben|cuesta|cuestan|dura|duran|mantiene|mantienen|ayuda|ayudan|depende|dependen|muestra|muestran|dice|da|dan|hace|hacen|ofrece|ofrecen|permite|permiten|deja|dejan|aporta|aportan|contiene|contienen|incluye|incluyen|requiere|requieren|exige|exigen|usa|usan|utiliza|utilizan|sirve|sirven|protege|protegen|evita|evitan|pesa|pesan|queda|quedan|lleva|llevan|conviene|convienen|consiste|consisten|consta|constan|existe|existen|resulta|resultan|guarda|guardan|mide|miden|representa|representan|garantiza|garantizan|resiste|resisten|reduce|reducen|se (?:llama|llaman|compone|componen|usa|usan|monta|montan|lava|lavan|cierra|cierran)|suele|suelen|cabe|caben|aguanta|aguantan|sale|salen',
    money: 'euros?|eur|céntimos?|dólares|dólar|libras?|pesos?',
    free: 'gratis|gratuit[oa]s?|sin coste|sin costo|no cuesta nada|no cuestan nada',
    numbers: `${NUMBERS}|once|doce|quince|veinte|treinta|cuarenta|cincuenta|sesenta|cien|ciento|mil|mitad|medi[oa]s?|cuarto`,
    comparing:
      'más (?:\\p{L}+ )?que|menos (?:\\p{L}+ )?que|mejor|mejores|peor|peores|más barat[oa]s?|más car[oa]s?|en lugar de|en vez de|en comparación|comparad[oa]s?|mientras que|a diferencia|elegir|elige|recomend\\p{L}*|prefer\\p{L}*|aconsej\\p{L}*|primera opción|depende[n]?|conviene más|ideal(?:es)? para',
    showing:
      '(?:así que |y |pero )?(?:aquí (?:está|están|tienes|tiene|van|viene)|estos son|estas son|este es|esta es|he aquí)',
    order: ORDER,
  }),
  style: {
    openers: wordSet(
      'él ella ellos ellas ello esto eso este esta estos estas ese esa esos esas aquel aquella su sus lo la los las le les pero y e o u ni sino luego entonces ' +
        'después aquí allí ahí así también además tampoco sin embargo aunque otro otra otros otras ambos ambas algunos algunas ninguno ninguna cada todos todas ' +
        'finalmente incluso solo solamente mientras tal tales cual cuales antes ahora',
    ),
    pointing: wordSet(
      'él ella ellos ellas ello esto eso este esta estos estas ese esa esos esas aquel aquella su sus ambos ambas le les lo',
    ),
    persons: [
      wordSet('tú tu tus te ti usted ustedes vosotros vuestro vuestra'),
      wordSet('nosotros nosotras nos nuestro nuestra nuestros nuestras'),
      wordSet('yo me mí mi mis'),
      wordSet('ella'),
      wordSet('él le'),
      wordSet('ellos ellas les'),
      wordSet('esto eso ello'),
    ],
    modals: wordSet(
      'puede pueden podría podrían debe deben debería deberían hay puedes debes quiere quieren será serán suele suelen',
    ),
    negations: wordSet('no nunca jamás nada nadie ningún ninguna ninguno sin tampoco'),
    conditions: wordSet('si cuando'),
    isPast: (form) =>
      /^(?:era|eran|fue|fueron|había|habían|hubo|estaba|estaban|tenía|tenían|hizo|dijo|vino|puso|tuvo|pudo|quiso|fui|fuimos)$/.test(
        form,
      ) ||
      (form.length > 4 && /(?:aba|aban|aron|ieron|ían|ó|ábamos)$/.test(form)),
    articles: wordSet('el la los las un una unos unas nuestro nuestra nuestros nuestras mi mis tu tus'),
    prepositions: wordSet(
      'en de del a al con sin por para sobre bajo desde hasta entre hacia según contra durante tras ante',
    ),
    beginsAs: (form) => (ORDERS.has(form) ? 'order' : 'noun'),
  },
};

const ORDERS = wordSet(BARE.replaceAll('|', ' '));
