import type { DraftEdit } from '../../criteria/index.ts';
import { type Block, linksOf } from '../../draft/index.ts';
import { comparablePath, linkKind } from '../../listing/index.ts';

/** An address with another path; host, query and fragment stay as written. */
function withPath(href: string, path: string): string {
  const [, origin = '', , rest = ''] = /^((?:[a-z]+:)?\/\/[^/?#]*)?([^?#]*)(.*)$/i.exec(href) ?? [];
  return `${origin}${path}${rest}`;
}

/** A post as its links are read: its own path, by which relative ones are resolved, and the site's host (null: only relative ones are its own). */
export interface LinkPlace {
  base: string | null;
  host: string | null;
}

/** The path of the site that an address leads to; null where it leads elsewhere. */
const sitePath = (href: string, { base, host }: LinkPlace): string | null =>
  linkKind(href, host) === 'internal' ? comparablePath(href, base ?? '/') : null;

/** The paths of the site that a draft links to, in its text and from its pictures. */
export const linkedPaths = (blocks: readonly Block[], place: LinkPlace): Set<string> =>
  new Set(
    blocks.flatMap((block) =>
      [...linksOf(block).map(({ href }) => href), block.image?.link ?? ''].flatMap((href) =>
        href === '' ? [] : (sitePath(href, place) ?? []),
      ),
    ),
  );

/**
 * The edits by which links of a draft to one page of the site lead to where it has moved.
 */
export function movedLinkEdits(
  blocks: readonly Block[],
  { from, to, ...place }: LinkPlace & { from: string; to: string },
): DraftEdit[] {
  const leads = (href: string): boolean => sitePath(href, place) === from;
  return blocks.flatMap((block): DraftEdit[] => {
    const edits = linksOf(block)
      .filter(({ href }) => leads(href))
      .map(
        ({ start, end, href, text }): DraftEdit => ({
          kind: 'set-link',
          blockId: block.id,
          start,
          end,
          quote: text,
          href: withPath(href, to),
        }),
      );
    const { link } = block.image ?? {};
    if (link && leads(link))
      edits.push({ kind: 'set-picture', blockId: block.id, picture: { link: withPath(link, to) } });
    return edits;
  });
}
