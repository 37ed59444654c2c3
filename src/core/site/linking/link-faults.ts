import {
  type DraftEdit,
  type DraftFacts,
  deadLinkFixes,
  type Fix,
  isDeadLink,
  isVagueLink,
  judgedLinks,
  type LinkFact,
  linkSetTo,
  type SiteFacts,
  vagueLinkFixes,
} from '../../criteria/index.ts';
import { type Redirect, redirectedTo } from '../redirects.ts';

/** What may be wrong with a link. */
export type LinkFaultKind =
  | 'broken'
  | 'gone'
  | 'unpublished'
  | 'redirected'
  | 'itself'
  | 'doubled'
  | 'insecure'
  | 'vague';

/** What is known of an address outside the site, since it was asked for. */
export interface OutsideAnswer {
  /** As it was asked for: without its fragment. */
  address: string;
  /** `fine`, `moved` for good, `gone` (404, 410, no such host), `unsure`: it answers, but not us; it did not answer in time. */
  state: 'fine' | 'moved' | 'gone' | 'unsure';
  /** Status of the last answer; null where there was none. */
  status: number | null;
  /** Where it has moved to. */
  to: string | null;
  /** In words, where there is something to say. */
  says: string;
  /** UTC instant. */
  at: string;
}

/** A link with something to mend. */
export interface LinkFault {
  kind: LinkFaultKind;
  blockId: string;
  start: number;
  end: number;
  /** The words of the link; those of a picture are its alt text. */
  quote: string;
  href: string;
  /** What is wrong, in a sentence. */
  says: string;
  fixes: Fix[];
}

/** An address outside as it is asked for: without fragment, as URLs are written; null for what is none. */
export function outsideAddress(href: string): string | null {
  try {
    const url = new URL(href.startsWith('//') ? `https:${href}` : href);
    if (url.protocol !== 'http:' && url.protocol !== 'https:') return null;
    url.hash = '';
    return url.href;
  } catch {
    return null;
  }
}

/** The addresses outside the site that a draft links to or embeds, each once: links first, in order. */
export const outsideAddresses = ({ links, blocks }: DraftFacts): string[] => [
  ...new Set([
    ...links.flatMap(({ kind, href }) => (kind === 'external' ? (outsideAddress(href) ?? []) : [])),
    ...blocks.flatMap(({ embed }) => (embed ? (outsideAddress(embed.href) ?? []) : [])),
  ]),
];

/** The first thing wrong with each link of a draft, in the order of the text. */
export function linkFaults(
  facts: DraftFacts,
  site: SiteFacts | null,
  redirects: readonly Redirect[],
  answers: ReadonlyMap<string, OutsideAnswer>,
): LinkFault[] {
  const met = new Set<string>();
  const judged = new Set(judgedLinks(facts));
  const faults: LinkFault[] = [];
  for (const link of facts.links) {
    const found =
      inside(link, facts, site, redirects, met) ??
      outside(link, answers) ??
      (judged.has(link) && isVagueLink(link, facts.language)
        ? {
            kind: 'vague' as const,
            says: 'Its words do not say where it leads.',
            fixes: vagueLinkFixes(link, facts, site),
          }
        : null);
    if (!found) continue;
    const { block, start, end, href, text } = link;
    faults.push({ ...found, blockId: block.id, start, end, quote: text, href });
  }
  for (const { id, embed, text } of facts.blocks) {
    const found = embed && embedFault(id, embed.href, answers);
    if (found) faults.push({ ...found, blockId: id, start: 0, end: 0, quote: text, href: embed.href });
  }
  return faults;
}

/** What is wrong with the address of an embed. */
function embedFault(
  blockId: string,
  href: string,
  answers: ReadonlyMap<string, OutsideAnswer>,
): Found | null {
  const address = outsideAddress(href);
  const answer = address === null ? undefined : answers.get(address);
  if (answer?.state === 'gone')
    return {
      kind: 'gone',
      says: answer.says,
      fixes: [{ label: 'Take the embed out', edits: [{ kind: 'remove-block', blockId }] }],
    };
  if (!/^http:/i.test(href)) return null;
  const embed = { href: href.replace(/^http:/i, 'https:') };
  return {
    kind: 'insecure',
    says: notEncrypted(href),
    fixes: [{ label: 'Lead over https', edits: [{ kind: 'set-embed', blockId, embed }] }],
  };
}

const notEncrypted = (href: string): string => `${href} is not encrypted on its way (http).`;

type Found = Pick<LinkFault, 'kind' | 'says' | 'fixes'>;

/** A fix by one edit of the link itself. A picture's link is changed with the picture. */
function fixOf(link: LinkFact, label: string, href: string | null): Fix[] {
  const edit: DraftEdit | null =
    link.end > link.start
      ? linkSetTo(link, href)
      : link.block.image
        ? { kind: 'set-picture', blockId: link.block.id, picture: { link: href ?? undefined } }
        : null;
  return edit ? [{ label, edits: [edit] }] : [];
}

const takeOff = (link: LinkFact): Fix[] =>
  fixOf(link, link.text.trim() ? `Take the link off "${link.text.trim()}"` : 'Take the link off', null);

function inside(
  link: LinkFact,
  facts: DraftFacts,
  site: SiteFacts | null,
  redirects: readonly Redirect[],
  met: Set<string>,
): Found | null {
  const { kind, path, href } = link;
  if (kind !== 'internal' || path === null) return null;
  const { ownPath } = facts.settings;
  if (path === ownPath)
    return /#./.test(href)
      ? null
      : {
          kind: 'itself',
          says: 'It leads to the post that it stands in.',
          fixes: takeOff(link),
        };
  const isTwice = met.has(path);
  met.add(path);
  const to = redirectedTo(path, redirects);
  if (to !== undefined && !site?.pages.has(path))
    return to === null
      ? { kind: 'gone', says: `${href} was taken away for good.`, fixes: takeOff(link) }
      : {
          kind: 'redirected',
          says: `${href} leads on to ${to}.`,
          fixes: fixOf(link, `Lead to ${to} at once`, to),
        };
  if (site && isDeadLink(link, facts, site)) {
    const isWaiting = site.unpublished.has(path);
    return {
      kind: isWaiting ? 'unpublished' : 'broken',
      says: isWaiting
        ? `"${site.pages.get(path) || href}" is not published yet: readers would find nothing there.`
        : `${href} is no known page of the site.`,
      fixes: deadLinkFixes(link, site),
    };
  }
  return isTwice && path !== '/'
    ? { kind: 'doubled', says: `${href} is linked above already.`, fixes: takeOff(link) }
    : null;
}

function outside(link: LinkFact, answers: ReadonlyMap<string, OutsideAnswer>): Found | null {
  if (link.kind !== 'external') return null;
  const address = outsideAddress(link.href);
  const answer = address === null ? undefined : answers.get(address);
  if (answer?.state === 'gone') return { kind: 'gone', says: answer.says, fixes: takeOff(link) };
  if (answer?.state === 'moved' && answer.to !== null)
    return {
      kind: 'redirected',
      says: answer.says,
      fixes: fixOf(link, `Lead to ${answer.to}`, answer.to),
    };
  if (/^http:/i.test(link.href))
    return {
      kind: 'insecure',
      says: notEncrypted(link.href),
      fixes: fixOf(link, 'Lead over https', link.href.replace(/^http:/i, 'https:')),
    };
  return null;
}
