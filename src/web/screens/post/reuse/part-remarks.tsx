import { isMessage, messageLength, type ReuseKind, type ReuseWishes } from '../../../../core/reuse/index.ts';
import type { HeldPart } from '../../../workers/reuse.ts';

/** How long a part is, what of it the post does not say, and what of it is out of date. */
export function PartRemarks({
  kind,
  text,
  wishes,
  held,
}: {
  kind: ReuseKind;
  text: string;
  wishes: ReuseWishes;
  held: HeldPart | undefined;
}) {
  const length = messageLength(text, wishes);
  const notIn = held?.notIn ?? [];
  const gone = held?.gone ?? [];
  return (
    <>
      {isMessage(kind) ? `${length} of ${wishes.most} characters` : `${length} characters`}
      {notIn.length > 0 && (
        <span className="text-ochre">Not in the post: {notIn.map((run) => `“${run.text}”`).join(', ')}</span>
      )}
      {gone.length > 0 && (
        <span className="text-ochre">Out of date: the post no longer says “{gone[0]}”</span>
      )}
    </>
  );
}
