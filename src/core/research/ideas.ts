import { asHeading } from '../language/index.ts';
import type { Cluster } from './clusters.ts';
import { type KnownPost, OwnPhrases } from './own-phrases.ts';
import { meaningKey, meaningStems, tellingStems } from './phrase-meaning.ts';
import { tellingLine, workingTitle } from './working-title.ts';

/** What an idea was made from. */
export type IdeaOrigin = 'cluster' | 'title' | 'offer' | 'heading' | 'hand';

/** An idea before it is kept: what could be written, for which phrases, and where that comes from. */
export interface IdeaDraft {
  origin: IdeaOrigin;
  /** A working title. */
  title: string;
  /** A line of description: what the post would tell, and why it is worth writing. */
  line: string;
  keyword: string;
  phrases: string[];
  /** 0-100; null: nothing is known of its phrases. */
  opportunity: number | null;
  /** The post that it comes from; empty: none. */
  from: string;
}

/** A phrase with what is computed of it. */
export interface RatedPhrase {
  phrase: string;
  volume: number | null;
  opportunity: number | null;
}

/** What ideas are made within. */
export interface IdeaSite {
  posts: readonly KnownPost[];
  own: OwnPhrases;
  /** Whether titles can be written: their sentences are English. */
  english: boolean;
}

/** What ideas of a site are made within; its field is told by its phrases. */
export const ideaSite = (
  posts: readonly KnownPost[],
  phrases: readonly RatedPhrase[],
  english = true,
): IdeaSite => ({
  posts,
  own: new OwnPhrases(
    posts,
    phrases.map(({ phrase }) => phrase),
  ),
  english,
});

const many = (count: number, one: string, more: string) =>
  `${count.toLocaleString('en')} ${count === 1 ? one : more}`;

const searches = (phrases: readonly RatedPhrase[]) => {
  const volume = phrases.reduce((sum, each) => sum + (each.volume ?? 0), 0);
  return `${many(phrases.length, 'phrase', 'phrases')}, ${many(volume, 'search', 'searches')} a month`;
};

const bestOf = (members: readonly RatedPhrase[]) =>
  members.reduce<number | null>(
    (best, { opportunity }) =>
      opportunity !== null && (best === null || opportunity > best) ? opportunity : best,
    null,
  );

/** What a phrase tells beyond the field of the site. */
const beyond = (phrase: string, { field }: OwnPhrases): string[] =>
  tellingStems(meaningStems(phrase)).filter((stem) => !field.has(stem));

/** An idea for phrases of one meaning, the first of them its keyword; `why`: what beside the searches speaks for it. */
function ideaFor(
  members: readonly RatedPhrase[],
  { origin, from, why }: { origin: IdeaOrigin; from: string; why: string },
  { own, english }: IdeaSite,
): IdeaDraft {
  const [{ phrase: keyword }, ...others] = members;
  const phrases = members.map(({ phrase }) => phrase);
  const subject = beyond(keyword, own);
  // What only its results bring into the group says nothing about the subject.
  const about = others.filter(
    ({ phrase }) => subject.length === 0 || beyond(phrase, own).some((stem) => subject.includes(stem)),
  );
  const { title, tells } = english
    ? workingTitle(
        keyword,
        about.map(({ phrase }) => phrase),
      )
    : { title: asHeading(keyword), tells: [] };
  return {
    origin,
    title,
    line: [
      tellingLine(tells, phrases),
      why || (phrases.length > 1 ? '' : 'No post here answers it.'),
      `${searches(members)}.`,
    ]
      .filter(Boolean)
      .join(' '),
    keyword,
    phrases,
    opportunity: bestOf(members),
    from,
  };
}

/** The phrases of a cluster that no post holds, the head first; null where a post is for it, or holds more than a third. */
function openPhrases(
  { head, members }: Pick<Cluster, 'head' | 'members'>,
  phrases: readonly RatedPhrase[],
  own: OwnPhrases,
): RatedPhrase[] | null {
  const holding = members.map((at) => own.of(phrases[at].phrase));
  const held = holding.filter((each) => each !== null);
  if (held.some(({ how }) => how === 'target') || held.length > members.length / 3) return null;
  if (own.of(phrases[head].phrase)) return null;
  const open = members.filter((at, place) => at !== head && holding[place] === null);
  return [head, ...open].map((at) => phrases[at]);
}

/** Clusters that no post of the site covers, the greatest opportunity first. */
export function ideasFromClusters(
  clusters: readonly Cluster[],
  phrases: readonly RatedPhrase[],
  site: IdeaSite,
): IdeaDraft[] {
  return byOpportunity(
    clusters.flatMap((cluster) => {
      const open = openPhrases(cluster, phrases, site.own);
      return open ? [ideaFor(open, { origin: 'cluster', from: '', why: '' }, site)] : [];
    }),
  );
}

/** The words of a phrase that a post leaves aside, as a sentence. */
function asideLine(phrase: string, added: readonly string[]): string {
  const words = phrase.split(/\s+/).filter((word) => meaningStems(word).some((stem) => added.includes(stem)));
  return `Goes into "${words.join(' ')}", which that post leaves aside.`;
}

/** So much of what a post is for must be in a phrase that stands beside it. */
const BESIDE = 0.6;
/** Words that a phrase adds to it at most. */
const MOST_ADDED = 3;

/**
 * What stands beside the posts that are there: phrases that share most of a post's keyword and add something which no
 * post answers yet. One idea for each added word, the greatest opportunity first.
 */
