/** The ways out of a post as a file. */
export const EXPORTS = ['md', 'docx', 'html', 'score'] as const;
export type Export = (typeof EXPORTS)[number];

export const EXPORT_NAMES: Record<Export, string> = {
  md: 'Markdown',
  docx: '.docx',
  html: 'HTML',
  // Not "report": that is the page for paper.
  score: 'score and notes (JSON)',
};
