import { readFileSync } from 'node:fs';
import { relative, sep } from 'node:path';
import { root } from '../sources.mjs';
import { readTranslation } from './catalogue.mjs';
import { isInterface } from './interface-files.mjs';
import { rewritten } from './messages.mjs';

/** A plugin by which the interface is built with the words of a translation (a PO file made from `words/interface.pot`). */
export function translatedWords(poFile) {
  const { language, words, things, problems } = readTranslation(readFileSync(poFile, 'utf8'));
  for (const problem of problems) console.error(problem);
  return {
    name: 'translated-words',
    enforce: 'pre',
    transform(code, id) {
      const path = relative(root, id.split('?')[0]).split(sep).join('/');
      if (!isInterface(path)) return null;
      const said = (message) => words.get(message) ?? message;
      const counted = (one, more) => things.get(one) ?? [one, more];
      return { code: rewritten(path, code, said, counted), map: null };
    },
    transformIndexHtml: (html) => html.replace(/<html lang="[^"]*"/, `<html lang="${language}"`),
  };
}
