import { defaultReuseWishes, type ReuseKind, type ReuseWishes } from '../../../../core/reuse/index.ts';
import { REUSE_NAMES } from '../../../ui/reuse-names.ts';

/** What something is called, and what it is for. */
export const KIND_NAMES: Record<ReuseKind, { name: string; note: string; parts: string }> = {
  thread: { name: REUSE_NAMES.thread, note: 'The post’s points as messages in a row', parts: 'Message' },
  update: { name: REUSE_NAMES.update, note: 'One message that leads to the post', parts: 'Message' },
  'network-post': { name: REUSE_NAMES['network-post'], note: 'For a professional network', parts: 'Post' },
  blurb: { name: REUSE_NAMES.blurb, note: 'A paragraph for a letter', parts: 'Blurb' },
  newsletter: {
    name: REUSE_NAMES.newsletter,
    note: 'A whole letter, over one post or several',
    parts: 'Blurb',
  },
  summary: { name: REUSE_NAMES.summary, note: 'In one, three or five sentences', parts: 'Sentence' },
  takeaways: { name: REUSE_NAMES.takeaways, note: 'One sentence of each section', parts: 'Takeaway' },
  cards: { name: REUSE_NAMES.cards, note: 'A question, and what the post answers', parts: 'Card' },
  faq: { name: REUSE_NAMES.faq, note: 'Questions with structured data', parts: 'Answer' },
  teaser: { name: REUSE_NAMES.teaser, note: 'For below a video', parts: 'Line' },
  script: { name: REUSE_NAMES.script, note: 'To speak from, with times', parts: 'Section' },
  picture: { name: REUSE_NAMES.picture, note: 'For shares, in the colours of the house', parts: 'Sentence' },
};

/** Kinds in the groups in which they are offered. */
export const KIND_GROUPS: readonly (readonly [group: string, kinds: readonly ReuseKind[]])[] = [
  ['For networks', ['thread', 'update', 'network-post']],
  ['For letters', ['blurb', 'newsletter']],
  ['For readers in a hurry', ['summary', 'takeaways', 'cards', 'faq']],
  ['To be spoken', ['teaser', 'script']],
  ['To be seen', ['picture']],
];

/** The wishes that something begins with. */
export const firstWishes = (kind: ReuseKind): ReuseWishes => ({
  ...defaultReuseWishes(),
  ...(kind === 'network-post' ? { most: 3000, link: null } : {}),
  ...(kind === 'summary' ? { parts: 3 } : {}),
});
