import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../../criteria/index.ts';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { DESCRIPTION_SIZE, pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import { type Known, nothingKnown } from '../known/index.ts';
import { TIDES } from '../known.test-data.ts';
import {
  ALONG,
  answerMisses,
  filledFields,
  readAnswer,
  requestOf,
  SHIPPED_PATTERNS,
  withValue,
} from '../patterns/index.ts';
import { SourceTexts } from '../sources/index.ts';
import { compose, inPieces } from './index.ts';
import { keyPhrases } from './key-phrases.ts';

const { limits } = defaultProfile;
const SITE = { titlePattern: null, name: '' };

function made(
  id: string,
  known: Known = TIDES,
  given: Record<string, string> = {},
  before: string[] = [],
  seed = 0,
) {
  const pattern = SHIPPED_PATTERNS.find((one) => one.id === id)!;
  let values = filledFields(pattern, known);
  for (const [field, value] of Object.entries(given)) values = withValue(values, field, value);
  const request = requestOf({ pattern, values, known, along: ALONG, limits, site: SITE, before, seed });
  const { text, note } = compose(request.compose);
  const pieces = readAnswer(text, pattern.readAs);
  return { text, note, pieces, misses: answerMisses(pieces, pattern, values, limits, SITE) };
}
const selected = (selection: string): Known => ({ ...TIDES, selection });

