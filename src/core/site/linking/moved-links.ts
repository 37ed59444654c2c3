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

/** An address that is read from where it stands: neither from the root of the site nor with a host. */
const isRelative = (href: string): boolean => !/^(?:[a-z][a-z0-9+.-]*:|[/#?])/i.test(href.trim());

/**
 * The edits by which links of a draft follow pages of the site that have moved, each as one step. Where the draft's own page
 * is among them, links that are read from where it stood are written from the root.
 *
 * @param moves from a path in comparable form to a path as links are written
 */
export function movedLinkEdits(
  blocks: readonly Block[],
  { moves, ...place }: LinkPlace & { moves: ReadonlyMap<string, string> },
): DraftEdit[] {
  const ownMoves = place.base !== null && moves.has(place.base);
  const now = (href: string): string | null => {
    const path = sitePath(href, place);
    if (path === null) return null;
    const to = moves.get(path);
    if (to !== undefined) return withPath(href, to);
    return ownMoves && isRelative(href) ? withPath(href, path) : null;
  };
  return blocks.flatMap((block): DraftEdit[] => {
    const edits = linksOf(block).flatMap(({ start, end, href, text }): DraftEdit[] => {
      const moved = now(href);
      return moved === null
        ? []
        : [{ kind: 'set-link', blockId: block.id, start, end, quote: text, href: moved }];
    });
    const link = block.image?.link ? now(block.image.link) : null;
    if (link !== null) edits.push({ kind: 'set-picture', blockId: block.id, picture: { link } });
    return edits;
  });
}
