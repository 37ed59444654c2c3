import type { Change } from './naming.ts';

/** Characters before a link that tell what it is in its sentence. */
const NEAR = 40;

/**
 * What stands for a link's words that say nothing, so that the sentence keeps its grammar: a noun ("this article", "it") is
 * the page's name, a place ("here") is in it, an order ("click here", "read more") asks to see it.
 */
export function sayingWhere(text: string, start: number, end: number, title: string): Change {
  const words = text.slice(start, end).trim().toLowerCase();
  const quoted = `“${title}”`;
  const before = text.slice(Math.max(0, start - NEAR), start).trimEnd();
  const opens = before === '' || /[.!?:]$/.test(before);
  const capital = (said: string) => (opens ? said.charAt(0).toUpperCase() + said.slice(1) : said);
  if (/^(?:click|click here|go|see here|see more)$/.test(words))
    return { start, end, text: capital(`see ${quoted}`) };
  if (/^(?:read this|read here)$/.test(words)) return { start, end, text: capital(`read ${quoted}`) };
  if (
    /^(?:read more|learn more|find out more|read on|continue|continue reading|more|more info|details|info)$/.test(
      words,
    )
  ) {
    const said = /^(?:read|continue)/.test(words)
      ? 'read more in'
      : /^more/.test(words)
        ? 'more in'
        : 'find out more in';
    return { start, end, text: capital(`${said} ${quoted}`) };
  }
  if (/^(?:here|there)$/.test(words)) {
    // "See here", "look here" take a place or a thing; after a preposition only the thing stands.
    const thing = /(?:\b(?:see|read|from|in|at|on|to|under|visit|open|try)|click)$/i.test(before);
    return { start, end, text: capital(thing ? quoted : `in ${quoted}`) };
  }
  // What stands before a bare noun would stand before the name too: "the link", "our page".
  const article = /^(?:page|post|article|link|source|website|site)$/.test(words)
    ? /(?:^|\s)((?:the|this|that|our|my|a) )$/i.exec(text.slice(Math.max(0, start - NEAR), start))
    : null;
  return { start: start - (article ? article[1].length : 0), end, text: quoted };
}
