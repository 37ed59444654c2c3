import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { clock, type FidelityAccount } from '../../../../../../core/talk/index.ts';
import type { TalkRow } from '../../../../../data/talk-rows.ts';
import { useAppDispatch } from '../../../../../state/store.ts';
import { addedShown } from '../../../../../state/view.ts';
import { Button } from '../../../../../ui/button.tsx';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { usePost } from '../../../frame/post-context.ts';
import { FidelityLine, FidelitySteps, SectionBars } from '../../../talk/fidelity-panel.tsx';
import { UnspokenWords } from '../../../talk/unspoken-words.tsx';
import { useFidelity, useTalkRow } from '../../../talk/use-talk.ts';
import type { LensProps } from '../lens-props.ts';

/** How much of the draft the speaker said, as it is written on: what was added and what was left out, a press away. */
export function TalkLens({ body }: Pick<LensProps, 'body'>) {
  const { session } = usePost();
  const row = useTalkRow(session.id);
  if (!row) return <p className="px-4 pt-3 text-[13px] text-soft">No talk lies with this post.</p>;
  return <TalkAccount row={row} body={body} />;
}

function TalkAccount({ row, body }: { row: TalkRow; body: LensProps['body'] }) {
  const { session } = usePost();
  const account = useFidelity(session, row);
  const [addedAt, setAddedAt] = useState<number | null>(null);
  const [leftAt, setLeftAt] = useState<number | null>(null);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  useMarkedAdditions(account);
  useEffect(
    () => () => {
      dispatch(addedShown([]));
    },
    [dispatch],
  );
  if (!account) return <Waiting name="Holding the draft against the talk" className="m-4 h-40" />;
  const left = leftAt === null ? null : (account.leftOut[leftAt] ?? null);
  const sectionOf = (blockId: string) =>
    session.body.blocks.find(({ id, text }) => (blockId ? id === blockId : text !== ''));
  return (
    <section aria-label="Talk" className="min-w-0 flex-1 space-y-4 px-4 pt-3 pb-10 text-[13px]">
      <FidelityLine account={account} />
      <FidelitySteps
        account={account}
        addedAt={addedAt}
        leftAt={leftAt}
        onAdded={(run, at) => {
          setAddedAt(at);
          body.select(run);
        }}
        onLeft={(_run, at) => setLeftAt(at)}
      />
      {left && (
        <blockquote aria-label="Left out" className="border-l-2 border-ochre pl-2 font-serif leading-[1.4]">
          {left.start !== null && (
            <span className="mr-1.5 font-sans text-[12px] text-soft tabular-nums">{clock(left.start)}</span>
          )}
          {left.text}
        </blockquote>
      )}
      <SectionBars
        account={account}
        onSection={(blockId) => {
          const block = sectionOf(blockId);
          if (block) body.select({ blockId: block.id, start: 0, end: block.text.length });
        }}
      />
      <UnspokenWords session={session} at={row.at} onTime={() => navigate('../talk', { relative: 'path' })} />
      <Button look="word" onClick={() => navigate('../talk', { relative: 'path' })}>
        Beside the talk
      </Button>
    </section>
  );
}

/** What nobody said is marked in the sheet while the lens is open. */
function useMarkedAdditions(account: FidelityAccount | null): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (account)
      dispatch(
        addedShown(
          account.added.map(({ blockId, start, end, weighty }) => ({ blockId, start, end, weighty })),
        ),
      );
  }, [account, dispatch]);
}
