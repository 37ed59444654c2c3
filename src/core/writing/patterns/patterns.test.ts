import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../../criteria/index.ts';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import { nothingKnown } from '../known/index.ts';
import { TIDES } from '../known.test-data.ts';
import {
  ALONG,
  answerMisses,
  askedAgain,
  bareAnswer,
  checkedPieces,
  fieldFaults,
  fieldValue,
  filledFields,
  filledText,
  isRepeat,
  type Pattern,
  patternFile,
  placeFaults,
  placesIn,
  readAnswer,
  readPatternFile,
  requestOf,
  resultsWished,
  SHIPPED_PATTERNS,
  withoutRepeats,
  withValue,
} from './index.ts';

const { limits } = defaultProfile;
const SITE = { titlePattern: null, name: '' };
const pattern = (id: string): Pattern => SHIPPED_PATTERNS.find((one) => one.id === id)!;
const request = (one: Pattern, known = TIDES, more: Partial<Parameters<typeof requestOf>[0]> = {}) =>
  requestOf({
    pattern: one,
    values: filledFields(one, known),
    known,
    along: ALONG,
    limits,
    site: SITE,
    before: [],
    seed: 0,
    ...more,
  });

describe('places in the text of a pattern', () => {
  it('are filled; a line whose place is empty is left out', () => {
    const value = (id: string) => (id === 'topic' ? 'tides' : id === 'tone' ? '' : null);
    expect(filledText('About {{topic}}.\nTone: {{tone}}.\n\nNow {{ topic }}.', value)).toBe(
      'About tides.\n\nNow tides.',
    );
    expect(filledText('{{unknown}} stays', value)).toBe('{{unknown}} stays');
    // What leads to an empty place goes with it.
    expect(filledText('Of {{topic}}.\nIts notes:\n{{tone}}\nEnd.', value)).toBe('Of tides.\nEnd.');
    expect(filledText('Its notes:\n{{topic}}', value)).toBe('Its notes:\ntides');
  });
  it('that are unknown, empty or open are told of', () => {
    const { fields } = pattern('titles');
    expect(placeFaults({ text: 'About {{topic}}', fields })).toEqual([]);
    expect(placeFaults({ text: 'About {{Topics}}', fields })).toEqual([
      '{{Topics}} is no field of this pattern: {{topic}} is.',
    ]);
    expect(placeFaults({ text: '{{ }} and {{topic', fields })).toEqual([
      'A place {{}} names no field. Write the name of a field between the braces.',
      'A place is opened with {{ or closed with }} alone. Give it both.',
    ]);
    expect(placeFaults({ text: '{{constructor}}', fields: [] })).toEqual([
      '{{constructor}} is no field of this pattern. It has none yet.',
    ]);
  });
});

describe('the patterns that come along', () => {
  it('have places for fields that they have, and no field twice', () => {
    for (const one of SHIPPED_PATTERNS) {
      expect(placeFaults(one), one.id).toEqual([]);
      expect(new Set(one.fields.map(({ id }) => id)).size, one.id).toBe(one.fields.length);
      // Every field but the number of results stands in the text.
      const unused = one.fields
        .map(({ id }) => id)
        .filter((id) => id !== 'count' && !placesIn(one.text).includes(id));
      expect(unused, one.id).toEqual([]);
    }
    expect(new Set(SHIPPED_PATTERNS.map(({ id }) => id)).size).toBe(SHIPPED_PATTERNS.length);
  });
  it('send these messages, which were read and approved', async () => {
    const texts = SHIPPED_PATTERNS.map((one) => {
      const known =
        one.along.includes('selection') && !one.along.includes('draft')
          ? { ...TIDES, selection: 'Most riders read only the first one.' }
          : TIDES;
      const { messages, temperature, maxTokens } = request(one, known);
      return [
        `# ${one.name}`,
        `temperature ${temperature}, at most ${maxTokens} tokens`,
        ...messages.map(({ role, content }) => `--- ${role}\n${content}`),
      ].join('\n\n');
    });
    await expect(texts.join('\n\n\n')).toMatchFileSnapshot('./approved-requests.md');
  });
});

