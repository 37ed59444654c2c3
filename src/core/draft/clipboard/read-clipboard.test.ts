import { describe, expect, it } from 'vitest';
import { writeMarkdownBody } from '../index.ts';
import { CELLS, CHAT, COLUMN, MAIL, MARGINS, WEB_EDITOR, WORD_PROCESSOR } from './clipboard.test-data.ts';
import { readClipboard } from './read-clipboard.ts';

const read = (html: string, text = '') => {
  const found = readClipboard({ html, text })!;
  return { ...found, markdown: writeMarkdownBody(found.draft).trim() };
};

describe('what a word processor puts on the clipboard', () => {
  const { markdown, account } = read(WORD_PROCESSOR);
  it('comes as it looks: title, nested lists, numbers, a table with its header', () =>
    expect(markdown).toBe(`# The causeway at low water

Four hours, twice a day

## What to take

The sea comes back faster than you ride.

- a tide table
  - printed
  - for the right month
- a lamp

1. Read the table.
2. Read it again.

| **Day** | **Dry from** |
| - | - |
| Friday | 9:40 |`));
  it('tells what was left out and made', () =>
    expect(account).toEqual([
      '1 picture stayed on the computer it comes from: drop its file where it belongs',
      '1 tracked deletion left out',
      '1 comment left out',
      '1 row is a header',
      '6 lines made list items',
    ]));
  it('lists by their margins alone', () =>
    expect(read(MARGINS).markdown).toBe('- bread\n  - dark\n- **cheese**'));
});

describe('what an editor in a web page puts there', () => {
  it('comes as it looks', () =>
    expect(read(WEB_EDITOR).markdown).toBe(`# Crossing with children

Slowly

## Before you go

**Look** _twice_<sup>2</sup>, ~~never~~.

- helmet
  - a small one
- snack

Then:

- ride
  - in file
- rest
  - on the wall`));
});

it('the class of a title further down names a figure, not the post', () => {
  const { markdown, account } = read('<p>The tide turns.</p><p class="title"><b>Figure 1. The quay</b></p>');
  expect(markdown).toBe('The tide turns.\n\n**Figure 1. The quay**');
  expect(account).toEqual([]);
});

describe('cells', () => {
  it('come as a table, a bold first row as its header', () =>
    expect(read(CELLS).draft.blocks.map(({ text, path }) => [text, path.length, path.at(-1)])).toEqual([
      ['Day', 3, expect.objectContaining({ header: true })],
      ['Dry from', 3, expect.objectContaining({ header: true })],
      ['Friday', 3, expect.objectContaining({ header: false })],
      ['9:40', 3, expect.objectContaining({ header: false })],
      ['Saturday', 3, expect.objectContaining({ header: false })],
      ['', 3, expect.objectContaining({ header: false })],
    ]));
  it('of one column come as a list', () =>
    expect(read(COLUMN).markdown).toBe('- tide table\n- lamp\n- bread'));
  it('parted by tabs come as a table', () => {
    const { draft, account } = read('', 'Day\tDry from\nFriday\t9:40\n');
    expect(draft.blocks.map(({ text, path }) => [text, path.map(({ type }) => type).join()])).toEqual([
      ['Day', 'table,row,cell'],
      ['Dry from', 'table,row,cell'],
      ['Friday', 'table,row,cell'],
      ['9:40', 'table,row,cell'],
    ]);
    expect(new Set(draft.blocks.map(({ path }) => path[1].key)).size).toBe(2);
    expect(account).toEqual(['rows of cells read as a table']);
  });
});

