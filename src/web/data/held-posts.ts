import { serverCopies } from '../services/server-copies.ts';
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

function heldBefore(): HeldPosts | null {
  try {
    const held: unknown = JSON.parse(remembered(key()) ?? 'null');
    return isHeld(held) ? held : null;
  } catch {
    return null;
  }
}

/**
 * What was held and is gone: posts were remembered, or lie in a kept copy, and not one of their sites is in the
 * database. Null where nothing is missing. To be asked before a first site is made.
 */
export async function lostPosts(): Promise<HeldPosts | null> {
  const { sites } = database();
  const held = heldBefore();
  if (held && held.posts > 0) {
    const here = await sites.bulkGet(held.sites);
    return here.some((site) => site !== undefined) ? null : held;
  }
  if ((await sites.count()) > 0) return null;
  // A full disk may have taken what was remembered along; copies lie elsewhere again.
  const [[own], [theirs]] = [
    await (await import('./copies.ts')).keptCopies(),
    (await serverCopies(database().name)) ?? [],
  ];
  const newest = own ?? theirs;
  if (!newest || newest.posts === 0) return null;
  const lost: HeldPosts = { posts: newest.posts, at: newest.made, sites: [] };
  // It stays so until somebody decides, though a first site is made now.
  remember(key(), JSON.stringify(lost));
  return lost;
}
