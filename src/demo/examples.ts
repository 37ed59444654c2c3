import { defaultProfile, wholeProfile } from '../core/criteria/index.ts';
import { documentOfPage } from '../core/formats/index.ts';
import { Vocabulary, WordBases } from '../core/language/index.ts';
import { postPath } from '../core/listing/index.ts';
import { outlineFromDraft } from '../core/outline/index.ts';
import { readStudyPage, type Study, StudyBook } from '../core/study/index.ts';
import {
  compose,
  type FieldValue,
  fieldValue,
  filledFields,
  type HouseVoice,
  houseVoice,
  type Known,
  knownOf,
  type Pattern,
  readAnswer,
  requestOf,
  SHIPPED_PATTERNS,
  subjectOfPlace,
  withValue,
} from '../core/writing/index.ts';
import type { DemoBundle } from '../web/data/demo-bundle.ts';
import type { SiteRow } from '../web/data/post-rows.ts';
import { contentOf } from '../web/data/study-pages.ts';
import type { GenerationRow } from '../web/data/study-rows.ts';
import type { DemoStudy } from './study.ts';

type Posts = DemoBundle['posts'];

/** UTC instant from which the first example is; each further one comes a minute later. */
const FROM = Date.parse('2026-11-16T10:00:00Z');
/** Posts whose voice is the house's. */
const SAMPLES = 12;

/** The voice of the demo's house, learnt from its published posts as the application learns it. */
export function demoVoice(posts: Posts, now: string): HouseVoice {
  const samples = posts
    .filter(({ row }) => row.fields.status === 'published')
    .slice(0, SAMPLES)
    .map(({ row, draft }) => ({ id: row.id, draft }));
  const voice = houseVoice(samples, { id: 'demo-voice-1', name: 'The workshop', now });
  if (!voice) throw new Error('The demo’s posts are too short for a voice.');
  return voice;
}

/** Posts that the examples are for first; where one gives none, the others follow. */
const FIRST = ['demo-bike-tour-packing-list', 'demo-waterproof-panniers', 'demo-bike-tour-with-kids'];
/** The post that was a talk. */
const SPOKEN = 'demo-pre-tour-bike-check';
const EXAMPLES = 2;
/** Passages of a post that a pattern is tried on. */
const PASSAGES = 6;

interface Place {
  at: Posts[number];
  study: { study: Study; readings: StudyBook['readings']; query: string } | null;
}

function studied({ row, pages }: DemoStudy, bases: WordBases): Place['study'] {
  const contents = new Map(pages.map((page) => [page.key, contentOf(page)]));
  const readings = row.pages.flatMap(({ key, address, publisher, kind, rank }) => {
    const content = contents.get(key);
    return content
      ? [
          readStudyPage(
            { address, publisher, kind, rank, document: documentOfPage(content) },
            row.query,
            bases,
            defaultProfile,
          ),
        ]
      : [];
  });
  const { query, asked, phrases } = row;
  const book = new StudyBook(readings, { query, asked, phrases }, bases);
  const left = new Set(row.pages.filter((page) => page.left).map(({ address }) => address));
  return { study: book.study(left, row.choices), readings, query };
}

/** What is typed into fields that the post itself does not fill. */
function typed(
  pattern: Pattern,
  known: Known,
  { fields }: Posts[number]['row'],
  passage: number,
): FieldValue[] {
  let values = filledFields(pattern, known);
  const set = (id: string, value: string) => {
    if (pattern.fields.some((field) => field.id === id) && fieldValue(values, id) === '')
      values = withValue(values, id, value);
  };
  const headings = known.outline.filter(({ level }) => level === 2).map(({ text }) => text);
  const asked = known.study?.questions.map(({ text }) => text) ?? fields.questions;
  set('heading', headings[1] ?? headings[0] ?? fields.title);
  set('question', asked[0] ?? headings.find((text) => text.endsWith('?')) ?? `What is ${fields.keyword}?`);
  set(
    'questions',
    (asked.length > 0 ? asked.slice(0, 3) : headings.filter((text) => text.endsWith('?')).slice(0, 2)).join(
      '\n',
    ),
  );
  if (pattern.recipe === 'talk') {
    const spoken = known.draft.filter(({ heading, paragraphs }) => heading && paragraphs.length > 0)[passage];
    set('said', spoken?.paragraphs.join('\n') ?? '');
    values = withValue(values, 'heading', spoken?.heading ?? '');
  }
  set('what', 'Summary in three sentences');
  set('parts', '3');
  // Another tone than the post's.
  if (pattern.recipe === 'tone') values = withValue(values, 'tone', 'friendly');
  return values;
}

const rankOf = (id: string) => (FIRST.includes(id) ? FIRST.indexOf(id) : FIRST.length);

