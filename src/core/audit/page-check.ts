import { DraftReadings, wholeProfile } from '../criteria/index.ts';
import { type PostDocument, wordsIn } from '../draft/index.ts';
import { offersFor, type Scene, scorePost } from '../scoring/index.ts';
import { indexedPost } from '../site/index.ts';
import type { PageKind } from './page-kinds.ts';

/** What a page says for itself that could be said better. */
export interface PageProposal {
  what: 'meta title' | 'meta description' | 'title';
  text: string;
}

/** A page that is no post, as it was found. */
export interface PageCheck {
  /** What to mend, in sentences with the names of the checks; empty: it is fit. */
  faults: { id: string; title: string; advice: string }[];
  proposals: PageProposal[];
}

/** What counts for every page of a site, whatever it is for: how it is listed, its own words, its pictures. */
const FOR_ANY_PAGE: ReadonlySet<string> = new Set([
  'meta-title-width',
  'meta-title-distinct',
  'meta-description-width',
  'title-single',
  'alt-present',
  'alt-quality',
]);
/** The same where it is known for what it wants to be found. */
const WITH_KEYWORD: ReadonlySet<string> = new Set([
  'meta-title-keyword',
  'meta-description-keyword',
  'keyword-title',
]);

/** A check that earns so much of its points is passed. */
const PASSED = 0.9;

const FIELDS = { metaTitle: 'meta title', metaDescription: 'meta description', title: 'title' } as const;

/** A scene in which a page of few words is judged all the same: it is no draft that somebody has only begun. */
function forFewWords(scene: Scene): Scene {
  const profile = wholeProfile(scene.site.profile);
  const limits = { ...profile.limits, judgeableWords: 0 };
  return { ...scene, site: { ...scene.site, profile: { ...profile, limits } } };
}

/** Fewer words are a label, no sentence. */
const SENTENCE_WORDS = 8;

/**
 * What a page says in sentences, out of which a description can be made: menus, lists and tables are left out, and of a page that lists
 * others what it says of them.
 */
function ownSentences(document: PostDocument, kind: PageKind): PostDocument {
  const { blocks } = document.draft;
  const section = blocks.findIndex((block) => block.kind === 'heading' && (block.level ?? 2) > 1);
  const isList = kind === 'home' || kind === 'category';
  const own = (isList && section >= 0 ? blocks.slice(0, section) : blocks).filter(
    ({ kind: is, level, path, text }) =>
      (is === 'heading' && level === 1) ||
      (is === 'paragraph' &&
        path.length === 0 &&
        /[.!?]["'”’)]*\s*$/.test(text) &&
        wordsIn(text) >= SENTENCE_WORDS),
  );
  return { ...document, draft: { ...document.draft, blocks: own } };
}

/**
 * Whether a page of a site is fit, by the criteria that hold for any page: it is no article, so its length, its headings and its prose are its
 * own affair. What would help its title and description is tried by the same fixes as a post's.
 *
 * @param around with the site's posts and its other pages, so that doubled titles are found
 */
export function checkPage(id: string, given: PostDocument, kind: PageKind, around: Scene): PageCheck {
  const scene = forFewWords(around);
  // The picture that is shared with a page is no picture on it.
  const document = { ...given, fields: { ...given.fields, image: '', imageAlt: null } };
  const wanted = (criterion: string) =>
    FOR_ANY_PAGE.has(criterion) || (document.fields.keyword !== '' && WITH_KEYWORD.has(criterion));
  const readings = new DraftReadings();
  const scored = (one: PostDocument) => scorePost(one, indexedPost(id, one), scene, readings);
  const own = scored(document);
  const criteria = own.report.criteria.filter((line) => wanted(line.id));
  const faults = criteria.flatMap(({ id: criterion, title, advice, points, available }) =>
    advice !== null && points < available * PASSED ? [{ id: criterion, title, advice }] : [],
  );
  const proposals = new Map<PageProposal['what'], string>();
  const failed = new Set(faults.map((fault) => fault.id));
  const source = ownSentences(document, kind);
  const of = scored(source);
  const report = { ...of.report, criteria: of.report.criteria.filter((line) => failed.has(line.id)) };
  for (const [, offers] of offersFor(source, { ...of, report }, (changed) => scored(changed).report.score))
    for (const { edits } of offers)
      for (const edit of edits)
        if (
          edit.kind === 'set-field' &&
          Object.hasOwn(FIELDS, edit.field) &&
          typeof edit.value === 'string'
        ) {
          const what = FIELDS[edit.field as keyof typeof FIELDS];
          // The first is the one for the worse fault.
          if (!proposals.has(what)) proposals.set(what, edit.value);
        }
  return { faults, proposals: [...proposals].map(([what, text]) => ({ what, text })) };
}
