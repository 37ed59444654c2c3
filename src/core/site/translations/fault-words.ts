import { translationIn } from '../../draft/index.ts';
import { languageName } from '../../language/index.ts';
import type { TranslationFault } from './translation-faults.ts';

/**
 * What is wrong with a pair of posts in two languages, said of the post in which it is mended: a sentence.
 *
 * @param titleOf the title of a post by its id
 */
export function translationFaultInWords(
  { kind, item, otherId, mend }: TranslationFault,
  titleOf: (id: string) => string,
): string {
  const other = otherId === null ? 'it' : `“${titleOf(otherId)}”`;
  const named = languageName(translationIn(item)?.language ?? '');
  switch (kind) {
    case 'unreadable':
      return `“${item}” is no language and address, such as “de /tasche”.`;
    case 'own-language':
      return `“${item}” says the language that the post itself is in.`;
    case 'twice':
      return `It names a second page in ${named}: “${item}”.`;
    case 'unknown':
      return `“${item}” leads to no other post of the site.`;
    case 'moved':
      return `“${item}” is an address of before: ${other} stands at ${mend?.address}.`;
    case 'unpublished':
      return `It names ${other}, which readers cannot open yet.`;
    case 'hidden':
      return `It and ${other} name each other, and search is asked to pass over one of them.`;
    case 'other-language':
      return `It names ${other} as ${named}, which is in ${languageName(mend?.language ?? '')}.`;
    case 'names-another':
      return `${other} names it; it names another page in ${named}: “${item}”.`;
    case 'not-back':
      return `${other} names it as the same in another language, and is not named back.`;
    case 'not-among':
      return `${other} is the same in ${languageName(mend?.language ?? '')}, by a third post, and is not named.`;
  }
}
