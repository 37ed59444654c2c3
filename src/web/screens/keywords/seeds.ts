import { comparablePath } from '../../../core/listing/index.ts';
import type { SitePage } from '../../../core/site/index.ts';
import { pathOfPost } from '../../../core/site/index.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';

/** What was typed into the search field, as phrases to look around. */
export interface Seeds {
  seeds: string[];
  /** Said beside the field: where the seeds come from, or why there are none. */
  note: string;
}

/** So many phrases are asked for at once. */
const MAX_SEEDS = 20;

const isAddress = (text: string) => /^(?:https?:\/\/|\/)\S+$/i.test(text);

/** Phrases parted by commas or lines; an address of the site stands for the target of its post, or for its title. */
export function seedsOf(
  typed: string,
  site: SiteRow,
  posts: readonly PostRow[],
  pages: readonly SitePage[],
): Seeds {
  const text = typed.trim();
  if (!isAddress(text)) {
    const seeds = [
      ...new Set(
        text
          .split(/[,;\n\r]+/)
          .map((seed) => seed.replace(/\s+/g, ' ').trim())
          .filter(Boolean),
      ),
    ];
    return {
      seeds: seeds.slice(0, MAX_SEEDS),
      note: seeds.length > MAX_SEEDS ? `Only the first ${MAX_SEEDS} phrases are looked up.` : '',
    };
  }
  const path = comparablePath(text);
  const post = posts.find(({ fields }) => path !== null && pathOfPost(fields, site) === path);
  const page = pages.find(({ address }) => path !== null && comparablePath(address) === path);
  if (!post && page?.title)
    return { seeds: [page.title], note: `The title of the page ${page.address} is looked up.` };
  if (!post)
    return {
      seeds: [],
      note: `No post or titled page of this site stands at ${text}. Type one of its phrases, or check the address.`,
    };
  const { title, keyword, supporting } = post.fields;
  const seeds = [keyword, ...supporting].filter((phrase) => phrase.trim());
  return seeds.length > 0
    ? {
        seeds: seeds.slice(0, MAX_SEEDS),
        note: `The target of "${title || 'Untitled'}": ${seeds.slice(0, MAX_SEEDS).join(', ')}.`,
      }
    : {
        seeds: title ? [title] : [],
        note: `"${title || 'Untitled'}" has no keyword yet; its title is looked up.`,
      };
}