describe('a section out of a talk', () => {
  const one = pattern('from-talk');
  const values = withValue(
    withValue(filledFields(one, TIDES), 'said', 'So you look at the table and then you wait.'),
    'heading',
    'Look at the table',
  );
  it('is asked for with the rule and what was said alone, and with little freedom', () => {
    const { messages, temperature } = request(one, TIDES, { values });
    const sent = messages.map(({ content }) => content).join('\n');
    expect(sent).toContain("every word is the speaker's own");
    expect(sent).toContain('What was said:\nSo you look at the table and then you wait.');
    // A voice would want words that nobody said; what others say would be taken for said.
    expect(sent).not.toContain('The voice of the house');
    expect(sent).not.toContain('Mudlark Club');
    expect(temperature).toBeLessThan(request(pattern('section')).temperature);
    expect(request(one, TIDES, { values, before: ['An answer.'] }).temperature).toBeLessThan(0.5);
  });
  it('has room for all of what was said, however long', () => {
    const long = withValue(values, 'said', 'word '.repeat(2000));
    expect(request(one, TIDES, { values: long }).maxTokens).toBeGreaterThanOrEqual(4000);
  });
});

describe('the fields of a pattern', () => {
  it('are filled from the post and its house', () => {
    const values = filledFields(pattern('section'), TIDES);
    expect(fieldValue(values, 'heading')).toBe('When to turn back');
    expect(fieldValue(values, 'notes')).toBe('The second post is the mark.');
    expect(fieldValue(values, 'audience')).toBe('first-time riders');
    expect(fieldValue(values, 'language')).toBe('en-GB');
    expect(fieldValue(values, 'length')).toBe('150');
    expect(fieldValue(values, 'nothing')).toBe('');
  });
  it('tell what is missing and what is no number', () => {
    const one = pattern('section');
    const values = withValue(withValue(filledFields(one, nothingKnown()), 'length', 'long'), 'count', '9');
    expect(fieldFaults(one, values)).toEqual([
      { id: 'heading', text: 'Heading is needed.' },
      { id: 'length', text: 'Length in words is a whole number from 1 on.' },
      { id: 'count', text: '3 results are the most at once.' },
    ]);
    expect(fieldFaults(one, withValue(filledFields(one, TIDES), 'length', '9000'))).toEqual([
      { id: 'length', text: '5,000 words are the most at once.' },
    ]);
  });
  it('may be called anything', () => {
    const own: Pattern = {
      ...pattern('answer'),
      fields: HOSTILE_WORDS.map((id) => ({
        id,
        name: id,
        kind: 'line',
        required: false,
        suggestions: [],
        most: null,
      })),
      text: HOSTILE_WORDS.map((id) => `{{${id}}}`).join('\n'),
    };
    const values = HOSTILE_WORDS.map((id) => ({ id, value: id }));
    expect(fieldFaults(own, values)).toEqual([]);
    const { messages } = request(own, nothingKnown(), { values });
    expect(JSON.stringify(messages)).not.toMatch(/undefined|NaN|\[object|function/);
  });
  it('wish for one to three results', () => {
    for (const [typed, results] of [
      ['', 1],
      ['2', 2],
      ['8', 3],
      ['many', 1],
      ['0', 1],
    ] as const)
      expect(resultsWished([{ id: 'count', value: typed }])).toBe(results);
  });
});

describe('a request', () => {
  it('holds nothing that was not to go along, for the service as for the stand-in', () => {
    const one = pattern('section');
    const bare = request(one, TIDES, { along: ['house'] });
    const all = JSON.stringify(bare);
    for (const kept of [
      'Mudlark',
      'The workshop',
      'Ask the ferrywoman',
      'Crossing the causeway',
      'The two columns',
    ])
      expect(all, kept).not.toContain(kept);
    expect(all).toContain('Saltmarsh Wheelworks');
    expect(JSON.stringify(request(one))).toContain('Mudlark');
  });
  it('names what was answered before, and is asked more freely then', () => {
    const again = request(pattern('titles'), TIDES, { before: ['Tide tables in short'] });
    expect(again.messages[1].content).toContain(
      'These were answered before; give others:\n- Tide tables in short',
    );
    expect(again.temperature).toBeGreaterThan(request(pattern('titles')).temperature);
    expect(again.compose.before).toEqual(['Tide tables in short']);
  });
  it('has room for the words that are wished for', () => {
    const one = pattern('section');
    const values = withValue(filledFields(one, TIDES), 'length', '1000');
    expect(request(one, TIDES, { values }).maxTokens).toBe(2000);
  });
  it('leaves room for what the site puts behind a title', () => {
    const bare = request(pattern('meta-title')).compose.pixels!;
    const site = { titlePattern: '{title} | {site}', name: 'Saltmarsh Wheelworks' };
    const [from, to] = request(pattern('meta-title'), TIDES, { site }).compose.pixels!;
    const behind = pixelWidth('Tides | Saltmarsh Wheelworks', TITLE_SIZE) - pixelWidth('Tides', TITLE_SIZE);
    expect(bare[1] - to).toBeCloseTo(behind, 0);
    expect(from).toBeGreaterThan(0);
  });
  it('is asked again with what was missed', () => {
    const again = askedAgain(request(pattern('titles')), 'A title', ['1 came; 5 were asked for.']);
    expect(again.messages.slice(2)).toEqual([
      { role: 'assistant', content: 'A title' },
      {
        role: 'user',
        content: 'This does not keep to what was asked:\n- 1 came; 5 were asked for.\nAnswer again, whole.',
      },
    ]);
  });
});

describe('an answer', () => {
  it.each([
    [
      'numbers',
      '1. One tide\n2) Two tides\n- "Three tides"\n**Four tides**',
      ['One tide', 'Two tides', 'Three tides', 'Four tides'],
    ],
    ['a remark before it', 'Sure, here are five titles:\n\nOne tide\nTwo tides', ['One tide', 'Two tides']],
    ['a fence around it', '```markdown\nOne tide\nTwo tides\n```', ['One tide', 'Two tides']],
    ['the same twice', 'One tide\nOne tide', ['One tide']],
    ['quotation marks within', 'The "dry" hours and the "wet" ones', ['The "dry" hours and the "wet" ones']],
    ['nothing', ' \n ', []],
  ])('in lines is read with %s', (_, text, pieces) => expect(readAnswer(text, 'lines')).toEqual(pieces));
  it('is read as headings, paragraphs or one text', () => {
    expect(readAnswer('Here is the outline:\n# Tides\n## Columns\n##### Deep\ntext', 'headings')).toEqual([
      '## Tides',
      '## Columns',
      '#### Deep',
    ]);
    expect(readAnswer('Columns\nHeights', 'headings')).toEqual(['## Columns', '## Heights']);
    expect(readAnswer('One.\nStill one.\n\nTwo.', 'paragraphs')).toEqual(['One.\nStill one.', 'Two.']);
    expect(readAnswer('"One.\nTwo."', 'text')).toEqual(['"One. Two."']);
    expect(bareAnswer('Sure.')).toBe('Sure.');
  });
  it('is held against the width, the characters and the keyword', () => {
    const one = pattern('meta-title');
    const values = withValue(filledFields(one, TIDES), 'keywords', 'tide tables');
    const misses = (text: string) => checkedPieces([text], one, values, limits, SITE)[0].miss;
    expect(misses('Tide tables: how to read the two columns before a ride')).toBeNull();
    expect(misses('Tide tables')).toMatch(/short by \d+ pixels/);
    expect(misses(`Tide tables: ${'how to read the two columns before a ride '.repeat(2)}`)).toMatch(
      /pixels too wide: make it about \d+ characters shorter/,
    );
    expect(misses('The times of the water, and how to read them with care')).toMatch(
      /does not hold "tide tables"/,
    );
    expect(checkedPieces(['x'.repeat(126)], pattern('alt'), [], limits, SITE)[0].miss).toMatch(
      /126 characters; 125 are the most/,
    );
  });
  it('is asked again for where it misses as a whole', () => {
    const titles = pattern('titles');
    expect(answerMisses([], titles, [], limits, SITE)).toEqual(['Nothing was answered.']);
    expect(answerMisses(['One'], titles, [], limits, SITE)).toEqual(['1 came; 5 were asked for.']);
    expect(answerMisses(['One', 'Two', 'Three'], titles, [], limits, SITE)).toEqual([]);
    const section = pattern('section');
    expect(
      answerMisses(['word '.repeat(300)], section, [{ id: 'length', value: '100' }], limits, SITE),
    ).toEqual(['It has 300 words; about 100 were asked for.']);
    expect(
      answerMisses(['word '.repeat(110)], section, [{ id: 'length', value: '100' }], limits, SITE),
    ).toEqual([]);
  });
  it('that says what was said before is no new one', () => {
    expect(isRepeat('How to read tide tables', ['Reading a tide table'], 'lines')).toBe(true);
    expect(isRepeat('How to cross a causeway', ['Reading a tide table'], 'lines')).toBe(false);
    const text =
      'The first column of a tide table tells when the water comes, the second column tells how high it rises.';
    expect(isRepeat(`${text} Bring a lamp.`, [text], 'paragraphs')).toBe(true);
    expect(
      isRepeat(
        'Nobody waits for the tide, and a rider who turns back early has lost an hour.',
        [text],
        'paragraphs',
      ),
    ).toBe(false);
    expect(
      withoutRepeats(
        ['Reading a tide table', 'Tide tables, read', 'Crossing a causeway'],
        ['How to read tide tables'],
        'lines',
      ),
    ).toEqual({
      fresh: ['Crossing a causeway'],
      dropped: 2,
    });
  });
});

describe('a file of patterns', () => {
  const own: Pattern = { ...pattern('answer'), id: 'own', name: 'Answer, our way' };
  it('gives back what was put in', () => {
    const read = readPatternFile(patternFile([own, pattern('titles')]));
    expect(read).toEqual({ patterns: [own, pattern('titles')], problem: null });
  });
  it.each([
    ['no JSON', '{', /is no JSON/],
    ['another format', '{"format":"x","version":1,"patterns":[]}', /at format/],
    [
      'a field that is not known',
      patternFile([{ ...own, secret: 1 } as unknown as Pattern]),
      /"secret" is not known/,
    ],
    [
      'a shape that does not fit',
      patternFile([{ ...own, readAs: 'toString' as 'lines' }]),
      /at patterns > 0 > readAs/,
    ],
    [
      'an unknown place',
      patternFile([{ ...own, text: 'About {{moon}}' }]),
      /"Answer, our way": {{moon}} is no field/,
    ],
    [
      'a field twice',
      patternFile([{ ...own, fields: [...own.fields, own.fields[0]] }]),
      /has the field "question" twice/,
    ],
    ['a pattern without a name', patternFile([{ ...own, name: ' ' }]), /has no name/],
    [
      'an id that is none',
      patternFile([{ ...own, fields: [{ ...own.fields[0], id: '__proto__' }] }]),
      /at patterns > 0 > fields > 0 > id/,
    ],
  ])('with %s is refused with a sentence', (_, text, says) => {
    const { patterns, problem } = readPatternFile(text);
    expect(patterns).toBeNull();
    expect(problem).toMatch(says);
  });
});
