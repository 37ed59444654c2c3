import { describe, expect, it } from 'vitest';
import { emptyFields, faqEntries, isFaqHeading, readMarkdown, writeHtmlPage } from './index.ts';

const draft = readMarkdown(
  '## Size\n\nText.\n\n## Frequently asked questions\n\n### How long?\n\nTen years.\n\nOr more.\n\n### And then?\n\n### Is \\</script> fine?\n\nYes.\n\n## Last\n\n### No question\n\nText.',
).draft;

describe('questions at the end', () => {
  it.each([
    ['FAQ', true],
    ['Frequently asked questions', true],
    ['Questions and answers:', true],
    ['Questions of size', false],
  ])('"%s" opens them: %s', (heading, opens) => expect(isFaqHeading(heading)).toBe(opens));
  it('are those with an answer, up to the next heading that is no deeper', () =>
    expect(faqEntries(draft)).toEqual([
      { question: 'How long?', answer: 'Ten years. Or more.' },
      { question: 'Is </script> fine?', answer: 'Yes.' },
    ]));
  it('are stated as structured data on export, in a way that no text can end', () => {
    const html = writeHtmlPage({ fields: emptyFields(), draft }, '');
    const [, json] = /<script type="application\/ld\+json">(.*?)<\/script>/.exec(html)!;
    expect(JSON.parse(json)).toMatchObject({
      '@type': 'FAQPage',
      mainEntity: [{ name: 'How long?' }, { name: 'Is </script> fine?', acceptedAnswer: { text: 'Yes.' } }],
    });
    expect(writeHtmlPage({ fields: emptyFields(), draft: readMarkdown('Text.').draft }, '')).not.toContain(
      '<script',
    );
  });
});
