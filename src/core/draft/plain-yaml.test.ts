import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parse } from 'yaml';
import { plainYaml } from './plain-yaml.ts';

const asYaml = (text: string): unknown => {
  const read: unknown = parse(text, { schema: 'core', mapAsMap: true, logLevel: 'silent' });
  return read;
};

describe('front matter of plain lines', () => {
  it.each([
    'title: Low water',
    'title: Low water, and why\nslug: low-water\ndate: 2026-05-01T08:00:00Z',
    'tags: [tides, low water]',
    'constructor: toString',
    "title: The rider's hour (in May)",
    'day: 2026-05-01',
  ])('is read as YAML reads it: %j', (text) => expect(plainYaml(text)).toEqual(asYaml(text)));
  it.each([
    '',
    'title: "Low water"',
    'title: yes',
    'title: null',
    'weight: 7',
    'title: Low: water',
    'title: Low # water',
    'a: 1\n b: 2',
    'title: Low\ntitle: High',
    'tags: [a, true]',
    'tags:\n- a',
    'title: Low  ',
    '? a',
    'title: *anchor',
  ])('is left to YAML where it is anything else: %j', (text) => expect(plainYaml(text)).toBeNull());
  it('whatever stands in it, reads as YAML reads it, or not at all', () => {
    const bit = fc.constantFrom(
      ...[
        'title',
        'tags',
        ': ',
        ':',
        ' ',
        '\n',
        '- ',
        '[',
        ']',
        ', ',
        ',',
        '#',
        "'",
        '"',
        '&',
        '*',
        '!',
        '|',
        '>',
      ],
      ...[
        'true',
        'Null',
        '~',
        '1',
        '0x1',
        '1e3',
        '.inf',
        '2026-05-01',
        'T08:00',
        'Z',
        'low water',
        'é',
        '%',
        '@',
        '...',
        '---',
        '(',
        ')',
      ],
    );
    fc.assert(
      fc.property(
        fc.array(bit, { maxLength: 12 }).map((bits) => bits.join('')),
        (text) => {
          const plain = plainYaml(text);
          if (plain) expect(plain).toEqual(asYaml(text));
        },
      ),
      { numRuns: 20_000 },
    );
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{1,4}: [\w ./,'()-]{1,20}$/), (text) => {
        const plain = plainYaml(text);
        if (plain) expect(plain).toEqual(asYaml(text));
      }),
      { numRuns: 5000 },
    );
  });
});
