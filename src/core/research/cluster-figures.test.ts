import { describe, expect, it } from 'vitest';
import { clusterFigures } from './index.ts';

describe('the figures of a cluster', () => {
  it('are its best opportunity and its mean difficulty', () =>
    expect(
      clusterFigures([
        { opportunity: 40, difficulty: 10 },
        { opportunity: 80, difficulty: 50 },
        { opportunity: 62, difficulty: 30 },
      ]),
    ).toEqual({ opportunity: 80, difficulty: 30 }));
  it('leave out what is not known, which is not nothing', () =>
    expect(
      clusterFigures([
        { opportunity: null, difficulty: 20 },
        { opportunity: 0, difficulty: null },
        { opportunity: null, difficulty: 0 },
      ]),
    ).toEqual({ opportunity: 0, difficulty: 10 }));
  it('are not known where none of its phrases has them', () => {
    expect(clusterFigures([{ opportunity: null, difficulty: null }])).toEqual({
      opportunity: null,
      difficulty: null,
    });
    expect(clusterFigures([])).toEqual({ opportunity: null, difficulty: null });
  });
  it('hold for clusters of any size', () => {
    const many = Array.from({ length: 300_000 }, (_, at) => ({ opportunity: at % 100, difficulty: 50 }));
    expect(clusterFigures(many)).toEqual({ opportunity: 99, difficulty: 50 });
  });
});
