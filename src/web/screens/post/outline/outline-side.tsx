import type { Planned } from '../../../../core/outline/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { counted } from '../../../ui/figures.ts';
import { TabPanel, TabRow, TabSet } from '../../../ui/tabs.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import type { PlanView, PlanWish } from '../../../workers/plan.ts';
import { Editable } from '../frame/editable.tsx';
import { ChecksPanel } from './checks-panel.tsx';
import { GapsPanel } from './gaps-panel.tsx';
import { ProposalsPanel } from './proposals-panel.tsx';
import { Tray, type trayItems } from './tray.tsx';
import type { OutlineEditing } from './use-outline-editing.ts';

const SIDES = ['gaps', 'tray', 'proposals', 'checks'] as const;
export type Side = (typeof SIDES)[number];

/** What stands where the study's pages have to be read before anything can be told. */
const ReadAgain = ({ done, of }: { done: number | null; of: number }) => (
  <p role="status" className="rounded-md bg-sand/40 px-3 py-4 text-soft">
    {of > 0
      ? `Reading the pages of the study again${done ? `: ${done} of ${of}` : ''}. What they share is worked out from them.`
      : 'Working out what the outline covers.'}
  </p>
);

/** Beside the outline: what is missing, what can be pulled in, whole proposals, and what to look at again. */
export function OutlineSide({
  editing: { worked, setUndoable, place },
  side,
  setSide,
  plan,
  wish,
  stamp,
  tray,
  unstudied,
  reading,
  pages,
  onShow,
}: {
  editing: OutlineEditing;
  side: Side;
  setSide: (side: Side) => void;
  plan: PlanView | null;
  wish: PlanWish;
  stamp: string;
  /** What the study offers; null while it is read, or where there is none. */
  tray: ReturnType<typeof trayItems> | null;
  /** No pages were studied for this post. */
  unstudied: boolean;
  /** Pages of the study that were read so far; null: none are being read. */
  reading: number | null;
  /** Pages of the study. */
  pages: number;
  /** Brings a heading into sight. */
  onShow: (id: string) => void;
}) {
  const combine = (items: Planned[]) =>
    worked(
      (desk, from) => desk.combine(from, items),
      (fresh) =>
        fresh === 0
          ? 'Everything of it is in the outline already.'
          : `${counted(fresh, 'heading')} added${fresh < items.length ? `; ${items.length - fresh} were there already` : ''}.`,
    );
  const names: Record<Side, { name: string; count?: number | undefined }> = {
    gaps: { name: 'Gaps', count: plan?.gaps.length },
    tray: { name: 'To pull in' },
    proposals: { name: 'Proposals' },
    checks: { name: 'Checks', count: plan?.checks.length },
  };
  return (
    <aside aria-label="Beside the outline" className="flex min-h-0 flex-1 flex-col text-[13px]">
      <TabSet value={side} onChange={setSide} className="flex min-h-0 flex-1 flex-col">
        <TabRow
          label="Beside the outline"
          tabs={SIDES.map((id) => ({ id, ...names[id] }))}
          className="border-b px-4 pt-3 pb-2"
        />
        <TabPanel of={side} className="min-h-0 flex-1 overflow-auto px-4 py-3">
          {unstudied && side !== 'checks' && (
            <p className="mb-3 text-soft">
              No pages were studied yet.{' '}
              <WordLink to="../study" relative="path">
                Study the result pages
              </WordLink>{' '}
              to see what they have.
            </p>
          )}
          <Editable>
            {side === 'gaps' &&
              (plan ? (
                <GapsPanel
                  plan={plan}
                  onMerge={(gaps) =>
                    attempt(
                      worked(
                        (desk, from) => desk.merge(from, gaps),
                        (fresh) => `${counted(fresh, 'gap')} placed.`,
                      ),
                    )
                  }
                  onFaq={(questions) =>
                    attempt(
                      worked(
                        (desk, from) => desk.faq(from, questions),
                        () => `${counted(questions.length, 'question')} at the end now.`,
                      ),
                    )
                  }
                />
              ) : (
                <ReadAgain done={reading} of={pages} />
              ))}
            {side === 'tray' &&
              (tray ? (
                <Tray items={tray} onPlace={(items) => place(items)} />
              ) : (
                !unstudied && <ReadAgain done={reading} of={pages} />
              ))}
            {side === 'proposals' && (
              <ProposalsPanel
                wish={wish}
                stamp={stamp}
                onReplace={(items) =>
                  setUndoable(
                    items.map((item) => ({ ...item, id: crypto.randomUUID() })),
                    `${counted(items.length, 'heading')} in the outline now.`,
                  )
                }
                onCombine={(items) => attempt(combine(items))}
              />
            )}
          </Editable>
          {side === 'checks' && plan && <ChecksPanel checks={plan.checks} onShow={onShow} />}
        </TabPanel>
      </TabSet>
    </aside>
  );
}