describe('without a model', () => {
  it('titles come by shape, from the keyword, the headings and the questions', () =>
    expect(made('titles').pieces).toEqual([
      'Tide tables: a short guide',
      'Tide tables for first-time riders',
      'Tide tables: the two columns',
      'Tide tables: how long is the causeway dry?',
      'Tide tables: when to turn back',
    ]));
  it('more titles are others, until there are none, which is said', () => {
    const first = made('titles').pieces;
    const second = made('titles', TIDES, {}, first, 1);
    expect(second.pieces.filter((title) => first.includes(title))).toEqual([]);
    const all = [...first, ...second.pieces];
    expect(made('titles', TIDES, {}, [...all, ...made('titles', TIDES, {}, all, 2).pieces], 3).note).toMatch(
      /No more can be made/,
    );
  });
  it('a section is notes: how many speak of it, quotations with their pages, figures, the blog itself', () => {
    const { text, note } = made('section');
    expect(text).toBe(
      [
        'Planned: The second post is the mark.',
        '> Turn back when the water reaches the second post, whatever the table says. — [Mudlark Club](<https://mudlarkclub.example/tides>)',
        'Your own post says: We turn our groups back an hour before the table tells us to. — [Crossing the causeway](</journal/causeway>)',
      ].join('\n\n'),
    );
    expect(note).toMatch(/other people’s words/);
  });
  it('a section keeps to the notes where that is wished', () =>
    expect(made('section', TIDES, { closeness: 'only what the notes say' }).text).toBe(
      'Planned: The second post is the mark.',
    ));
  it('nothing is made of nothing, and what to do is said', () => {
    const bare = { ...TIDES, study: null, about: [], site: [], around: null };
    expect(made('section', bare, { heading: 'Moon', notes: '' })).toMatchObject({
      text: '',
      note: expect.stringMatching(/Nothing that was studied speaks of “Moon”/),
    });
    expect(made('answer', bare, { question: 'Why?' })).toMatchObject({
      text: '',
      note: expect.stringMatching(/answer it yourself/),
    });
    expect(made('gaps', { ...bare, gaps: [] }).note).toMatch(/No pages were studied/);
  });
  it('a text goes on with what is noted, and with what others go on with', () => {
    expect(made('continue').text).toMatch(/^Planned: The second post is the mark\.\n\n> Turn back/);
    const open = { ...TIDES, about: [], around: { heading: '', note: '', before: 'It rains.', after: '' } };
    expect(made('continue', open).text).toMatch(
      /^Other pages go on with: reading the columns\.\n\nFive of 9 studied pages have a section on this\./,
    );
  });
  it('an introduction has the question, the subject, the headings and the next step', () =>
    expect(made('introduction').text).toBe(
      'How long is the causeway dry? This post is for first-time riders, and about one thing: tide tables.\n\n' +
        'It goes through the two columns and when to turn back. It answers one question on the way: how long is the causeway dry.\n\n' +
        'At the end stands the next step: book a guided crossing.',
    ));
  it('a conclusion is the post’s own sentences and the next step', () => {
    const { text } = made('conclusion');
    expect(text).toContain('- The first column of a tide table tells when, the second tells how high.');
    expect(text).toContain('Next step: Book a guided crossing.');
  });
  it('a question is answered with what pages say to it', () =>
    expect(made('answer').text).toBe(
      'Four of 9 studied pages say something to this.\n\n> It is dry from two hours before low water until two hours after it. — [The Slipway](<https://theslipway.example/tides>)',
    ));
  it('an FAQ has each question as a heading', () =>
    expect(made('faq', TIDES, { questions: 'how long is the causeway dry\nWho Pays For It?' }).text).toMatch(
      /^### How long is the causeway dry\?\n\n[\s\S]+\n\n### Who pays for it\?\n\nNobody who was studied answers this\.$/,
    ));
  it('a passage gets shorter by whole sentences, those with figures last', () => {
    const text =
      'The causeway is a road that the sea takes twice a day. It is what it is. In 2024 we counted 1,240 riders on the causeway road. The sea is large and it is wet and it does as it likes all day.';
    const { pieces } = made('shorter', selected(text));
    expect(pieces.join(' ')).toContain('In 2024 we counted 1,240 riders');
    expect(pieces.join(' ').length).toBeLessThan(text.length * 0.75);
    for (const sentence of pieces.join(' ').split(/(?<=\.) /)) expect(text).toContain(sentence);
  });
  it('a passage gets plainer by words that always mean the same', () => {
    const { text, note } = made(
      'plainer',
      selected(
        'The majority of our riders utilise the ferry prior to lunch, and the majority of ferries are late.',
      ),
    );
    expect(text).toBe('Most of our riders use the ferry before lunch, and most ferries are late.');
    expect(note).toBe('4 words exchanged for plainer ones.');
  });
  it('a tone changes short forms and emphasis, and what it cannot do is said', () => {
    const passage = "It's really late! We can't wait, and you won't either.";
    expect(made('tone', selected(passage), { tone: 'formal' }).text).toBe(
      'It is late. We cannot wait, and you will not either.',
    );
    expect(made('tone', selected('It is late. We do not wait.'), { tone: 'informal' }).text).toBe(
      "It's late. We don't wait.",
    );
    expect(made('tone', selected('Rain.'), { tone: 'velvety' }).note).toMatch(
      /has no rule that makes this velvety/,
    );
  });
  it('meta titles and descriptions fit their width', () => {
    for (const title of made('meta-title').pieces) {
      expect(pixelWidth(title, TITLE_SIZE)).toBeLessThanOrEqual(limits.metaTitlePixels[2]!);
      expect(title.toLowerCase()).toContain('tide tables');
    }
    const { pieces } = made('meta-description');
    expect(pieces.length).toBeGreaterThan(0);
    for (const text of pieces)
      expect(pixelWidth(text, DESCRIPTION_SIZE)).toBeLessThanOrEqual(limits.metaDescriptionPixels[2]!);
  });
  it('what a text speaks of, asks, says and lacks is listed', () => {
    expect(made('topics').pieces).toEqual(['The two columns', 'When to turn back']);
    expect(made('questions').pieces).toContain('How long is the causeway dry?');
    expect(made('takeaways').pieces).toContain(
      'The first column of a tide table tells when, the second tells how high.',
    );
    expect(made('outline').pieces).toEqual(['## The two columns', '## When to turn back']);
    expect(made('gaps').pieces).toEqual(['## Wind and pressure']);
  });
  it('ideas are none that the blog has, and name what they are about', () => {
    const { pieces } = made('ideas', { ...TIDES, titles: ['Are tide tables free?'] });
    expect(pieces).toEqual([
      'Tide tables: how long is the causeway dry?',
      expect.any(String),
      expect.any(String),
    ]);
    expect(pieces).not.toContain('Are tide tables free?');
  });
  it('headlines are the post’s own sentences, headings and questions', () => {
    const { pieces } = made('shares');
    expect(pieces[0]).toBe('How to read a tide table before you ride');
    expect(pieces).toContain('The first column of a tide table tells when, the second tells how high.');
    for (const text of pieces) expect([...text].length).toBeLessThanOrEqual(120);
  });
  const SAID =
    'The table has two columns and um the left one is the time.\nYou never ride before you have read both of them on the day itself. I did once.';
  it('a talk comes as it was said, without its sounds, and shorter when it is asked for again', () => {
    const first = made('from-talk', TIDES, { said: SAID, heading: 'Two columns' });
    expect(first.pieces).toEqual([
      'The table has two columns and the left one is the time.',
      'You never ride before you have read both of them on the day itself. I did once.',
    ]);
    const second = made('from-talk', TIDES, { said: `${SAID} It was wet.`, heading: 'Two columns' }, [
      first.text,
    ]);
    expect(second.note).toMatch(/3 of 4 sentences, as they were said; 1 left out/);
    for (const sentence of second.text.split(/(?<=\.)\s+/))
      expect(`${first.text} It was wet.`).toContain(sentence);
  });
  it('another wording is other sentences of the post, never those that stand there, none too long', () => {
    const now = 'The first column of a tide table tells when, the second tells how high.';
    const { pieces, note } = made('reuse', TIDES, { what: 'Thread', parts: '2', most: '90', now });
    expect(pieces.length).toBeGreaterThan(0);
    const whole = TIDES.draft.flatMap(({ paragraphs }) => paragraphs).join(' ');
    for (const piece of pieces) {
      expect(whole).toContain(piece);
      expect(piece).not.toBe(now);
      expect([...piece].length).toBeLessThanOrEqual(90);
    }
    expect(note).toMatch(/says nothing in words of its own/);
    expect(made('reuse', TIDES, { what: 'Thread', parts: '2', most: '5', now })).toMatchObject({
      text: '',
      note: expect.stringMatching(/no other sentence/),
    });
  });
  it('states no figure, name or quotation that does not stand in what it was given', () => {
    const sources = new SourceTexts([
      JSON.stringify(TIDES),
      '9 studied pages',
      'Answer Planned Your own post says Next step Other pages',
    ]);
    for (const { id } of SHIPPED_PATTERNS) {
      const known = selected('Most riders read only the first column of the table.');
      const { text } = made(id, id === 'shorter' || id === 'longer' ? known : TIDES);
      const found = sources.unsupported(text.replace(/\(<[^>]*>\)/g, '').replace(/[>#[\]*-]/g, ' '));
      // A picture brief asks for pixels, which are a wish and no fact.
      expect(
        found.filter(({ kind }) => id !== 'picture' || kind !== 'figure'),
        `${id}: ${text}`,
      ).toEqual([]);
    }
  });
  it('makes something of any words, and of nothing', () => {
    for (const { id } of SHIPPED_PATTERNS) {
      expect(JSON.stringify(made(id, nothingKnown())), id).not.toMatch(/undefined|NaN|\[object/);
      for (const word of HOSTILE_WORDS) {
        const known: Known = {
          ...TIDES,
          brief: { ...TIDES.brief, keyword: word, title: word, questions: [`${word}?`], points: [word] },
          outline: [{ level: 2, text: word, note: word }],
          selection: `${word} is ${word}. The ${word} was ${word}.`,
          draft: [
            {
              heading: word,
              level: 2,
              paragraphs: [`${word} is ${word} and the ${word} of ${word} is not.`],
            },
          ],
        };
        expect(JSON.stringify(made(id, known)), `${id} ${word}`).not.toMatch(/undefined|NaN|\[object/);
      }
    }
  });
  it('is the same for the same, and comes in small pieces that lose nothing', () => {
    expect(made('section').text).toBe(made('section').text);
    const { text } = made('section');
    expect(inPieces(text).join('')).toBe(text);
    expect(Math.max(...inPieces(text).map((piece) => piece.trim().length))).toBeLessThanOrEqual(24);
    expect(inPieces('')).toEqual([]);
  });
});

describe('phrases that a text is about', () => {
  it('are those that stand out, in its order, none within another', () => {
    const found = keyPhrases(
      'A tide table tells when the water comes. Read the tide table twice: the tide table is free. Bring a head lamp.',
      3,
    );
    expect(found[0]).toBe('tide table');
    expect(found).not.toContain('table');
    expect(keyPhrases('', 3)).toEqual([]);
  });
});
