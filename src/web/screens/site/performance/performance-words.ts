import type {
  ChangeEffect,
  ChangeKind,
  Effect,
  LossCause,
  NoWindows,
  PageChange,
  PositionEffect,
  TooLittle,
} from '../../../../core/performance/index.ts';
import { isClear } from '../../../../core/performance/index.ts';
import { dateInWords } from '../../../ui/day.ts';
import { counted, listInWords } from '../../../ui/figures.ts';

/** Days and figures of search are days of the site, whatever the zone is. */
export const day = (of: string): string => dateInWords(of);

const KIND_NAMES: Record<ChangeKind, string> = {
  published: 'published',
  'meta-title': 'title in search',
  title: 'title',
  'meta-description': 'meta description',
  address: 'address',
  text: 'text',
  headings: 'headings',
  links: 'links',
  pictures: 'pictures',
};

/** What was changed, in a few words: `Title in search and links`. */
export function changeInWords({ parts }: PageChange): string {
  const words = listInWords(parts.map(({ kind }) => KIND_NAMES[kind]));
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** A ratio as more or less: `+65 %`, `-20 %`. */
export const moreOrLess = (ratio: number): string => {
  const change = Math.round((ratio - 1) * 100);
  return `${change > 0 ? '+' : change < 0 ? '−' : '±'}${Math.abs(change)}\u00a0%`;
};

/** Why nothing can be told. */
export const tooLittleInWords = ({ why, count, wanted }: TooLittle, what: string): string =>
  why === 'seldom-seen'
    ? `Too little data: ${Math.round(count)} ${what} before and after together, ${wanted} are wanted.`
    : `Too little data: ${counted(count, 'other page')} stayed unchanged and had enough ${what}, ${wanted} are wanted.`;

/** What an effect is, in a sentence. */
export const effectInWords = (effect: Effect | TooLittle, what: string): string => {
  if (effect.kind === 'too-little') return tooLittleInWords(effect, what);
  const held = `between ${moreOrLess(effect.low)} and ${moreOrLess(effect.high)}`;
  return isClear(effect)
    ? `${moreOrLess(effect.ratio)} ${what}, ${held} at 95 %.`
    : `${moreOrLess(effect.ratio)} ${what}, but anything ${held} fits as well: it cannot be told from chance.`;
};

/** What became of the rank, in a sentence. */
export const ranksInWords = (effect: PositionEffect | TooLittle): string => {
  if (effect.kind === 'too-little') return tooLittleInWords(effect, 'impressions');
  const { ranks, low, high } = effect;
  const amount = `${Math.abs(ranks).toFixed(1)} ranks ${ranks < 0 ? 'better' : 'worse'}`;
  return low > 0 || high < 0
    ? `${amount}, against the other pages.`
    : `${amount} against the other pages; that cannot be told from chance.`;
};

/** How much more or less is searched: `21 % less`. */
export function searchedInWords(demand: number): string {
  const change = Math.round((demand - 1) * 100);
  return change === 0 ? 'as much' : `${Math.abs(change)} % ${change > 0 ? 'more' : 'less'}`;
}

/** Why the days around a change cannot be held against each other. */
export const noWindowsInWords = ({ why, days: known, wanted }: NoWindows): string => {
  switch (why) {
    case 'publication':
      return 'Nothing was there before, so that there is nothing to hold it against.';
    case 'too-early':
      return `Too little data: ${counted(known, 'day')} are known before it, ${wanted} are wanted.`;
    case 'too-late':
      return `Too early to tell: ${counted(known, 'day')} are known from a week after it on, ${wanted} are wanted.`;
    case 'other-change':
      return `Another change of the page is too near: ${counted(known, 'day')} lie between, ${wanted} are wanted.`;
  }
};

/** Whether windows were found. */
export const hasWindows = (effect: ChangeEffect | NoWindows): effect is ChangeEffect => 'clicks' in effect;

export const CAUSE_NAMES: Record<LossCause, string> = {
  season: 'Season',
  shown: 'Shown less',
  position: 'Position',
  clickRate: 'Click rate',
};

/** What a cause means, and what to do about it. */
export const CAUSE_ADVICE: Record<LossCause, string> = {
  season: 'Less is asked for at this time of the year. Refresh it before its season comes again.',
  shown:
    'It is shown less often than its season explains: for fewer queries, or less is asked for. See which.',
  position: 'Others stand before it now. See what their pages have that it lacks.',
  clickRate: 'It stands where it stood and is opened less often. Look at its title and description.',
};
