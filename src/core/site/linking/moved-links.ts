import type { DraftEdit } from '../../criteria/index.ts';
import { type Block, linksOf } from '../../draft/index.ts';
import { comparablePath, linkKind } from '../../listing/index.ts';

/** An address with another path; host, query and fragment stay as written. */
function withPath(href: string, path: string): string {
  const [, origin = '', , rest = ''] = /^((?:[a-z]+:)?\/\/[^/?#]*)?([^?#]*)(.*)$/i.exec(href) ?? [];
  return `${origin}${path}${rest}`;
}

/**
 * The edits by which links of a draft to one page of the site lead to where it has moved. `base` is the draft's own path, by
 * which relative links are resolved, `host` the site's (null: only relative links are its own).
 */
export function movedLinkEdits(
  blocks: readonly Block[],
  { base, host, from, to }: { base: string | null; host: string | null; from: string; to: string },
): DraftEdit[] {
  const leads = (href: string): boolean =>
    linkKind(href, host) === 'internal' && comparablePath(href, base ?? '/') === from;
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
