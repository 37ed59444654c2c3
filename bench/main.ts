import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { performance } from 'node:perf_hooks';
import Papa from 'papaparse';
import model from 'wink-eng-lite-web-model';
import winkNLP from 'wink-nlp';
import {
  type Audit,
  type AuditedPost,
  auditChange,
  auditedReport,
  auditTotals,
  byPromise,
  figuresByPath,
} from '../src/core/audit/index.ts';
import { blogEntry, emptyBlog, entryProperties, postPage } from '../src/core/blog/index.ts';
import { DraftReadings, defaultProfile, type StudyFacts } from '../src/core/criteria/index.ts';
import {
  type Draft,
  emptyFields,
  linksOf,
  type PostDocument,
  readMarkdown,
} from '../src/core/draft/index.ts';
import { Vocabulary, WordBases } from '../src/core/language/index.ts';
import { proposeOutlines } from '../src/core/outline/index.ts';
import { LanguageCheck, noLanguageRules, Speller } from '../src/core/proofreading/index.ts';
import {
  anyKeyword,
  clusterPhrases,
  KeywordBook,
  keywordView,
  previewTable,
  readKeywordTable,
} from '../src/core/research/index.ts';
import { emptyScene, scorePost } from '../src/core/scoring/index.ts';
import {
  indexedPost,
  LinkBook,
  linksOut,
  linkTargets,
  SiteIndex,
  unknownSite,
} from '../src/core/site/index.ts';
import { readStudyPage, StudyBook, type StudyPage } from '../src/core/study/index.ts';
import { ContentFolder } from '../src/server/host/content-folder.ts';
import { printEditorTable } from './editor.ts';
import { folderOfPosts } from './folder.ts';
import { keywordCsv, keywordsOf, phrasesOf, withPages } from './keywords.ts';
import { pictureToWeight } from './picture.ts';
import { proseOf, termsOf } from './prose.ts';
import {
  fullTextIndex,
  graphOf,
  mapped,
  passThroughLinks,
  queriedForAll,
  rankedLinks,
  siteOf,
} from './site.ts';
import { startOfCommandLine } from './start.ts';
import { streamedPieces } from './stream.ts';
import { printStudyTable } from './study.ts';
import { talkOf, talkWrittenAndTraced } from './talk.ts';

interface Row {
  name: string;
  value: number;
  unit: string;
  bar: number;
  ok: boolean;
}

/** Median milliseconds of a task over its runs, after warm-up. */
function median(task: (run: number) => void, runs = 9, warmUp = 3): number {
  for (let run = 0; run < warmUp; run++) task(-1 - run);
  const times = Array.from({ length: runs }, (_, run) => {
    const start = performance.now();
    task(run);
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)];
}

const textOf = ({ blocks }: Draft) => blocks.map((block) => block.text).join('\n');
let kept = 0;
/** The least that any analysis in JavaScript has to do. */
const pass = (text: string) => {
  kept += (text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).length;
};
const floorOf = (text: string) => median(() => pass(text), 15);
const timeOf = (task: () => void): number => {
  const start = performance.now();
  task();
  return performance.now() - start;
};

/**
 * A task over the floor of a text, the median of its runs after warm-up: each is held against the passes before and after it, since a
 * machine that does other things as well is faster at one moment than at the next.
 */
function overFloor(task: (run: number) => void, text: string, runs = 9, warmUp = 3): number {
  for (let run = 0; run < warmUp; run++) task(-1 - run);
  floorOf(text);
  let before = timeOf(() => pass(text));
  const ratios = Array.from({ length: runs }, (_, run) => {
    const own = timeOf(() => task(run));
    const after = timeOf(() => pass(text));
    const ratio = own / ((before + after) / 2);
    before = after;
    return ratio;
  });
  return ratios.sort((a, b) => a - b)[Math.floor(runs / 2)];
}

