import type { ChangeEffect, EffectFigure, NoWindows, Window } from '../../../../core/performance/index.ts';
import { isClear } from '../../../../core/performance/index.ts';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { daysInWords } from '../../../ui/day.ts';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { counted, countInWords } from '../../../ui/figures.ts';
import { ControlFigure, SeasonFigure } from './effect-parts.tsx';
import {
  changeInWords,
  day,
  effectInWords,
  hasWindows,
  moreOrLess,
  noWindowsInWords,
  ranksInWords,
  searchedInWords,
} from './performance-words.ts';

/** Left and right end of the drawing, as ratios. */
const [LEAST, MOST] = [1 / 8, 8];
const [WIDTH, HEIGHT] = [180, 26];

const across = (ratio: number): number => {
  const share = Math.log(Math.min(MOST, Math.max(LEAST, ratio)) / LEAST) / Math.log(MOST / LEAST);
  return 6 + share * (WIDTH - 12);
};

/** An effect with its interval on a line, no change in the middle. */
function EffectLine({ ratio, low, high }: { ratio: number; low: number; high: number }) {
  return (
    <svg
      role="img"
      aria-label={`${moreOrLess(ratio)}, between ${moreOrLess(low)} and ${moreOrLess(high)}`}
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
    >
      <line
        x1={across(1)}
        x2={across(1)}
        y1="2"
        y2={HEIGHT - 2}
        className="stroke-soft"
        strokeDasharray="2 2"
      />
      <rect
        x={across(low)}
        y={HEIGHT / 2 - 3}
        width={Math.max(2, across(high) - across(low))}
        height="6"
        rx="3"
        className="fill-sand"
      />
      <circle cx={across(ratio)} cy={HEIGHT / 2} r="4.5" className="fill-marram" />
    </svg>
  );
}

/** A change of a page with what came of it, and what that was computed from. */
export function EffectCard({
  effect,
  siteId,
  path,
}: {
  effect: ChangeEffect | NoWindows;
  siteId: string;
  path: string;
}) {
  const { change } = effect;
  return (
    <div>
      <p>
        <span className="font-semibold">{day(change.day)}</span>: {changeInWords(change)}
      </p>
      <ul className="text-[13px] text-soft">
        {change.parts
          .filter(({ words }) => words !== '')
          .map(({ kind, words }) => (
            <li key={kind} className="break-words">
              {words}
            </li>
          ))}
      </ul>
      {hasWindows(effect) ? (
        <Computed effect={effect} siteId={siteId} path={path} />
      ) : (
        <p className="mt-1">{noWindowsInWords(effect)}</p>
      )}
    </div>
  );
}

function Computed({ effect, siteId, path }: { effect: ChangeEffect; siteId: string; path: string }) {
  const { clicks, impressions, position, before, after, was, is, demand, clicksWon } = effect;
  const rows = (window: Window) => figureRows(siteId, path, [window]);
  const heldAgainst = (of: EffectFigure) => {
    const told = effect[of];
    return told.kind === 'effect' ? (
      <ControlFigure siteId={siteId} path={path} effect={effect} of={of}>
        {counted(told.controls, 'other page')}
      </ControlFigure>
    ) : null;
  };
  return (
    <>
      <div className="mt-1 flex flex-wrap items-center gap-x-4">
        {clicks.kind === 'effect' && <EffectLine {...clicks} />}
        <p className={clicks.kind === 'effect' && isClear(clicks) ? 'font-semibold' : ''}>
          {effectInWords(clicks, 'clicks')}
        </p>
      </div>
      {clicks.kind === 'effect' && isClear(clicks) && clicksWon !== null && (
        <p>
          That is about{' '}
          <FigureRows
            source={rows(after)}
            title="Clicks owed to the change"
            way={`The clicks of these rows, less those that it would have had without the change: the same over ${clicks.ratio.toFixed(2)}.`}
          >
            {counted(Math.round(Math.abs(clicksWon)), 'click')}
          </FigureRows>{' '}
          {clicksWon > 0 ? 'more' : 'fewer'} in {counted(after.days, 'day')}.
        </p>
      )}
      <p className="text-[13px]">
        {effectInWords(impressions, 'impressions')} {heldAgainst('impressions')}
      </p>
      <p className="text-[13px]">
        {ranksInWords(position)} {heldAgainst('position')}
      </p>
      <p className="mt-1 text-[13px] text-soft">
        {daysInWords(before.from, before.to)}:{' '}
        <FigureRows source={rows(before)} title="Clicks before the change" way={WAYS.clicks}>
          {countInWords(was.clicks)}
        </FigureRows>{' '}
        clicks; {daysInWords(after.from, after.to)}:{' '}
        <FigureRows source={rows(after)} title="Clicks after the change" way={WAYS.clicks}>
          {countInWords(is.clicks)}
        </FigureRows>{' '}
        clicks.{' '}
        {demand === null ? (
          'No season of its queries is known.'
        ) : (
          <>
            By their season its queries are searched{' '}
            <SeasonFigure siteId={siteId} path={path} change={effect.change}>
              {searchedInWords(demand)}
            </SeasonFigure>
            .
          </>
        )}{' '}
        {clicks.kind === 'effect' && (
          <>
            {heldAgainst('clicks')} without a change went {moreOrLess(clicks.others)} meanwhile, season taken
            out.
          </>
        )}
      </p>
    </>
  );
}
