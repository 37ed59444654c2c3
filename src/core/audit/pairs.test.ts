import { describe, expect, it } from 'vitest';
import { readHtml } from '../draft/index.ts';
import { comparablePath } from '../listing/index.ts';
import { translatedPost, translationGround, unknownSite } from '../site/index.ts';
import { auditedPairs, readAuditFile, writeAuditFile } from './index.ts';

const SITE = { ...unknownSite(), baseAddress: 'https://sound.example', language: '' };

/** A page as it stands on the web: its language, where it stands, and the pages that its head names. */
function page(path: string, lang: string, alternates: [string, string][], more = '') {
  const links = alternates.map(
    ([language, address]) => `<link rel="alternate" hreflang="${language}" href="${address}">`,
  );
  const { fields } = readHtml(
    `<html${lang && ` lang="${lang}"`}><head><title>${path}</title>${links.join('')}${more}</head><body><p>Text.</p></body></html>`,
  );
  return { ...translatedPost(path, fields, SITE, () => true), title: path, path, address: path };
}
const faults = (...pages: ReturnType<typeof page>[]) =>
  auditedPairs(pages, translationGround(SITE, [])).map(({ path, fault }) => `${path}: ${fault}`);
const at = (path: string) => `https://sound.example${path}`;

describe('pages of a site in several languages', () => {
  it('that name themselves and each other, by whole addresses, fit', () => {
    const all: [string, string][] = [
      ['en-GB', at('/tides')],
      ['de', at('/gezeiten')],
      ['x-default', at('/tides')],
    ];
    expect(faults(page('/tides', 'en', all), page('/gezeiten', 'de', all))).toEqual([]);
  });
  it('that declare no language are in the one by which they name themselves', () =>
    expect(
      faults(
        page('/tides', '', [
          ['en', '/tides'],
          ['de', '/gezeiten'],
        ]),
        page('/gezeiten', '', [['de', '/gezeiten']]),
      ),
    ).toEqual(['/gezeiten: “/tides” names it as the same in another language, and is not named back.']));
  it('are told of where one is named in a wrong language, leads nowhere, or is kept from search', () =>
    expect(
      faults(
        page('/tides', 'en', [
          ['fr', at('/gezeiten')],
          ['nl', at('/getijden')],
        ]),
        page('/gezeiten', 'de', [['en', at('/tides')]], '<meta name="robots" content="noindex">'),
      ),
    ).toEqual([
      '/tides: It and “/gezeiten” name each other, and search is asked to pass over one of them.',
      '/tides: It names “/gezeiten” as French, which is in German.',
      '/tides: “nl https://sound.example/getijden” leads to no other post of the site.',
      '/gezeiten: It and “/tides” name each other, and search is asked to pass over one of them.',
    ]));
  it('named by hostile words break nothing', () =>
    expect(
      faults(
        page('/constructor', '__proto__', [
          ['constructor', '/toString'],
          ['de', 'javascript:alert(1)'],
        ]),
        page('/toString', 'constructor', []),
      ),
    ).toEqual([]));
  it('come along in the file of an audit', () => {
    const pairs = auditedPairs([page('/tides', 'en', [['de', '/weg']])], {
      pathOf: comparablePath,
      movedTo: () => null,
    });
    const audit = {
      day: '2026-11-16',
      at: '2026-11-16T10:00:00Z',
      core: 1,
      rules: '',
      hasFigures: false,
      posts: [],
      pages: [],
      pairs,
    };
    expect(readAuditFile(writeAuditFile(audit)).audit?.pairs).toEqual(pairs);
    // Files of before name none.
    const { pairs: _pairs, ...older } = audit;
    expect(readAuditFile(writeAuditFile(older)).problem).toBeNull();
  });
});
