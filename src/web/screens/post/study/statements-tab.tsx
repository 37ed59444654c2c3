import { useState } from 'react';
import type { Statement } from '../../../../core/study/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { Check } from '../../../ui/check-field.tsx';
import { copyText } from '../../../ui/copy-text.ts';
import { counted, countInWords } from '../../../ui/figures.ts';

/** Where a statement comes from, in words. */
const sourceOf = ({ source, link, own, publisher }: Statement): string =>
  link
    ? `it links to ${link}`
    : source
      ? `it names ${source}`
      : own
        ? `${publisher}'s own figure`
        : 'it names no source';

/** A statement with its page, as it is copied. */
export const citation = (statement: Statement): string =>
  `"${statement.text}" (${statement.publisher}, ${statement.address}; ${sourceOf(statement)})`;

/** Sentences with figures that could be cited, with the source that their page names. */
export function StatementsTab({
  statements,
  chosen,
  onChoose,
}: {
  statements: readonly Statement[];
  /** Those that stand in the brief. */
  chosen: readonly Statement[];
  onChoose: (statement: Statement, chosen: boolean) => void;
}) {
  const [all, setAll] = useState(false);
  if (statements.length === 0) return <p className="py-6 text-soft">The pages state no figure.</p>;
  const shown = all ? statements : statements.slice(0, 40);
  return (
    <>
      <p className="mb-2 text-[13px] text-soft">
        {counted(statements.length, 'sentence')} with a figure. Those that ask for a source come first; look
        at the source yourself before you cite it.
      </p>
      <ul aria-label="Figures and statements">
        {shown.map((statement, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two pages may say the same
          <li key={at} className="flex items-start gap-4 border-t py-1.5 text-[13px]">
            <div className="min-w-0 flex-1">
              <p className="font-serif text-[15px] leading-snug">{statement.text}</p>
              <p className="break-words text-soft">
                {statement.publisher}, under "{statement.about}": {sourceOf(statement)}
              </p>
            </div>
            <label className="flex shrink-0 items-center gap-1.5 text-soft">
              <Check
                name={`In the brief: ${statement.text.slice(0, 60)}`}
                checked={chosen.some(
                  ({ address, text }) => address === statement.address && text === statement.text,
                )}
                onChange={(checked) => onChoose(statement, checked)}
              />
              in the brief
            </label>
            <Button
              look="word"
              aria-label={`Copy the statement of ${statement.publisher}: ${statement.text.slice(0, 40)}`}
              onClick={() =>
                attempt(copyText(citation(statement), 'Copied with its source.', 'statement.txt'))
              }
            >
              Copy
            </Button>
          </li>
        ))}
      </ul>
      {!all && statements.length > shown.length && (
        <Button className="mt-2" onClick={() => setAll(true)}>
          Show all {countInWords(statements.length)}
        </Button>
      )}
    </>
  );
}
