import { keywordKeys } from '../../language/index.ts';
import { criterion } from '../criterion.ts';
import { measure, NO_KEYWORD } from '../judging.ts';

export const keywordFree = criterion({
  id: 'keyword-free',
  group: 'keyword',
  title: 'Keyword of its own',
  place: 'target',
  weight: 3,
  needs: ['site', 'words'],
  target: () => 'no other post of the site has this primary keyword',
  measure(facts, { site }) {
    if (!facts.keyword) return NO_KEYWORD;
    const rivals = new Map<string, string>();
    for (const key of keywordKeys(facts.keyword, facts.language).asked) {
      for (const post of site!.targets.get(key) ?? [])
        if (post.id !== site!.postId) rivals.set(post.id, post.title);
    }
    if (rivals.size === 0) return measure(1, 'free', '');
    const names = [...rivals.values()].map((title) => `"${title}"`).join(', ');
    return measure(
      0,
      `also: ${[...rivals.values()][0]}`,
      `"${facts.keyword}" is already the target of ${names}. Choose another, or merge the two.`,
    );
  },
});
