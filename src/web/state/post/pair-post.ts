import { translationIn, translationsIn, translationText } from '../../../core/draft/index.ts';
import { mendedTranslations, translatedPost } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { loadPost } from '../../data/posts.ts';
import type { TakeBack } from '../undo.ts';
import { changeOtherPost } from './change-other-post.ts';
import type { PostSession } from './post-session.ts';

const everyStatus = () => true;

/** Why a post cannot be named by others as it stands; empty: it can. */
export function cannotBeNamed(session: PostSession, site: SiteRow): string {
  const { fields } = session.document;
  const own = translatedPost(session.id, fields, site, everyStatus);
  if (own.address === '') return 'The post needs a slug first: others name it by its address.';
  return own.language === '' ? 'Say on Target in which language the post is.' : '';
}

/**
 * Makes the post in hand and another one the same in two languages: each names the other. Answers the way back, or in words why they
 * cannot be.
 */
export async function pairPost(
  session: PostSession,
  site: SiteRow,
  otherId: string,
): Promise<TakeBack | string> {
  const loaded = await loadPost(otherId);
  if (!loaded) return 'That post is gone.';
  const own = translatedPost(session.id, session.document.fields, site, everyStatus);
  const other = translatedPost(otherId, loaded.row.fields, site, everyStatus);
  if (own.address === '') return cannotBeNamed(session, site);
  if (other.address === '') return `“${other.title}” has no address to be named by.`;
  const rival = translationsIn(other.translations).find(
    ({ language }) => language.toLowerCase() === own.language.toLowerCase(),
  );
  if (rival && rival.address !== own.address)
    return `“${other.title}” names another page in ${own.language}: ${rival.address}. Take that out there first.`;
  const item = translationText({ language: other.language, address: other.address });
  const named = session.document.fields.translations.includes(item);
  if (!named) session.setFields({ translations: [...session.document.fields.translations, item] });
  const back = await changeOtherPost(otherId, [], 'before it was named the same in another language', {
    translations: mendedTranslations(other.translations, [
      { item: '', mend: { language: own.language, address: own.address } },
    ]),
  });
  return async () => {
    if (!named)
      session.setFields({
        translations: session.document.fields.translations.filter((one) => one !== item),
      });
    return back?.();
  };
}

/** Adds a page elsewhere, as language and address (`de https://kanal.example/tasche`); whether it could be read. */
export function nameElsewhere(session: PostSession, typed: string): boolean {
  const translation = translationIn(typed);
  if (!translation) return false;
  const item = translationText(translation);
  const { translations } = session.document.fields;
  if (!translations.includes(item)) session.setFields({ translations: [...translations, item] });
  return true;
}
