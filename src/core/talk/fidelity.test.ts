import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { blogEntry, emptyBlog, entryProperties, postPage } from '../blog/index.ts';
import {
  type Block,
  countingIds,
  type Draft,
  emptyFields,
  readHtml,
  readMarkdown,
  recordingData,
  recordingsOf,
  writeHtml,
  writeMarkdownBody,
} from '../draft/index.ts';
import { HOSTILE_WORDS } from '../language/hostile-words.test-data.ts';
import { Vocabulary, WordBases } from '../language/index.ts';
import { leftToFill } from '../release/left-to-fill.ts';
import { chaptersOf, withChapters } from './chapters.ts';
import { fidelityOf, originCounts, SpokenIndex } from './fidelity.ts';
import { fidelityAccount } from './fidelity-account.ts';
import { pictureWish } from './picture-wish.ts';
import { readTranscript } from './read-transcript.ts';
import { isTranscriptFold, talkDraft, transcriptFold } from './talk-draft.ts';
import { FORMS, TEST_TALKS, testTalk } from './test-talks.test-data.ts';
import { unspoken } from './unspoken.ts';
import { type WrittenTalk, writeTalk } from './written-talk.ts';

const RECORDING = {
  address: 'https://video.example/packing.mp4',
  kind: 'video' as const,
  title: 'How we pack a bike',
};

async function made(name: string, form: keyof typeof FORMS) {
  const { transcript } = await readTranscript(FORMS[form](testTalk(name)));
  const written = writeTalk(transcript!);
  return {
    transcript: transcript!,
    written,
    spoken: new SpokenIndex(written.words, written.left),
    draft: talkDraft(written, RECORDING, countingIds()),
  };
}
type Made = Awaited<ReturnType<typeof made>>;

let talks: Made[] = [];
let packing: Made;
beforeAll(async () => {
  talks = await Promise.all(TEST_TALKS.map(([name, form]) => made(name, form)));
  packing = talks[0];
});
const accountOf = ({ spoken, written }: Made, draft: Draft) => fidelityAccount(draft, spoken, written.left);
const NUMBER_WORD = /^(?:one|two|three|four|five|six|seven|eight|nine|ten|twenty|forty|hundred|thousand)\b/i;
const isText = ({ kind }: Block) => kind === 'paragraph';
const changed = (draft: Draft, at: number, text: string): Draft => ({
  ...draft,
  blocks: draft.blocks.with(at, { ...draft.blocks[at], text }),
});
/** Words that nobody says in any of the talks. */
const FOREIGN =
  'quorum zinc ledger alphabet velvet carbon museum election satellite orchid violin parliament'.split(' ');

