import { tellingStems } from '../../language/index.ts';
import { gistOf, type PlacedSentence } from '../gist.ts';
import type { KnownSection } from '../known/index.ts';
import { type ComposeOrder, entriesOf, fieldValue } from '../patterns/index.ts';
import { sentencesIn } from '../sentences.ts';
import type { Composed } from './composed.ts';

/** Sounds that stand in a transcript and in no text; whatever else is in it, the writer takes out. */
const SOUNDS = /(?<![\p{L}\p{N}'’-])(?:u+m+|u+h+|e+r+m+|uh-huh|mm+)(?![\p{L}\p{N}'’-]),?\s*/giu;
/** Sentences of one paragraph at most. */
const IN_PARAGRAPH = 4;
/** Shares of the sentences that a first, a second and each further answer keeps. */
const KEPT = [1, 0.7, 0.5];

const paragraphsIn = (text: string) =>
  text
    .split(/\n+/)
    .map((line) => line.replace(SOUNDS, '').trim())
    .filter(Boolean);

/** Sentences of a few paragraphs with their places. */
const placedIn = (paragraphs: readonly string[], section = 0): PlacedSentence[] =>
  paragraphs.flatMap((text, paragraph) =>
    sentencesIn(text).map((sentence, inParagraph) => ({ text: sentence, section, paragraph, inParagraph })),
  );

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What was said, as it was said: all of it first, then what says most of it; in short paragraphs, in its order. */
export function composeTalk({ values, before }: ComposeOrder): Composed {
  const paragraphs = paragraphsIn(fieldValue(values, 'said'));
  const all = placedIn(paragraphs);
  if (all.length === 0) return { text: '', note: 'Nothing was said that a text could be made of.' };
  const wished = Math.max(1, Math.ceil(all.length * KEPT[Math.min(before.length, KEPT.length - 1)]));
  const subject = { title: fieldValue(values, 'heading'), headings: [fieldValue(values, 'heading')] };
  const central = wished < all.length ? gistOf(all, subject, wished) : [];
  // Where few sentences can stand alone, those that come first are kept with them.
  const kept = new Set(
    wished < all.length
      ? [...central, ...all.keys()].filter((at, index, list) => list.indexOf(at) === index).slice(0, wished)
      : all.keys(),
  );
  const out: { paragraph: number; sentences: string[] }[] = [];
  all.forEach(({ text, paragraph }, at) => {
    if (!kept.has(at)) return;
    const open = out.at(-1);
    if (open && open.paragraph === paragraph && open.sentences.length < IN_PARAGRAPH)
      open.sentences.push(upper(text));
    else out.push({ paragraph, sentences: [upper(text)] });
  });
  const left = all.length - kept.size;
  return {
    text: out.map(({ sentences }) => sentences.join(' ')).join('\n\n'),
    note:
      left > 0
        ? `${kept.size} of ${all.length} sentences, as they were said; ${left} left out. No word was added.`
        : 'Every sentence as it was said, in short paragraphs. No word was added.',
  };
}

/** A section of the post whose words are those of a title. */
function sectionFor(head: string, draft: readonly KnownSection[]): number {
  const wanted = tellingStems(head);
  return draft.findIndex(({ heading }) => {
    const held = tellingStems(heading);
    return wanted.size > 0 && [...wanted].every((each) => held.has(each));
  });
}

/** Other sentences of the post than those that stand there now, and than those answered before; as many as there are parts. */
export function composeReuse({ known, values, before }: ComposeOrder): Composed {
  const all = known.draft.flatMap(({ paragraphs }, section) => placedIn(paragraphs, section));
  const most = Number(fieldValue(values, 'most')) || Number.POSITIVE_INFINITY;
  const heads = entriesOf(values, 'heads');
  const parts = Math.max(1, Number(fieldValue(values, 'parts')) || heads.length || 1);
  const told = [fieldValue(values, 'now'), ...before].join('\n');
  const subject = { title: known.brief.title, headings: known.draft.map(({ heading }) => heading) };
  const ranked = gistOf(all, subject, all.length).filter(
    (at) => [...all[at].text].length <= most && !told.includes(all[at].text),
  );
  const chosen: number[] = [];
  for (const head of heads.slice(0, parts)) {
    const section = sectionFor(head, known.draft);
    const at = ranked.find((one) => all[one].section === section && !chosen.includes(one));
    if (at !== undefined) chosen.push(at);
  }
  if (heads.length === 0) chosen.push(...ranked.slice(0, parts).sort((a, b) => a - b));
  if (chosen.length === 0)
    return {
      text: '',
      note:
        all.length === 0
          ? 'The post has no text yet.'
          : 'The post has no other sentence that says as much in so few characters.',
    };
  const lack = parts - chosen.length;
  return {
    text: chosen.map((at) => all[at].text).join('\n\n'),
    note: `Other sentences of the post, as they stand there${lack > 0 ? `; for ${lack} more it has none that would fit` : ''}. The stand-in says nothing in words of its own.`,
  };
}
