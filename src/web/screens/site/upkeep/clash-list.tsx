import type { Clash } from '../../../../core/site/index.ts';
import { None } from '../../../ui/empty.tsx';
import { counted } from '../../../ui/figures.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { Upkeep } from '../../../workers/site-upkeep.ts';
import { PostLink } from './post-link.tsx';

const QUERIES = 4;

/** How two targets are told to be one. */
function byInWords({ by, phrases, queries }: Clash): string {
  const [one, other] = phrases;
  switch (by) {
    case 'exact':
      return `Both have the target “${one}”.`;
    case 'stems':
      return `“${one}” and “${other}” are the same words.`;
    case 'meaning':
      return `“${one}” and “${other}” ask for the same.`;
    case 'results':
      return `Search finds the same pages for “${one}” and “${other}”.`;
    case 'phrases':
      return `They have most keywords in common: ${phrases.slice(0, QUERIES).join(', ')}.`;
    case 'queries':
      return `Search shows both for ${counted(queries.length, 'query', 'queries')}.`;
  }
}

/** Posts that want to be found for the same, and which should keep it. */
export function ClashList({ found }: { found: Upkeep }) {
  if (found.clashes.length === 0) return <None>No two posts want to be found for the same.</None>;
  return (
    <ul aria-label="Posts on one target" className="max-w-4xl">
      {found.clashes.map((clash) => {
        const other = clash.ids.find((id) => id !== clash.keeper) ?? clash.ids[1];
        return (
          <li key={clash.ids.join()} className="border-t py-3 first:border-t-0">
            <p className="break-words">
              <span className="inline-block w-22 font-semibold text-marram">Keeps it</span>
              <PostLink id={clash.keeper} found={found} />
              <span className="text-soft">, {clash.because}</span>
            </p>
            <p className="break-words">
              <span className="inline-block w-22 font-semibold text-ochre">Gives way</span>
              <PostLink id={other} found={found} />
            </p>
            <p className="mt-1 text-[13px]">
              <WordLink to={`/site/upkeep/join/${clash.keeper}/${other}`}>Join them…</WordLink>
            </p>
            <p className="mt-1 text-[13px] text-soft">
              {byInWords(clash)}
              {clash.queries.length > 0 &&
                ` Shown for ${clash.queries
                  .slice(0, QUERIES)
                  .map(({ query, impressions }) => {
                    const here = clash.ids[0] === clash.keeper ? impressions : [...impressions].reverse();
                    return `“${query}” (${here[0]} to ${here[1]} times)`;
                  })
                  .join(', ')}.`}
            </p>
          </li>
        );
      })}
    </ul>
  );
}
