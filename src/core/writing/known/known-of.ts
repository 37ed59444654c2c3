import type { StudyFacts } from '../../criteria/index.ts';
import type { PostDocument } from '../../draft/index.ts';
import type { WordBases } from '../../language/index.ts';
import { type Outline, outlineGaps, ownNote } from '../../outline/index.ts';
import type { PageReading, Study } from '../../study/index.ts';
import { type BriefChoices, wishedLength } from '../brief.ts';
import { sentencesIn } from '../sentences.ts';
import { type HouseVoice, voiceAlong } from '../voice/index.ts';
import type { Known } from './known.ts';
import { knownPlace, knownSections, sitePassages, subjectOfPlace } from './known-post.ts';
import { knownAbout, knownStudy } from './known-study.ts';

/** Gaps of an outline that go along. */
const MOST_GAPS = 10;
/** Headings and questions that a text is asked for at once. */
const MOST_ASKED = 12;

/** What texts for a post are asked from. */
export interface KnownFrom {
  site: { name: string; language: string };
  house: { offer: string; tone: string };
  voice: HouseVoice | null;
  document: PostDocument;
  outline: Outline;
  brief: Pick<BriefChoices, 'avoid' | 'notes' | 'figures'>;
  study: { study: Study; readings: readonly PageReading[]; query: string; facts: StudyFacts | null } | null;
  /** Other posts of the site. */
  posts: readonly { title: string; address: string; draft: PostDocument['draft'] }[];
  /** Words that the house wishes of a post. */
  bodyWords: number;
  /** The block that the caret stands in; null: at the end. */
  blockId: string | null;
  /** What is selected, as plain text with its headings marked. */
  selection: string;
  picture: Known['picture'];
  /** What the text shall be about, where that is not the whole post: a heading, questions. */
  about: readonly string[];
  /** Whether it is about the place of the caret too: its heading, or the sentences before it. */
  aboutPlace: boolean;
}

/** Everything that a text for a post can stand on, gathered in one place. */
export function knownOf(from: KnownFrom, bases: WordBases): Known {
  const { site, house, document, outline, brief, study, bodyWords } = from;
  const { fields, draft } = document;
  const length = wishedLength(fields, study?.facts ?? null, bodyWords);
  const place = knownPlace(draft, outline, from.blockId);
  const asked = [
    ...new Set(
      [...from.about, ...(from.aboutPlace ? [subjectOfPlace(place)] : [])]
        .map((text) => text.trim())
        .filter(Boolean),
    ),
  ].slice(0, MOST_ASKED);
  const posts =
    asked.length === 0
      ? []
      : from.posts.map(({ title, address, draft: other }) => ({
          title,
          address,
          sections: knownSections(other).map(({ heading, paragraphs }) => ({
            heading,
            sentences: paragraphs.flatMap(sentencesIn),
          })),
        }));
  const gaps = study
    ? outlineGaps(
        outline,
        {
          query: study.query,
          topics: study.study.topics,
          must: [],
          questions: fields.questions,
          terms: study.study.terms,
          asked: study.study.questions,
        },
        bases,
      )
    : [];
  return {
    house: { name: site.name, offer: house.offer, language: site.language, avoid: brief.avoid },
    voice: from.voice && voiceAlong(from.voice),
    brief: {
      title: fields.title,
      keyword: fields.keyword,
      supporting: fields.supporting,
      goal: fields.goal,
      audience: fields.audience,
      tone: fields.tone || house.tone,
      style: fields.style,
      language: fields.language,
      nextStep: fields.nextStep,
      points: fields.points,
      questions: fields.questions,
      notes: brief.notes,
      words: Math.round((length.from + length.to) / 2),
      figures: brief.figures.map(({ text, publisher, address, source }) => ({
        text,
        publisher,
        address,
        source,
      })),
    },
    outline: outline
      .filter(({ text }) => text.trim())
      .map(({ level, text, note }) => ({ level, text, note: ownNote(note).trim() })),
    study: study && knownStudy(study.study, study.readings, study.query, bases),
    draft: knownSections(draft),
    around: place,
    selection: from.selection,
    about: asked.map((text) => knownAbout(text, study, posts, fields.keyword, bases)),
    site: sitePassages(from.posts, fields.keyword || fields.title),
    picture: from.picture,
    gaps: gaps.slice(0, MOST_GAPS).map(({ text }) => text),
    titles: from.posts.map(({ title }) => title).filter(Boolean),
  };
}
