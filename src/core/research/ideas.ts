import { asHeading } from '../language/index.ts';
import type { Cluster } from './clusters.ts';
import { isQuestion, phraseStems, researchStem } from './phrase-stems.ts';

/** What an idea was made from. */
export type IdeaOrigin = 'cluster' | 'title' | 'offer' | 'heading' | 'hand';

/** An idea before it is kept: what could be written, for which phrases, and where that comes from. */
export interface IdeaDraft {
  origin: IdeaOrigin;
  title: string;
  /** A line of description: what it is about and why it is worth writing. */
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

/** A post of the site, as ideas look at it. */
export interface KnownPost {
  id: string;
  title: string;
  keyword: string;
  supporting: readonly string[];
  headings: readonly { text: string; words: number }[];
}

const many = (count: number, one: string, more: string) =>
  `${count.toLocaleString('en')} ${count === 1 ? one : more}`;

/** What a post is about, as sets of stems: a phrase is covered where one of them holds all of its stems. */
function coverOf(posts: readonly KnownPost[]): { covers: (phrase: string) => KnownPost | null } {
  const sets = posts.map((post) => ({
    post,
    about: [post.keyword, ...post.supporting, post.title]
      .filter(Boolean)
      .map((text) => new Set(phraseStems(text))),
  }));
  return {
    covers: (phrase) => {
      const stems = phraseStems(phrase);
      if (stems.length === 0) return null;
      return (
        sets.find(({ about }) => about.some((set) => stems.every((stem) => set.has(stem))))?.post ?? null
      );
    },
  };
}

/** A working title: the question most asked, else the head phrase with what its neighbours add to it. */
export function workingTitle(head: string, others: readonly string[]): string {
  const question = [head, ...others].find((phrase) => isQuestion(phrase));
  if (question) return `${asHeading(question).replace(/\?*$/, '')}${/^how to\b/i.test(question) ? '' : '?'}`;
  const own = new Set(phraseStems(head));
  const seen = new Set<string>();
  const facets: string[] = [];
  for (const phrase of others) {
    for (const word of phrase.toLowerCase().split(/\s+/)) {
      const stem = researchStem(word);
      if (word.length < 4 || own.has(stem) || seen.has(stem) || !phraseStems(phrase).includes(stem)) continue;
      seen.add(stem);
      facets.push(word);
      if (facets.length === 3) break;
    }
    if (facets.length === 3) break;
  }
  return facets.length < 2
    ? asHeading(head)
    : `${asHeading(head)}: ${facets.slice(0, -1).join(', ')} and ${facets.at(-1)}`;
}

const bestOf = (members: readonly RatedPhrase[]) =>
  members.reduce<number | null>(
    (best, { opportunity }) =>
      opportunity !== null && (best === null || opportunity > best) ? opportunity : best,
    null,
  );

/** Clusters that no post of the site covers, the greatest opportunity first. */
export function ideasFromClusters(
  clusters: readonly Cluster[],
  phrases: readonly RatedPhrase[],
  posts: readonly KnownPost[],
): IdeaDraft[] {
  const { covers } = coverOf(posts);
  return byOpportunity(
    clusters
      .filter(({ members }) => members.every((at) => covers(phrases[at].phrase) === null))
      .map(({ head, members, volume }) => ({
        origin: 'cluster',
        title: workingTitle(
          phrases[head].phrase,
          members.slice(1).map((at) => phrases[at].phrase),
        ),
        line: `${members.length === 1 ? 'One phrase' : `${members.length} phrases that one post can answer`}, ${many(volume, 'search', 'searches')} a month; no post here covers ${members.length === 1 ? 'it' : 'one of them'}.`,
        keyword: phrases[head].phrase,
        phrases: members.map((at) => phrases[at].phrase),
        opportunity: bestOf(members.map((at) => phrases[at])),
        from: '',
      })),
  );
}

/**
 * What stands beside the posts that are there: phrases that share most of a post's keyword and add something which no
 * post covers yet. One idea for each added word, the greatest opportunity first.
 */
export function ideasFromTitles(posts: readonly KnownPost[], phrases: readonly RatedPhrase[]): IdeaDraft[] {
  const { covers } = coverOf(posts);
  const ideas: IdeaDraft[] = [];
  const stemLists = phrases.map(({ phrase }) => phraseStems(phrase));
  for (const post of posts) {
    const own = phraseStems(post.keyword || post.title);
    if (own.length === 0) continue;
    const byAngle = new Map<string, RatedPhrase[]>();
    for (const [at, phrase] of phrases.entries()) {
      const stems = stemLists[at];
      const shared = own.filter((stem) => stems.includes(stem)).length;
      if (shared < Math.max(1, Math.ceil(own.length * 0.6))) continue;
      const added = stems.filter((stem) => !own.includes(stem));
      if (added.length === 0 || added.length > 3 || covers(phrase.phrase)) continue;
      const angle = added.sort().join(' ');
      byAngle.set(angle, [...(byAngle.get(angle) ?? []), phrase]);
    }
    for (const members of byAngle.values()) {
      members.sort((a, b) => (b.volume ?? 0) - (a.volume ?? 0));
      ideas.push({
        origin: 'title',
        title: workingTitle(
          members[0].phrase,
          members.slice(1).map(({ phrase }) => phrase),
        ),
        line: `Beside "${post.title}": ${many(
          members.reduce((sum, { volume }) => sum + (volume ?? 0), 0),
          'search',
          'searches',
        )} a month ask for this, and it is not written yet.`,
        keyword: members[0].phrase,
        phrases: members.map(({ phrase }) => phrase),
        opportunity: bestOf(members),
        from: post.id,
      });
    }
  }
  return byOpportunity(distinctBy(ideas));
}

/** A cluster serves an offer honestly where so much of its head phrase is in the offer's own words. */
const IN_OFFER = 0.6;

/** Clusters that a description of what is offered can honestly answer, each with the words that say so. */
export function ideasFromOffer(
  offer: string,
  clusters: readonly Cluster[],
  phrases: readonly RatedPhrase[],
  posts: readonly KnownPost[],
): IdeaDraft[] {
  const { covers } = coverOf(posts);
  const words = new Map(
    offer
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u)
      .filter(Boolean)
      .map((word) => [researchStem(word), word]),
  );
  return byOpportunity(
    clusters.flatMap(({ head, members, volume }) => {
      const stems = phraseStems(phrases[head].phrase);
      const served = stems.filter((stem) => words.has(stem));
      if (stems.length < 2 || served.length / stems.length < IN_OFFER || covers(phrases[head].phrase))
        return [];
      return {
        origin: 'offer' as const,
        title: workingTitle(
          phrases[head].phrase,
          members.slice(1).map((at) => phrases[at].phrase),
        ),
        line: `Your offer says ${served.map((stem) => `"${words.get(stem)}"`).join(', ')}; ${many(volume, 'search', 'searches')} a month ask for what it serves.`,
        keyword: phrases[head].phrase,
        phrases: members.map((at) => phrases[at].phrase),
        opportunity: bestOf(members.map((at) => phrases[at])),
        from: '',
      };
    }),
  );
}

