import type { Statement } from '../study/index.ts';
import type { Brief, BriefPart, BriefTerm } from './brief.ts';

export const PART_NAMES: Record<BriefPart, string> = {
  target: 'Keywords',
  reader: 'Reader, goal and voice',
  length: 'Length',
  points: 'Main points',
  topics: 'Topics to cover',
  headings: 'Headings',
  questions: 'Questions to answer',
  terms: 'Terms',
  figures: 'Figures with their sources',
  links: 'Pages to link to',
  avoid: 'What to avoid',
  notes: 'Notes',
};

/** Signs that Markdown would take for its own. */
const plain = (text: string) =>
  text
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/([\\`*_[\]<>#|])/g, '\\$1');

const list = (items: readonly string[]) => items.map((item) => `- ${item}`).join('\n');
const range = ({ from, to }: { from: number; to: number }) => (from === to ? `${from}` : `${from}–${to}`);
const termList = (terms: readonly BriefTerm[]) =>
  terms.map((term) => `${plain(term.form)} (${range(term)})`).join(', ');
const facts = (pairs: readonly [name: string, value: string][]) =>
  list(pairs.filter(([, value]) => value.trim()).map(([name, value]) => `**${name}:** ${plain(value)}`));

/** A statement with the page that says it and the source that the page names. */
const cited = ({ text, publisher, address, source, link, own }: Statement) =>
  `${plain(text)} (${plain(publisher)}, ${address}${
    link
      ? `, after ${link}`
      : source
        ? `, after ${plain(source)}`
        : own
          ? ', its own figure'
          : ', source not named'
  })`;

/** The text of one part; empty: there is nothing to say. */
function partText(brief: Brief, part: BriefPart): string {
  switch (part) {
    case 'target':
      return facts([
        ['Primary keyword', brief.keyword],
        ['Supporting keywords', brief.supporting.join(', ')],
      ]);
    case 'reader':
      return facts([
        ['Goal', brief.goal],
        ['Reader', brief.audience.join(', ')],
        ['Tone', brief.tone],
        ['Style', brief.style],
        ['Language', brief.language],
        ['Next step for the reader', brief.nextStep],
      ]);
    case 'length':
      return `${range(brief.length)} words.`;
    case 'points':
      return list(brief.points.map(plain));
    case 'topics':
      return list(brief.topics.map(plain));
    case 'headings':
      return brief.outline
        .map(
          ({ level, text, note }) =>
            `${'  '.repeat(level - 2)}- H${level} ${plain(text)}${note.trim() ? `: ${plain(note)}` : ''}`,
        )
        .join('\n');
    case 'questions':
      return list(brief.questions.map(plain));
    case 'terms':
      return [
        brief.terms.staple.length ? `**Staple, uses in the text:** ${termList(brief.terms.staple)}` : '',
        brief.terms.supporting.length
          ? `**Supporting, those that fit:** ${termList(brief.terms.supporting)}`
          : '',
        brief.terms.heading.length ? `**In headings:** ${brief.terms.heading.map(plain).join(', ')}` : '',
      ]
        .filter(Boolean)
        .join('\n\n');
    case 'figures':
      return list(brief.figures.map(cited));
    case 'links':
      return list(brief.links.map(({ address, title }) => `${title ? `${plain(title)}: ` : ''}<${address}>`));
    case 'avoid':
      return brief.avoid.trim();
    case 'notes':
      return brief.notes.trim();
  }
}

/** A brief as Markdown: the parts that go in and have something to say, each under its heading. */
export function briefMarkdown(brief: Brief): string {
  const parts = [...brief.parts].flatMap((part) => {
    const text = partText(brief, part);
    return text ? [`## ${PART_NAMES[part]}\n\n${text}`] : [];
  });
  return `# Brief: ${plain(brief.title || brief.keyword || 'Untitled')}\n\n${parts.join('\n\n')}\n`;
}
