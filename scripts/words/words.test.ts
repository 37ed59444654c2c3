import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { readTranslation } from './catalogue.mjs';
import { interfaceFiles } from './interface-files.mjs';
import { countedIn, messagesOf, rewritten, shownText } from './messages.mjs';

const SAMPLE = `
import { Button } from './button.tsx';
const LOOKS = { plain: 'border bg-sheet', main: 'text-white' };
export function Bar({ count, name, busy }: { count: number; name: string; busy: boolean }) {
  if (name === 'Not this one') return null;
  const said = \`\${count} posts of \${name} were moved.\`;
  return (
    <section aria-label="Posts in hand" className="flex items-start gap-3" id="bar-1">
      <Button look="main" title={said}>
        {busy ? 'Stop it' : 'Move them'}
      </Button>
      <p>
        {count} of <b>all posts</b>, by {name}.{' '}
        Read on
      </p>
    </section>
  );
}
`;

describe('the words of a source file', () => {
  it('are those that are shown: text, labels, sentences; not styles, keys, imports and what is compared', () =>
    expect(messagesOf('bar.tsx', SAMPLE).sort()).toEqual([
      ', by {0}. Read on',
      'Move them',
      'Posts in hand',
      'Stop it',
      'all posts',
      '{0} of',
      '{0} posts of {1} were moved.',
    ]));
  it('are put in other words, what is filled in wherever the other language wants it', () => {
    const words = new Map([
      ['{0} posts of {1} were moved.', 'Von {1} wurden {0} Beiträge `bewegt`.'],
      [', by {0}. Read on', ', von {0}: weiter'],
      ['Posts in hand', 'Beiträge "zur Hand"'],
      ['Move them', 'Bewegen'],
    ]);
    const german = rewritten('bar.tsx', SAMPLE, (message) => words.get(message) ?? message);
    // The template of the source, with its words in another order.
    expect(german).toMatch(/`Von \$\{name\} wurden \$\{count\} Beiträge \\`bewegt\\`\.`/);
    expect(german).toContain('{", von "}{name}{": weiter"}');
    expect(german).toContain('aria-label={"Beiträge \\"zur Hand\\""}');
    expect(german).toContain(`{busy ? 'Stop it' : "Bewegen"}`);
    expect(german).toContain(`className="flex items-start gap-3"`);
    expect(german).toContain(`name === 'Not this one'`);
  });
  it('that count things name one and more of them, and are put in both', () => {
    const source = `const said = counted(count(all, 'query', 'queries').length, 'post'); const other = counted(n, noun); this.count(n, 'x');`;
    expect(countedIn('a.ts', source)).toEqual([
      ['post', 'posts'],
      ['query', 'queries'],
    ]);
    const german = rewritten(
      'a.ts',
      source,
      (message) => message,
      (one) => (one === 'post' ? ['Beitrag', 'Beiträge'] : ['Anfrage', 'Anfragen']),
    );
    expect(german).toBe(
      `const said = counted(count(all, "Anfrage", "Anfragen").length, "Beitrag", "Beiträge"); const other = counted(n, noun); this.count(n, 'x');`,
    );
  });
  it('stand between elements as a browser shows them', () => {
    expect(shownText('\n      one\n      two  three\n    ')).toBe('one two  three');
    expect(shownText(' and ')).toBe(' and ');
    expect(shownText('a&nbsp;b &amp; c')).toBe('a\u00a0b & c');
  });
});

describe('the interface', () => {
  const root = process.cwd();
  const files = interfaceFiles(root).map((path) => [path, readFileSync(join(root, path), 'utf8')] as const);
  it('stays as it is where nothing is translated', () => {
    for (const [path, source] of files) expect(rewritten(path, source, (message) => message)).toBe(source);
  });
  it('can be translated whole: every file is still a program, and nothing is said in the words of before', () => {
    const away = (message: string) =>
      message
        .split(/(\{\d+\})/)
        .map((part) => (part.trim() === '' || /^\{\d+\}$/.test(part) ? part : `⟦${part}⟧`))
        .join('');
    for (const [path, source] of files) {
      const other = rewritten(path, source, away, (one, more) => [`⟦${one}⟧`, `⟦${more}⟧`]);
      const { diagnostics } = ts.transpileModule(other, {
        fileName: path,
        reportDiagnostics: true,
        compilerOptions: { jsx: ts.JsxEmit.ReactJSX, target: ts.ScriptTarget.ESNext },
      });
      expect(
        diagnostics?.map(({ messageText }) => messageText),
        path,
      ).toEqual([]);
      expect(
        [...messagesOf(path, other), ...countedIn(path, other).flat()].filter(
          (message) => !message.includes('⟦'),
        ),
        path,
      ).toEqual([]);
    }
  });
});

describe('a translation', () => {
  const HEAD = 'msgid ""\nmsgstr ""\n"Language: de\\n"\n"Content-Type: text/plain; charset=UTF-8\\n"\n\n';
  it('gives its words by message; what is not translated or unsure stays English', () => {
    const { language, words, problems } = readTranslation(
      `${HEAD}msgid "Posts"\nmsgstr "Beiträge"\n\nmsgid "Ideas"\nmsgstr ""\n\n#, fuzzy\nmsgid "Site"\nmsgstr "Ort"\n\nmsgid "constructor"\nmsgstr "Erbauer"\n`,
    );
    expect(language).toBe('de');
    expect(Object.fromEntries(words)).toEqual({ Posts: 'Beiträge', constructor: 'Erbauer' });
    expect(words.get('toString')).toBeUndefined();
    expect(problems).toEqual([]);
  });
  it('gives one and more of what is counted apart from the word alone', () => {
    const { words, things } = readTranslation(
      `${HEAD}msgid "post"\nmsgstr "Beitrag schreiben"\n\nmsgctxt "counted"\nmsgid "post"\nmsgid_plural "posts"\nmsgstr[0] "Beitrag"\nmsgstr[1] "Beiträge"\n\nmsgctxt "counted"\nmsgid "word"\nmsgid_plural "words"\nmsgstr[0] ""\nmsgstr[1] ""\n`,
    );
    expect(Object.fromEntries(words)).toEqual({ post: 'Beitrag schreiben' });
    expect(Object.fromEntries(things)).toEqual({ post: ['Beitrag', 'Beiträge'] });
  });
  it('that would lose what is filled in is named and not taken', () => {
    const { words, problems } = readTranslation(`${HEAD}msgid "{0} of {1}"\nmsgstr "{0} von allen"\n`);
    expect(words.size).toBe(0);
    expect(problems).toEqual(['“{0} von allen” has not the places of “{0} of {1}”: it stays English.']);
  });
});
