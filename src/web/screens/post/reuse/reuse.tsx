import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ReuseKind } from '../../../../core/reuse/index.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { addReuse } from '../../../data/reuses.ts';
import { zoneOf } from '../../../data/zone-of.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { counted } from '../../../ui/figures.ts';
import { Panes } from '../../../ui/panes.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { talkWorker } from '../../../workers/talk-client.ts';
import { usePost } from '../frame/post-context.ts';
import { firstWishes, KIND_GROUPS, KIND_NAMES } from './kinds.ts';
import { MadeThing } from './made-thing.tsx';
import { fromOf, useAddress, useHeld, useMade } from './use-made.ts';

const NONE: ReuseRow[] = [];

/** Reuse: what was made of the post, and what else can be. */
export function Reuse() {
  const { session, site } = usePost();
  const words = useAppSelector((state) => state.openPost.words);
  const made = useMade(session);
  const address = useAddress(session, site);
  const held = useHeld(session, made ?? NONE);
  const [chosen, setChosen] = useState('');
  const [problem, setProblem] = useState('');
  const navigate = useNavigate();
  if (made === undefined) return <Waiting className="m-6 h-60" />;
  const row = made.find(({ id }) => id === chosen) ?? made[0] ?? null;

  const make = async (kind: ReuseKind) => {
    const wishes = firstWishes(kind);
    const parts = await (await talkWorker()).make(kind, session.body, fromOf(session, address, []), wishes);
    if (parts.length === 0) {
      setProblem(
        kind === 'faq' || kind === 'cards'
          ? `No heading or sentence of this post asks anything: a ${KIND_NAMES[kind].name === 'FAQ' ? 'FAQ' : 'card'} needs a question.`
          : 'The post has no whole sentence yet that could go out.',
      );
      return;
    }
    setProblem('');
    const id = crypto.randomUUID();
    const { title } = session.document.fields;
    await addReuse({
      id,
      siteId: session.siteId,
      postId: session.id,
      kind,
      made: new Date().toISOString(),
      wishes,
      parts,
      tags: [],
      sent: [],
      planned: '',
      ...(kind === 'newsletter'
        ? { letter: { subject: title, opening: '', closing: '', posts: [session.id] } }
        : {}),
    });
    setChosen(id);
  };
  const staleOf = ({ id }: ReuseRow) => (held.get(id) ?? []).filter(({ gone }) => gone.length > 0).length;
  const side = (
    <section aria-label="Made from this post" className="min-h-0 flex-1 space-y-5 overflow-auto px-5 py-4">
      {made.length > 0 && (
        <div>
          <h2 className="mb-1 font-semibold">Made from this post {made.length}</h2>
          <ul aria-label="What was made">
            {made.map((one) => {
              const stale = staleOf(one);
              const last = one.sent.at(-1);
              return (
                <li key={one.id} className="border-t first:border-t-0">
                  <button
                    type="button"
                    aria-current={one.id === row?.id}
                    onClick={() => {
                      setChosen(one.id);
                    }}
                    className="w-full py-1.5 text-left text-[13px] hover:text-sea aria-[current=true]:font-semibold"
                  >
                    {KIND_NAMES[one.kind].name}{' '}
                    <span className="font-normal text-soft">
                      {one.parts.length > 1 ? `${one.parts.length} parts` : ''}
                      {last ? ` · went out ${dayInWords(last.at, zoneOf(site))}` : ''}
                      {one.planned ? ` · next on ${one.planned}` : ''}
                    </span>
                    {stale > 0 && (
                      <span className="block font-normal text-ochre">
                        {counted(stale, 'part')} out of date
                      </span>
                    )}
                  </button>
                </li>
              );
            })}
          </ul>
        </div>
      )}
      {problem && (
        <p role="alert" className="text-[13px] text-rust">
          {problem}
        </p>
      )}
      {words > 0 && (
        <div>
          <h2 className="mb-1 font-semibold">Make of it</h2>
          {KIND_GROUPS.map(([group, kinds]) => (
            <div key={group} className="mb-3">
              <h3 className="mb-1 text-[13px] text-soft">{group}</h3>
              <div className="flex flex-wrap gap-1.5">
                {kinds.map((kind) => (
                  <Button key={kind} title={KIND_NAMES[kind].note} onClick={() => attempt(make(kind))}>
                    {KIND_NAMES[kind].name}
                  </Button>
                ))}
              </div>
            </div>
          ))}
        </div>
      )}
      <p className="border-t pt-3 text-[13px] text-soft">
        Feeds, the sitemap and the card for shares go out with the post itself.{' '}
        <Button look="word" onClick={() => navigate('../release', { relative: 'path' })}>
          See Release
        </Button>
      </p>
    </section>
  );
  const main = (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-5">
      {words === 0 ? (
        <div className="mx-auto mt-6 max-w-xl rounded-md border bg-sheet px-6 py-8 text-center">
          <p className="mb-1 font-semibold">There is nothing to reuse yet</p>
          <p className="text-soft">
            Once the post has text, threads, letters and cards are made of its own sentences here.
          </p>
        </div>
      ) : row ? (
        <MadeThing
          key={row.id}
          row={row}
          session={session}
          site={site}
          address={address}
          held={held.get(row.id)}
        />
      ) : (
        <div className="mx-auto mt-6 max-w-xl rounded-md border bg-sheet px-6 py-8 text-center">
          <p className="mb-1 font-semibold">Nothing was made of this post yet</p>
          <p className="mb-4 text-soft">
            A thread, a blurb for a letter, cards with questions: each out of the post’s own sentences, to be
            edited and kept here.
          </p>
          <Button look="main" onClick={() => attempt(make('thread'))}>
            Make a thread
          </Button>
        </div>
      )}
    </div>
  );
  return (
    <main className="flex h-full flex-col overflow-auto">
      <Panes
        name="reuse"
        main={main}
        side={side}
        sideName="what was made"
        sideWidth={330}
        least={280}
        mainLeast={420}
        below={820}
      />
    </main>
  );
}