describe('lines', () => {
  it('of a mail: doubled breaks part paragraphs, bullets and numbers make lists', () =>
    expect(read(MAIL).markdown).toBe(`Dear all,

the causeway is dry from nine.

Bring:

- a lamp
- bread

1. Meet at the quay.
2. Ride.`));
  it.each<[what: string, text: string, markdown: string | null]>([
    ['nested by another bullet', '• a\n◦ b\n◦ c\n• d', '- a\n  - b\n  - c\n- d'],
    ['numbers from where they begin', '3) c\n4) d', '3. c\n4. d'],
    ['one bullet', '• alone', '- alone'],
    ['a line of speech', '– Who is there?', null],
    ['a year', '1998. That was a year.', null],
    ['numbers that do not follow', '1) a\n7) b', null],
    ['nothing of the kind', 'The tide turns.\n\nThen it goes.', null],
  ])('%s', (_, text, markdown) => {
    const found = readClipboard({ html: '', text });
    expect(found && writeMarkdownBody(found.draft).trim()).toBe(markdown);
  });
  it('of a poem or of speech stay in their paragraph', () =>
    expect(
      readClipboard({ html: '<p>Hello?<br>– Who is there?<br>Nobody.</p>', text: '' })?.draft.blocks.map(
        ({ text }) => text,
      ),
    ).toEqual(['Hello?\n– Who is there?\nNobody.']));
  it('of two lists in a row are two', () =>
    expect(read('', '1. a\n2. b\n\nThen:\n\n1) c\n2) d').markdown).toBe('1. a\n2. b\n\nThen:\n\n1. c\n2. d'));
  it('keep their marks', () => {
    const { draft } = read('<p>See:<br>• the <b>tide</b> table<br>• a <a href="/lamp">lamp</a></p>');
    expect(
      draft.blocks.map(({ text, marks }) => [text, marks.map(({ type, start, end }) => [type, start, end])]),
    ).toEqual([
      ['See:', []],
      ['the tide table', [['bold', 4, 8]]],
      ['a lamp', [['link', 2, 6]]],
    ]);
  });
  it('have ids of their own', () => {
    const { draft } = read('<p>a<br><br>b<br>• c<br>• d<br>e</p><p>f</p>');
    expect(draft.blocks.map(({ text }) => text)).toEqual(['a', 'b', 'c', 'd', 'e', 'f']);
    expect(new Set(draft.blocks.map(({ id }) => id)).size).toBe(6);
  });
});

describe('what a chat answers', () => {
  it('is read as Markdown, as text and on a page that shows it so', () => {
    const lines = CHAT.split('\n').map((line) => `<div>${line || '<br>'}</div>`);
    for (const { markdown, account } of [read('', CHAT), read(lines.join(''), CHAT)]) {
      expect(markdown).toContain(
        '## When to cross\n\nCross **two hours** before low water.\n\n- Read the table',
      );
      expect(account[0]).toContain('Markdown read as text');
    }
  });
  it('has lines for whoever asked it, which are offered for removal', () => {
    const { draft, chatter } = read('', CHAT);
    expect(chatter.map((id) => draft.blocks.find((block) => block.id === id)?.text)).toEqual([
      'Sure! Here is a short guide to the causeway:',
      'Let me know if you want it longer!',
    ]);
  });
  it.each([
    'Of course the sea comes back. It always does\n\n## Then',
    'Here is the causeway. It is long.\n\n## Then',
    'Great tides come in spring.\n\n## Then',
    'Here are the hours.\n\n## Then\n\nFeel the wind.',
  ])('a post that begins "%s" has none', (text) => expect(read('', text).chatter).toEqual([]));
});

describe('what a draft cannot hold', () => {
  it('is told', () =>
    expect(
      read(
        '<p>a <mark>b</mark> <a rel="nofollow" href="/c">c</a></p><details><summary>d</summary>e</details><svg></svg><form><input></form><img src="file:///f.png">',
      ).account,
    ).toEqual([
      '1 link lost its "nofollow"',
      '1 folded part opened',
      '1 highlight taken off',
      '1 field of a form left out',
      '1 drawing left out',
      '1 picture stayed on the computer it comes from: drop its file where it belongs',
    ]));
  it('nothing is told of what comes whole', () =>
    expect(read('<h2>a</h2><p>b <b>c</b></p><ul><li>d</li></ul>').account).toEqual([]));
});
