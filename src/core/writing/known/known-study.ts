import { tellingStems, type WordBases } from '../../language/index.ts';
import { SAYS } from '../../meaning/index.ts';
import type { PageReading, Study } from '../../study/index.ts';
import { sentencesIn } from '../sentences.ts';
import { bestSaid, type SaidSection, saidSections, saysSame, wantedOf } from './best-said.ts';
import { type CandidateSentence, centralSentences, subjectOfPhrase } from './central-sentences.ts';
import type { KnownAbout, KnownStudy, Quoted } from './known.ts';

/** What goes along of each part at most: a request that holds everything says nothing. */
const MOST_TOPICS = 14;
const MOST_QUESTIONS = 16;
const MOST_FIGURES = 12;
const SAID_OF_TOPIC = 5;
const SAID_TO_QUESTION = 3;
const MOST_TERMS = 25;
const MOST_UNSAID = 8;

/** The sentences of each section of a page; those of tables and quotes are somebody's else. */
function sectionSentences({ page, blocks, sections }: PageReading): CandidateSentence[][] {
  const out: CandidateSentence[][] = sections.map(() => []);
  for (const { block, section } of blocks) {
    if (block.kind !== 'paragraph' || block.path.some(({ type }) => type === 'cell' || type === 'quote'))
      continue;
    for (const text of sentencesIn(block.text)) out[section]?.push({ text, owner: page.address });
  }
  return out;
}

/** What the pages of a study say of its topics and questions, in their own sentences with the page of each. */
export function knownStudy(
  study: Study,
  readings: readonly PageReading[],
  query: string,
  bases: WordBases,
): KnownStudy {
  const taken = new Set(study.taken);
  const pages = readings.filter(({ page }) => taken.has(page.address));
  const publisherOf = new Map(pages.map(({ page }) => [page.address, page.publisher]));
  const sentences = new Map(pages.map((reading) => [reading.page.address, sectionSentences(reading)]));
  const quoted = ({ text, owner }: CandidateSentence): Quoted => ({
    text,
    who: publisherOf.get(owner) ?? owner,
    address: owner,
  });
  const topics = study.topics.slice(0, MOST_TOPICS).map((topic) => {
    const own = topic.sections.flatMap(({ address, heading }) => {
      const reading = pages.find(({ page }) => page.address === address);
      const at = reading?.sections.findIndex((section) => section.heading === heading) ?? -1;
      return at < 0 ? [] : (sentences.get(address)?.[at] ?? []);
    });
    const subject = new Map(topic.stems);
    for (const [each, weight] of subjectOfPhrase(topic.name))
      subject.set(each, (subject.get(each) ?? 0) + weight / 4);
    return {
      name: topic.name,
      pages: topic.pages.length,
      said: centralSentences(own, subject, SAID_OF_TOPIC).map(quoted),
    };
  });
  const questions = study.questions.slice(0, MOST_QUESTIONS).map(({ text, pages: answering }) => ({
    text,
    pages: answering.length,
    said: pagesSaying(
      text,
      query,
      pages.filter(({ page }) => answering.includes(page.address)),
      bases,
    ).slice(0, SAID_TO_QUESTION),
  }));
  return {
    query,
    pages: pages.length,
    titles: pages.map(({ page }) => page.document.fields.title).filter(Boolean),
    topics,
    questions,
    figures: study.statements.slice(0, MOST_FIGURES).map(({ text, publisher, address, source }) => ({
      text,
      publisher,
      address,
      source,
    })),
    cases: casesOf(query, sentences).map(quoted),
    terms: study.terms.slice(0, MOST_TERMS).map(({ form }) => form),
    unsaid: study.unsaid.slice(0, MOST_UNSAID).map(({ text }) => text),
  };
}

/** What tells a case: somebody did something, once. */
const TELLS_CASE =
  /\b(?:we|I|my|our|one of our|a (?:rider|reader|customer|guest|friend|colleague|neighbour|student|client|user|reporter|mechanic|couple|family))\b[^.]{0,60}\b(?:\p{L}{3,}ed|was|were|had|went|took|came|found|lost|rode|made|saw|bought|brought|kept|left|got|put|ran|said|told|wrote|sent|built|cost|broke|fell)\b/iu;
const MOST_CASES = 20;

/** Sentences of the pages that tell a case, the nearest to the query first. */
const casesOf = (query: string, sentences: ReadonlyMap<string, CandidateSentence[][]>): CandidateSentence[] =>
  centralSentences(
    [...sentences.values()].flat(2).filter(({ text }) => TELLS_CASE.test(text)),
    // Whatever it is a case of: the passage that it is wanted for decides.
    new Map(),
    MOST_CASES + subjectOfPhrase(query).size,
  ).slice(0, MOST_CASES);

/** What pages say of a text, one sentence of each, the best first; none that says what one before it says. */
function pagesSaying(text: string, query: string, pages: readonly PageReading[], bases: WordBases): Quoted[] {
  const want = wantedOf(text, query, bases);
  const found = pages.flatMap((reading) =>
    bestSaid(want, saidSections(reading), 1, bases).map((one) => ({ ...one, page: reading.page })),
  );
  found.sort((a, b) => b.value - a.value || (a.text < b.text ? -1 : 1));
  return found
    .filter((one, at) => !found.slice(0, at).some((other) => saysSame(one.text, other.text)))
    .map(({ text: said, page }) => ({ text: said, who: page.publisher, address: page.address }));
}

const MOST_ABOUT = 6;

/** What the pages of a study, and own posts, say of the very thing that is asked for. */
export function knownAbout(
  text: string,
  study: { study: Study; readings: readonly PageReading[]; query: string } | null,
  posts: readonly { title: string; address: string; sections: SaidSection[] }[],
  keyword: string,
  bases: WordBases,
): KnownAbout {
  const taken = new Set(study?.study.taken);
  const pages = study?.readings.filter(({ page }) => taken.has(page.address)) ?? [];
  const said = pagesSaying(text, study?.query ?? keyword, pages, bases);
  // Other posts are about other things: there the query has to be spoken of too.
  const want = wantedOf(text, keyword, bases);
  const subject = [...subjectOfPhrase(keyword).keys()];
  const own = posts
    .flatMap(({ title, address, sections }) =>
      // One word alone may mean another thing in another post.
      want.beyond.bare || want.beyond.parts.length < 2
        ? []
        : sections.flatMap((section) =>
            bestSaid(want, [section], 1, bases).flatMap((one) => {
              const here = tellingStems(`${title} ${section.heading} ${one.text}`);
              const held = subject.filter((each) => here.has(each)).length;
              return held * 2 >= subject.length && one.alone >= SAYS ? [{ ...one, title, address }] : [];
            }),
          ),
    )
    .sort((a, b) => b.value - a.value || (a.text < b.text ? -1 : 1))
    .slice(0, 2);
  return {
    text,
    pages: said.length,
    said: said.slice(0, MOST_ABOUT),
    own: own.map(({ text: sentence, title, address }) => ({ text: sentence, who: title, address })),
  };
}
