import { useState } from 'react';
import { planText, proposalKey, readPlan, SHAPE_NAMES } from '../../../../core/outline/index.ts';
import { generationsOf, keepGenerations } from '../../../data/briefs.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import { studyWorker } from '../../../workers/study-client.ts';
import { usePost } from '../frame/post-context.ts';
import { usePlanWish } from '../outline/use-plan.ts';
import { useStudyRow } from '../study/use-study-row.ts';

/** The outline as text: proposed, changed, and taken into the post. */
export function OutlinePlan() {
  const { session } = usePost();
  const outline = useAppSelector((state) => state.openPost.outline);
  const study = useStudyRow(session.siteId, session.id) ?? null;
  const { wish, stamp } = usePlanWish(study, null);
  const [typed, setTyped] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const standing = planText(outline.map(({ level, text, note }) => ({ level, text, note })));
  const text = typed ?? standing;
  const propose = async () => {
    const earlier = (await generationsOf(session.siteId, session.id)).filter(
      ({ recipe }) => recipe === 'outline',
    );
    const worker = await studyWorker();
    const [found] = await worker.propose(
      wish,
      1,
      earlier.map(({ output }) => proposalKey(readPlan(output))),
      stamp,
    );
    if (!found) {
      setSaid('There is nothing further to build on: study the result pages, or write main points first.');
      return;
    }
    const made = planText(found.items.map(({ level, text: words, note }) => ({ level, text: words, note })));
    await keepGenerations([
      {
        siteId: session.siteId,
        postId: session.id,
        at: new Date().toISOString(),
        recipe: 'outline',
        title: `${SHAPE_NAMES[found.shape]}: ${found.items[0].text}`,
        input: `Query: ${wish.query}`,
        output: made,
      },
    ]);
    setTyped(made);
    setSaid(`${SHAPE_NAMES[found.shape]}, ${counted(found.items.length, 'heading')}.`);
  };
  const take = () => {
    const items = readPlan(text).map(({ level, text: words, note }) => {
      // A heading that stays is the same heading.
      const known = outline.find((item) => item.text === words);
      return { id: known?.id ?? crypto.randomUUID(), level, text: words, note };
    });
    offerUndo(
      `The outline has ${counted(items.length, 'heading')} now.`,
      session.changeOutline(outline, items),
    );
    setTyped(null);
  };
  return (
    <>
      <p className="mb-3 flex flex-wrap items-center gap-3">
        <Button onClick={() => attempt(propose())}>{text ? 'Propose another' : 'Propose an outline'}</Button>
        <span role="status" className="text-[13px] text-soft">
          {said ||
            (study
              ? `From the study of “${study.query}”.`
              : 'Without a study it stands on your points alone.')}
        </span>
      </p>
      <textarea
        aria-label="Outline as text"
        rows={10}
        value={text}
        onChange={(event) => setTyped(event.target.value)}
        placeholder={'## A heading\n> What belongs below it'}
        className="field-sizing-content min-h-40 w-full rounded-md border px-3 py-2"
      />
      <p className="mt-1 text-[13px] text-soft">
        A heading in each line with ## to ####, what belongs below it in lines that begin with &gt;.
      </p>
      <p className="mt-3">
        <Button look="main" disabled={typed === null || readPlan(text).length === 0} onClick={take}>
          Take this outline
        </Button>
      </p>
    </>
  );
}
