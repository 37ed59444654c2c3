/** What a language tag is called in English; the tag where nobody has a name for it. */
export function languageName(tag: string): string {
  try {
    return new Intl.DisplayNames('en', { type: 'language' }).of(tag) ?? tag;
  } catch {
    return tag;
  }
}