const supporting = termsOf(200, 7);
const fields = {
  ...emptyFields(),
  title: 'Bike tour packing list',
  keyword: 'bike tour packing list',
  supporting: supporting.slice(0, 10),
  language: 'en',
};
const documentOf = (words: number, seed: number): PostDocument => ({
  fields,
  draft: readMarkdown(proseOf(words, seed)).draft,
});
const post = indexedPost('own', { fields });
const keys = new WordBases(new Vocabulary());
/** Two hundred terms and twenty topics of a study, tracked in every draft. */
const studyFacts: StudyFacts = {
  keywordRateUpper: 1,
  words: { lower: 3000, median: 5000, upper: 7000, best: 9000 },
  score: null,
  terms: supporting.map((form, at) => ({
    key: keys.keyOf(form),
    form,
    group: at % 3 === 0 ? 'staple' : 'supporting',
    heading: false,
    share: 0.5,
    lower: 0.5,
    upper: 2,
  })),
  topics: Array.from({ length: 20 }, (_, at) => ({
    name: `Topic ${at}`,
    share: 0.6,
    stems: supporting
      .slice(at * 6, at * 6 + 6)
      .flatMap((phrase) =>
        keys.stemsOf(phrase).map((stem): [string, number] => [keys.stemText(stem), 1 / 15]),
      ),
  })),
};
const scene = { ...emptyScene(), studies: new Map([['own', studyFacts]]) };
const report = (document: PostDocument, readings: DraftReadings) => {
  kept += scorePost(document, post, scene, readings).report.score;
};

/** One block of a draft changed and all of it scored anew: over the floor, and in milliseconds. */
function rescore(words: number): { ratio: () => number; time: () => number } {
  const document = documentOf(words, words);
  const readings = new DraftReadings();
  report(document, readings);
  const { blocks } = document.draft;
  const at = blocks.findIndex((block, index) => index > blocks.length / 2 && block.kind === 'paragraph');
  const keystroke = (run: number) => {
    const changed = { ...blocks[at], text: `${blocks[at].text} Then we rode on ${run + 350}.` };
    report({ fields, draft: { version: 1, blocks: blocks.with(at, changed) } }, readings);
  };
  // An engine compiles what runs often; a writer's keystrokes run often.
  const [runs, warmUp, spells] = [101, 300, 9];
  for (let run = 0; run < warmUp; run++) keystroke(-1 - run);
  /** Median of what several spells of keystrokes give: all of one can fall into a moment in which the machine does something else. */
  const middleOf = (spell: () => number) =>
    Array.from({ length: spells }, spell).sort((a, b) => a - b)[Math.floor(spells / 2)];
  const text = textOf(document.draft);
  return {
    // Keystrokes come one after the other: a pass over all of the text between them would measure what it throws out of the caches.
    ratio: () => {
      let before = floorOf(text);
      return middleOf(() => {
        const own = median(keystroke, runs);
        const after = floorOf(text);
        const ratio = own / ((before + after) / 2);
        before = after;
        return ratio;
      });
    },
    time: () => middleOf(() => median(keystroke, runs)),
  };
}

/** Twenty parsed pages of 1,500 to 4,000 words, with headings. */
function studyPages(): StudyPage[] {
  return Array.from({ length: 20 }, (_, at) => ({
    address: `https://page${at}.example/`,
    publisher: `Publisher ${at}`,
    kind: '',
    rank: at + 1,
    document: {
      fields: { ...fields, supporting: [] },
      draft: readMarkdown(proseOf(1500 + at * 131, 50 + at)).draft,
    },
  }));
}

const asked = supporting.slice(0, 40).map((phrase) => ({
  text: `how to choose ${phrase}`,
  place: 'suggestion' as const,
  volume: 50,
}));
const around = {
  query: 'bike tour packing list',
  asked,
  phrases: supporting.slice(0, 60).map((phrase) => ({ phrase, volume: 100 })),
};

/** Pages to everything that they share. */
function studied(pages: readonly StudyPage[]): StudyBook {
  const bases = new WordBases(new Vocabulary());
  const book = new StudyBook(
    pages.map((page) => readStudyPage(page, around.query, bases, defaultProfile)),
    around,
    bases,
  );
  kept += book.study(new Set()).terms.length + book.leaveOut().length;
  return book;
}
/** Short posts of a site, each with a keyword of its own. */
const shortPosts = (count: number): PostDocument[] =>
  Array.from({ length: count }, (_, at) => ({
    fields: {
      ...fields,
      title: `Post ${at}`,
      keyword: supporting[at % 200],
      supporting: supporting.slice(0, 5),
      slug: `post-${at}`,
    },
    draft: documentOf(800, 1000 + at).draft,
  }));

