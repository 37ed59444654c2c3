import { useEffect, useState } from 'react';
import {
  type Difficulty,
  type Holding,
  INTENTS,
  type Intent,
  MONTH_NAMES,
  seasonOf,
} from '../../../core/research/index.ts';
import { monthIn } from '../../../core/site/index.ts';
import { attempt } from '../../state/attempt.ts';
import { Choice } from '../../ui/choice.tsx';
import { counted, countInWords, figureInWords } from '../../ui/figures.ts';
import { INTENT_NAMES } from '../../ui/intent-names.ts';
import { SeasonBars } from '../../ui/season-bars.tsx';
import { WordLink } from '../../ui/word-link.tsx';
import { useZone } from '../../ui/zone.ts';
import type { KeywordDetail } from '../../workers/desk-lines.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** What is known of a phrase; null while it is asked for, or where it is not known. */
export function useDetail(
  siteId: string | undefined,
  phrase: string | null,
  region: string,
  stamp: unknown,
): KeywordDetail | null {
  const [detail, setDetail] = useState<KeywordDetail | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the stamp tells that its figures changed.
  useEffect(() => {
    let late = false;
    if (!siteId || !phrase) setDetail(null);
    else
      attempt(
        researchWorker()
          .then((worker) => worker.detail(siteId, phrase, region))
          .then((found) => !late && setDetail(found)),
      );
    return () => {
      late = true;
    };
  }, [siteId, phrase, region, stamp]);
  return detail;
}

const PART_NAMES = {
  volume: 'Volume',
  ease: 'Ease',
  season: 'Season ahead',
  fit: 'Fit to your subject',
} as const;

/** How a post of the site holds a phrase. */
export const HOLDING: Record<Holding, string> = {
  target: 'Targeted by',
  supporting: 'Supports',
  answers: 'Answered in',
};

/** Whether pages are missing by which a difficulty would be sure. */
const isUncertain = (difficulty: Difficulty | null): difficulty is Difficulty =>
  difficulty !== null && difficulty.give > 0;

