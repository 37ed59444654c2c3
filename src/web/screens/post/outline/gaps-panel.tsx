import { useState } from 'react';
import type { Gap } from '../../../../core/outline/index.ts';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { Earned } from '../../../ui/earned.tsx';
import { counted } from '../../../ui/figures.ts';
import type { PlanView } from '../../../workers/plan.ts';

/** Gaps that so many pages fill are chosen from the start. */
const USUAL = 0.2;

/** What the plan covers and lacks; gaps are placed all at once where they belong, open questions at the end. */
export function GapsPanel({
  plan,
  onMerge,
  onFaq,
}: {
  plan: PlanView;
  onMerge: (gaps: Gap[]) => void;
  onFaq: (questions: string[]) => void;
}) {
  const { coverage, gaps, open } = plan;
  /** Gaps whose box was pressed: they are not what their share makes of them. */
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const [asked, setAsked] = useState<ReadonlySet<string>>(new Set());
  const isChosen = ({ text, share, kind }: Gap) =>
    (kind === 'question' || share >= USUAL) !== turned.has(text);
  const chosen = gaps.filter(isChosen);
  const questions = open.slice(0, 12);
  const faq = questions.filter((text) => asked.has(text));
  const toggled = (set: ReadonlySet<string>, text: string) => {
    const next = new Set(set);
    if (!next.delete(text)) next.add(text);
    return next;
  };
  return (
    <div className="space-y-4">
      <section aria-label="Coverage">
        {coverage.share === null ? (
          <p className="text-soft">
            There is nothing to cover yet: study the result pages, or choose questions on Target.
          </p>
        ) : (
          <table className="w-full">
            <tbody>
              <tr>
                <th scope="row" className="py-1 text-left font-semibold">
                  Covered by your plan
                </th>
                <td className="text-right font-semibold tabular-nums">
                  {Math.round(coverage.share * 100)} %
                </td>
                <td className="w-6 pl-2">
                  <Earned share={coverage.share} />
                </td>
              </tr>
              {(
                [
                  ['Topics that must be covered', coverage.topics],
                  ['Questions to answer', coverage.questions],
                  ['Staple terms', coverage.terms],
                ] as const
              ).map(([name, items]) => {
                const done = items.filter(({ by }) => by !== null);
                const lacking = items.filter(({ by }) => by === null).map(({ text }) => text);
                return items.length === 0 ? null : (
                  <tr
                    key={name}
                    className="border-t"
                    title={lacking.length ? `Not yet: ${lacking.join(', ')}` : undefined}
                  >
                    <th scope="row" className="py-1 text-left font-normal">
                      {name}
                    </th>
                    <td className="text-right tabular-nums">
                      {done.length} of {items.length}
                    </td>
                    <td className="w-6 pl-2">
                      <Earned share={done.length / items.length} />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
      </section>
      <section aria-label="Gaps">
        <h3 className="mb-0.5 font-semibold">What the pages have and your plan lacks {gaps.length}</h3>
        {gaps.length === 0 ? (
          <p className="text-soft">Nothing that several pages have is missing.</p>
        ) : (
          <>
            <ul>
              {gaps.map((gap) => (
                <li key={gap.text} className="border-t py-1">
                  <CheckField
                    checked={isChosen(gap)}
                    onChange={() => setTurned(toggled(turned, gap.text))}
                    className="flex items-start gap-2"
                    boxClassName="mt-0.5"
                  >
                    <span className="min-w-0 flex-1">
                      {gap.text}
                      <span className="block text-soft">
                        {gap.kind === 'question' ? 'question, ' : ''}
                        {gap.place}
                      </span>
                    </span>
                    <span className="text-soft tabular-nums" title="Share of the pages that have it">
                      {Math.round(gap.share * 100)} %
                    </span>
                  </CheckField>
                </li>
              ))}
            </ul>
            <Button
              look="main"
              className="mt-2"
              disabled={chosen.length === 0}
              onClick={() => onMerge(chosen)}
            >
              Merge {counted(chosen.length, 'gap')}
            </Button>
          </>
        )}
      </section>
      {questions.length > 0 && (
        <section aria-label="Questions for the end">
          <h3 className="mb-0.5 font-semibold">Questions that no heading asks</h3>
          <ul>
            {questions.map((text) => (
              <li key={text} className="border-t py-1">
                <CheckField
                  checked={asked.has(text)}
                  onChange={() => setAsked(toggled(asked, text))}
                  className="flex items-start gap-2"
                  boxClassName="mt-0.5"
                >
                  {text}
                </CheckField>
              </li>
            ))}
          </ul>
          <Button
            className="mt-2"
            disabled={faq.length === 0}
            onClick={() => {
              onFaq(faq);
              setAsked(new Set());
            }}
          >
            {faq.length === 0
              ? 'Put at the end as an FAQ'
              : `Put ${counted(faq.length, 'question')} at the end as an FAQ`}
          </Button>
        </section>
      )}
    </div>
  );
}
