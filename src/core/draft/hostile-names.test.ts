import { describe, expect, it } from 'vitest';
import { HOSTILE_WORDS } from '../language/hostile-words.test-data.ts';
import { readEditorTree } from './editor-json.ts';
import { formatOfName, readHtml, readPostFile } from './index.ts';

describe.each(HOSTILE_WORDS)('the name "%s", a member of every object', (name) => {
  it('is no format of a file', async () => {
    expect(formatOfName(`notes.${name}`)).toBeNull();
    const read = await readPostFile(new TextEncoder().encode('Low water.'), `notes.${name}`);
    expect(read.format).toBe('text');
  });
  it('is no mark of the words in an element of that name', () => {
    if (!/^[a-z]/i.test(name)) return; // no element can be named so
    const { draft } = readHtml(`<p>Low <${name}>water</${name}> at noon.</p>`);
    expect(draft.blocks.map(({ text, marks }) => [text, marks])).toEqual([['Low water at noon.', []]]);
  });
  it('is no block of the editor', () => {
    const draft = readEditorTree(
      { type: name },
      {
        type: (node) => node.type,
        attrs: () => ({}),
        children: () => [],
        leaf: () => expect.fail('a block'),
      },
    );
    expect(draft.blocks).toEqual([]);
  });
});
