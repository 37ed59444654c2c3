import type { Block, Draft } from './draft.ts';

/** Whether a heading opens questions with their answers. */
export const isFaqHeading = (heading: string): boolean =>
  /^(?:faq|frequently asked questions|questions (?:and answers|readers ask))\W*$/i.test(heading.trim());

/** A question with what is written below it. */
export interface FaqEntry {
  question: string;
  answer: string;
}

const isHeading = (block: Block) => block.kind === 'heading' && block.path.length === 0;

/** Questions with answers below a heading that opens them; a question without an answer is not among them. */
export function faqEntries({ blocks }: Draft): FaqEntry[] {
  const entries: FaqEntry[] = [];
  let level = 0;
  let open: FaqEntry | null = null;
  for (const block of blocks) {
    if (isHeading(block)) {
      const own = block.level ?? 2;
      if (isFaqHeading(block.text)) {
        level = own;
        open = null;
      } else if (level > 0 && own <= level) {
        level = 0;
        open = null;
      } else if (level > 0) {
        open = { question: block.text.replace(/\s+/g, ' ').trim(), answer: '' };
        entries.push(open);
      }
    } else if (open && block.kind === 'paragraph' && block.text.trim())
      open.answer = [open.answer, block.text.replace(/\s+/g, ' ').trim()].filter(Boolean).join(' ');
  }
  return entries.filter(({ question, answer }) => question && answer);
}

/** Structured data of questions and answers (schema.org FAQPage), fit to stand in a script element. */
export const faqData = (entries: readonly FaqEntry[]): string =>
  JSON.stringify({
    '@context': 'https://schema.org',
    '@type': 'FAQPage',
    mainEntity: entries.map(({ question, answer }) => ({
      '@type': 'Question',
      name: question,
      acceptedAnswer: { '@type': 'Answer', text: answer },
    })),
    // No text may end the element it stands in.
  }).replaceAll('<', '\\u003c');
