import { useState } from 'react';
import { toast } from 'sonner';
import {
  type Planned,
  type Proposal,
  type ProposedItem,
  planText,
  proposalKey,
  readPlan,
  SHAPE_NAMES,
  standing,
} from '../../../../core/outline/index.ts';
import { generationsOf, keepGenerations } from '../../../data/briefs.ts';
import { attempt } from '../../../state/attempt.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { counted } from '../../../ui/figures.ts';
import type { PlanWish } from '../../../workers/plan.ts';
import { studyWorker } from '../../../workers/study-client.ts';
import { GenerationHistory } from '../brief/generation-history.tsx';
import { usePost } from '../frame/post-context.ts';

const GROUNDS = {
  point: 'your main point',
  topic: 'pages that have it',
  question: 'asked',
  unsaid: 'nobody says it',
} as const;

const groundsInWords = ({ grounds }: ProposedItem): string =>
  grounds
    .map(({ kind, text, pages }) =>
      kind === 'topic'
        ? `"${text}" on ${counted(pages.length, 'page')}`
        : `${GROUNDS[kind]}${kind === 'point' ? '' : `: ${text}`}`,
    )
    .join('; ');

/** An item as it goes into the outline: what it stands on stays with it as a note. */
const planned = (item: ProposedItem): Planned => ({
  level: item.level,
  text: item.text,
  note: [item.note, item.grounds.length ? `From the study: ${groundsInWords(item)}` : '']
    .filter(Boolean)
    .join('\n'),
});

/** Top headings, each with what lies below it. */
function branches(items: readonly ProposedItem[]): ProposedItem[][] {
  const out: ProposedItem[][] = [];
  for (const item of items) {
    if (item.level === 2 || out.length === 0) out.push([item]);
    else out[out.length - 1].push(item);
  }
  return out;
}

/** What a proposal stands on, in words. */
function standingInWords({ items }: Proposal): string {
  const { headings, founded, pages } = standing(items);
  return founded === 0
    ? `${counted(headings, 'heading')}, none of them from the pages`
    : `${founded} of ${counted(headings, 'heading')} stand on ${counted(pages, 'page')}`;
}

/** Outlines that are proposed: whole ones, single branches, or several combined; all of them are kept. */
export function ProposalsPanel({
  wish,
  stamp,
  onReplace,
  onCombine,
}: {
  wish: PlanWish;
  stamp: string;
  onReplace: (items: Planned[]) => void;
  onCombine: (items: Planned[]) => void;
}) {
  const { session } = usePost();
  const [proposals, setProposals] = useState<Proposal[]>([]);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [busy, setBusy] = useState(false);
  const rows = useLiveQuery(() => generationsOf(session.siteId, session.id), [session]) ?? [];
  const history = rows.filter(({ recipe }) => recipe === 'outline');

  const propose = async (count: number) => {
    setBusy(true);
    const before = history.map(({ output }) => proposalKey(readPlan(output)));
    const found = await (await studyWorker()).propose(wish, count, before, stamp);
    setBusy(false);
    if (found.length === 0) {
      toast(
        history.length > 0
          ? 'No further outline differs from those that were made. Add a main point, or take other pages into the study.'
          : 'There is nothing to build on yet: study the result pages, or write main points on Target.',
      );
      return;
    }
    const at = new Date().toISOString();
    await keepGenerations(
      found.map(({ shape, items }) => ({
        siteId: session.siteId,
        postId: session.id,
        at,
        recipe: 'outline' as const,
        title: `${SHAPE_NAMES[shape]}: ${items[0].text}`,
        input: [
          `Query: ${wish.query}`,
          ...wish.points.map((point) => `Main point: ${point}`),
          ...wish.must.map((topic) => `Topic: ${topic}`),
          ...wish.questions.map((question) => `Question: ${question}`),
        ].join('\n'),
        output: planText(items.map(planned)),
      })),
    );
    setProposals(count === 1 ? [...proposals, ...found] : found);
    setChosen(new Set());
  };
  const taken = proposals.flatMap((proposal, at) =>
    branches(proposal.items).flatMap((branch, of) => (chosen.has(`${at} ${of}`) ? branch.map(planned) : [])),
  );
  return (
    <div>
      <div className="mb-3 flex flex-wrap gap-2">
        <Button look="main" disabled={busy} onClick={() => attempt(propose(3))}>
          Propose outlines
        </Button>
        {proposals.length > 0 && (
          <Button disabled={busy} onClick={() => attempt(propose(1))}>
            Another
          </Button>
        )}
        <Button
          disabled={taken.length === 0}
          onClick={() => {
            onCombine(taken);
            setChosen(new Set());
          }}
        >
          Combine {chosen.size > 0 ? counted(chosen.size, 'branch', 'branches') : 'chosen branches'}
        </Button>
      </div>
      {proposals.length === 0 && (
        <p className="text-soft">
          Made from the topics and questions of the study and from the main points of the brief, in shapes
          that fit what is searched for. Main points are always kept.
        </p>
      )}
      {proposals.map((proposal, at) => (
        <section
          // biome-ignore lint/suspicious/noArrayIndexKey: proposals are only added at the end
          key={at}
          aria-label={`Proposal ${at + 1}: ${SHAPE_NAMES[proposal.shape]}`}
          className="mb-4 rounded-md border bg-sheet"
        >
          <header className="flex items-center gap-2 border-b px-3 py-1.5">
            <h3 className="min-w-0 flex-1 font-semibold">
              {SHAPE_NAMES[proposal.shape]}
              <span className="block font-normal text-soft">{standingInWords(proposal)}</span>
            </h3>
            <Button look="word" onClick={() => onReplace(proposal.items.map(planned))}>
              Take this one
            </Button>
          </header>
          <ul className="px-3 py-1">
            {branches(proposal.items).map(([head, ...below], of) => (
              <li key={head.text} className="border-t py-1 first:border-t-0">
                <CheckField
                  checked={chosen.has(`${at} ${of}`)}
                  onChange={() => {
                    const next = new Set(chosen);
                    if (!next.delete(`${at} ${of}`)) next.add(`${at} ${of}`);
                    setChosen(next);
                  }}
                  className="flex items-start gap-2"
                  boxClassName="mt-0.5"
                >
                  <span className="min-w-0 flex-1">
                    {head.text}
                    {head.grounds.length > 0 && (
                      <span className="block text-soft">{groundsInWords(head)}</span>
                    )}
                    {below.map((item) => (
                      <span key={item.text} className="mt-0.5 block pl-3" title={groundsInWords(item)}>
                        {item.text}
                      </span>
                    ))}
                  </span>
                </CheckField>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <GenerationHistory
        name="Proposals so far"
        rows={history}
        action="Take this one"
        onAction={({ output }) => onReplace(readPlan(output))}
      />
    </div>
  );
}
