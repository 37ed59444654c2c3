import type { MapPage } from '../../../workers/site-map.ts';

/** By what the pages of the map are coloured. */
export type ColourBy = 'group' | 'category' | 'score';

/** One colour of the map, and what it stands for. */
export interface MapKey {
  name: string;
  /** Name of a colour of ours. */
  token: string;
  count: number;
}

/** Colours that can be told apart, largest first; whatever comes behind them is of the last. */
const TOKENS = ['marram', 'ochre', 'sea', 'rust', 'ink'] as const;
const REST = 'ink-soft';

/** Scores from which a page is fit, and needs some work. */
const [FIT, FAIR] = [80, 60];

/** What each page is coloured by, and the key to it: as many names as there are colours. */
export function mapColours(
  pages: readonly MapPage[],
  groups: readonly { name: string }[],
  by: ColourBy,
): { tokens: string[]; keys: MapKey[] } {
  if (by === 'score') {
    const keyOf = ({ score }: MapPage) => (score === null ? 3 : score >= FIT ? 0 : score >= FAIR ? 1 : 2);
    const keys: MapKey[] = [
      { name: `Score ${FIT} and more`, token: 'marram', count: 0 },
      { name: `${FAIR} to ${FIT - 1}`, token: 'ochre', count: 0 },
      { name: `Below ${FAIR}`, token: 'rust', count: 0 },
      { name: 'No score', token: REST, count: 0 },
    ];
    const tokens = pages.map((page) => {
      const key = keys[keyOf(page)];
      key.count += 1;
      return key.token;
    });
    return { tokens, keys: keys.filter(({ count }) => count > 0) };
  }
  const nameOf = ({ group, category, postId }: MapPage): string =>
    by === 'group'
      ? group === -1
        ? 'Linked with nothing'
        : groups[group].name
      : category || (postId === null ? 'Pages' : 'No category');
  const counts = new Map<string, number>();
  for (const page of pages) counts.set(nameOf(page), (counts.get(nameOf(page)) ?? 0) + 1);
  const last = (name: string) => Number(name === 'Linked with nothing' || name === 'No category');
  const names = [...counts].sort((a, b) => last(a[0]) - last(b[0]) || b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  const tokenOf = new Map(
    names.map(([name], at) => [name, last(name) ? REST : (TOKENS[at] ?? REST)] as const),
  );
  const keys = names
    .filter(([name], at) => at < TOKENS.length && !last(name))
    .map(([name, count]): MapKey => ({ name, count, token: tokenOf.get(name) ?? REST }));
  const rest = pages.length - keys.reduce((sum, { count }) => sum + count, 0);
  const others = names.slice(keys.length);
  if (rest > 0)
    keys.push({ name: others.length === 1 ? others[0][0] : 'All others', token: REST, count: rest });
  return { tokens: pages.map((page) => tokenOf.get(nameOf(page)) ?? REST), keys };
}
