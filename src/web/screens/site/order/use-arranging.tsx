import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import type { OrderChange } from '../../../../core/site/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { arrange } from '../../../state/site/arrange.ts';
import { offerUndo } from '../../../state/undo.ts';
import { counted, listInWords } from '../../../ui/figures.ts';
import { longCall } from '../../../workers/long-call.ts';
import { siteWorker } from '../../../workers/site-client.ts';
import type { PlannedOrder } from '../../../workers/site-order.ts';
import { OrderPreview } from './order-preview.tsx';

/** Titles that are named. */
const NAMED = 3;

/** What a change of a site's order comes to, worked out in the worker. */
export async function planned(
  siteId: string,
  change: OrderChange,
  signal: AbortSignal = new AbortController().signal,
): Promise<PlannedOrder> {
  const worker = await siteWorker();
  return longCall(worker, 'reads', signal, (job) =>
    worker.plan(siteId, change, new Date().toISOString(), job),
  );
}

/** Makes a planned change, and says what came of it, with the way back. */
export async function makeChange(siteId: string, plan: PlannedOrder, said: string): Promise<void> {
  const { moved } = plan.arrangement;
  const id = `order ${siteId}`;
  try {
    const { left, sent, unsent, untold, takeBack } = await arrange(siteId, plan, (done, of) => {
      if (of > 20 && done % 20 === 0) toast.loading(`${done} of ${counted(of, 'post')} changed`, { id });
    });
    const posts = moved.filter((page) => page.id !== null).length;
    const words = [
      `${said}.`,
      posts > 0 ? `${counted(posts, 'address', 'addresses')} changed.` : '',
      sent > 0 ? `${counted(sent, 'post')} on the way to the blog.` : '',
      unsent.length > 0
        ? `Readers have another text of ${listInWords(unsent.slice(0, NAMED))}${unsent.length > NAMED ? ' and more' : ''}: publish what changed there yourself.`
        : '',
      left.length > 0 ? `Not changed: ${listInWords(left)}.` : '',
      untold,
    ].filter(Boolean);
    offerUndo(words.join(' '), takeBack, 20_000, id);
  } catch (error) {
    toast.dismiss(id);
    throw error;
  }
}

/** A change as it is proposed: what it is called before it is made, and after. */
export interface Proposal {
  change: OrderChange;
  /** As a question's title: `Merge Bags into Gear`. */
  title: string;
  /** As it is told afterwards: `Bags is merged into Gear`. */
  said: string;
}

/** Changes of a site's order: what touches no post is made at once, anything else is shown before. */
export function useArranging(siteId: string): { propose: (proposal: Proposal) => void; preview: ReactNode } {
  const [asked, setAsked] = useState<(Proposal & { plan: PlannedOrder }) | null>(null);
  const propose = (proposal: Proposal) => {
    const look = async () => {
      const plan = await planned(siteId, proposal.change);
      const { refiled, moved, problems } = plan.arrangement;
      const isQuiet = refiled.length + moved.length + plan.mend.length + problems.length === 0;
      if (isQuiet) await makeChange(siteId, plan, proposal.said);
      else setAsked({ ...proposal, plan });
    };
    attempt(look(), 'It could not be worked out what would change');
  };
  const preview = asked && (
    <OrderPreview
      title={asked.title}
      plan={asked.plan}
      onClose={() => setAsked(null)}
      onMake={() => {
        setAsked(null);
        attempt(makeChange(siteId, asked.plan, asked.said), 'It could not be changed');
      }}
    />
  );
  return { propose, preview };
}
