import type { BlogSettings, EntryProperties } from '../../core/blog/index.ts';
import {
  cleanDraft,
  cleanFields,
  type Draft,
  type PostDocument,
  type PostFields,
  wholeFields,
} from '../../core/draft/index.ts';
import { type Category, patternProblem, slugOf } from '../../core/listing/index.ts';
import { isLeadable, type Redirect } from '../../core/site/index.ts';
import type { JobPicture, SendOrder, Way } from './send-job.ts';

/** Characters of an address. */
const MOST_ADDRESS = 2000;
/** Most pictures that one post brings. */
const MOST_PICTURES = 500;

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isText = (value: unknown): value is string => typeof value === 'string';

/** A way to where posts are published, as a page names it; null where it is none. */
export function readWay(given: unknown): Way | null {
  if (!isRecord(given)) return null;
  if (given['kind'] === 'stand-in' || given['kind'] === 'folder') return { kind: given['kind'] };
  if (given['kind'] === 'micropub' && isText(given['endpoint']) && given['endpoint'].trim() !== '')
    return { kind: 'micropub', endpoint: given['endpoint'].trim() };
  return null;
}

function readPicture(given: unknown): JobPicture | null {
  if (!isRecord(given)) return null;
  const { src, sha, name, type } = given;
  return isText(src) && isText(sha) && /^[0-9a-f]{64}$/.test(sha) && isText(name) && isText(type)
    ? { src, sha, name: name.slice(0, 200), type }
    : null;
}

function readProperties(given: unknown): EntryProperties | null {
  if (!isRecord(given)) return null;
  const entries = Object.entries(given);
  return entries.every(([name, values]) => Array.isArray(values) && name !== '__proto__')
    ? (Object.fromEntries(entries) as EntryProperties)
    : null;
}

/** A post as a page hands it over: cleaned as any that comes from outside; null where it is none. */
function readDocument(given: unknown): PostDocument | null {
  if (!isRecord(given) || !isRecord(given['fields']) || !isRecord(given['draft'])) return null;
  if (!Array.isArray(given['draft']['blocks'])) return null;
  return {
    fields: cleanFields(wholeFields(given['fields'] as Partial<PostFields>)),
    draft: cleanDraft(given['draft'] as unknown as Draft),
  };
}

/** An order as a page gives it; null where it is none. */
export function readOrder(given: unknown): SendOrder | null {
  if (!isRecord(given)) return null;
  const { siteId, postId, title, action, url, known, due, revision } = given;
  const way = readWay(given['way']);
  const properties = readProperties(given['properties']);
  const list = Array.isArray(given['pictures']) ? given['pictures'] : null;
  const pictures = list?.map(readPicture) ?? [];
  if (!way || !properties || !list || list.length > MOST_PICTURES) return null;
  if (![siteId, postId, title, url, due, revision].every(isText)) return null;
  if (action !== 'publish' && action !== 'withdraw' && action !== 'restore') return null;
  if (known !== null && !isText(known)) return null;
  if (due !== '' && Number.isNaN(Date.parse(due as string))) return null;
  if (action !== 'publish' && url === '') return null;
  if (pictures.includes(null)) return null;
  return {
    siteId: siteId as string,
    postId: postId as string,
    title: title as string,
    way,
    action,
    url: url as string,
    known,
    leadsTo:
      isText(given['leadsTo']) && isLeadable(given['leadsTo']) ? given['leadsTo'].slice(0, MOST_ADDRESS) : '',
    withdrawn: given['withdrawn'] === true,
    properties,
    document: readDocument(given['document']),
    pictures: pictures as JobPicture[],
    due: due as string,
    revision: revision as string,
  };
}

/** Most categories of a blog. */
const MOST_CATEGORIES = 500;

function readCategory(given: unknown): Category | null {
  if (!isRecord(given)) return null;
  const { name, description, parent, picture } = given;
  if (!isText(name) || name.trim() === '' || !isText(description) || !isText(parent)) return null;
  const slug = slugOf(isText(given['slug']) && given['slug'] ? given['slug'] : name);
  const shown =
    isRecord(picture) && isText(picture['src']) && isText(picture['alt'])
      ? { picture: { src: picture['src'].slice(0, MOST_ADDRESS), alt: picture['alt'].slice(0, 500) } }
      : {};
  return slug
    ? { name: name.trim().slice(0, 100), slug, description: description.slice(0, 500), parent, ...shown }
    : null;
}

/** Most redirects of a blog. */
const MOST_REDIRECTS = 50_000;

function readRedirect(given: unknown): Redirect | null {
  if (!isRecord(given)) return null;
  const { from, to, since, why } = given;
  if (!isText(from) || !from.startsWith('/') || !isText(since) || !isText(why)) return null;
  if (to !== null && (!isText(to) || !isLeadable(to))) return null;
  return {
    from: from.slice(0, MOST_ADDRESS),
    to: to === null ? null : (to as string).slice(0, MOST_ADDRESS),
    since,
    why: why.slice(0, 200),
  };
}

/** Pictures of categories that come along with settings. */
export const readSettingsPictures = (given: unknown): JobPicture[] =>
  isRecord(given) && Array.isArray(given['pictures'])
    ? given['pictures'].slice(0, MOST_CATEGORIES).flatMap((one) => readPicture(one) ?? [])
    : [];

/** How a blog shall look, as a page says it; null where it is not said soundly. Categories are nested one level. */
export function readSettings(given: unknown): BlogSettings | null {
  if (!isRecord(given)) return null;
  const { look, perPage, moreWords } = given;
  const list = Array.isArray(given['categories']) ? given['categories'].map(readCategory) : null;
  if (!list || list.length > MOST_CATEGORIES || list.includes(null)) return null;
  const categories = list as Category[];
  const tops = new Set(categories.flatMap(({ slug, parent }) => (parent === '' ? [slug] : [])));
  if (new Set(categories.map(({ slug }) => slug)).size < categories.length) return null;
  if (!categories.every(({ parent }) => parent === '' || tops.has(parent))) return null;
  if (look !== 'cards' && look !== 'lines') return null;
  if (!Number.isInteger(perPage) || (perPage as number) < 1 || (perPage as number) > 100) return null;
  if (!isText(moreWords) || moreWords.trim() === '') return null;
  const { addressPattern } = given;
  if (!isText(addressPattern) || patternProblem(addressPattern) !== '') return null;
  const redirects = Array.isArray(given['redirects']) ? given['redirects'].map(readRedirect) : null;
  if (!redirects || redirects.length > MOST_REDIRECTS || redirects.includes(null)) return null;
  return {
    categories,
    look,
    perPage: perPage as number,
    moreWords: moreWords.trim().slice(0, 60),
    addressPattern,
    redirects: redirects as Redirect[],
  };
}