/** Everything about one phrase, each figure with how it came about. */
export function KeywordDetailPanel({
  detail,
  onIntent,
}: {
  detail: KeywordDetail;
  onIntent: (row: number, intent: Intent | null) => void;
}) {
  const zone = useZone();
  const { line, difficulty, intent, opportunity } = detail;
  const { keyword } = line;
  const season = seasonOf(keyword.months);
  return (
    <section aria-label={`Figures of ${keyword.phrase}`} className="space-y-4 px-4 py-4 text-[13px]">
      <h2 className="font-serif text-lg leading-tight font-semibold break-words">{keyword.phrase}</h2>
      <p className="text-soft">
        {keyword.region} · {keyword.source.name}, {keyword.source.date}
      </p>
      <div>
        <h3 className="font-semibold">
          {countInWords(keyword.volume)} {keyword.volume === null ? 'searches known' : 'searches a month'}
        </h3>
        <div className="mt-1">
          <SeasonBars months={keyword.months} width={284} height={64} now={monthIn(zone, new Date())} large />
        </div>
        {season && (
          <p className="mt-1 text-soft">
            Season from {MONTH_NAMES[season.from]}, most in {MONTH_NAMES[season.peak]}:{' '}
            {season.height.toFixed(1)} times the mean.
          </p>
        )}
      </div>
      <div>
        <h3 className="font-semibold">
          Difficulty {figureInWords(difficulty?.value ?? null)}
          {isUncertain(difficulty) && `, from ${counted(difficulty.shares.length, 'page')}`}
        </h3>
        {difficulty === null && (
          <p className="text-soft">
            {detail.found === 0
              ? 'Not known: no page is found for it, so nothing tells how hard it is.'
              : 'Not known: its pages were not looked up. Search for it.'}
          </p>
        )}
        {isUncertain(difficulty) && (
          <p className="text-soft">
            Between {figureInWords(Math.max(0, difficulty.value - difficulty.give))} and{' '}
            {figureInWords(Math.min(100, difficulty.value + difficulty.give))}: the ranks without a known page
            count {figureInWords(difficulty.assumed)}, as this market is there on average.
          </p>
        )}
        {difficulty?.from === 'given' && (
          <p className="text-soft">Given by {keyword.source.name}; kept as it was.</p>
        )}
        {difficulty && difficulty.shares.length > 0 && (
          <details>
            <summary className="cursor-pointer text-marram">The first pages and what each adds</summary>
            <ol className="mt-1" aria-label="Shares of the difficulty">
              {difficulty.shares.map(({ rank, page, points }) => (
                <li key={page.address} className="grid grid-cols-[1.4em_1fr_auto] gap-x-2 border-t py-1">
                  <span className="text-soft">{rank}</span>
                  <span className="min-w-0">
                    <span className="block truncate" title={page.title}>
                      {page.title}
                    </span>
                    <span className="block truncate text-soft">
                      {page.publisher} · standing {page.standing} · {Math.round(page.squareness * 100)} % to
                      the point
                    </span>
                  </span>
                  <span className="tabular-nums">{points.toFixed(1)}</span>
                </li>
              ))}
            </ol>
          </details>
        )}
      </div>
      <div>
        <label className="flex items-center gap-2">
          <span className="font-semibold">Intent</span>
          <Choice<Intent | ''>
            value={keyword.setIntent ?? ''}
            onChange={(next) => onIntent(line.row, next === '' ? null : next)}
            className="px-2 py-1"
            options={[
              { value: '', name: `${INTENT_NAMES[intent.intent]} (computed)` },
              ...INTENTS.map((value) => ({ value, name: `${INTENT_NAMES[value]}, by you` })),
            ]}
          />
        </label>
        <p className="mt-1 text-soft">
          {INTENT_NAMES[intent.intent]}: {intent.reasons.join('; ')}.
        </p>
      </div>
      {opportunity && (
        <div>
          <h3 className="font-semibold">Opportunity {figureInWords(opportunity.value)}</h3>
          <dl className="mt-1 grid grid-cols-[1fr_auto] gap-x-3">
            {(Object.keys(PART_NAMES) as (keyof typeof PART_NAMES)[]).map((part) => (
              <div key={part} className="contents">
                <dt className="text-soft">{PART_NAMES[part]}</dt>
                <dd className="text-right tabular-nums">
                  {opportunity.parts[part] === null
                    ? 'not known'
                    : `${Math.round(opportunity.parts[part]! * 100)} %`}
                </dd>
              </div>
            ))}
          </dl>
          <p className="mt-1 text-soft">
            A weighted geometric mean of these; the weights stand in House rules.
          </p>
          {opportunity.held && (
            <p className="mt-1 text-ochre">
              {HOLDING[opportunity.held.how]}{' '}
              <WordLink to={`/posts/${opportunity.held.id}/target`}>
                {opportunity.held.title || 'Untitled'}
              </WordLink>
              , so there is less to win with a second post.
            </p>
          )}
        </div>
      )}
    </section>
  );
}

/** The seed at a glance, above the table. */
export function SeedOverview({
  detail,
  related,
  volume,
}: {
  detail: KeywordDetail;
  related: number;
  volume: number;
}) {
  const zone = useZone();
  const { line, intent } = detail;
  const figures: [string, string][] = [
    ['searches a month', countInWords(line.keyword.volume)],
    ['difficulty', figureInWords(line.difficulty)],
    ['opportunity', figureInWords(line.opportunity)],
    ['intent', INTENT_NAMES[line.keyword.setIntent ?? intent.intent]],
    ['related phrases', countInWords(related)],
    ['searches for all of them', countInWords(volume)],
  ];
  return (
    <section
      aria-label={`Overview of ${line.keyword.phrase}`}
      className="mx-6 flex flex-wrap items-center gap-x-5 gap-y-2 border-y py-2.5"
    >
      {figures.map(([name, value]) => (
        <p key={name} className="leading-tight">
          <span className="block text-[17px] font-semibold tabular-nums">{value}</span>
          <span className="text-[12px] text-soft">{name}</span>
        </p>
      ))}
      <div className="ml-auto">
        <SeasonBars
          months={line.keyword.months}
          width={150}
          height={40}
          now={monthIn(zone, new Date())}
          large
        />
      </div>
    </section>
  );
}
