import { useEffect, useRef, useState } from 'react';
import { type DraftEdit, imageName } from '../../../../../../core/criteria/index.ts';
import { bytesInWords } from '../../../../../../core/draft/index.ts';
import type { PicturePlan, PictureRules } from '../../../../../../core/pictures/index.ts';
import { applyAndSay } from '../../../../../state/post/apply-and-say.ts';
import { type FittedFile, fitPicture, showInstead } from '../../../../../state/post/fit-pictures.ts';
import { Button } from '../../../../../ui/button.tsx';
import { CheckField } from '../../../../../ui/check-field.tsx';
import { DialogFrame } from '../../../../../ui/dialog-frame.tsx';
import { counted, countInWords } from '../../../../../ui/figures.ts';
import { usePost } from '../../../frame/post-context.ts';
import { fileInWords, stepsInWords } from '../picture-words.ts';
import { usePicture } from '../use-picture.ts';

/** What became of one file: done, or why not. */
type Outcome = FittedFile | { problem: string };

/** All pictures of the post put in order by the house's rules: what it will do, how far it is, one way back. */
export function OrderDialog({
  plans,
  rules,
  onClose,
}: {
  plans: readonly PicturePlan[];
  rules: PictureRules;
  onClose: () => void;
}) {
  const { session, site } = usePost();
  // What is on the table stays while the post goes on.
  const [table] = useState(plans.filter(({ steps, left }) => steps.length > 0 || left));
  const [chosen, setChosen] = useState(
    new Set(table.filter(({ steps }) => steps.length > 0).map(({ src }) => src)),
  );
  const [outcomes, setOutcomes] = useState<ReadonlyMap<string, Outcome>>(new Map());
  const [at, setAt] = useState<number | null>(null);
  const stop = useRef(false);
  useEffect(
    () => () => {
      stop.current = true;
    },
    [],
  );
  const waiting = table.filter(({ src }) => chosen.has(src));
  const failed = [...outcomes.values()].some((outcome) => 'problem' in outcome);

  const run = async () => {
    stop.current = false;
    const edits: DraftEdit[] = [];
    const done = new Map<string, Outcome>();
    let [before, after] = [0, 0];
    for (const [number, plan] of waiting.entries()) {
      if (stop.current) break;
      setAt(number);
      try {
        const fitted = await fitPicture(site.id, plan, rules);
        done.set(plan.src, fitted);
        edits.push(...showInstead(plan, fitted.src));
        before += plan.file.bytes;
        after += fitted.bytes;
      } catch (error) {
        done.set(plan.src, { problem: (error as Error).message });
      }
      setOutcomes(new Map(done));
    }
    setAt(null);
    if (edits.length > 0) {
      const count = [...done.values()].filter((outcome) => 'src' in outcome).length;
      applyAndSay(
        session,
        edits,
        `${counted(count, 'picture')} put in order: ${bytesInWords(before)} became ${bytesInWords(after)}.`,
        'The post was left, or is changed elsewhere: its pictures are as they were.',
        20_000,
      );
    }
    if (![...done.values()].some((outcome) => 'problem' in outcome || outcome.tooHeavy)) onClose();
  };

  return (
    <DialogFrame title="Put the pictures in order" onClose={onClose} width="w-[min(980px,96vw)]">
      <p className="mb-3 text-soft">
        At most {countInWords(rules.widest)} px wide and {bytesInWords(rules.heaviest)}, named by what they
        show, without the camera’s notes. The originals are kept.
      </p>
      <div className="min-h-0 flex-1 overflow-auto">
        <table className="w-full text-[13px]">
          <thead className="text-left text-soft">
            <tr>
              <th className="py-1 font-normal">Picture</th>
              <th className="py-1 font-normal">Now</th>
              <th className="py-1 font-normal">Becomes</th>
            </tr>
          </thead>
          <tbody>
            {table.map((plan) => (
              <Row
                key={plan.src}
                plan={plan}
                rules={rules}
                isChosen={chosen.has(plan.src)}
                choose={(on) => {
                  const next = new Set(chosen);
                  if (on) next.add(plan.src);
                  else next.delete(plan.src);
                  setChosen(next);
                }}
                outcome={outcomes.get(plan.src) ?? null}
              />
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-4 flex items-center gap-3">
        {at === null ? (
          <>
            <Button look="main" disabled={waiting.length === 0} onClick={() => void run()}>
              {failed ? 'Try again' : `Put ${counted(waiting.length, 'picture')} in order`}
            </Button>
            <Button onClick={onClose}>Leave them</Button>
          </>
        ) : (
          <>
            <progress max={waiting.length} value={at} aria-label="Pictures done" className="w-40" />
            <span role="status">
              Picture {at + 1} of {waiting.length}
            </span>
            <Button
              onClick={() => {
                stop.current = true;
              }}
            >
              Stop after this one
            </Button>
          </>
        )}
      </div>
    </DialogFrame>
  );
}

function Row({
  plan: { src, file, steps, left, name, width, isWritten },
  rules,
  isChosen,
  choose,
  outcome,
}: {
  plan: PicturePlan;
  rules: PictureRules;
  isChosen: boolean;
  choose: (on: boolean) => void;
  outcome: Outcome | null;
}) {
  const url = usePicture(src);
  const own = imageName(src);
  return (
    <tr className="border-t align-top">
      <td className="py-2 pr-3">
        <CheckField
          checked={isChosen}
          onChange={choose}
          className="flex items-start gap-2"
          boxClassName="mt-1"
        >
          {url && <img src={url} alt="" className="h-10 w-14 shrink-0 rounded object-cover" />}
          <span className="break-all">{own}</span>
        </CheckField>
      </td>
      <td className="py-2 pr-3 whitespace-nowrap text-soft">{fileInWords(file)}</td>
      <td className="py-2">
        {outcome && 'problem' in outcome ? (
          <span className="text-rust">{outcome.problem}</span>
        ) : outcome ? (
          <span className={outcome.tooHeavy ? 'text-ochre' : 'text-marram'}>
            {bytesInWords(outcome.bytes)}, {countInWords(outcome.width)} px
            {outcome.tooHeavy && ': it does not get lighter than this. Crop it.'}
          </span>
        ) : (
          <>
            {name !== own && <span className="block break-all">{name}</span>}
            {isWritten && (
              <span className="block">
                {countInWords(width)} px, at most {bytesInWords(rules.heaviest)}
              </span>
            )}
            <span className="block text-soft">{stepsInWords(steps)}</span>
            {left && <span className="block text-ochre">{left}</span>}
          </>
        )}
      </td>
    </tr>
  );
}
