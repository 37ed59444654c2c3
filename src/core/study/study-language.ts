/** The language of a study, by the languages of its pages: that of most of them, the earlier where two are as many; `en` without pages. */
export function studyLanguage(languages: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const language of languages) counts.set(language, (counts.get(language) ?? 0) + 1);
  return [...counts].reduce((best, next) => (next[1] > best[1] ? next : best), ['en', 0])[0];
}
