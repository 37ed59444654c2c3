import { ArrowDown, ArrowLeftRight, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { JoinedSection, SectionAdvice } from '../../../../core/site/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { joinPosts, takeSectionsOver } from '../../../state/site/join.ts';
import { offerUndo } from '../../../state/undo.ts';
import { Button } from '../../../ui/button.tsx';
import { Empty, None } from '../../../ui/empty.tsx';
import { counted, listInWords } from '../../../ui/figures.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import type { JoinSide, JoinView, PlannedJoin } from '../../../workers/site-join.ts';
import { SiteHeader } from '../site-header.tsx';
import { useSiteRows } from '../use-site-rows.ts';
import { JoinEffect } from './join-effect.tsx';
import { SectionCard, sectionName } from './section-card.tsx';
import { useJoin } from './use-join.ts';

/** Two posts side by side, that one may take over what the other has, and the other give way. */
export function JoinPosts() {
  const { keeperId = '', otherId = '' } = useParams();
  const found = useSiteRows();
  if (!found) return <Waiting />;
  return <OfPair key={`${keeperId} ${otherId}`} siteId={found.site.id} keeper={keeperId} other={otherId} />;
}

/** What is said of a section of the post that gives way. */
function adviceInWords({ said, nearest, like, take }: SectionAdvice, keeper: JoinSide): string {
  const close = keeper.sections.find(({ id }) => id === nearest);
  if (said >= 0.1) return `${Math.round(said * 100)} % of it stands in the other post already`;
  if (!take && close && like >= 0.45) return `It says what “${sectionName(close)}” says`;
  return close ? `Most like “${sectionName(close)}”` : 'Nothing like it stands in the other post';
}

const keyOf = ({ from, id }: JoinedSection) => `${from} ${id}`;

function OfPair({ siteId, keeper, other }: { siteId: string; keeper: string; other: string }) {
  const join = useJoin(siteId, keeper, other);
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const { view, plan, problem } = join;
  const does = (work: (plan: PlannedJoin) => Promise<void>, failed: string) => {
    if (!plan) return;
    setBusy(true);
    attempt(
      work(plan).finally(() => setBusy(false)),
      failed,
    );
  };
  if (problem)
    return (
      <main className="flex h-full flex-col">
        <SiteHeader />
        <Empty
          title="They cannot be put side by side"
          ways={<WordLink to="/site/upkeep">Back to Upkeep</WordLink>}
        >
          {problem}
        </Empty>
      </main>
    );
  return (
    <main className="flex h-full flex-col">
      <SiteHeader />
      {!view ? (
        <Waiting />
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-3 px-6 pb-3">
            <WordLink quiet to="/site/upkeep">
              Upkeep
            </WordLink>
            <h2 className="min-w-0 flex-1 font-serif text-xl font-semibold break-words">Join two posts</h2>
            <Button
              disabled={busy}
              onClick={() => void navigate(`/site/upkeep/join/${other}/${keeper}`, { replace: true })}
            >
              <ArrowLeftRight size={15} aria-hidden /> The other way round
            </Button>
          </div>
          <div className="grid min-h-0 flex-1 grid-cols-2 gap-6 overflow-auto px-6">
            <JoinedColumn join={join} view={view} />
            <LeftColumn join={join} view={view} />
          </div>
          <footer className="flex flex-wrap items-center gap-3 border-t px-6 py-3">
            {plan ? (
              <JoinEffect plan={plan} />
            ) : (
              <p className="flex-1 text-soft">Working out what it comes to…</p>
            )}
            <Button
              disabled={busy || !plan || !join.order.some(({ from }) => from === 'other')}
              onClick={() =>
                does(async (now) => {
                  const back = await takeSectionsOver(now);
                  offerUndo(
                    `“${now.titles.keeper}” has the sections; “${now.titles.other}” stays as it is.`,
                    back,
                  );
                  await navigate(`/posts/${now.keeper}/write`);
                }, 'The sections could not be taken over')
              }
              className="disabled:opacity-50"
            >
              Only take the sections over
            </Button>
            <Button
              look="main"
              disabled={busy || !plan || plan.problems.length > 0 || join.order.length === 0}
              onClick={() => does((now) => joinAndSay(siteId, now), 'They could not be joined')}
              className="disabled:opacity-50"
            >
              {busy ? 'Joining…' : 'Join them'}
            </Button>
          </footer>
        </>
      )}
    </main>
  );

  async function joinAndSay(ofSite: string, now: PlannedJoin): Promise<void> {
    const { left, isSent, isWithdrawn, unsent, untold, takeBack } = await joinPosts(ofSite, now);
    const said = [
      `“${now.titles.other}” is joined with “${now.titles.keeper}” and lies in the trash.`,
      isSent
        ? 'Its readers get the joined post.'
        : now.redirect
          ? `Publish “${now.titles.keeper}” for its readers to get the joined post.`
          : '',
      isWithdrawn
        ? 'The other is withdrawn.'
        : now.redirect
          ? 'Take the other down where it is published; where its readers are led stands under Addresses.'
          : '',
      now.mend.length - left.length > 0
        ? `Links in ${counted(now.mend.length - left.length, 'post')} follow.`
        : '',
      left.length > 0 ? `Links do not follow in ${listInWords(left)}.` : '',
      unsent.length > 0 ? `Publish ${listInWords(unsent)} for its links to follow for readers.` : '',
      untold,
    ].filter(Boolean);
    offerUndo(said.join(' '), takeBack, 20_000);
    await navigate(`/posts/${now.keeper}/write`);
  }
}

type OfJoin = { join: ReturnType<typeof useJoin>; view: JoinView };

function SideHead({ name, side }: { name: string; side: JoinSide }) {
  return (
    <header className="sticky top-0 z-10 mb-2 bg-paper pb-1">
      <p className="text-[13px] text-soft">{name}</p>
      <h3 className="font-semibold break-words">
        <WordLink quiet to={`/posts/${side.id}/write`}>
          {side.title}
        </WordLink>
      </h3>
      <p className="text-[13px] break-all text-soft">
        {STATUS_NAMES[side.status]}
        {side.path && `, ${side.path}`}
      </p>
    </header>
  );
}

/** The post that stays, with what it takes over, in the order in which it will stand. */
function JoinedColumn({ join, view }: OfJoin) {
  const { order, setOrder } = join;
  const move = (from: number, to: number) => {
    const next = [...order];
    next.splice(to, 0, ...next.splice(from, 1));
    setOrder(next);
  };
  return (
    <section aria-label="The joined post" className="min-w-0">
      <SideHead name="Stays, with what is taken over" side={view.keeper} />
      <ol aria-label="Sections of the joined post">
        {order.map((one, at) => {
          const section = view[one.from].sections.find(({ id }) => id === one.id);
          if (!section) return null;
          const name = sectionName(section);
          return (
            <SectionCard
              key={keyOf(one)}
              section={section}
              look={one.from === 'other' ? 'come' : 'own'}
              note={one.from === 'other' ? `From “${view.other.title}”` : undefined}
            >
              <IconButton
                name={`Move ${name} up`}
                icon={ArrowUp}
                disabled={at === 0}
                onClick={() => move(at, at - 1)}
              />
              <IconButton
                name={`Move ${name} down`}
                icon={ArrowDown}
                disabled={at === order.length - 1}
                onClick={() => move(at, at + 1)}
              />
              <IconButton
                name={`Leave ${name} out`}
                icon={X}
                onClick={() => setOrder(order.filter((other) => keyOf(other) !== keyOf(one)))}
              />
            </SectionCard>
          );
        })}
      </ol>
      {order.length === 0 && <None>Nothing is picked. Take sections over from the right.</None>}
    </section>
  );
}

/** What is not in the joined post: of the one that gives way, and what was left out of the one that stays. */
function LeftColumn({ join, view }: OfJoin) {
  const { order, setOrder } = join;
  const picked = new Set(order.map(keyOf));
  const take = (from: JoinedSection['from'], id: string) => {
    const { nearest } = view.advice.sections.find((one) => one.id === id) ?? { nearest: null };
    // What belongs to the post that stays comes back to where it stood.
    const own = view.keeper.sections.map((section) => section.id);
    const before = from === 'keeper' ? own[own.indexOf(id) - 1] : nearest;
    const place = order.findLastIndex((one) => one.from === 'keeper' && one.id === before);
    const at = from === 'keeper' ? place + 1 : place < 0 ? order.length : place + 1;
    setOrder([...order.slice(0, at), { from, id }, ...order.slice(at)]);
  };
  const own = view.keeper.sections.filter(({ id }) => !picked.has(keyOf({ from: 'keeper', id })));
  return (
    <section aria-label="What gives way" className="min-w-0">
      <SideHead name="Gives way" side={view.other} />
      <ul aria-label="Sections of the one that gives way">
        {view.other.sections.map((section) => {
          const advice = view.advice.sections.find(({ id }) => id === section.id);
          const key = keyOf({ from: 'other', id: section.id });
          const isTaken = picked.has(key);
          return (
            <SectionCard
              key={section.id}
              section={section}
              look={isTaken ? 'gone' : 'own'}
              note={isTaken ? 'Taken over' : advice ? `${adviceInWords(advice, view.keeper)}.` : undefined}
            >
              {isTaken ? (
                <Button look="word" onClick={() => setOrder(order.filter((one) => keyOf(one) !== key))}>
                  Leave here
                </Button>
              ) : (
                <Button look="word" onClick={() => take('other', section.id)}>
                  Take over
                </Button>
              )}
            </SectionCard>
          );
        })}
      </ul>
      {own.length > 0 && (
        <>
          <h3 className="mt-4 mb-2 font-semibold">Left out of the one that stays</h3>
          <ul aria-label="Sections left out">
            {own.map((section) => (
              <SectionCard key={section.id} section={section}>
                <Button look="word" onClick={() => take('keeper', section.id)}>
                  Put back
                </Button>
              </SectionCard>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
