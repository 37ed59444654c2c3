import { safeHref } from './sanitise.ts';

/** The same post in another language. */
export interface Translation {
  /** BCP 47 tag. */
  language: string;
  /** Path on the same site, or a whole address on another. */
  address: string;
}

const LANGUAGE_TAG = /^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/i;

/** Whether a text is a language tag as posts declare one: `de`, `pt-BR`. */
export const isLanguageTag = (text: string): boolean => LANGUAGE_TAG.test(text);

/** A translation as a post's field holds it: `de /radreise/packtaschen`. */
export const translationText = ({ language, address }: Translation): string => `${language} ${address}`;

/** What an item of the field says; null for one that is no language tag and a safe address. */
export function translationIn(item: string): Translation | null {
  const [language, address, ...more] = item.trim().split(/\s+/);
  if (!language || !address || more.length > 0 || !isLanguageTag(language)) return null;
  const safe = safeHref(address);
  return safe ? { language, address: safe } : null;
}

/** The translations that a post's field names, in their order. */
export const translationsIn = (items: readonly string[]): Translation[] =>
  items.flatMap((item) => translationIn(item) ?? []);
