import type { PostFields, Status } from '../../draft/index.ts';
import { type AddressRule, comparablePath, linkKind, postPath } from '../../listing/index.ts';
import { type Redirect, redirectedTo } from '../redirects.ts';
import { pathOfPost } from '../site-index.ts';
import type { SiteSettings } from '../site-settings.ts';
import type { TranslatedPost, TranslationGround } from './translation-faults.ts';

/** Whether search is asked not to show a post, or to take a page elsewhere for the original. */
const isHidden = ({ robots, canonical }: PostFields, host: string | null): boolean =>
  /\b(?:noindex|none)\b/i.test(robots) || (canonical !== '' && linkKind(canonical, host) === 'external');

/** A post of a site as its pairs are checked. */
export function translatedPost(
  id: string,
  fields: PostFields,
  site: AddressRule & Pick<SiteSettings, 'baseAddress' | 'language'>,
  isOpen: (status: Status | null) => boolean,
): TranslatedPost {
  const path = pathOfPost(fields, site);
  const own = postPath(site, fields);
  return {
    id,
    title: fields.title || fields.slug,
    path,
    // As the blog serves it: with the closing slash of the pattern, if it has one.
    address: own !== null && comparablePath(own) === path ? own : (path ?? ''),
    language: fields.language || site.language || '',
    forReaders: isOpen(fields.status),
    hidden: isHidden(fields, site.baseAddress || null),
    translations: fields.translations,
  };
}

/** What is known of the addresses of a site. */
export const translationGround = (
  site: Pick<SiteSettings, 'baseAddress'>,
  redirects: readonly Redirect[],
): TranslationGround => ({
  pathOf: (address) =>
    linkKind(address, site.baseAddress || null) === 'internal' ? comparablePath(address) : null,
  movedTo: (path) => {
    const to = redirectedTo(path, redirects);
    return to ? comparablePath(to) : null;
  },
});
