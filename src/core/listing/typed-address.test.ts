import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typedAddress } from './index.ts';

describe('an address that was typed', () => {
  it.each([
    ['https://a.example/x?y=1#z', 'https://a.example/x?y=1#z'],
    [' http://a.example ', 'http://a.example'],
    ['mailto:ines@saltmarsh.example', 'mailto:ines@saltmarsh.example'],
    ['/rent', '/rent'],
    ['/', '/'],
    ['#kit', '#kit'],
    ['saltmarsh.example', 'https://saltmarsh.example'],
    ['www.saltmarsh.example/rent?day=1', 'https://www.saltmarsh.example/rent?day=1'],
    ['saltmarsh.example:8080/rent', 'https://saltmarsh.example:8080/rent'],
    ['bücher.example', 'https://bücher.example'],
  ])('%s is one', (typed, address) => expect(typedAddress(typed)).toBe(address));
  it.each([
    'tide tables',
    'tide',
    'e.g. this',
    'e.g.',
    '',
    '#',
    'a. b',
    'v1.2',
    'keyword:',
    'constructor',
    '__proto__',
    'tel',
    'www.a.example and more',
  ])('"%s" is none', (typed) => expect(typedAddress(typed)).toBeNull());
  it.each([
    'javascript:alert(1)',
    'JaVaScRiPt:alert(1)',
    'data:text/html,x',
    'vbscript:x',
    'file:///etc/hosts',
  ])('%s may not be linked to', (typed) => expect(typedAddress(typed)).toBeNull());
  it('never runs anything, whatever is typed', () =>
    fc.assert(
      fc.property(fc.string(), (typed) => {
        const address = typedAddress(`javascript:${typed}`);
        expect(address).toBeNull();
        expect(typedAddress(typed) ?? '').not.toMatch(/^\s*(?:javascript|vbscript|data):/i);
      }),
    ));
});
