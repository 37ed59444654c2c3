/** True for plain text that is written in Markdown: headings, lists or links of it. */
export const looksLikeMarkdown = (text: string): boolean =>
  /^#{1,6} \S/m.test(text) ||
  /\[[^[\]\n]{1,300}\]\([^()\s]{1,300}\)/.test(text) ||
  (text.match(/^(?:[-*+]|\d+\.) \S/gm)?.length ?? 0) > 1 ||
  /\*\*[^\s*][^*\n]{0,300}\*\*/.test(text);
