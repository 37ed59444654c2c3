import { beforeAll, describe, expect, it } from 'vitest';
import { readTranscript } from './read-transcript.ts';
import { FORMS, TEST_TALKS, type TestTalk, testTalk } from './test-talks.test-data.ts';
import { type WrittenTalk, writeTalk } from './written-talk.ts';

const letters = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}]+(?:'[\p{L}]+)*/gu) ?? [];

interface Judged {
  name: string;
  talk: TestTalk;
  written: WrittenTalk;
  /** Place of each spoken word among the words of the talk as it was marked by hand. */
  of: number[];
}

let judged: Judged[] = [];
const keptOf = ({ talk, of }: Judged, at: number) => !talk.words[of[at]].left;

beforeAll(async () => {
  judged = await Promise.all(
    TEST_TALKS.map(async ([name, form]) => {
      const talk = testTalk(name);
      const { transcript, problem } = await readTranscript(FORMS[form](talk));
      if (!transcript) throw new Error(`${name}: ${problem}`);
      return {
        name,
        talk,
        written: writeTalk(transcript),
        of: talk.words.flatMap(({ text }, at) => letters(text).map(() => at)),
      };
    }),
  );
});

describe('ten talks in ten forms, cleaned by hand', () => {
  it('are read word for word, whatever their form', () => {
    for (const { name, talk, written } of judged)
      expect(
        written.words.map(({ form }) => form),
        name,
      ).toEqual(talk.words.flatMap(({ text }) => letters(text)));
  });
  it('lose no word that the editor kept', () => {
    for (const one of judged)
      expect(
        one.written.words
          .filter((_, at) => one.written.left[at] !== null && keptOf(one, at))
          .map(({ form }) => form),
        one.name,
      ).toEqual([]);
  });
  it('lose at least 95 % of the fillers, doubled words and false starts', () => {
    let [fillers, out] = [0, 0];
    for (const one of judged)
      one.written.words.forEach((_, at) => {
        if (keptOf(one, at)) return;
        fillers += 1;
        if (one.written.left[at] !== null) out += 1;
      });
    expect(fillers).toBeGreaterThan(150);
    expect(out / fillers).toBeGreaterThanOrEqual(0.95);
  });
  it('hold no word that was not said, each in its order', () => {
    for (const { name, written } of judged) {
      const shown = written.sections.flatMap(({ paragraphs }) =>
        paragraphs.flatMap(({ sentences }) => sentences.flatMap(({ text }) => letters(text))),
      );
      expect(shown, name).toEqual(
        written.words.filter((_, at) => written.left[at] === null).map(({ form }) => form),
      );
      for (const { heading } of written.sections) {
        const said = ` ${written.words
          .filter((_, at) => written.left[at] === null)
          .map(({ form }) => form)
          .join(' ')} `;
        expect(said, `${name}: ${heading}`).toContain(` ${letters(heading).join(' ')} `.replace('  ', ' '));
      }
    }
  });
  it('are parted into sections as by hand, within a sentence, 80 % each way', () => {
    let [wanted, found, given, right] = [0, 0, 0, 0];
    for (const one of judged) {
      const { talk, of, written } = one;
      const kept = of.map((_, at) => at).filter((at) => keptOf(one, at));
      const begins = (key: 'sentence' | 'section') =>
        kept.filter(
          (at, place) => place > 0 && talk.words[of[at]][key] !== talk.words[of[kept[place - 1]]][key],
        );
      const sentences = begins('sentence');
      const place = (at: number) => sentences.filter((begin) => begin <= at).length;
      const byHand = begins('section').map(place);
      const byUs = written.sections
        .slice(1)
        .map(({ paragraphs }) => place(paragraphs[0].sentences[0].words[0]));
      const near = (one: number, others: number[]) => others.some((other) => Math.abs(one - other) <= 1);
      wanted += byHand.length;
      given += byUs.length;
      found += byHand.filter((at) => near(at, byUs)).length;
      right += byUs.filter((at) => near(at, byHand)).length;
    }
    expect(wanted).toBeGreaterThan(25);
    expect(found / wanted).toBeGreaterThanOrEqual(0.8);
    expect(right / given).toBeGreaterThanOrEqual(0.8);
  });
  it('begin four of five sentences where the editor did, and no more than that elsewhere', () => {
    let [wanted, given, both] = [0, 0, 0];
    for (const one of judged) {
      const { talk, of, written } = one;
      const kept = of.map((_, at) => at).filter((at) => keptOf(one, at));
      const byHand = new Set(
        kept.filter(
          (at, place) =>
            place === 0 || talk.words[of[at]].sentence !== talk.words[of[kept[place - 1]]].sentence,
        ),
      );
      const byUs = written.sections.flatMap(({ paragraphs }) =>
        paragraphs.flatMap(({ sentences }) => sentences.map(({ words }) => words[0])),
      );
      wanted += byHand.size;
      given += byUs.length;
      both += byUs.filter((at) => byHand.has(at)).length;
    }
    expect(both / wanted).toBeGreaterThanOrEqual(0.8);
    expect(both / given).toBeGreaterThanOrEqual(0.8);
  });
  it('keep the seconds of what was said, where the transcript has them', () => {
    for (const { name, talk, written, of } of judged) {
      if (!written.words.some(({ start }) => start !== null)) continue;
      written.words.forEach(({ start }, at) => {
        // A turn of a speaker has one time for all of its words, which are reckoned from there.
        expect(
          Math.abs((start ?? Number.NaN) - talk.words[of[at]].start),
          `${name}: word ${at}`,
        ).toBeLessThan(name === 'tide-podcast' || name === 'shop-meeting' ? 25 : 4);
      });
    }
  });
  it('find the questions of interviews with what was answered', () => {
    const kids = judged.find(({ name }) => name === 'kids-interview')!.written;
    expect(kids.questions.map(({ question }) => question)).toContain(
      'How far do you ride in a day with children?',
    );
    expect(kids.questions.find(({ question }) => /leave at home/.test(question))?.answer).toMatch(/^Toys\./);
  });
  it('have things that were counted one after another under headings of their own', () => {
    const items = judged
      .find(({ name }) => name === 'camping-lesson')!
      .written.sections.map(({ heading }) => heading);
    expect(items).toEqual(['', 'The ground', 'The wind', 'Your feet']);
  });
});
