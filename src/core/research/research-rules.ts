/** How much each part of an opportunity weighs; they need not add up to anything. */
export interface OpportunityWeights {
  volume: number;
  ease: number;
  season: number;
  fit: number;
}

export const defaultOpportunityWeights: OpportunityWeights = { volume: 3, ease: 4, season: 1, fit: 2 };

/** What a house decides about research. */
export interface ResearchRules {
  weights: OpportunityWeights;
  /** Share of those who see a result at ranks 1-20 and open it, 0-1. */
  clickCurve: number[];
  /** The rank that an improved page is thought to reach. */
  targetRank: number;
}

/**
 * Shares of clicks by rank, as a start: they fall roughly with the power of the rank on the first page and flatten
 * beyond it. A house that has figures of its own puts them in their place.
 */
const START_CURVE = [
  0.28, 0.15, 0.1, 0.072, 0.053, 0.041, 0.032, 0.026, 0.022, 0.019, 0.012, 0.01, 0.009, 0.008, 0.007, 0.006,
  0.006, 0.005, 0.005, 0.004,
];

export const defaultResearchRules = (): ResearchRules => ({
  weights: { ...defaultOpportunityWeights },
  clickCurve: [...START_CURVE],
  targetRank: 3,
});
