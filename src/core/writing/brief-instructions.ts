import type { Statement } from '../study/index.ts';
import type { Brief, BriefTerm } from './brief.ts';

const list = (items: readonly string[]) =>
  items.map((item) => `- ${item.replace(/\s+/g, ' ').trim()}`).join('\n');
const range = ({ from, to }: { from: number; to: number }) => (from === to ? `${from}` : `${from} to ${to}`);
const terms = (items: readonly BriefTerm[]) =>
  list(items.map((term) => `${term.form}: ${range(term)} times`));
const cited = ({ text, publisher, address, source, link, own }: Statement) =>
  `${text} Said by ${publisher}, ${address}${link ? `; it links to ${link}` : source ? `; it names ${source}` : own ? ', as its own figure' : '; it names no source, so look for one or leave the figure out'}.`;

/**
 * A brief as plain text for whoever or whatever writes the post elsewhere: what it is for, what must stand in it, and
 * what may not. Parts that do not go in, and those with nothing to say, are not mentioned.
 */
export function briefInstructions(brief: Brief): string {
  const has = (part: Parameters<typeof brief.parts.has>[0]) => brief.parts.has(part);
  const paragraphs: string[] = [];
  const say = (wanted: boolean, text: string) => {
    if (wanted) paragraphs.push(text);
  };
  const { title, keyword, supporting, audience, goal, tone, style, language, nextStep } = brief;
  say(
    true,
    `Write a blog post${title ? ` with the title "${title}"` : ''}${language ? `, in ${language}` : ''}.`,
  );
  say(
    has('target') && keyword !== '',
    `It is to be found for "${keyword}": use the phrase in the title, in the first hundred words, in a heading or two and where it reads naturally, not more.${
      supporting.length
        ? ` Use each of these once at least: ${supporting.map((phrase) => `"${phrase}"`).join(', ')}.`
        : ''
    }`,
  );
  if (has('reader')) {
    say(audience.length > 0, `The reader: ${audience.join(', ')}.`);
    say(goal !== '', `What the post is for: ${goal}.`);
    say(tone !== '' || style !== '', `Voice: ${[tone, style].filter(Boolean).join(', ')}.`);
    say(nextStep !== '', `At the end the reader should: ${nextStep}.`);
  }
  say(has('length'), `Length: ${range(brief.length)} words.`);
  say(has('points') && brief.points.length > 0, `These points must not be missing:\n${list(brief.points)}`);
  say(
    has('headings') && brief.outline.length > 0,
    `Use these headings, in this order (a note after a colon says what belongs below it):\n${brief.outline
      .map(
        ({ level, text, note }) =>
          `${'  '.repeat(level - 2)}${'#'.repeat(level)} ${text}${note.trim() ? `: ${note.replace(/\s+/g, ' ').trim()}` : ''}`,
      )
      .join('\n')}`,
  );
  say(
    has('topics') && brief.topics.length > 0,
    `Cover these topics, each in a section of its own:\n${list(brief.topics)}`,
  );
  say(has('questions') && brief.questions.length > 0, `Answer these questions:\n${list(brief.questions)}`);
  if (has('terms')) {
    say(
      brief.terms.staple.length > 0,
      `Words that belong to the subject, with how often they stand in such a text:\n${terms(brief.terms.staple)}`,
    );
    say(
      brief.terms.supporting.length > 0,
      `Use most of these where they fit what you say:\n${terms(brief.terms.supporting)}`,
    );
  }
  say(
    has('figures') && brief.figures.length > 0,
    `These figures may be used, with their sources:\n${list(brief.figures.map(cited))}`,
  );
  say(
    has('links') && brief.links.length > 0,
    `Link to these pages, with words that say where they lead:\n${list(brief.links.map(({ address, title }) => (title ? `${title}: ${address}` : address)))}`,
  );
  say(
    has('avoid'),
    `Avoid: figures and names without a source, statements that nobody could check, repeated sentences, and words that only fill.${
      brief.avoid.trim() ? ` ${brief.avoid.trim()}` : ''
    }`,
  );
  say(has('notes') && brief.notes.trim() !== '', brief.notes.trim());
  say(true, 'Answer with the text alone, as Markdown, headings from level 2 on.');
  return `${paragraphs.join('\n\n')}\n`;
}