/** The reports of all posts of a site, each within the others, with an empty vocabulary. */
function* scoredSite(documents: readonly PostDocument[]) {
  const vocabulary = new Vocabulary();
  const site = unknownSite();
  const posts = documents.map((one, at) => indexedPost(`p${at}`, one));
  const within = { ...emptyScene(), site, index: new SiteIndex(site, posts) };
  for (const [at, one] of documents.entries())
    yield scorePost(one, posts[at], within, new DraftReadings(vocabulary));
}
const textOfPages = (pages: readonly StudyPage[]) =>
  pages.map(({ document }) => textOf(document.draft)).join('\n');

type Figure = Omit<Row, 'ok' | 'name'>;
const rows: Record<string, () => Figure | Promise<Figure>> = {
  'rescore-5k': () => {
    return { value: rescore(5000).ratio(), unit: 'of the floor', bar: 0.4 };
  },
  'rescore-50k': () => {
    return { value: rescore(50_000).ratio(), unit: 'of the floor', bar: 0.1 };
  },
  'rescore-growth': () => {
    // Both before and after, so that neither is measured by a colder engine.
    const small = [rescore(5000).time()];
    const large = rescore(50_000).time();
    small.push(rescore(5000).time());
    return { value: large / ((small[0] + small[1]) / 2), unit: 'times', bar: 2.5 };
  },
  'report-5k-cold': () => {
    const document = documentOf(5000, 3);
    const text = textOf(document.draft);
    const nlp = winkNLP(model);
    // Many runs in turn: a few of each would be judged by how busy the machine is just then.
    const peer = () => {
      const read = nlp.readDoc(text);
      kept +=
        read.tokens().out(nlp.its.lemma as never).length +
        read.tokens().out(nlp.its.pos).length +
        read.sentences().length();
    };
    const own = () => report(document, new DraftReadings(new Vocabulary()));
    const ratios = Array.from({ length: 5 }, () => median(own, 9) / median(peer, 9));
    return { value: ratios.sort((a, b) => a - b)[2], unit: "of a general package's full pass", bar: 1 };
  },
  'report-50k-warm': () => {
    const document = documentOf(50_000, 4);
    const vocabulary = new Vocabulary();
    report(document, new DraftReadings(vocabulary));
    const value = overFloor(() => report(document, new DraftReadings(vocabulary)), textOf(document.draft), 7);
    return { value, unit: 'of the floor', bar: 8 };
  },
  'site-1000': () => {
    const documents = shortPosts(1000);
    const text = documents.map((one) => textOf(one.draft)).join('\n');
    const value = overFloor(
      () => {
        for (const { report } of scoredSite(documents)) kept += report.score;
      },
      text,
      7,
      1,
    );
    return { value, unit: 'of the floor', bar: 10 };
  },
  'site-audit-2000': () => {
    const documents = shortPosts(2000);
    const text = documents.map((one) => textOf(one.draft)).join('\n');
    const figures = figuresByPath(
      documents.map(({ fields: { slug, keyword } }, at) => ({
        page: `/${slug}`,
        query: keyword,
        clicks: at % 7,
        impressions: at % 900,
      })),
    );
    const audited = (): Audit => {
      const posts: AuditedPost[] = [];
      for (const scored of scoredSite(documents)) {
        const at = posts.length;
        posts.push(auditedReport(`p${at}`, documents[at].fields, `/post-${at}`, scored, figures));
      }
      return { day: '2026-11-30', at: '', core: 1, rules: '', hasFigures: true, posts, pages: [] };
    };
    const before = audited();
    const value = overFloor(
      () => {
        const audit = audited();
        kept += auditTotals(audit.posts).posts + auditChange(before, audit).rose.length;
        kept += byPromise(audit.posts).length;
      },
      text,
      7,
      1,
    );
    return { value, unit: 'of the floor', bar: 12 };
  },
  'study-20': () => {
    const pages = studyPages();
    const value = overFloor(() => studied(pages), textOfPages(pages), 7);
    return { value, unit: 'of the floor', bar: 40 };
  },
  'restudy-20': () => {
    const pages = studyPages();
    const book = studied(pages);
    const value = overFloor(
      (run) => {
        kept += book.study(new Set([pages[(run + 20) % 20].address])).terms.length;
      },
      textOfPages(pages),
      15,
    );
    return { value, unit: 'of the floor', bar: 3 };
  },
  'outline-propose': () => {
    const pages = studyPages();
    const book = studied(pages);
    const { topics, questions, unsaid } = book.study(new Set());
    const input = {
      query: around.query,
      intent: 'informational',
      points: ['What we carry ourselves', 'What to leave at home'],
      must: topics.slice(0, 4).map(({ name }) => name),
      questions: questions.slice(0, 5).map(({ text }) => text),
      topics,
      asked: questions,
      unsaid,
    };
    // Both in turn, so that neither is measured by a colder engine.
    const whole = median(() => studied(pages), 7);
    const own = median(() => {
      kept += proposeOutlines(input, 3, new Set(), book.bases).length;
    }, 15);
    return { value: own / whole, unit: 'of study-20', bar: 0.25 };
  },
  'import-300k': () => {
    const text = keywordCsv(300_000, 5);
    const floor = median(() => {
      kept += Papa.parse<string[]>(text).data.length;
    }, 7);
    const own = median(() => {
      const reading = readKeywordTable(text, previewTable(text.slice(0, 20_000)), {
        region: 'GB',
        source: { name: 'bench', date: '2026-11-01' },
      });
      const book = new KeywordBook();
      for (const keyword of reading.keywords) book.add(keyword);
      kept += book.records.length;
    }, 7);
    return { value: own / floor, unit: 'of the CSV package alone', bar: 3 };
  },
  'cluster-growth': () => {
    const time = (count: number) => {
      const phrases = withPages(keywordsOf(count, 6), 6);
      return median(
        () => {
          kept += clusterPhrases(phrases).length;
        },
        7,
        2,
      );
    };
    return { value: time(100_000) / time(10_000), unit: 'times', bar: 14 };
  },
  'table-100k': () => {
    const records = keywordsOf(100_000, 7);
    const floor = median(() => {
      kept += [...records].sort((a, b) => (b.volume ?? 0) - (a.volume ?? 0)).length;
    }, 15);
    const figures = {
      volume: Float64Array.from(records, ({ volume }) => volume ?? Number.NaN),
      difficulty: Float64Array.from(records, ({ givenDifficulty }) => givenDifficulty ?? Number.NaN),
      opportunity: () => new Float64Array(records.length),
      intent: () => 'informational' as const,
    };
    const own = median(() => {
      kept += keywordView(records, figures, {
        ...anyKeyword,
        contains: 'a',
        without: 'zebra',
        volumeFrom: 10,
        difficultyTo: 98,
        sort: 'volume',
      }).length;
    }, 15);
    return { value: own / floor, unit: 'of a plain sort', bar: 1.5 };
  },
  'spell-5k': () => {
    const folder = dirname(createRequire(import.meta.url).resolve('dictionary-en-gb'));
    const file = (name: string) => readFileSync(join(folder, name), 'utf8');
    const speller = new Speller({ aff: file('index.aff'), dic: file('index.dic') }, 'GB');
    const check = new LanguageCheck(speller, noLanguageRules());
    const { draft } = readMarkdown(proseOf(5000, 11));
    const at = draft.blocks.findIndex(({ text }) => text.length > 300);
    // Words that no other paragraph has, so that each is looked up for the first time.
    const strange = proseOf(5000, 12).split(/\s+/);
    let turn = 0;
    check.check(draft.blocks);
    const own = median(() => {
      turn += 1;
      const blocks = [...draft.blocks];
      blocks[at] = { ...blocks[at], text: `${blocks[at].text} ${strange[turn % strange.length]} ${turn}.` };
      kept += check.check(blocks).length;
    }, 41);
    return { value: own / floorOf(textOf(draft)), unit: 'of the floor', bar: 0.5 };
  },
  'links-out': () => {
    // Half of the site writes about what the post is about, so that there is much to choose from.
    const phrases = [...termsOf(1000, 8), ...phrasesOf(1000, 8)];
    const posts = phrases.map((keyword, at) => ({
      id: `p${at}`,
      fields: { ...fields, title: `${keyword}: what helps`, keyword, supporting: [], slug: `post-${at}` },
    }));
    const { blocks } = readMarkdown(proseOf(2000, 9)).draft;
    const vocabulary = new Vocabulary();
    const book = new LinkBook(linkTargets(posts, unknownSite()), vocabulary);
    const own = median(() => {
      kept += linksOut(blocks, book, new Set()).length;
    }, 31);
    return {
      value: own / (10 * floorOf(textOf({ version: 1, blocks }))),
      unit: 'of ten split passes',
      bar: 30,
    };
  },
  'picture-12mp': async () => ({
    value: await pictureToWeight(),
    unit: 'of one decoding and encoding',
    bar: 2,
  }),
  'talk-9000': () => {
    const talk = talkOf(9000, 18);
    const time = median(
      () => {
        kept += talkWrittenAndTraced(talk);
      },
      15,
      10,
    );
    return {
      value: time / floorOf(talk.cues.map(({ text }) => text).join(' ')),
      unit: 'of the floor',
      bar: 120,
    };
  },
  'link-map-2000': () => {
    const own = siteOf(2000, 60, 10, 19);
    const graph = graphOf(own);
    const pages = new Map(graph.pages.map(({ path }, at) => [path, at]));
    const addresses = own.blocks.flatMap((blocks) => blocks.flatMap(linksOf).map(({ href }) => href));
    const pass = median(() => {
      kept += passThroughLinks(addresses, pages);
    }, 15);
    const time = median(
      () => {
        kept += mapped(graph);
      },
      7,
      1,
    );
    return { value: time / pass, unit: 'of one pass through the links', bar: 400 };
  },
  'rank-links-2000': () => {
    const own = siteOf(2000, 800, 10, 20);
    const graph = graphOf(own);
    const index = fullTextIndex(own);
    const keywords = own.posts.map(({ fields }) => fields.keyword);
    const queries = median(() => {
      kept += queriedForAll(index, keywords);
    }, 9);
    const vocabulary = new Vocabulary();
    const time = median(
      () => {
        kept += rankedLinks(own, graph, vocabulary);
      },
      7,
      1,
    );
    return { value: time / queries, unit: 'of one full-text query a page', bar: 60 };
  },
  'stream-500': async () => ({
    value: await streamedPieces(),
    unit: 'of 500 steps of a plain editor',
    bar: 3,
  }),
  'publish-page': () => {
    const site = { ...emptyBlog('http://blog.example'), name: 'A blog' };
    const row = entryProperties('p', {
      fields: { ...fields, slug: 'packing-list', excerpt: 'What to take.', date: '2026-05-01T08:00:00Z' },
      draft: readMarkdown(proseOf(2000, 13)).draft,
    });
    const entry = blogEntry(row, 'packing-list');
    const around = { pixels: new Map(), related: [], authorPath: () => '/', isThere: () => true };
    const own = median(
      () => {
        kept += postPage(site, entry, around).length;
      },
      101,
      50,
    );
    const floor = median(
      () => {
        kept += JSON.stringify(row).length;
      },
      101,
      50,
    );
    return { value: own / floor, unit: 'of one JSON.stringify of its row', bar: 40 };
  },
  'folder-5000': () => {
    const { folder, read } = folderOfPosts(5000);
    // A folder that is opened anew each time: what stays known of it is not what is asked.
    const own = median(
      () => {
        kept += new ContentFolder(folder).list().length;
      },
      5,
      1,
    );
    const floor = median(
      () => {
        kept += read();
      },
      5,
      1,
    );
    return { value: own / floor, unit: 'of reading their bytes', bar: 12 };
  },
  'cli-start': () => ({ value: startOfCommandLine(), unit: 'of a start of Node', bar: 4 }),
};

const args = process.argv.slice(2);
if (args.includes('--study')) process.exit((await printStudyTable(args)) ? 0 : 1);
if (args.includes('--editor')) process.exit((await printEditorTable()) ? 0 : 1);
const only = args.includes('--only') ? args[args.indexOf('--only') + 1] : null;
if (only !== null && !(only in rows)) {
  console.error(`There is no figure "${only}". There are: ${Object.keys(rows).join(', ')}.`);
  process.exit(2);
}
const results: Row[] = [];
for (const [name, measure] of Object.entries(rows)) {
  if (only !== null && name !== only) continue;
  const figure = await measure();
  const row = { name, ...figure, ok: figure.value <= figure.bar };
  results.push(row);
  if (!args.includes('--json'))
    console.log([name, row.value.toFixed(3), row.unit, row.bar, row.ok ? 'ok' : 'short'].join('\t'));
}
if (args.includes('--json')) console.log(JSON.stringify(results));
// What was computed is looked at, so that no engine may leave it out.
if (!Number.isFinite(kept)) process.exit(3);
process.exit(results.every((row) => row.ok) ? 0 : 1);
