import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HOSTILE_WORDS } from '../language/hostile-words.test-data.ts';
import { readTranscript } from './read-transcript.ts';
import { clock, secondsOf } from './transcript.ts';
import { writeTalk } from './written-talk.ts';

const cuesOf = async (text: string) => {
  const { transcript, problem } = await readTranscript(text);
  if (!transcript) throw new Error(problem);
  return transcript.cues.map(({ start, speaker, text: said }) => [start, speaker, said]);
};

describe('times of transcripts as they are pasted', () => {
  it.each([
    ['on lines of their own', '0:00\nwe pack the bike\n0:04\nheavy things go low', [0, 4]],
    ['before the words', '0:00 we pack the bike\n0:04 heavy things go low', [0, 4]],
    ['in brackets', '[00:00:00] we pack the bike\n[00:00:04] heavy things go low', [0, 4]],
    ['in round brackets', '(0:00) we pack the bike\n(0:04) heavy things go low', [0, 4]],
    [
      'as ranges',
      '00:00:00.000 - 00:00:03.500 we pack the bike\n00:00:04.000 - 00:00:06.000 heavy things go low',
      [0, 4],
    ],
    ['with a dash', '0:00 - we pack the bike\n0:04 - heavy things go low', [0, 4]],
    ['with hours', '1:00:00 we pack the bike\n1:00:04 heavy things go low', [3600, 3604]],
    ['with frames', '00:00:01:12 we pack the bike\n00:00:04:02 heavy things go low', [1, 4]],
    ['within a line', '[0:01] we pack the bike [0:04] heavy things go low', [1, 4]],
    ['with carriage returns', '0:00\r\nwe pack the bike\r\n0:04\r\nheavy things go low\r\n', [0, 4]],
  ])('%s', async (_form, text, times) => {
    const cues = await cuesOf(text);
    expect(cues.map(([start]) => start)).toEqual(times);
    expect(cues.map(([, , said]) => said).join(' ')).toMatch(/^we pack the bike,? heavy things go low$/);
  });
  it('stand behind a name on a line of their own', async () =>
    expect(await cuesOf('Ada Marsh   0:03\nWe pack the bike.\n\nGreta Vole   0:09\nAnd the bags?')).toEqual([
      [3, 'Ada Marsh', 'We pack the bike.'],
      [9, 'Greta Vole', 'And the bags?'],
    ]));
  it('are none where somebody speaks of the clock', async () => {
    expect(await cuesOf('We left Eddering.\n9:30 is when the ferry goes.\nAt 7:15 we were back.')).toEqual([
      [null, '', 'We left Eddering.'],
      [null, '', '9:30 is when the ferry goes.'],
      [null, '', 'At 7:15 we were back.'],
    ]);
    expect((await cuesOf('0:00 we left\n0:05 because the\n0:08 9:30 is when the ferry goes')).at(-1)).toEqual(
      [8, '', '9:30 is when the ferry goes'],
    );
  });
});

describe('speakers', () => {
  it('are named by a name with a colon that is met twice, and by nothing that only opens a sentence', async () =>
    expect(await cuesOf('Ada: Hello.\nTom: Hello.\nOne thing: the tide.\nAda: Yes.\nTom: No.')).toEqual([
      [null, 'Ada', 'Hello.'],
      [null, 'Tom', 'Hello.'],
      [null, 'Tom', 'One thing: the tide.'],
      [null, 'Ada', 'Yes.'],
      [null, 'Tom', 'No.'],
    ]));
  it('are named by the voice tags of WebVTT', async () =>
    expect(
      await cuesOf(
        'WEBVTT\n\n00:01.000 --> 00:02.000\n<v Ada Marsh>Hello &amp; welcome\n\n00:02.000 --> 00:03.000\n<v.loud Tom>Hello',
      ),
    ).toEqual([
      [1, 'Ada Marsh', 'Hello & welcome'],
      [2, 'Tom', 'Hello'],
    ]));
  it('change at >> without a name', async () => {
    const { transcript } = await readTranscript('>> WE PACK.\n>> AND THE BAGS?');
    expect(transcript?.cues.map(({ turn }) => turn)).toEqual([true, true]);
  });
});

