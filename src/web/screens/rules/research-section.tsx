import { useState } from 'react';
import {
  defaultResearchRules,
  type OpportunityWeights,
  type ResearchRules,
} from '../../../core/research/index.ts';
import { researchRulesOf } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeHouse } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/field.tsx';

const WEIGHTS: { key: keyof OpportunityWeights; name: string; note: string }[] = [
  { key: 'volume', name: 'Volume', note: 'How many search for it.' },
  { key: 'ease', name: 'Ease', note: 'How far below 100 its difficulty is.' },
  { key: 'season', name: 'Season ahead', note: 'The best of the next three months.' },
  { key: 'fit', name: 'Fit', note: 'How many of its words your site uses.' },
];

/** Reads `28, 15, 10...` as shares of clicks by rank; a sentence where they cannot be. */
function curveOf(text: string): number[] | string {
  const values = text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace('%', '')));
  if (values.length !== 20) return `There are ${values.length} figures; write 20, one for each rank.`;
  const wrong = values.findIndex((value) => !(value >= 0 && value <= 100));
  if (wrong >= 0) return `The figure for rank ${wrong + 1} is no per cent from 0 to 100.`;
  return values.map((value) => value / 100);
}

/** Weights of the opportunity, and how many click at each rank. */
export function ResearchSection({ site }: { site: SiteRow }) {
  const rules = researchRulesOf(site.house);
  const [problem, setProblem] = useState('');
  const set = (change: (rules: ResearchRules) => ResearchRules | undefined) =>
    attempt(changeHouse(site.id, (house) => ({ ...house, research: change(researchRulesOf(house)) })));
  const weigh = (key: keyof OpportunityWeights, typed: string) => {
    const value = Number(typed.replace(',', '.'));
    if (typed.trim() === '' || !(value >= 0 && value <= 100)) {
      setProblem(`"${typed}" is no weight; write a number from 0 to 100.`);
      return;
    }
    setProblem('');
    set((before) => ({ ...before, weights: { ...before.weights, [key]: value } }));
  };
  return (
    <section aria-label="Research" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Research</h2>
      <p className="mb-4 text-soft">
        The opportunity of a phrase is the weighted geometric mean of four parts. A weight of 0 leaves a part
        out; what is not known is left out by itself.
      </p>
      <div className="mb-4 grid grid-cols-4 gap-4 max-[760px]:grid-cols-2">
        {WEIGHTS.map(({ key, name, note }) => (
          <TextField
            stored
            key={key}
            label={`Weight of ${name.toLowerCase()}`}
            value={String(rules.weights[key])}
            onChange={(typed) => weigh(key, typed)}
            note={note}
          />
        ))}
      </div>
      <TextField
        stored
        label="Clicks by rank, in per cent"
        value={rules.clickCurve.map((share) => Number((share * 100).toFixed(2))).join(', ')}
        onChange={(typed) => {
          const curve = curveOf(typed);
          setProblem(typeof curve === 'string' ? curve : '');
          if (typeof curve !== 'string') set((before) => ({ ...before, clickCurve: curve }));
        }}
        note="Of a hundred who see a result at ranks 1 to 20, so many open it. Put figures of your own site here when you have them."
      />
      <div className="mt-4 max-w-48">
        <TextField
          stored
          label="Rank to aim at"
          value={String(rules.targetRank)}
          onChange={(typed) => {
            const rank = Number(typed);
            const fine = Number.isInteger(rank) && rank >= 1 && rank <= 10;
            setProblem(fine ? '' : `"${typed}" is no rank from 1 to 10.`);
            if (fine) set((before) => ({ ...before, targetRank: rank }));
          }}
          note="Near wins count the clicks there."
        />
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-rust">
          {problem}
        </p>
      )}
      {JSON.stringify(rules) !== JSON.stringify(defaultResearchRules()) && (
        <Button className="mt-3" onClick={() => set(() => undefined)}>
          As they come
        </Button>
      )}
    </section>
  );
}