describe('the fidelity of a cleaned talk', () => {
  it('is 100 %, with every word the speaker’s own and nothing left out', () => {
    for (const talk of talks) {
      const account = accountOf(talk, talk.draft);
      expect(account.fidelity).toBe(1);
      expect(account.added).toEqual([]);
      expect(account.repaired).toEqual([]);
      expect(account.leftOut).toEqual([]);
    }
  });
  it('falls by exactly what is added: words within sentences of six words and more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9 }),
        fc.array(fc.record({ block: fc.nat(), word: fc.nat(), added: fc.constantFrom(...FOREIGN) }), {
          minLength: 1,
          maxLength: 6,
        }),
        (which, changes) => {
          const talk = talks[which];
          const before = accountOf(talk, talk.draft);
          let { draft } = talk;
          const places = draft.blocks.flatMap((block, at) =>
            isText(block) && block.text.split(/(?<=[.!?]) /).some((one) => one.split(' ').length >= 7)
              ? [at]
              : [],
          );
          // One for each paragraph, so that no sentence becomes mostly foreign.
          const once = new Map(changes.map((change) => [places[change.block % places.length], change]));
          for (const [at, { word, added }] of once) {
            const sentences = draft.blocks[at].text.split(/(?<=[.!?]) /);
            const long = sentences.flatMap((sentence, place) =>
              sentence.split(' ').length >= 7 ? [place] : [],
            );
            const place = long[word % long.length];
            const words = sentences[place].split(' ');
            // Behind the name in front of a turn, and not within a number, which would be another one then.
            const free = words.flatMap((_, index) =>
              index >= 3 && !NUMBER_WORD.test(words[index]) ? [index] : [],
            );
            words.splice(free[word % free.length] ?? words.length - 1, 0, added);
            draft = changed(draft, at, sentences.with(place, words.join(' ')).join(' '));
          }
          const after = accountOf(talk, draft);
          expect(after.counts.added).toBe(once.size);
          expect(after.counts.said + after.counts.repaired).toBe(before.counts.said);
          expect(after.fidelity).toBeCloseTo(before.counts.said / (before.counts.said + once.size), 10);
        },
      ),
      { numRuns: 500 },
    );
  });
  it('falls by exactly what is added: whole sentences and paragraphs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9 }),
        fc.nat(),
        fc.array(fc.constantFrom(...FOREIGN), { minLength: 4, maxLength: 12 }),
        fc.boolean(),
        (which, place, foreign, apart) => {
          const talk = talks[which];
          const before = accountOf(talk, talk.draft);
          const places = talk.draft.blocks.flatMap((block, at) => (isText(block) ? [at] : []));
          const at = places[place % places.length];
          const sentence = `The ${foreign.join(' ')}.`;
          const draft = apart
            ? {
                ...talk.draft,
                blocks: talk.draft.blocks.toSpliced(at, 0, {
                  id: 'new',
                  kind: 'paragraph',
                  path: [],
                  text: sentence,
                  marks: [],
                } as Block),
              }
            : changed(talk.draft, at, `${talk.draft.blocks[at].text} ${sentence}`);
          const after = accountOf(talk, draft);
          expect(after.counts.added).toBe(foreign.length + 1);
          expect(after.counts.said).toBe(before.counts.said);
        },
      ),
      { numRuns: 500 },
    );
  });
  it('does not fall when sections change places', () => {
    const blocks = packing.draft.blocks;
    const second = blocks.findIndex(({ kind }, at) => kind === 'heading' && at > 3);
    const draft = { ...packing.draft, blocks: [...blocks.slice(second), ...blocks.slice(0, second)] };
    expect(accountOf(packing, draft).fidelity).toBe(1);
  });
});

