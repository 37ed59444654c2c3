import { useRef, useState } from 'react';
import { termBand } from '../../../../../../core/criteria/index.ts';
import { scoreAsPage } from '../../../../../../core/study/index.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { CheckField } from '../../../../../ui/check-field.tsx';
import { WordLink } from '../../../../../ui/word-link.tsx';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';

/** Terms of the study beside the text: a range for each with a tick at today's uses; pressing one walks through them. */
export function TermsLens({ body, study: row }: Pick<LensProps, 'body' | 'study'>) {
  const study = row?.facts ?? null;
  const { session } = usePost();
  const { words, coverage, report } = useAppSelector((state) => state.openPost);
  const [missing, setMissing] = useState(false);
  const walked = useRef({ key: '', at: 0 });
  if (!study || study.terms.length === 0)
    return (
      <section aria-label="Terms" className="min-w-0 flex-1 px-4 pt-3 text-[13px]">
        <p className="text-soft">
          No pages were studied for this post yet.{' '}
          <WordLink to="../study" relative="path">
            Study the result pages
          </WordLink>{' '}
          to see which terms they share.
        </p>
      </section>
    );
  const best = study.score !== null && report !== null && scoreAsPage(report.criteria) > study.score.best;
  const walk = async (key: string) => {
    const places = await session.placesOfTerm(key);
    if (places.length === 0) return;
    const at = walked.current.key === key ? walked.current.at + 1 : 0;
    walked.current = { key, at };
    const place = places[at % places.length];
    body.select(place);
  };
  return (
    <section aria-label="Terms" className="min-w-0 flex-1 px-4 pt-2 pb-10 text-[13px]">
      {best && (
        <p className="mb-2 border-b pb-2 text-soft">
          Your draft scores above the best of the studied pages. Nothing here asks for more terms; use what
          helps a reader.
        </p>
      )}
      <CheckField
        checked={missing}
        onChange={(checked) => setMissing(checked)}
        className="mb-2 flex items-center gap-1.5 text-soft"
      >
        Only those that are missing
      </CheckField>
      {(['staple', 'supporting'] as const).map((group) => {
        const own = study.terms
          .filter((term) => term.group === group)
          .filter(({ key }) => !missing || !coverage?.uses[key]);
        return (
          <div key={group} className="mb-3">
            <h3 className="mb-0.5 font-semibold">
              {group === 'staple' ? 'Staple' : 'Supporting'} {own.length}
            </h3>
            <ul>
              {own.map((term) => {
                const uses = coverage?.uses[term.key] ?? 0;
                return (
                  <li key={term.key} className="border-t">
                    <button
                      type="button"
                      disabled={uses === 0}
                      onClick={() => attempt(walk(term.key))}
                      title={uses > 0 ? 'Show the next use' : undefined}
                      className="flex w-full items-center gap-2.5 py-1 text-left hover:text-sea disabled:opacity-100"
                    >
                      <span className="min-w-0 flex-1 truncate">{term.form}</span>
                      <Range uses={uses} {...termBand(term, words)} />
                    </button>
                  </li>
                );
              })}
            </ul>
          </div>
        );
      })}
    </section>
  );
}

const WIDTH = 74;

/** The band of a term on a line that ends at twice its upper end, with a tick at today's uses. */
function Range({ uses, from, to }: { uses: number; from: number; to: number }) {
  const x = (value: number) => 1 + (Math.min(value, 2 * to) / (2 * to)) * (WIDTH - 2);
  const words =
    uses < from
      ? 'below the band'
      : uses <= to
        ? 'within the band'
        : uses <= 2 * to
          ? 'above the band'
          : 'too often';
  return (
    <span className="flex shrink-0 items-center gap-1.5">
      <svg
        role="img"
        aria-label={`${uses} uses, ${words} of ${from === to ? from : `${from} to ${to}`}`}
        width={WIDTH}
        height="12"
        viewBox={`0 0 ${WIDTH} 12`}
      >
        <line x1="1" x2={WIDTH - 1} y1="6" y2="6" className="stroke-line" strokeWidth="1.5" />
        <rect
          x={x(from)}
          width={Math.max(3, x(to) - x(from))}
          y="3"
          height="6"
          rx="1.5"
          className="fill-sand"
        />
        <line
          x1={x(uses)}
          x2={x(uses)}
          y1="0.5"
          y2="11.5"
          className={uses > 2 * to ? 'stroke-ochre' : 'stroke-marram'}
          strokeWidth="2"
        />
      </svg>
      <span className="w-6 text-right tabular-nums">{uses}</span>
    </span>
  );
}