/** Words that a section needs before a post can grow from it. */
const STANDS_ALONE = 40;
const BOILERPLATE =
  /^(?:introduction|conclusion|summary|faq|questions|more|contact|about|sources|in short|the short version)\b/i;

/** The headings of a post that could each be a post: a section of some length about something of its own. */
export function ideasFromHeadings(
  post: KnownPost,
  phrases: readonly RatedPhrase[],
  posts: readonly KnownPost[],
): IdeaDraft[] {
  const { covers } = coverOf(posts.filter(({ id }) => id !== post.id));
  const own = new Set(phraseStems(post.keyword || post.title));
  return post.headings.flatMap(({ text, words }) => {
    const stems = phraseStems(text);
    if (words < STANDS_ALONE || stems.length < 2 || BOILERPLATE.test(text) || covers(text)) return [];
    if (stems.every((stem) => own.has(stem))) return [];
    const about = phrases
      .filter(({ phrase }) => {
        const theirs = phraseStems(phrase);
        const shared = stems.filter((stem) => theirs.includes(stem)).length;
        return shared >= 2 && shared / theirs.length >= 0.5;
      })
      .sort((a, b) => (b.volume ?? 0) - (a.volume ?? 0));
    return {
      origin: 'heading' as const,
      title: asHeading(text.replace(/^\d+[.)]\s*/, '')),
      line: `A section of ${many(words, 'word', 'words')} in "${post.title}"${about.length ? `; ${about.length === 1 ? 'a phrase asks' : `${about.length} phrases ask`} for it` : ''}.`,
      keyword: about[0]?.phrase ?? '',
      phrases: about.slice(0, 12).map(({ phrase }) => phrase),
      opportunity: bestOf(about),
      from: post.id,
    };
  });
}

function distinctBy(ideas: readonly IdeaDraft[]): IdeaDraft[] {
  const seen = new Set<string>();
  return ideas.filter(({ keyword, title }) => {
    const key = phraseStems(keyword || title)
      .sort()
      .join(' ');
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

const byOpportunity = (ideas: readonly IdeaDraft[]) =>
  [...ideas].sort((a, b) => (b.opportunity ?? -1) - (a.opportunity ?? -1));

/** The next so many ideas that are not known yet, whatever was done with those: by keyword or title, word stems deciding. */
export function freshIdeas(
  ideas: readonly IdeaDraft[],
  known: readonly { keyword: string; title: string }[],
  count: number,
): IdeaDraft[] {
  const keyOf = (text: string) => phraseStems(text).sort().join(' ');
  const taken = new Set(
    known.flatMap(({ keyword, title }) => [keyOf(title), ...(keyword ? [keyOf(keyword)] : [])]),
  );
  return distinctBy(ideas)
    .filter(({ keyword, title }) => !taken.has(keyOf(title)) && !(keyword && taken.has(keyOf(keyword))))
    .slice(0, count);
}
