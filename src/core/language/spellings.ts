import { izeStems } from './generated/ize-verbs.ts';

/** Spellings of one word on two sides of an ocean, `American:British`, beside those that follow a rule. */
const PAIRS =
  'tire:tyre gray:grey aluminum:aluminium jewelry:jewellery mold:mould molt:moult plow:plough smolder:smoulder ' +
  'pajama:pyjama catalog:catalogue dialog:dialogue analog:analogue monolog:monologue epilog:epilogue license:licence ' +
  'defense:defence offense:offence pretense:pretence practise:practice program:programme sulfur:sulphur ' +
  'skeptic:sceptic cozy:cosy donut:doughnut yogurt:yoghurt mustache:moustache ax:axe aging:ageing judgment:judgement ' +
  'acknowledgment:acknowledgement likable:likeable sizable:sizeable woolen:woollen marvelous:marvellous ' +
  'artifact:artefact chili:chilli gram:gramme kilogram:kilogramme traveler:traveller counselor:counsellor ' +
  'modeler:modeller jeweler:jeweller enroll:enrol enrollment:enrolment fulfill:fulfil fulfillment:fulfilment ' +
  'skillful:skilful willful:wilful installment:instalment anemia:anaemia anemic:anaemic pediatric:paediatric ' +
  'pediatrician:paediatrician orthopedic:orthopaedic hemorrhage:haemorrhage hemoglobin:haemoglobin ' +
  'leukemia:leukaemia estrogen:oestrogen diarrhea:diarrhoea fetus:foetus fetal:foetal maneuver:manoeuvre ' +
  'encyclopedia:encyclopaedia medieval:mediaeval archeology:archaeology archeologist:archaeologist ' +
  'gynecology:gynaecology gynecologist:gynaecologist cesarean:caesarean anesthetic:anaesthetic ' +
  'anesthesia:anaesthesia esthetic:aesthetic esophagus:oesophagus celiac:coeliac feces:faeces ' +
  'hemophilia:haemophilia hypoglycemia:hypoglycaemia toxemia:toxaemia';

/** Words in -or that Britain writes in -our. */
const OUR =
  'arb ard arm behavi cand clam col demean discol dishon disfav endeav enam fav ferv flav glam harb hon hum lab misdemean ' +
  'neighb od parl ranc rig rum savi sav splend tum val vap vig succ tricol watercol';
const AFTER_OUR =
  's|ed|ing|er|ers|ful|less|able|ably|ist|ists|hood|hoods|y|ly|al|ally|ism|ite|ites|ings|edly|fully';

/** Words in -er that Britain writes in -re. */
const RE =
  'cent epicent fib microfib lit millilit centilit decilit met kilomet centimet millimet micromet nanomet theat amphitheat sab calib somb spect ' +
  'lust meag och sepulch mit accout louv';

/** Verbs in -yze that Britain writes in -yse. */
const YSE = 'anal cryptanal psychoanal paral catal electrol hydrol dial breathal';

const lookUp = (am: string, br: string, endings: readonly string[]): [string, string][] =>
  endings.map((ending) => [am + ending, br + ending]);

let table: Map<string, string> | null = null;
let izeable: Set<string> | null = null;
let yseable: Set<string> | null = null;

function spellings(): Map<string, string> {
  if (table) return table;
  table = new Map();
  const add = (rows: [string, string][]) => {
    for (const [am, br] of rows) table!.set(am, br);
  };
  for (const pair of PAIRS.split(' ')) {
    const [am, br] = pair.split(':');
    add(lookUp(am, br, ['', 's']));
    if (am.endsWith('y')) add(lookUp(am.slice(0, -1), br.slice(0, -1), ['ies', 'ier', 'iest']));
    else if (!am.endsWith('e')) add(lookUp(am, br, ['ed', 'ing', 'y']));
  }
  add(lookUp('gray', 'grey', ['er', 'est', 'ish']));
  add(lookUp('skeptic', 'sceptic', ['al', 'ally', 'ism']));
  add([
    ['licensed', 'licenced'],
    ['licensing', 'licencing'],
    ['practised', 'practiced'],
    ['practising', 'practicing'],
  ]);
  for (const word of OUR.split(' ')) add(lookUp(`${word}or`, `${word}our`, ['', ...AFTER_OUR.split('|')]));
  for (const word of RE.split(' ')) {
    add(lookUp(`${word}er`, `${word}re`, ['', 's']));
    add([
      [`${word}ered`, `${word}red`],
      [`${word}ering`, `${word}ring`],
    ]);
  }
  return table;
}

/**
 * A word (folded, without marks) in the one spelling by which it is compared: -our, -re, -ogue and the like as in
 * Britain, -ize and -yze as in America, for the words that take them; "promise" and "rise" stay.
 */
export function oneSpelling(form: string): string {
  const known = (table ?? spellings()).get(form);
  if (known !== undefined) return known;
  // Read from the end, letter by letter: every word is asked, and most have neither.
  for (let at = form.length - 2; at > 2; at--) {
    if (form.charCodeAt(at) !== S) continue;
    const before = form.charCodeAt(at - 1);
    if (before !== I && before !== Y) continue;
    const after = form.slice(at + 1);
    if (!(before === I ? AFTER_IS : AFTER_YS).has(after)) continue;
    izeable ??= new Set(izeStems.split(' '));
    yseable ??= new Set(YSE.split(' '));
    const verbs = before === I ? izeable : yseable;
    return verbs.has(form.slice(0, at - 1)) ? `${form.slice(0, at)}z${after}` : form;
  }
  return form;
}

const [I, S, Y] = [105, 115, 121];
const AFTER_IS = new Set('e ed es ing er ers ation ations able ational'.split(' '));
/** Without -es: "analyses" is also the plural of a noun. */
const AFTER_YS = new Set('e ed ing er ers'.split(' '));

let british: Set<string> | null = null;

/** A form with those words spelled as a model spells them that can be spelled in two ways: "flat tire" after "tyre" is "flat tyre". */
export function spelledLike(form: string, model: string): string {
  british ??= new Set(spellings().values());
  const wanted = new Set(
    model
      .toLowerCase()
      .split(/[^a-z]+/)
      .filter((word) => british!.has(word))
      .map((word) => word.replace(/s$/, '')),
  );
  if (wanted.size === 0) return form;
  return form.replace(/[a-z]+/gi, (word) => {
    const other = spellings().get(word);
    return other !== undefined && wanted.has(other.replace(/s$/, '')) ? other : word;
  });
}
