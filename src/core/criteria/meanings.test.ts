import { describe, expect, it } from 'vitest';
import { CRITERION_IDS, criteriaMeanings, defaultProfile, LIMIT_MEANINGS } from './index.ts';

describe('what a profile holds, in words', () => {
  it('every limit has one meaning, of the shape that it has', () => {
    expect(LIMIT_MEANINGS.map(({ name }) => name).sort()).toEqual(Object.keys(defaultProfile.limits).sort());
    for (const { name, shape } of LIMIT_MEANINGS) {
      const value = defaultProfile.limits[name];
      const numbers = Array.isArray(value) ? value.length : 1;
      expect([name, numbers]).toEqual([name, shape === 'number' ? 1 : shape === 'ramp' ? 4 : 2]);
    }
  });
  it('every criterion says what earns its points, under the limits given', () => {
    const meanings = criteriaMeanings({ ...defaultProfile.limits, paragraphWords: 77 });
    expect(meanings.map(({ id }) => id).sort()).toEqual([...CRITERION_IDS].sort());
    expect(meanings.filter(({ target }) => target.trim() === '')).toEqual([]);
    expect(meanings.find(({ id }) => id === 'paragraph-length')?.target).toContain('77 words');
  });
});
