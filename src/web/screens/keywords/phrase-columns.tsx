import type { KeywordSort } from '../../../core/research/index.ts';
import { monthIn } from '../../../core/site/index.ts';
import { counted, countInWords, figureInWords } from '../../ui/figures.ts';
import type { GridColumn } from '../../ui/grid/grid-column.ts';
import { INTENT_NAMES } from '../../ui/intent-names.ts';
import { SeasonBars } from '../../ui/season-bars.tsx';
import type { KeywordLine } from '../../workers/desk-lines.ts';
import { HOLDING } from './keyword-detail.tsx';

/** Columns that can be chosen; the phrase always stands. */
export const COLUMNS = [
  { id: 'volume', name: 'Volume' },
  { id: 'season', name: 'Season' },
  { id: 'difficulty', name: 'Difficulty' },
  { id: 'intent', name: 'Intent' },
  { id: 'opportunity', name: 'Opportunity' },
  { id: 'held', name: 'Targeted by' },
  { id: 'lists', name: 'Lists' },
  { id: 'why', name: 'Why it is here' },
  { id: 'source', name: 'Figures from' },
] as const;
export type ColumnKey = (typeof COLUMNS)[number]['id'];
export type PhraseColumn = ColumnKey | 'phrase';

/** What the rows are sorted by under a heading that can be pressed. */
export const SORTS: Partial<Record<PhraseColumn, KeywordSort>> = {
  phrase: 'phrase',
  volume: 'volume',
  difficulty: 'difficulty',
  intent: 'intent',
  opportunity: 'opportunity',
  source: 'date',
};

/** The columns of the table of phrases. */
export function phraseColumns({
  zone,
  listsOf,
  onOpen,
  opened,
}: {
  zone: string;
  /** Names of the lists that a phrase stands on. */
  listsOf: (phrase: string) => readonly string[];
  onOpen: (line: KeywordLine) => void;
  /** The phrase whose figures stand beside the table. */
  opened: string | null;
}): GridColumn<KeywordLine, PhraseColumn>[] {
  return [
    {
      id: 'phrase',
      name: 'Phrase',
      width: 'minmax(150px,2.2fr)',
      sorts: 'ascending',
      cell: (line) => (
        <button
          type="button"
          aria-pressed={opened === line.keyword.phrase}
          onClick={() => onOpen(line)}
          className={`block max-w-full truncate text-left hover:underline ${opened === line.keyword.phrase ? 'font-semibold text-marram' : ''}`}
          title={line.keyword.phrase}
        >
          {line.keyword.phrase}
        </button>
      ),
    },
    {
      id: 'volume',
      name: 'Volume',
      width: '76px',
      right: true,
      sorts: 'descending',
      hint: 'Searches a month, the mean of a year, as the source gives it.',
      cell: ({ keyword }) => countInWords(keyword.volume),
    },
    {
      id: 'season',
      name: 'Season',
      width: '92px',
      cell: ({ keyword }) => (
        <SeasonBars months={keyword.months} width={84} height={18} now={monthIn(zone, new Date())} />
      ),
    },
    {
      id: 'difficulty',
      name: 'Difficulty',
      width: '80px',
      right: true,
      sorts: 'descending',
      className: 'truncate',
      hint: 'How hard it is to be found among the first ten pages: for each, its rank x its publisher\u2019s standing x how squarely it answers (35 % beside the point, 100 % to the point). A rank of which no page is known counts as ranks of this market do, and \u00b1 says how far that may be off. Figures that a file gives are kept as given.',
      cell: ({ keyword, difficulty, given, give, pages }) => (
        <span
          title={
            given
              ? `Given by ${keyword.source.name}`
              : pages !== null && give > 0
                ? `${figureInWords(difficulty)}, from ${counted(pages, 'page')}`
                : undefined
          }
        >
          {figureInWords(difficulty)}
          {give >= 0.5 && <span className="text-soft"> ±{Math.round(give)}</span>}
          {given && <span className="text-soft"> given</span>}
        </span>
      ),
    },
    {
      id: 'intent',
      name: 'Intent',
      width: '112px',
      sorts: 'ascending',
      className: 'truncate',
      hint: 'What is wanted, from the words of the phrase and the kinds of pages found. You can overrule it.',
      cell: ({ keyword, intent }) => (
        <>
          {INTENT_NAMES[intent]}
          {keyword.setIntent && <span className="text-soft"> set</span>}
        </>
      ),
    },
    {
      id: 'opportunity',
      name: 'Opportunity',
      width: '96px',
      right: true,
      sorts: 'descending',
      hint: 'Weighted geometric mean of volume (logarithm, full at 10,000), ease (1 - difficulty / 100), season (best of the next three months over the mean) and fit (how far its words are of your subject). What a post of yours targets or answers already keeps a part of it. The weights stand in House rules.',
      cell: ({ opportunity }) => figureInWords(opportunity),
    },
    {
      id: 'held',
      name: 'Targeted by',
      width: 'minmax(90px,1.2fr)',
      className: 'truncate text-soft',
      hint: 'The post of yours that has it for its keyword, among its supporting ones, or answers it in its title or a section: by what the words mean.',
      cell: ({ held }) =>
        held && (
          <span title={`${HOLDING[held.how]} "${held.title}"`}>
            {held.how === 'target' ? held.title : `${HOLDING[held.how].toLowerCase()} ${held.title}`}
          </span>
        ),
    },
    {
      id: 'lists',
      name: 'Lists',
      width: 'minmax(80px,1fr)',
      className: 'truncate text-soft',
      cell: ({ keyword }) => listsOf(keyword.phrase).join(', '),
    },
    {
      id: 'why',
      name: 'Why it is here',
      width: 'minmax(110px,1.1fr)',
      className: 'truncate text-soft',
      cell: ({ relation }) => relation?.reason ?? '',
    },
    {
      id: 'source',
      name: 'Figures from',
      width: 'minmax(120px,1fr)',
      sorts: 'descending',
      className: 'truncate text-soft',
      cell: ({ keyword }) => `${keyword.source.name}, ${keyword.source.date}`,
    },
  ];
}
