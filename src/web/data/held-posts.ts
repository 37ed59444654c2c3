import { remember, remembered } from '../ui/remembered.ts';
import { database } from './database.ts';

/** What this browser held when it was last looked at, remembered outside the database. */
export interface HeldPosts {
  posts: number;
  /** UTC instant. */
  at: string;
  /** Ids of the sites. */
  sites: string[];
}

const key = () => `${database().name} held`;

const isHeld = (value: unknown): value is HeldPosts => {
  const { posts, at, sites } = (value ?? {}) as Partial<HeldPosts>;
  return typeof posts === 'number' && typeof at === 'string' && Array.isArray(sites);
};

/** Remembers that there are posts, for the day on which there are none. */
export async function rememberHeld(now: string): Promise<void> {
  const { posts, sites } = database();
  const count = await posts.count();
  const held: HeldPosts = {
    posts: count,
    at: now,
    sites: (await sites.toCollection().primaryKeys()) as string[],
  };
  remember(key(), JSON.stringify(held));
}

/**
 * What was held and is gone: posts were remembered, and not one of their sites is in the database. Null where nothing
 * is missing. To be asked before a first site is made.
 */
export async function lostPosts(): Promise<HeldPosts | null> {
  let held: unknown;
  try {
    held = JSON.parse(remembered(key()) ?? 'null');
  } catch {
    return null;
  }
  if (!isHeld(held) || held.posts === 0) return null;
  const here = await database().sites.bulkGet(held.sites);
  return here.some((site) => site !== undefined) ? null : held;
}