describe('captions that roll', () => {
  const rolling = (lines: string[]) =>
    `WEBVTT\n\n${lines
      .map((line, at) => `00:0${at}.000 --> 00:0${at + 1}.000\n${at > 0 ? `${lines[at - 1]}\n` : ''}${line}`)
      .join('\n\n')}`;
  it('have every word once', async () => {
    const said = await cuesOf(
      rolling(['so the first thing', 'you want to do', 'is weigh the bags', 'every one of them']),
    );
    expect(said.map(([, , text]) => text).join(' ')).toBe(
      'so the first thing you want to do is weigh the bags every one of them',
    );
  });
  it('keep what is said twice by somebody, where captions do not roll', async () => {
    const said = await cuesOf('0:00 it rains\n0:05 it rains\n0:09 and we ride');
    expect(said.map(([, , text]) => text)).toEqual(['it rains', 'it rains', 'and we ride']);
  });
  it('give the times of single words', async () => {
    const { transcript } = await readTranscript(
      'WEBVTT\n\n00:00.000 --> 00:04.000\nso<00:01.000><c> the</c><00:03.500><c> bags</c>',
    );
    expect(writeTalk(transcript!).words.map(({ start }) => start)).toEqual([0, 1, 3.5]);
  });
});

describe('what is no transcript', () => {
  it.each([
    ['', /nothing in it/],
    ['   \n ', /nothing in it/],
    ['WEBVTT\n\n', /No spoken words/],
    ['[Music]\n(applause)', /No spoken words/],
  ])('%j is told in a sentence', async (text, problem) =>
    expect((await readTranscript(text)).problem).toMatch(problem),
  );
  it('is too long to read', async () =>
    expect((await readTranscript('a'.repeat(2_000_001))).problem).toMatch(/in parts/));
  it('sounds in brackets are left out, words in brackets stay', async () =>
    expect((await cuesOf('we pack [Music] the bike (the red one)'))[0][2]).toMatch(
      /^we pack\s+the bike \(the red one\)$/,
    ));
});

describe('any text', () => {
  it('is read and written without a throw, each word once', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.oneof(
            fc.constantFrom(
              ...HOSTILE_WORDS,
              'um',
              'you know',
              '0:01',
              '[00:02]',
              '-->',
              '>>',
              'Ada:',
              '\n',
              'WEBVTT',
              '<v Tom>',
              'the',
              'the',
              'we ride.',
            ),
            fc.string({ maxLength: 12 }),
          ),
          { maxLength: 40 },
        ),
        async (parts) => {
          const { transcript } = await readTranscript(parts.join(' '));
          if (!transcript) return;
          const { words, left, sections } = writeTalk(transcript);
          const used = sections.flatMap(({ paragraphs }) =>
            paragraphs.flatMap(({ sentences }) => sentences.flatMap((one) => [...one.words])),
          );
          expect(used).toEqual(words.flatMap((_, at) => (left[at] === null ? [at] : [])));
          for (const { start } of words) if (start !== null) expect(Number.isFinite(start)).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });
  it.each(HOSTILE_WORDS)('says %j as it was said', async (word) => {
    const { transcript } = await readTranscript(
      `0:00 we pack the ${word} first\n0:04 the ${word} goes low and the ${word} stays dry`,
    );
    const text = writeTalk(transcript!)
      .sections.flatMap(({ paragraphs }) =>
        paragraphs.flatMap(({ sentences }) => sentences.map((one) => one.text)),
      )
      .join(' ');
    expect(text.toLowerCase().split(word.toLowerCase()).length).toBe(4);
  });
});

describe('a place in a recording', () => {
  it.each([
    ['0:00', 0],
    ['00:01:02.500', 62.5],
    ['1:02:03', 3723],
    ['00:01:02,5', 62.5],
    ['00:01:02:15', 62],
    ['1:75', null],
    ['12', null],
  ])('%j is second %s', (stamp, seconds) => expect(secondsOf(stamp)).toBe(seconds));
  it.each([
    [0, '0:00'],
    [62.9, '1:02'],
    [3723, '1:02:03'],
    [-3, '0:00'],
  ])('second %s is %j', (seconds, stamp) => expect(clock(seconds)).toBe(stamp));
});
