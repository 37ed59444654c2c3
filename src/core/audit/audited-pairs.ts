import { translationIn } from '../draft/index.ts';
import {
  type TranslatedPost,
  type TranslationGround,
  translationFaultInWords,
  translationFaults,
} from '../site/index.ts';
import type { AuditedPair } from './audit.ts';

/**
 * What is wrong with the pages of a site that are in several languages ({@link translationFaults}), in the order of the pages. A page that
 * declares no language is in the one by which it names itself.
 */
export function auditedPairs(pages: readonly TranslatedPost[], ground: TranslationGround): AuditedPair[] {
  const byId = new Map(pages.map((page) => [page.id, page]));
  const titleOf = (id: string) => byId.get(id)?.title || id;
  return translationFaults(
    pages.map((page) => (page.language ? page : { ...page, language: namedBySelf(page, ground) })),
    ground,
  ).map((fault) => ({
    path: byId.get(fault.postId)?.path ?? fault.postId,
    title: titleOf(fault.postId),
    fault: translationFaultInWords(fault, titleOf),
  }));
}

const namedBySelf = ({ path, translations }: TranslatedPost, { pathOf }: TranslationGround): string =>
  translations.flatMap((item) => {
    const read = translationIn(item);
    return read && path !== null && pathOf(read.address) === path ? [read.language] : [];
  })[0] ?? '';
