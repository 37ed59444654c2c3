/** Whether two tags are of one language, whatever its variety: `en-GB` and `en`. */
export const isSameLanguage = (a: string, b: string): boolean =>
  a.split('-')[0].toLowerCase() === b.split('-')[0].toLowerCase();
