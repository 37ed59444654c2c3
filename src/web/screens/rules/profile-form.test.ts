import { describe, expect, it } from 'vitest';
import { criteriaMeanings, defaultProfile } from '../../../core/criteria/index.ts';
import { changesBetween, formOf, profileOf } from './profile-form.ts';

const titles = new Map(criteriaMeanings(defaultProfile.limits).map(({ id, title }) => [id, title]));
const form = formOf(defaultProfile);

describe('the fields of a profile', () => {
  it('say the profile that they were filled with', () =>
    expect(profileOf(form, titles)).toEqual({ profile: defaultProfile, problem: null }));
  it('take numbers as people type them', () => {
    const typed = { ...form, weights: { ...form.weights, scannable: ' 1,5 ' } };
    expect(profileOf(typed, titles).profile?.weights.scannable).toBe(1.5);
    expect(changesBetween(typed, form)).toBe(1);
  });
  it('leave a side of a ramp open where it is empty', () => {
    const typed = { ...form, limits: { ...form.limits, internalLinks: ['0', '2', '', ''] } };
    expect(profileOf(typed, titles).profile?.limits.internalLinks).toEqual([0, 2, null, null]);
  });
  it.each<[string, Partial<typeof form.weights>, Partial<typeof form.limits>, RegExp]>([
    ['a weight that is a word', { scannable: 'many' }, {}, /^Lists, tables, quotes: "many" is no number/],
    ['a weight below nothing', { scannable: '-1' }, {}, /"-1" is no number/],
    ['a limit that is missing', {}, { slugWords: [''] }, /^Words of a slug: "" is no number/],
    ['numbers that fall', {}, { readingEase: ['75', '50'] }, /^Reading ease: the numbers must rise/],
    ['a ramp that falls behind a gap', {}, { internalLinks: ['5', '', '2', ''] }, /must rise/],
  ])('name %s', (_what, weights, limits, said) => {
    const typed = { weights: { ...form.weights, ...weights }, limits: { ...form.limits, ...limits } };
    expect(profileOf(typed, titles).problem).toMatch(said);
  });
  it('refuse a profile in which nothing counts', () => {
    const weights = Object.fromEntries(
      Object.keys(form.weights).map((id) => [id, '0']),
    ) as typeof form.weights;
    expect(profileOf({ ...form, weights }, titles).problem).toContain('nothing could be scored');
  });
});