/** Two answers of the stand-in for every pattern that comes along, as the history keeps them. */
export function demoExamples(
  site: SiteRow,
  posts: Posts,
  study: DemoStudy,
  voice: HouseVoice,
): GenerationRow[] {
  const bases = new WordBases(new Vocabulary());
  const own = studied(study, bases);
  const limits = wholeProfile(site.profile).limits;
  const places = [...posts]
    .sort((a, b) => rankOf(a.row.id) - rankOf(b.row.id))
    .map((at): Place => {
      const goesBy = study.row.posts.includes(at.row.id) || at.row.fields.keyword === own?.query;
      return { at, study: goesBy ? own : null };
    });
  const others = (id: string) =>
    posts
      .filter(({ row }) => row.id !== id && row.fields.status === 'published')
      .map(({ row, draft }) => ({
        title: row.fields.title,
        address: postPath(site, row.fields) ?? '',
        draft,
      }));
  let count = 0;
  const knownBare = new Map<string, Known>();
  /** What a pattern answers for a post, with a passage of it selected; null: nothing worth showing. */
  const example = (
    pattern: Pattern,
    { at: { row, draft }, study: found }: Place,
    passage: number,
  ): GenerationRow | null => {
    const long = draft.blocks.filter(({ kind, text }) => kind === 'paragraph' && text.length > 200);
    const picture = draft.blocks.find(({ image }) => image);
    const isSelected = pattern.along.includes('selection') && !pattern.along.includes('draft');
    const selection = isSelected ? (long[passage]?.text ?? '') : '';
    if (isSelected && selection === '') return null;
    const know = (about: string[]): Known =>
      knownOf(
        {
          site,
          house: site.house,
          voice,
          document: { fields: row.fields, draft },
          outline: outlineFromDraft(draft, []),
          brief: { avoid: '', notes: '', figures: [] },
          study: found && { ...found, facts: null },
          posts: others(row.id),
          bodyWords: limits.bodyWords,
          blockId: long[2]?.id ?? null,
          selection: '',
          picture: picture?.image
            ? { caption: picture.text, name: picture.image.src, before: '', after: '' }
            : null,
          about,
          aboutPlace: false,
        },
        bases,
      );
    let bare = knownBare.get(row.id);
    if (!bare) {
      bare = know([]);
      knownBare.set(row.id, bare);
    }
    const values = typed(pattern, bare, row, passage);
    const about = [
      fieldValue(values, 'heading'),
      fieldValue(values, 'question'),
      ...fieldValue(values, 'questions').split('\n'),
      pattern.along.includes('around') && bare.around ? subjectOfPlace(bare.around) : '',
    ].filter(Boolean);
    const known = { ...(about.length > 0 ? know(about) : bare), selection };
    const request = requestOf({
      pattern,
      values,
      known,
      along: pattern.along,
      limits,
      site,
      before: [],
      seed: 0,
    });
    const { text, note } = compose(request.compose);
    if (text.trim() === '' || (selection !== '' && text.trim() === selection.replace(/\s+/g, ' ').trim()))
      return null;
    count += 1;
    return {
      id: `demo-text-${count}`,
      siteId: site.id,
      postId: row.id,
      at: new Date(FROM + 60_000 * count).toISOString(),
      recipe: 'pattern',
      title:
        readAnswer(text, pattern.readAs)[0]
          ?.replace(/^[#>\s-]+/, '')
          .slice(0, 90) || pattern.name,
      input: values
        .filter(({ value }) => value.trim())
        .map(({ id, value }) => `${pattern.fields.find((field) => field.id === id)?.name ?? id}: ${value}`)
        .join('\n'),
      output: text,
      asked: {
        pattern: pattern.id,
        patternName: pattern.name,
        values,
        along: pattern.along,
        messages: request.messages,
        service: 'stand-in',
        model: '',
        finish: 'done',
        problem: '',
        note,
        ms: 0,
        into: pattern.into,
        readAs: pattern.readAs,
        taken: 'no',
        group: `demo-text-${count}`,
      },
    };
  };
  return SHIPPED_PATTERNS.flatMap((pattern) => {
    const found: GenerationRow[] = [];
    const isSpoken = pattern.recipe === 'talk';
    const passages = pattern.along.includes('selection') || isSpoken ? PASSAGES : 1;
    for (const place of places) {
      if (found.length === EXAMPLES) break;
      if (isSpoken && place.at.row.id !== SPOKEN) continue;
      for (let passage = 0; passage < passages && found.length < EXAMPLES; passage++) {
        const made = example(pattern, place, passage);
        if (!made) continue;
        found.push(made);
        // Of the post that was spoken another section; else another post.
        if (!isSpoken) break;
      }
    }
    if (found.length < EXAMPLES) throw new Error(`The demo has no two examples of "${pattern.name}".`);
    return found;
  });
}
