import { stem } from '../language/index.ts';

const lines = (text: string): string[][] => text.split('\n').map((line) => line.trim().split(' '));

/** Words by which headings name the same matter whatever their subject; none stands in two lines. As base forms. */
const MATTERS = lines(
  `size litre volume capacity big large
  cost price money pay paid cheap expensive budget fee
  mend repair fix patch
  care wash clean maintain maintenance maintaining rinse
  use usage using
  install installation setup
  begin start beginner
  pick choose choice select choosing
  benefit advantage pro upside
  drawback disadvantage con downside
  mistake error wrong
  tool kit equipment gear
  sleep accommodation campsite overnight`,
);

/**
 * Words that people use for the same matter when they write about how things are done, a line for each. WordNet
 * holds few of them: they are equals in what readers look for, not in what dictionaries say. As base forms.
 */
const NEAR = lines(
  `begin start starting beginner first introduction intro basics
  install installation setup configure configuration set
  use usage using operate
  pick choose choice select choosing selection selecting
  cost price money pay paid expensive budget fee cheap afford affordable charge rate
  mend repair fix patch repairing fixing puncture
  care wash clean maintain maintenance cleaning rinse service servicing
  size litre volume capacity big large small dimension
  benefit advantage pro upside plus
  drawback disadvantage con downside minus limitation
  mistake error wrong fault failure fail pitfall
  problem trouble issue difficulty troubleshooting
  tool kit equipment gear
  sleep accommodation campsite overnight camp lodging
  delete remove erase drop discard prune purge clear
  create make build new start add adding
  restore recover recovery restoring retrieve back lost
  undo revert reverse cancel rollback
  rename name renaming
  verify check test inspect validate confirm testing verification checking
  schedule automatic automate automated cron regular regularly nightly night daily day timer job
  retention keep kept old older expire retain prune
  exclude omit skip ignore except leave unnecessary needless
  insensitive ignore regard regardless disregard
  include contain
  safe secure security danger dangerous risk risky harmful unsafe trust xss protect protection
  encrypt encryption encrypted passphrase cipher
  convert transform render turn translate compile write output export
  version release compatible compatibility support supported upgrade
  difference differ versus vs compare comparison against between
  resolve settle solve conflict clash
  switch change move
  merge combine join unite
  open allow permit accept let
  block deny refuse reject drop forbid
  log record journal logging
  boot startup start load loaded
  forward forwarding redirect dnat
  card adapter interface nic
  escape backslash quote quoted
  greedy lazy minimal
  case uppercase lowercase upper lower
  line multiline newline
  comment annotation remark
  group capture parenthesis
  backreference refer reference
  child kid children family
  far distance mileage kilometre mile
  long time duration hour day last year month lifetime lifespan
  fit attach mount hook fasten fix
  weight heavy weigh light kilogram gram load
  rain wet weather waterproof water
  clothes clothing wear dress
  food eat meal cook cooking
  train railway rail
  bike bicycle cycle
  trip tour journey holiday travel ride
  route way path plan planning map navigate navigation itinerary
  rent hire rental renting lease
  buy purchase buying
  bag pannier luggage
  tyre tire
  flat puncture
  season month winter summer spring autumn
  pack packing list bring
  fast quick speed quickly rapid
  slow slowly
  remote server
  store storage location place
  teach train lesson course learn
  sore hurt ache pain
  book reserve booking reservation`,
);

/** All lines of equals. */
export const EQUALS: readonly (readonly string[])[] = [...MATTERS, ...NEAR];

const matters = new Map(
  MATTERS.flatMap((line) => {
    const [first, ...others] = line.map((word) => stem(word));
    return others.map((other) => [other, first] as const);
  }),
);

/** The stem that stands for the matter of a stem; itself where it is of no known one. */
export const matterOf = (stemText: string): string => matters.get(stemText) ?? stemText;
