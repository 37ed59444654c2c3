import { describe, expect, it } from 'vitest';
import type { GroupResult } from '../core/criteria/index.ts';
import { ridgeText } from './formats/text.ts';
import { readOptions, type ScoreOptions, UsageError } from './options.ts';

const score = (...args: string[]) => readOptions(['score', ...args]) as ScoreOptions;

describe('options', () => {
  it('nothing at all, --help and -h ask for help', () => {
    expect([readOptions([]), readOptions(['--help']), readOptions(['score', 'x', '-h'])]).toEqual([
      'help',
      'help',
      'help',
    ]);
  });
  it('--version wins over files', () => expect(readOptions(['--version'])).toBe('version'));
  it('are read in any order, with = or a space', () => {
    expect(
      score(
        'a.md',
        '--keyword=bike tour',
        'b.md',
        '--supporting',
        'a, b ,,c',
        '--min',
        '70',
        '--json',
        '--site',
        'https://blog.example',
      ),
    ).toEqual({
      paths: ['a.md', 'b.md'],
      keyword: 'bike tour',
      supporting: ['a', 'b', 'c'],
      site: 'https://blog.example',
      titlePattern: null,
      profile: null,
      study: null,
      min: 70,
      format: 'json',
    });
  });
  it('a file after -- may look like an option', () =>
    expect(score('--', '--odd.md').paths).toEqual(['--odd.md']));
  it.each([
    [['score', 'a', '--suporting', 'x'], '--supporting'],
    [['score', 'a', '--titel-pattern', 'x'], '--title-pattern'],
    [['score', 'a', '--jason'], '--json'],
    [['score', 'a', '-x'], 'no option -x'],
    [['score', 'a', '--json=yes'], 'takes no value'],
    [['score', 'a', '--format', 'xml'], 'text, json, junit, sarif or markdown'],
    [['score', 'a', '--json', '--format', 'sarif'], 'two different things'],
    [['score', 'a', '--min', '101'], '0 to 100'],
    [['score', 'a', '--min', '-3'], '--min'],
    [['score', 'a', '--site', 'not an address'], '--site'],
    [['score', 'a', '--keyword', '--json'], 'needs a value'],
    [['look'], 'no command "look"'],
    [['--json'], 'Say what to do'],
  ])('%j is refused and says why', (args, reason) => {
    expect(() => readOptions(args)).toThrow(UsageError);
    expect(() => readOptions(args)).toThrow(reason);
  });
});

describe('the ridge in characters', () => {
  const group = (id: string, points: number, available: number): GroupResult => ({
    id: id as GroupResult['id'],
    points,
    available,
  });
  it('names each group that applies, in order', () => {
    const names = ridgeText([group('listing', 5, 20), group('coverage', 0, 0), group('links', 10, 10)])
      .split('\n')
      .at(-1)!;
    expect(names.split(/\s+/)).toEqual(['listing', 'links']);
  });
  it('fills a hump as far as it is earned', () => {
    const filled = (share: number) =>
      (ridgeText([group('listing', share * 20, 20)]).match(/█/g) ?? []).length;
    const counts = [0, 0.3, 0.6, 1].map(filled);
    expect(counts[0]).toBe(0);
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    expect(ridgeText([group('listing', 20, 20)])).not.toContain('░');
  });
  it('is as wide as its points', () => {
    const width = (available: number) =>
      Math.max(
        ...ridgeText([group('media', available, available)])
          .split('\n')
          .map((line) => line.length),
      );
    expect(width(40)).toBeGreaterThan(width(20));
  });
});
