import { tellingStems } from '../../language/index.ts';
import { asAsked } from '../../outline/index.ts';
import { centralSentences, type Known, type KnownSection, subjectOfPhrase } from '../known/index.ts';
import type { ComposeOrder } from '../patterns/index.ts';
import { sentencesIn } from '../sentences.ts';
import type { Composed } from './composed.ts';
import { keyPhrases } from './key-phrases.ts';
import { asTyped, opening } from './wording.ts';

/** What is asked about: the selection, else the whole draft. */
function sectionsOf({ selection, draft }: Known): KnownSection[] {
  if (selection === '') return draft;
  const out: KnownSection[] = [{ heading: '', level: 2, paragraphs: [] }];
  for (const line of selection.split(/\n+/)) {
    const heading = /^(#{2,6})\s+(.+)$/.exec(line.trim());
    if (heading) out.push({ heading: heading[2], level: heading[1].length, paragraphs: [] });
    else if (line.trim()) out[out.length - 1].paragraphs.push(line.trim());
  }
  return out.filter(({ heading, paragraphs }) => heading || paragraphs.length > 0);
}

const NO_TEXT: Composed = { text: '', note: 'There is no text yet that could be asked about.' };
const lines = (items: readonly string[]) => items.map((item) => `- ${item}`).join('\n');

/** What a text speaks of: its headings, and what sections without one say most of. */
export function composeTopics({ known }: ComposeOrder): Composed {
  const sections = sectionsOf(known);
  const isHeaded = sections.some(({ heading }) => heading !== '');
  const topics = sections.flatMap(({ heading, paragraphs }) =>
    heading
      ? [heading.replace(/\?$/, '')]
      : isHeaded
        ? []
        : keyPhrases(paragraphs.join('\n'), 3).map(opening),
  );
  if (topics.length === 0) return NO_TEXT;
  return {
    text: lines([...new Set(topics)]),
    note: 'Its headings, and the phrases that stand out where there is none.',
  };
}

/** How much of a question a text has to hold to answer it, for a first guess. */
const SPEAKS_OF = 0.7;

/** What a text answers, and what is asked that it does not speak of. */
export function composeQuestions({ known }: ComposeOrder): Composed {
  const sections = sectionsOf(known);
  const own = sections
    .flatMap(({ heading }) => (heading ? (asAsked(heading) ?? []) : []))
    .filter((text) => text.endsWith('?'));
  const held = tellingStems(
    sections.flatMap(({ heading, paragraphs }) => [heading, ...paragraphs]).join('\n'),
  );
  const open = (known.study?.questions ?? [])
    .map(({ text }) => text)
    .filter((text) => {
      const wanted = tellingStems(text);
      return wanted.size > 0 && [...wanted].filter((each) => held.has(each)).length / wanted.size < SPEAKS_OF;
    });
  const all = [...new Set([...own, ...open.map(asTyped)])];
  if (all.length === 0)
    return sections.length === 0
      ? NO_TEXT
      : { text: '', note: 'No heading here asks anything, and no question of a study is open.' };
  return {
    text: lines(all),
    note: `${own.length} from its headings; ${open.length} that are asked and that it does not speak of.`,
  };
}

/** The sentence of each section that says most of it. */
export function composeTakeaways({ known, seed }: ComposeOrder): Composed {
  const sections = sectionsOf(known);
  const subject = subjectOfPhrase(`${known.brief.keyword} ${known.brief.title}`);
  const kept = sections.flatMap(({ heading, paragraphs }) => {
    const sentences = paragraphs.flatMap(sentencesIn).map((text, at) => ({ text, owner: String(at) }));
    const about = new Map([...subject, ...subjectOfPhrase(heading)]);
    return centralSentences(sentences, about, 1 + (seed % 2))
      .slice(-1)
      .map(({ text }) => text);
  });
  return kept.length > 0
    ? { text: lines(kept), note: 'One sentence of each section, as it stands there.' }
    : NO_TEXT;
}

/** Paragraphs without a heading that get one. */
const UNHEADED = 3;

/** A text as headings: its own, and the phrases of long stretches without one. */
export function composeOutline({ known }: ComposeOrder): Composed {
  const out: string[] = [];
  for (const { heading, level, paragraphs } of sectionsOf(known)) {
    if (heading) out.push(`${'#'.repeat(Math.min(4, Math.max(2, level)))} ${heading}`);
    if (heading || paragraphs.length < UNHEADED) continue;
    for (let from = 0; from < paragraphs.length; from += UNHEADED) {
      const [phrase] = keyPhrases(paragraphs.slice(from, from + UNHEADED).join('\n'), 1);
      if (phrase) out.push(`## ${opening(phrase)}`);
    }
  }
  return out.length > 0
    ? {
        text: [...new Set(out)].join('\n'),
        note: 'Its headings as they stand; where there is none, the phrase that stands out.',
      }
    : NO_TEXT;
}

/** What the pages have and the outline lacks. */
export const composeGaps = ({ known }: ComposeOrder): Composed =>
  known.gaps.length > 0
    ? {
        text: known.gaps.map((gap) => `## ${gap}`).join('\n'),
        note: 'Topics of the studied pages and open questions that no heading of the outline has.',
      }
    : {
        text: '',
        note: known.study
          ? 'The outline lacks nothing that the studied pages have.'
          : 'No pages were studied: there is nothing to hold the outline against.',
      };
