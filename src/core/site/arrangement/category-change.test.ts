import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Category } from '../../listing/index.ts';
import {
  type CategoryChange,
  categoriesOfPosts,
  categoryNameProblem,
  mergedCategory,
  movedTo,
  nestedCategory,
  refiled,
  removedCategory,
  renamedCategory,
  shiftedCategory,
  withCategory,
} from './category-change.ts';

const category = (name: string, parent = ''): Category => ({
  name,
  slug: name.toLowerCase(),
  description: '',
  parent,
});
const tree = [category('Gear'), category('Packing', 'gear'), category('Routes'), category('Workshop')];
const drawn = (change: CategoryChange) =>
  change.categories.map(({ slug, parent }) => (parent ? `${parent}/${slug}` : slug)).join(' ');

describe('the tree of categories', () => {
  it('takes one in, at its end', () =>
    expect(drawn(withCategory(tree, 'Day Trips'))).toBe('gear gear/packing routes workshop day-trips'));
  it('renames one with those in it following', () => {
    const change = renamedCategory(tree, 'gear', 'Kit');
    expect(drawn(change)).toBe('kit kit/packing routes workshop');
    expect([...change.slugs]).toEqual([['gear', 'kit']]);
  });
  it('puts one in another, and not deeper than one level', () => {
    expect(drawn(nestedCategory(tree, 'routes', 'workshop'))).toBe(
      'gear gear/packing workshop/routes workshop',
    );
    expect(drawn(nestedCategory(tree, 'routes', 'packing'))).toBe('gear gear/packing routes workshop');
    expect(drawn(nestedCategory(tree, 'gear', 'routes'))).toBe('gear gear/packing routes workshop');
    expect(drawn(nestedCategory(tree, 'routes', 'routes'))).toBe('gear gear/packing routes workshop');
  });
  it('moves one among those of its level', () => {
    expect(drawn(shiftedCategory(tree, 'workshop', -1))).toBe('gear gear/packing workshop routes');
    expect(drawn(shiftedCategory(tree, 'gear', -1))).toBe('gear gear/packing routes workshop');
    expect(drawn(shiftedCategory(tree, 'packing', 1))).toBe('gear gear/packing routes workshop');
  });
  it('merges one into another: what stood in it stands where that one is', () => {
    expect(drawn(mergedCategory(tree, 'gear', 'workshop'))).toBe('workshop/packing routes workshop');
    expect(drawn(mergedCategory(tree, 'gear', 'packing'))).toBe('packing routes workshop');
    expect(drawn(mergedCategory(tree, 'routes', 'packing'))).toBe('gear gear/packing workshop');
  });
  it('takes one out: what stood in it stands by itself', () => {
    const change = removedCategory(tree, 'gear');
    expect(drawn(change)).toBe('packing routes workshop');
    expect([...removedCategory(tree, 'packing').slugs]).toEqual([['packing', 'gear']]);
  });
  it('has no two of one name or slug', () => {
    expect(categoryNameProblem(tree, ' gear')).toContain('“Gear”');
    expect(categoryNameProblem(tree, 'GEAR!')).toContain('“Gear”');
    expect(categoryNameProblem(tree, 'Gear', 'gear')).toBe('');
    expect(categoryNameProblem(tree, '—')).toContain('a letter');
  });
  it('begins with the categories that posts are filed under, the fullest first', () => {
    const filings = ['Routes', 'Gear', 'gear ', 'Gear', '', 'toString'].map((name) =>
      movedTo({ category: '', categories: [] }, name),
    );
    expect(categoriesOfPosts(filings).map(({ name }) => name)).toEqual(['Gear', 'Routes', 'toString']);
  });

  it('stays one level deep, with slugs told apart, whatever is done to it', () => {
    const slugs = ['gear', 'packing', 'routes', 'workshop', 'kit', 'constructor'];
    const step = fc.record({
      what: fc.constantFrom('merge', 'nest', 'remove', 'rename', 'add'),
      one: fc.constantFrom(...slugs),
      other: fc.constantFrom(...slugs, ''),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 8 }), (steps) => {
        let now: Category[] = tree;
        for (const { what, one, other } of steps) {
          if (what === 'merge') now = mergedCategory(now, one, other).categories;
          if (what === 'nest') now = nestedCategory(now, one, other).categories;
          if (what === 'remove') now = removedCategory(now, one).categories;
          if (what === 'rename' && categoryNameProblem(now, other, one) === '')
            now = renamedCategory(now, one, other).categories;
          if (what === 'add' && categoryNameProblem(now, one) === '') now = withCategory(now, one).categories;
        }
        const tops = new Set(now.flatMap(({ slug, parent }) => (parent === '' ? [slug] : [])));
        expect(new Set(now.map(({ slug }) => slug)).size).toBe(now.length);
        expect(now.every(({ parent }) => parent === '' || tops.has(parent))).toBe(true);
      }),
    );
  });
});

describe('where a post is filed', () => {
  it('follows a name, whatever its capitals, and is filed nowhere twice', () => {
    const change = mergedCategory(tree, 'packing', 'gear');
    expect(refiled({ category: 'packing', categories: ['Gear', 'Routes'] }, change)).toEqual({
      category: 'Gear',
      categories: ['Routes'],
    });
    expect(refiled({ category: 'Routes', categories: ['Packing', 'Gear', 'a tag'] }, change)).toEqual({
      category: 'Routes',
      categories: ['Gear', 'a tag'],
    });
  });
  it('is the next of its own where the main one is gone', () => {
    const change = removedCategory(tree, 'packing');
    expect(refiled({ category: 'Packing', categories: ['no category', 'Routes'] }, change)).toEqual({
      category: 'Routes',
      categories: ['no category'],
    });
    expect(refiled({ category: 'Packing', categories: [] }, change)).toEqual({
      category: '',
      categories: [],
    });
  });
  it('is left alone by a change of others', () =>
    expect(
      refiled({ category: 'constructor', categories: ['__proto__'] }, removedCategory(tree, 'gear')),
    ).toEqual({
      category: 'constructor',
      categories: ['__proto__'],
    }));
});
