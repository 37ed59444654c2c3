import type { Schema } from 'hast-util-sanitize';
import { defaultSchema } from 'rehype-sanitize';

const embeddable = ['iframe', 'video', 'audio', 'source', 'track'];

/** Class of the fold that holds the whole transcript of a talk: it goes with a post, and counts nowhere. */
export const TRANSCRIPT_FOLD = 'transcript';

/** What kept markup may hold: structure, text, embeds over http; nothing that runs. */
export const keptSchema: Schema = {
  ...defaultSchema,
  tagNames: [
    ...(defaultSchema.tagNames ?? []),
    ...embeddable,
    'figure',
    'figcaption',
    'mark',
    'abbr',
    'cite',
    'time',
    'caption',
    'col',
    'colgroup',
  ],
  attributes: {
    ...defaultSchema.attributes,
    // A named frame could be written to by any page that is opened from it.
    '*': (defaultSchema.attributes?.['*'] ?? []).filter((name) => name !== 'name'),
    a: [...(defaultSchema.attributes?.['a'] ?? []), 'name'],
    iframe: ['src', 'title', 'width', 'height', 'allowFullScreen', 'loading'],
    video: ['src', 'poster', 'width', 'height', 'controls'],
    audio: ['src', 'controls'],
    source: ['src', 'type'],
    track: ['src', 'kind', 'srcLang', 'label'],
    time: ['dateTime'],
    abbr: ['title'],
    // The fold of a talk's transcript is known by it.
    details: [['className', TRANSCRIPT_FOLD]],
  },
  protocols: { ...defaultSchema.protocols, src: ['http', 'https'], poster: ['http', 'https'] },
  clobberPrefix: '',
  clobber: [],
};

/** Schemes of links that a draft may carry; anything else (scripts, data) is dropped at the door. */
const LINK_SCHEMES = /^(?:https?|mailto|tel|sms|ftps?|sftp|news|nntp|ircs?|xmpp|geo|magnet):/i;

/** The address of a link as it may be kept, or null where it could run something. */
export function safeHref(href: string): string | null {
  // Control characters and spaces inside a scheme are ignored by browsers, so they are here.
  // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters in question
  const bare = href.replace(/[\u0000-\u0020\u007f-\u009f]/g, '');
  if (!/^[a-z][a-z0-9+.-]*:/i.test(bare)) return href;
  return LINK_SCHEMES.test(bare) ? href : null;
}

/** The address of a picture as it may be kept: a path, http(s), or picture data; null otherwise. */
export function safeSrc(src: string): string | null {
  // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters in question
  const bare = src.replace(/[\u0000-\u0020\u007f-\u009f]/g, '');
  if (!/^[a-z][a-z0-9+.-]*:/i.test(bare)) return src;
  return /^(?:https?:|data:image\/(?:png|jpe?g|gif|webp|avif);)/i.test(bare) ? src : null;
}
