// The words of the interface in one file, a template of the gettext format (PO), and translations read from such files.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { po } from 'gettext-parser';
import { root } from '../sources.mjs';
import { interfaceFiles } from './interface-files.mjs';
import { countedIn, messagesOf } from './messages.mjs';

/** The context of things that are counted: "post" alone and "3 posts" may want other words. */
const COUNTED = 'counted';

const HEADERS = {
  'Project-Id-Version': 'Dune Sparrow',
  Language: 'en',
  'MIME-Version': '1.0',
  'Content-Type': 'text/plain; charset=UTF-8',
  'Content-Transfer-Encoding': '8bit',
  'Plural-Forms': 'nplurals=2; plural=(n != 1);',
};

/** The template that translations begin from: every message with the files that it stands in. */
export function interfaceTemplate() {
  const places = new Map();
  const things = Object.create(null);
  for (const path of interfaceFiles(root)) {
    const source = readFileSync(join(root, path), 'utf8');
    for (const message of messagesOf(path, source))
      places.set(message, [...(places.get(message) ?? []), path]);
    for (const [one, more] of countedIn(path, source)) {
      const files = things[one]?.comments.reference;
      things[one] = {
        msgctxt: COUNTED,
        msgid: one,
        msgid_plural: more,
        msgstr: ['', ''],
        comments: { reference: files ? `${files}\n${path}` : path },
      };
    }
  }
  const messages = Object.create(null);
  for (const [message, files] of places)
    messages[message] = { msgid: message, msgstr: [''], comments: { reference: files.join('\n') } };
  return `${po.compile({ charset: 'utf-8', headers: HEADERS, translations: { '': messages, [COUNTED]: things } }, { foldLength: 0 }).toString('utf8')}\n`;
}

/** The places of a message, `{0}` and on, each as often as it stands there. */
const placesOf = (message) => (message.match(/\{\d+\}/g) ?? []).sort().join(' ');

/**
 * Reads a translation: its language, its words by message, those of what is counted (one and more) by the English of one, and in words what
 * of it cannot be used. A message that is not translated, or
 * that is marked as unsure, stays English; one whose places are not those of the message would lose what is filled in, and stays too.
 */
export function readTranslation(text) {
  const { headers, translations } = po.parse(text);
  const words = new Map();
  const things = new Map();
  const problems = [];
  for (const context of Object.values(translations))
    for (const { msgctxt, msgid, msgstr, comments } of Object.values(context)) {
      const [said] = msgstr ?? [];
      if (!msgid || !said || /\bfuzzy\b/.test(comments?.flag ?? '')) continue;
      if (msgctxt === COUNTED) things.set(msgid, [said, msgstr[1] || said]);
      else if (placesOf(said) === placesOf(msgid)) words.set(msgid, said);
      else problems.push(`“${said}” has not the places of “${msgid}”: it stays English.`);
    }
  return { language: headers?.Language ?? headers?.language ?? 'en', words, things, problems };
}
