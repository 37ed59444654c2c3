/** What the things are called that a post can be made into. */
export const REUSE_NAMES = {
  thread: 'Thread',
  update: 'Short update',
  'network-post': 'Longer post',
  blurb: 'Newsletter blurb',
  newsletter: 'Newsletter',
  summary: 'Summary',
  takeaways: 'Takeaways',
  cards: 'Question cards',
  faq: 'FAQ',
  teaser: 'Teaser line',
  script: 'Talk script',
  picture: 'Picture with a sentence',
} as const;
