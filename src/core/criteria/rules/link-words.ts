import type { Block } from '../../draft/index.ts';
import { isEnglish, languageRules } from '../../language/index.ts';
import { criterion, type Fix } from '../criterion.ts';
import type { DraftFacts, LinkFact } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { sayingWhere } from '../fixing/link-sentences.ts';
import { asEdit } from '../fixing/named-in-text.ts';
import type { Change } from '../fixing/naming.ts';
import { measure, placeIn } from '../judging.ts';
import type { SiteFacts } from '../surroundings.ts';

const SAYS_NOTHING = new Set(
  'here|this|that|it|link|this link|click|click here|read more|more|read on|learn more|see more|find out more|this page|this post|this article|page|post|article|source|website|site|there|continue|continue reading|details|info|more info|go|see here|read this'.split(
    '|',
  ),
);
const ADDRESS = /^(?:https?:\/\/|www\.)\S+$/i;

/** Whether a link's words do not say where it leads. */
export const isVague = ({ plain, text }: LinkFact, language: string): boolean =>
  plain === '' ||
  (isEnglish(language) ? SAYS_NOTHING : languageRules(language)?.vagueLinks)?.has(plain) === true ||
  ADDRESS.test(text.trim());

/** Links whose words are judged: those of words, notes by number left out. */
export const judgedLinks = (facts: DraftFacts): LinkFact[] =>
  facts.links.filter((link) => link.end > link.start && !/^\d+$/.test(link.text.trim()));

/** Edits after a change that leave the link on the words from `at` on alone. */
function relinked(block: Block, change: Change, at: number, href: string): DraftEdit[] {
  const end = change.start + change.text.length;
  const set = (start: number, quote: string, to: string | null): DraftEdit => ({
    kind: 'set-link',
    blockId: block.id,
    start,
    end,
    quote,
    href: to,
  });
  return [set(change.start, change.text, null), set(at, change.text.slice(at - change.start), href)];
}

/** A link of vague words put so that it names the page that it leads to, where its title is known. */
export function vagueLinkFixes(link: LinkFact, { english }: DraftFacts, site: SiteFacts | null): Fix[] {
  const title = link.path === null ? undefined : site?.pages.get(link.path);
  if (!title) return [];
  const { block } = link;
  const change = english
    ? sayingWhere(block.text, link.start, link.end, title)
    : { start: link.start, end: link.end, text: title };
  const edits = [asEdit(block, change)];
  // Only the name is the link: what leads to it is taken out of it.
  const at = change.start + change.text.lastIndexOf('“');
  if (english && (at > change.start || change.start < link.start))
    edits.push(...relinked(block, change, at, link.href));
  return [{ label: 'Name the page that it leads to', edits, readOver: true }];
}

export const linkWords = criterion({
  id: 'link-words',
  group: 'links',
  title: 'Words of links',
  place: 'text',
  weight: 2,
  needs: ['words'],
  applies: (facts) => judgedLinks(facts).length > 0,
  target: () => 'link words that say where they lead',
  measure(facts) {
    const all = judgedLinks(facts);
    const vague = all.filter((link) => isVague(link, facts.language));
    const more = vague.length > 1 ? ` ${vague.length - 1} more like it.` : '';
    return measure(
      (all.length - vague.length) / all.length,
      `${all.length - vague.length} of ${all.length}`,
      `"${vague[0]?.text.trim().slice(0, 60)}" does not say where the link leads.${more}`,
      vague.map(({ block, index, start, end }) => placeIn(block, index, start, end)),
    );
  },
  fixes(facts, { site }) {
    return firstFixes(
      judgedLinks(facts).filter((link) => isVague(link, facts.language)),
      (link): Fix[] => vagueLinkFixes(link, facts, site),
    );
  },
});