export function ideasFromTitles(phrases: readonly RatedPhrase[], site: IdeaSite): IdeaDraft[] {
  const { posts, own } = site;
  const ideas: IdeaDraft[] = [];
  const telling = phrases.map(({ phrase }) => beyond(phrase, own));
  const open = phrases.map(({ phrase }) => own.of(phrase) === null);
  for (const post of posts) {
    const subject = beyond(post.keyword || post.title, own);
    if (subject.length === 0) continue;
    const byAngle = new Map<string, RatedPhrase[]>();
    for (const [at, phrase] of phrases.entries()) {
      if (!open[at]) continue;
      const shared = subject.filter((stem) => telling[at].includes(stem)).length;
      if (shared < Math.max(1, Math.ceil(subject.length * BESIDE))) continue;
      const added = telling[at].filter((stem) => !subject.includes(stem));
      if (added.length === 0 || added.length > MOST_ADDED) continue;
      const angle = added.sort().join(' ');
      byAngle.set(angle, [...(byAngle.get(angle) ?? []), phrase]);
    }
    for (const [angle, members] of byAngle) {
      members.sort((a, b) => (b.volume ?? 0) - (a.volume ?? 0));
      ideas.push(
        ideaFor(
          members,
          { origin: 'title', from: post.id, why: asideLine(members[0].phrase, angle.split(' ')) },
          site,
        ),
      );
    }
  }
  return distinctBy(byOpportunity(ideas));
}

/** A cluster serves an offer honestly where so much of what its head asks for is in the offer's own words. */
const IN_OFFER = 0.6;

/** Clusters that a description of what is offered can honestly answer, each with the words that say so. */
export function ideasFromOffer(
  offer: string,
  clusters: readonly Cluster[],
  phrases: readonly RatedPhrase[],
  site: IdeaSite,
): IdeaDraft[] {
  const { own } = site;
  const words = new Map<string, string>();
  for (const word of offer.split(/[^\p{L}\p{N}'-]+/u).filter(Boolean))
    for (const stem of meaningStems(word)) if (!words.has(stem)) words.set(stem, word.toLowerCase());
  return byOpportunity(
    clusters.flatMap((cluster) => {
      const stems = tellingStems(meaningStems(phrases[cluster.head].phrase));
      const served = stems.filter((stem) => words.has(stem));
      // Words of the field serve everything: something beside them must be offered.
      const beside = stems.filter((stem) => !own.field.has(stem));
      if (served.length / Math.max(1, stems.length) < IN_OFFER || served.length < 2) return [];
      if (beside.filter((stem) => words.has(stem)).length * 2 <= beside.length && beside.length > 0)
        return [];
      const open = openPhrases(cluster, phrases, own);
      if (!open) return [];
      const said = served.map((stem) => `"${words.get(stem)}"`).join(', ');
      return [ideaFor(open, { origin: 'offer', from: '', why: `Your offer says ${said}.` }, site)];
    }),
  );
}

/** Words that a section needs before a post can grow from it. */
const STANDS_ALONE = 40;
const BOILERPLATE =
  /^(?:introduction|conclusion|summary|faq|questions|more|contact|about|sources|in short|the short version)\b/i;

/** The headings of a post that could each be a post: a section of some length, about something that people search for. */
export function ideasFromHeadings(
  post: KnownPost,
  phrases: readonly RatedPhrase[],
  { posts, own }: IdeaSite,
): IdeaDraft[] {
  const others = new OwnPhrases(
    posts.filter(({ id }) => id !== post.id),
    phrases.map(({ phrase }) => phrase),
  );
  const subject = new Set(meaningStems(post.keyword || post.title));
  return post.headings.flatMap(({ text, words }) => {
    const stems = tellingStems(meaningStems(text));
    const beside = stems.filter((stem) => !own.field.has(stem) && !subject.has(stem));
    if (words < STANDS_ALONE || BOILERPLATE.test(text) || beside.length === 0 || others.of(text)) return [];
    const about = phrases
      .filter(({ phrase }) => {
        const theirs = tellingStems(meaningStems(phrase));
        const shared = theirs.filter((stem) => stems.includes(stem) || subject.has(stem));
        return (
          shared.some((stem) => beside.includes(stem)) &&
          shared.length === theirs.length &&
          theirs.length > 1 &&
          beside.filter((stem) => theirs.includes(stem)).length * 2 >= beside.length &&
          others.of(phrase) === null
        );
      })
      .sort((a, b) => (b.volume ?? 0) - (a.volume ?? 0));
    if (about.length === 0) return [];
    const title = asHeading(text.replace(/^\d+[.)]\s*/, ''));
    return {
      origin: 'heading' as const,
      title,
      line: `Would tell in full what a section of ${many(words, 'word', 'words')} in "${post.title}" begins. ${searches(about)}.`,
      keyword: about[0].phrase,
      phrases: about.slice(0, 12).map(({ phrase }) => phrase),
      opportunity: bestOf(about),
      from: post.id,
    };
  });
}

function distinctBy(ideas: readonly IdeaDraft[]): IdeaDraft[] {
  const seen = new Set<string>();
  return ideas.filter(({ keyword, title }) => {
    const key = meaningKey(keyword || title);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

const byOpportunity = (ideas: readonly IdeaDraft[]) =>
  [...ideas].sort((a, b) => (b.opportunity ?? -1) - (a.opportunity ?? -1));

/** The next so many ideas that are not known yet, whatever was done with those: by what keyword and title mean. */
export function freshIdeas(
  ideas: readonly IdeaDraft[],
  known: readonly { keyword: string; title: string }[],
  count: number,
): IdeaDraft[] {
  const taken = new Set(
    known.flatMap(({ keyword, title }) => [meaningKey(title), ...(keyword ? [meaningKey(keyword)] : [])]),
  );
  return distinctBy(ideas)
    .filter(
      ({ keyword, title }) => !taken.has(meaningKey(title)) && !(keyword && taken.has(meaningKey(keyword))),
    )
    .slice(0, count);
}