describe('where each word comes from', () => {
  const trace = (text: string) =>
    packing.spoken
      .trace(text)
      .map(({ start, end, origin, weighty }) => `${text.slice(start, end)}:${origin}${weighty ? '!' : ''}`);
  it.each([
    ['Write the weight on a bit of tape, and stick it on the thing.', []],
    // Another form of a word, and a joining word, are small repairs.
    ['Write the weights on a bit of tape.', ['weights:repaired']],
    [
      'We put the sleeping bag and the dry clothes in a liner, and a plain strong bin liner, inside the pannier.',
      ['and:repaired'],
    ],
    // Numbers in digits are what was said.
    ['The heaviest was 26 kilos.', []],
    ['The heaviest was 36 kilos.', ['36:added!']],
    ['It costs nothing.', []],
    ['A kitchen scale is not fine.', ['not:added!']],
    ['People always ask Greta about the bike.', ['Greta:added!']],
    ["It's cost nothing and it has saved more trips than any bag.", ["It's:repaired", 'cost:repaired']],
  ])('%s', (text, other) => {
    const told = trace(text).filter((one) => !one.endsWith(':said'));
    expect(told.filter((one) => !/^It's|^bag/.test(one))).toEqual(
      (other as string[]).filter((one) => !/^It's/.test(one)),
    );
  });
  it('a sentence that nobody said is none of the speaker’s, though its small words are', () =>
    expect(
      originCounts(
        packing.spoken.trace('The council of the town voted for the new bridge in the spring of the year.'),
      ).said,
    ).toBe(0));
  it('a sentence joined out of two places is the speaker’s', () => {
    const text = 'A kitchen scale is fine, and it has saved more trips than any expensive bag.';
    expect(fidelityOf(originCounts(packing.spoken.trace(text)))).toBe(1);
  });
  it('any word may be asked for', () => {
    for (const word of HOSTILE_WORDS) {
      const { said, repaired, added } = originCounts(packing.spoken.trace(`The ${word} is ${word} 12.`));
      expect(said + repaired + added).toBeGreaterThan(0);
    }
    expect(packing.spoken.trace('')).toEqual([]);
    expect(fidelityOf(originCounts([]))).toBe(1);
  });
});

describe('a draft held against its talk', () => {
  it('tells what of the talk it leaves out, with its second', () => {
    const at = packing.draft.blocks.findIndex(({ text }) => /kitchen scale/.test(text));
    const without = packing.draft.blocks[at].text.replace(/A kitchen scale is fine\.\s*/, '');
    const [left, ...more] = accountOf(packing, changed(packing.draft, at, without)).leftOut;
    expect(more).toEqual([]);
    expect(left.text.toLowerCase()).toBe('a kitchen scale is fine');
    expect(left.start).toBeGreaterThan(20);
  });
  it('has its sections in order, each with its second and its own fidelity', () => {
    const at = packing.draft.blocks.findIndex(({ text }) => /strong bin liner/.test(text));
    const { sections } = accountOf(
      packing,
      changed(packing.draft, at, `${packing.draft.blocks[at].text} Zinc and velvet and orchids everywhere.`),
    );
    expect(sections.map(({ heading }) => heading)).toEqual([
      '',
      'Weight',
      'Where things go on the bike',
      'Only what gets wet first',
    ]);
    expect(sections.map(({ fidelity }) => fidelity === 1)).toEqual([true, true, true, false]);
    const starts = sections.map(({ start }) => start ?? -1);
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
  });
  it('does not count the note that a picture belongs there, which release reminds of', () => {
    const wish = pictureWish('the red [bag] goes in first', 95);
    expect(wish).toBe('[picture of: the red bag goes in first (1:35)]');
    const { draft } = packing;
    const before = accountOf(packing, draft);
    const noted: Draft = {
      ...draft,
      blocks: draft.blocks.toSpliced(3, 0, {
        id: 'wish',
        kind: 'paragraph',
        path: [],
        text: wish,
        marks: [],
      }),
    };
    expect(accountOf(packing, noted).counts).toEqual(before.counts);
    expect(leftToFill(noted.blocks)).toMatchObject([{ blockId: 'wish', quote: wish }]);
  });
  it('does not count the names in front of turns', async () => {
    const talk = await made('tide-podcast', 'bracketNames');
    expect(talk.draft.blocks.filter(({ text }) => /^(?:Ada|Tom): /.test(text)).length).toBeGreaterThan(5);
    expect(accountOf(talk, talk.draft).added).toEqual([]);
  });
});

describe('words that nobody said', () => {
  const sentences = ({ sections }: WrittenTalk) =>
    sections.flatMap(({ paragraphs }) => paragraphs.flatMap((one) => one.sentences));
  const bases = new WordBases(new Vocabulary());
  const ask = (phrase: string) => unspoken(phrase, packing.spoken, sentences(packing.written), bases);
  it('are told with the places where the speaker came near', () => {
    const found = ask('waterproof pannier');
    expect(found?.words).toEqual(['waterproof']);
    expect(found?.places[0].text).toMatch(/pannier/);
    expect(found?.places.length).toBeLessThanOrEqual(3);
  });
  it('are none where every telling word was said, in whatever form', () => {
    expect(ask('packing bikes')).toBeNull();
    expect(ask('how to pack the heavy bag')).toBeNull();
  });
  it.each(HOSTILE_WORDS)('may be %j', (word) => expect(() => ask(word)).not.toThrow());
});

describe('a post from a talk', () => {
  it('goes out and comes back whole: recording, chapters and the transcript in its fold, which counts nowhere', () => {
    const chapters = chaptersOf(accountOf(packing, packing.draft));
    const draft = withChapters(packing.draft, chapters, countingIds('c'));
    const whole: Draft = { version: 1, blocks: [...draft.blocks, transcriptFold(packing.transcript, 'f')] };
    for (const back of [
      readHtml(`<article>${writeHtml(whole)}</article>`).draft,
      readMarkdown(writeMarkdownBody(whole)).draft,
    ]) {
      expect(recordingsOf(back)).toEqual(recordingsOf(whole));
      expect(back.blocks.filter(isTranscriptFold).map(({ html }) => html)).toEqual([
        whole.blocks.at(-1)?.html,
      ]);
      expect(accountOf(packing, back).counts).toEqual(accountOf(packing, whole).counts);
    }
    const fields = { ...emptyFields(), title: 'How we pack', slug: 'pack', date: '2026-05-01T08:00:00Z' };
    const entry = blogEntry(entryProperties('p', { fields, draft: whole }), 'pack');
    const page = postPage({ ...emptyBlog('https://blog.example'), name: 'Blog' }, entry, {
      pixels: new Map(),
      related: [],
      authorPath: () => '/',
      isThere: () => true,
    });
    expect(page).toContain('"@type":"VideoObject"');
    expect(page.match(/"@type":"Clip"/g)).toHaveLength(chapters.length);
    expect(page).toContain('<details class="transcript"><summary>Transcript</summary>');
    expect(
      readHtml(
        '<article><details><summary>More</summary><p>Words of others.</p></details></article>',
      ).draft.blocks.map(({ text }) => text),
    ).toContain('Words of others.');
  });
  it('has what the speaker counts as a list', async () => {
    const { transcript } = await readTranscript(
      '0:00 - 0:04 there are three things to check\n0:06 - 0:10 first check the tyres and look at the sides of them\n0:12 - 0:16 second you check the brakes and pull the lever hard\n0:18 - 0:22 and third check every bolt that holds the luggage',
    );
    const { blocks } = talkDraft(writeTalk(transcript!), { ...RECORDING, address: '' }, countingIds());
    const items = blocks.filter(({ path }) => path.some(({ type }) => type === 'list'));
    expect(items.map(({ text }) => text)).toEqual([
      'First check the tyres and look at the sides of them.',
      'Second you check the brakes and pull the lever hard.',
      'And third check every bolt that holds the luggage.',
    ]);
    expect(items.every(({ path }) => path[0].type === 'list' && path[0].ordered)).toBe(true);
  });
  it('has the recording on top and chapters by its sections, each a link that plays from there', () => {
    const account = accountOf(packing, packing.draft);
    const draft = withChapters(packing.draft, chaptersOf(account), countingIds('c'));
    const [recording] = recordingsOf(draft);
    expect(recording.title).toBe('How we pack a bike');
    expect(recording.chapters.map(({ name }) => name)).toEqual([
      'Weight',
      'Where things go on the bike',
      'Only what gets wet first',
    ]);
    // Again: in place of the first ones.
    expect(withChapters(draft, chaptersOf(account), countingIds('d')).blocks.length).toBe(
      draft.blocks.length,
    );
    const [data] = JSON.parse(
      recordingData([recording], {
        title: 'x',
        description: 'How.',
        date: '2026-05-01T08:00:00Z',
        picture: 'https://pictures.example/a.png',
      }),
    );
    expect(data).toMatchObject({
      '@type': 'VideoObject',
      name: 'How we pack a bike',
      contentUrl: RECORDING.address,
      uploadDate: '2026-05-01T08:00:00Z',
    });
    expect(data.hasPart[0]).toMatchObject({
      '@type': 'Clip',
      name: 'Weight',
      startOffset: recording.chapters[0].start,
      endOffset: recording.chapters[1].start,
    });
  });
  it('has no chapters where nothing is timed', async () => {
    const talk = await made('first-tour-story', 'bareText');
    expect(chaptersOf(accountOf(talk, talk.draft))).toEqual([]);
    expect(withChapters(talk.draft, [], countingIds('c')).blocks.length).toBe(talk.draft.blocks.length);
  });
  it('may end with the whole transcript in a fold, harmless whatever was said', () => {
    const fold = transcriptFold(
      {
        form: 'plain text',
        cues: [{ start: 65, end: null, speaker: 'Ada <b>', text: '<script>alert(1)</script> & so on' }],
      },
      'f',
    );
    expect(fold.html).toBe(
      '<details class="transcript"><summary>Transcript</summary><p><time>1:05</time> <b>Ada &lt;b&gt;:</b> &lt;script&gt;alert(1)&lt;/script&gt; &amp; so on</p></details>',
    );
  });
});
