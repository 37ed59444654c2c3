import { phraseStems, researchStem } from './phrase-stems.ts';

/**
 * Words that mean the same to somebody who searches, a line for each; none stands in two. Narrower than what
 * `core/meaning` takes for near: two posts for the same words would compete, two for near ones need not.
 */
const SAME_WORDS = `mend repair fix patch
puncture flat
rent rental hire lease
buy purchase
cheap inexpensive affordable
begin start
kid child children
trip tour journey holiday vacation
clean wash
maintain maintenance service upkeep
choose pick select choice
cost price
guide tutorial manual
list checklist
autumn fall
photo picture image
film movie
phone mobile smartphone
sofa couch
garden yard
truck lorry
lift elevator
torch flashlight
sneaker trainer
nappy diaper
rubbish trash garbage waste
doctor physician
lawyer attorney solicitor
delete remove erase
create make build
fast quick rapid
big large
small little tiny
jumper sweater pullover
trousers pants
petrol gasoline
motorway freeway highway
railway train rail
email mail
employee staff
customer client
company business firm
software app application program
freelancer contractor
increase raise boost
reduce lower decrease cut
pregnant pregnancy
dog puppy
cat kitten
home house
present gift
cooker stove
freezer fridge
luggage baggage`;

const same = new Map<string, string>();
for (const line of SAME_WORDS.split('\n')) {
  const [first, ...others] = line.split(' ').map(researchStem);
  for (const other of others) if (other !== first) same.set(other, first);
}

/** Words by which somebody asks, and kinds of text; what is asked for is the same without them. */
const ASKING = new Set(
  'best good better top need want guide tip idea list example explain explained meaning definition complete ultimate online free way get help people person mean proper properly right step'
    .split(' ')
    .map(researchStem),
);

/** What a phrase asks for, as stems that stand for all words of one meaning, each once. */
export const meaningStems = (phrase: string): string[] => [
  ...new Set(phraseStems(phrase).map((each) => same.get(each) ?? each)),
];

/** Words that stand in so many of a site's phrases are its field: with or without them the same is asked. */
const FIELD = 0.2;
/** Fewer phrases tell nothing about a field. */
const FEWEST = 12;

/** Stems of the field that phrases are about: a workshop's phrases say "bike" or leave it out. */
export function fieldOf(phrases: Iterable<string>): ReadonlySet<string> {
  const spread = new Map<string, number>();
  let all = 0;
  for (const phrase of phrases) {
    all += 1;
    for (const stem of meaningStems(phrase)) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  }
  if (all < FEWEST) return new Set();
  return new Set([...spread].filter(([, count]) => count / all >= FIELD).map(([stem]) => stem));
}

/** What a phrase's stems tell it by: those of asking are left out, unless nothing else is left. */
export function tellingStems(stems: readonly string[]): readonly string[] {
  const telling = stems.filter((stem) => !ASKING.has(stem));
  return telling.length > 0 ? telling : stems;
}

/**
 * The key under which phrases ask for the same, from their {@link meaningStems}: "flat tire repair" and "fix a flat bike
 * tyre" share one where "bike" is the field. Words of asking are left out, those of the field too, unless nothing else is
 * left: then every word counts. Empty: nothing is asked.
 */
export function keyOfStems(stems: readonly string[], field: ReadonlySet<string> = new Set()): string {
  const telling = tellingStems(stems);
  const own = telling.filter((stem) => !field.has(stem));
  // Of the field alone every word counts: a checklist for the field is not the field.
  return [...(own.length > 0 ? own : stems)].sort().join(' ');
}

/** The key of a phrase, see {@link keyOfStems}. */
export const meaningKey = (phrase: string, field?: ReadonlySet<string>): string =>
  keyOfStems(meaningStems(phrase), field);
