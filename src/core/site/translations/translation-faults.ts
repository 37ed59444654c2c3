import { isLanguageTag, type Translation, translationIn, translationText } from '../../draft/index.ts';

/** A post as its pairs in other languages are checked. */
export interface TranslatedPost {
  id: string;
  title: string;
  /** Where readers find it, in comparable form; null: it has no address yet. */
  path: string | null;
  /** The same as it is written; empty without one. */
  address: string;
  /** Declared by the post or its site. */
  language: string;
  /** Readers can open it, or will without anybody doing anything. */
  forReaders: boolean;
  /** Search is asked not to show its page, or to take another for the original. */
  hidden: boolean;
  /** As the post's field holds them. */
  translations: readonly string[];
}

/** In which way a pair does not fit. */
export type TranslationFaultKind =
  | 'unreadable'
  | 'own-language'
  | 'twice'
  | 'unknown'
  | 'moved'
  | 'unpublished'
  | 'hidden'
  | 'other-language'
  | 'names-another'
  | 'not-back'
  | 'not-among';

/** What keeps search from taking two posts for one in two languages. */
export interface TranslationFault {
  kind: TranslationFaultKind;
  /** The post in which it is mended. */
  postId: string;
  /** The item of its field that is wrong; empty where one is missing. */
  item: string;
  /** The post on the other side; null: none of the site. */
  otherId: string | null;
  /** Language and address that the item should have, where that is certain. */
  mend: Translation | null;
}

/** What is known of addresses of the site. */
export interface TranslationGround {
  /** The path of an address on the site; null: it lies elsewhere. */
  pathOf: (address: string) => string | null;
  /** Where an address of before leads now; null: nowhere. */
  movedTo: (path: string) => string | null;
}

/** Tags are one language where they are the same whatever their case. */
const sameTag = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

/** Whether a tag says a language that another is a variety of: a page in `en-GB` may be named as `en` (RFC 4647, 3.3.1). */
const fits = (named: string, language: string): boolean => {
  const [a, b] = [named.toLowerCase(), language.toLowerCase()];
  return a === b || a.startsWith(`${b}-`) || b.startsWith(`${a}-`);
};

/** An item and what it leads to. */
interface Named {
  item: string;
  language: string;
  /** Null: it leads elsewhere, or to no post. */
  post: TranslatedPost | null;
}

/**
 * What is wrong with the pairs of posts in several languages, in the order of the posts. Search takes two pages for one in two
 * languages only where each names the other, with the language that it is in (RFC 5646 tags in `hreflang`): what is named one way alone
 * is passed over. Addresses on other sites are not looked at.
 */
export function translationFaults(
  posts: readonly TranslatedPost[],
  { pathOf, movedTo }: TranslationGround,
): TranslationFault[] {
  const byPath = new Map(posts.flatMap((post) => (post.path === null ? [] : [[post.path, post] as const])));
  const faults: TranslationFault[] = [];
  const named = new Map<TranslatedPost, Named[]>();
  for (const post of posts) {
    const own: Named[] = [];
    const languages = new Set<string>();
    for (const item of post.translations) {
      const fault = (kind: TranslationFaultKind, otherId: string | null, mend: Translation | null = null) =>
        faults.push({ kind, postId: post.id, item, otherId, mend });
      const read = translationIn(item);
      if (!read || !isLanguageTag(read.language)) {
        fault('unreadable', null);
        continue;
      }
      const { language, address } = read;
      // Pages name themselves among their languages, and may say more of their own than they declare: `en-GB` on one in `en`.
      if (post.path !== null && pathOf(address) === post.path && fits(language, post.language)) continue;
      if (sameTag(language, post.language)) fault('own-language', null);
      else if (languages.has(language.toLowerCase())) fault('twice', null);
      languages.add(language.toLowerCase());
      const path = pathOf(address);
      if (path === null) continue;
      const now = byPath.has(path) ? path : movedTo(path);
      const other = now === null ? null : (byPath.get(now) ?? null);
      if (!other || other === post) {
        fault('unknown', null);
        continue;
      }
      own.push({ item, language, post: other });
      if (now !== path) fault('moved', other.id, { language, address: other.address });
      if (post.forReaders && !other.forReaders) fault('unpublished', other.id);
      if (post.hidden || other.hidden) fault('hidden', other.id);
      if (other.language && !fits(language, other.language) && !sameTag(post.language, language))
        fault('other-language', other.id, { language: other.language, address: other.address });
    }
    named.set(post, own);
  }
  faults.push(...missingLinks(posts, named));
  const order = new Map(posts.map(({ id }, at) => [id, at]));
  return faults.sort((a, b) => order.get(a.postId)! - order.get(b.postId)!);
}

/** What posts should name and do not: those that name them, and those that these name beside them. */
function missingLinks(
  posts: readonly TranslatedPost[],
  named: ReadonlyMap<TranslatedPost, readonly Named[]>,
): TranslationFault[] {
  const faults: TranslationFault[] = [];
  const said = new Set<string>();
  const miss = (kind: TranslationFaultKind, post: TranslatedPost, other: TranslatedPost) => {
    if (post === other || other.path === null || !other.language || sameTag(post.language, other.language))
      return;
    const own = named.get(post)!;
    const key = `${post.id} ${other.id}`;
    if (said.has(key) || own.some((one) => one.post === other)) return;
    said.add(key);
    const rival = own.find((one) => sameTag(one.language, other.language));
    // Another page was named for that language: which of the two is right nobody but the writer knows.
    if (rival)
      faults.push({
        kind: 'names-another',
        postId: post.id,
        item: rival.item,
        otherId: other.id,
        mend: null,
      });
    else
      faults.push({
        kind,
        postId: post.id,
        item: '',
        otherId: other.id,
        mend: { language: other.language, address: other.address },
      });
  };
  for (const post of posts)
    for (const { post: other } of named.get(post)!) if (other) miss('not-back', other, post);
  // Of three languages each names both others.
  for (const post of posts) {
    const others = named.get(post)!.flatMap((one) => one.post ?? []);
    for (const one of others) for (const other of others) miss('not-among', one, other);
  }
  return faults;
}

/** The field of a post with what can be mended for certain put right: what is missing named, what is wrong named as it should be. */
export function mendedTranslations(
  translations: readonly string[],
  faults: readonly Pick<TranslationFault, 'item' | 'mend'>[],
): string[] {
  let items = [...translations];
  for (const { item, mend } of faults) {
    if (!mend) continue;
    const fresh = translationText(mend);
    if (item === '') items.push(fresh);
    else items = items.map((one) => (one === item ? fresh : one));
  }
  return [...new Set(items)];
}
