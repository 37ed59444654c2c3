import { tellingStems } from '../../language/index.ts';
import { type Known, type KnownTopic, type Quoted, saysSame, standsAlone } from '../known/index.ts';

/** How much of a heading a topic's name has to say to be its topic. */
const SAME_TOPIC = 0.6;

const shareIn = (wanted: ReadonlySet<string>, held: ReadonlySet<string>): number =>
  wanted.size === 0 ? 0 : [...wanted].filter((each) => held.has(each)).length / wanted.size;

/** The words of a heading that tell it from the post around it: without those of the keyword, where any are left. */
export function ownStems(text: string, keyword: string): Set<string> {
  const all = tellingStems(text);
  const common = tellingStems(keyword);
  const own = new Set([...all].filter((each) => !common.has(each)));
  return own.size > 0 ? own : all;
}

/** The studied topic that a heading is about; null: none. */
export function topicOf(heading: string, { study, brief }: Known): KnownTopic | null {
  const wanted = ownStems(heading, study?.query ?? brief.keyword);
  const rated = (study?.topics ?? []).map((topic) => {
    const named = ownStems(topic.name, study?.query ?? '');
    return { topic, near: Math.max(shareIn(wanted, named), shareIn(named, wanted)) };
  });
  const best = rated.reduce((most, one) => (one.near > most.near ? one : most), {
    topic: null as KnownTopic | null,
    near: 0,
  });
  return best.near >= SAME_TOPIC ? best.topic : null;
}

const asKey = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s?.]+$/, '');

/** What is known to be said of the very thing that is asked for, then what its topic says; none that says the same again. */
export function saidOf(
  text: string,
  known: Known,
): { topic: KnownTopic | null; pages: number; said: Quoted[]; own: Quoted[] } {
  const topic = topicOf(text, known);
  const about = known.about.find((one) => asKey(one.text) === asKey(text));
  const said: Quoted[] = [];
  for (const one of [...(about?.said ?? []), ...(topic?.said ?? [])])
    if (!said.some((other) => saysSame(other.text, one.text))) said.push(one);
  return { topic, pages: about?.pages ?? 0, said, own: about?.own ?? [] };
}

/** Figures of the study that speak of a heading. */
export function figuresOf(text: string, { study, brief }: Known, most: number) {
  const wanted = ownStems(text, study?.query ?? brief.keyword);
  return [...brief.figures, ...(study?.figures ?? [])]
    .filter((figure) => standsAlone(figure.text) && /\d/.test(figure.text))
    .map((figure) => ({ figure, near: shareIn(wanted, tellingStems(figure.text)) }))
    .filter(({ near }) => near >= Math.min(0.5, 2 / Math.max(1, wanted.size)))
    .sort((a, b) => b.near - a.near || (a.figure.text < b.figure.text ? -1 : 1))
    .map(({ figure }) => figure)
    .filter((figure, at, all) => all.findIndex((other) => other.text === figure.text) === at)
    .slice(0, most);
}
