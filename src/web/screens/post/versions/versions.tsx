import { RotateCcw, Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { VersionRow, VersionScore } from '../../../data/post-rows.ts';
import { putVersion, removeVersion, versionsOf } from '../../../data/versions.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { offerUndo } from '../../../state/undo.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { Empty } from '../../../ui/empty.tsx';
import { ChoiceField } from '../../../ui/field.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { Ridge } from '../../../ui/ridge.tsx';
import { StepChart } from '../../../ui/step-chart.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { useZone } from '../../../ui/zone.ts';
import { jobsWorker } from '../../../workers/jobs-client.ts';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { Comparison } from './comparison.tsx';
import { ScoreChange } from './score-change.tsx';
import { momentInWords, reasonInWords } from './version-words.ts';

type Against = 'now' | 'before';

/** Versions: how the post stood before, side by side with what became of it, and the way back. */
export function Versions() {
  const zone = useZone();
  const { session } = usePost();
  const { report, words } = useAppSelector((state) => state.openPost);
  const rows = useLiveQuery(() => versionsOf(session.siteId, session.id), [session]);
  const [chosen, setChosen] = useState<string | null>(null);
  const [against, setAgainst] = useState<Against>('now');
  const unscored = rows?.some((row) => row.score === null);
  useEffect(() => {
    if (unscored)
      attempt(
        jobsWorker().then((jobs) => jobs.scoreVersions(session.siteId, session.id)),
        'The scores of these versions could not be computed',
      );
  }, [unscored, session]);

  if (!rows) return <Waiting />;
  const version = rows.find((row) => row.id === chosen) ?? rows[0];
  const earlier = version && rows[rows.indexOf(version) + 1];
  const now: VersionScore | null = report && { ...report, words };
  const scored = rows.filter((row) => row.score !== null).reverse();

  const restore = async (row: VersionRow) => {
    await session.keepVersion('restore');
    const takeBack = session.putBack({
      document: { fields: row.fields, draft: row.draft },
      outline: row.outline,
    });
    setChosen(row.id);
    offerUndo(`The post is as it was ${momentInWords(row, zone)}.`, takeBack);
  };
  const remove = async (row: VersionRow) => {
    await removeVersion(row.id);
    offerUndo(`The version of ${momentInWords(row, zone)} is gone.`, () => putVersion(row));
  };

  return (
    <main className="flex h-full min-h-0">
      <section aria-label="Kept versions" className="flex w-[292px] shrink-0 flex-col border-r">
        <KeepNow
          onKeep={(name) => attempt(session.keepVersion('named', name).then((row) => setChosen(row.id)))}
        />
        <ol className="min-h-0 flex-1 overflow-auto">
          {rows.map((row) => (
            <li key={row.id}>
              <button
                type="button"
                aria-pressed={row === version}
                onClick={() => setChosen(row.id)}
                className="w-full border-b border-l-2 border-l-transparent px-4 py-2.5 text-left hover:bg-sheet aria-pressed:border-l-marram aria-pressed:bg-sheet"
              >
                <span className="flex items-baseline justify-between gap-2">
                  <span className="truncate font-semibold">{row.name || momentInWords(row, zone)}</span>
                  <span className="shrink-0 font-semibold">
                    {row.score ? Math.round(row.score.score) : ''}
                  </span>
                </span>
                <span className="flex items-center justify-between gap-2 text-[13px] text-soft">
                  <span className="truncate">
                    {row.name ? momentInWords(row, zone) : reasonInWords(row)}
                    {row.score ? `, ${row.score.words.toLocaleString('en')} words` : ''}
                  </span>
                  {row.score && <Ridge groups={row.score.groups} width={64} height={14} />}
                </span>
              </button>
            </li>
          ))}
        </ol>
      </section>
      {version ? (
        <div className="min-w-0 flex-1 overflow-auto px-7 py-5">
          {scored.length > 1 && (
            <p className="text-[13px] text-soft">
              Score over the versions. Press a step to see what changed it
              {scored.some(({ reason }) => reason === 'published')
                ? '; a ring is what readers were sent'
                : ''}
              .
            </p>
          )}
          {scored.length > 1 && (
            <StepChart
              name="Score over the versions"
              height={150}
              steps={scored.map((row) => ({
                at: row.at,
                value: row.score?.score ?? 0,
                label: `${row.name || momentInWords(row, zone)}${row.reason === 'published' ? ', sent to the readers' : ''}`,
                marked: row.reason === 'published',
              }))}
              chosen={scored.indexOf(version)}
              onChoose={(at) => {
                setChosen(scored[at].id);
                setAgainst('before');
              }}
            />
          )}
          <div className="mt-3 mb-4 flex flex-wrap items-end gap-x-4 gap-y-2">
            <h2 className="mr-auto font-serif text-xl font-semibold">
              {version.name || momentInWords(version, zone)}
              <span className="ml-3 font-sans text-[13px] font-normal text-soft">
                {reasonInWords(version)}
              </span>
            </h2>
            <div className="w-56">
              <ChoiceField<Against>
                label="Compare with"
                value={earlier ? against : 'now'}
                onChange={setAgainst}
                options={[
                  { value: 'now', name: 'the post as it is now' },
                  ...(earlier ? [{ value: 'before' as const, name: 'the version before it' }] : []),
                ]}
              />
            </div>
            <Editable>
              <Button onClick={() => attempt(restore(version))}>
                <RotateCcw size={15} aria-hidden />
                Restore this version
              </Button>
            </Editable>
            <IconButton
              name="Delete this version"
              icon={Trash2}
              look="grave"
              onClick={() => attempt(remove(version))}
            />
          </div>
          <Compared version={version} earlier={against === 'before' ? earlier : undefined} now={now} />
        </div>
      ) : (
        <Empty title="No version yet">
          While you write, one is kept every ten minutes, and before every paste over a selection, restore or
          import. Give one a name at the left to keep it for good.
        </Empty>
      )}
    </main>
  );
}

/** A version beside the one before it, or beside the post as it is now. */
function Compared({
  version,
  earlier,
  now,
}: {
  version: VersionRow;
  earlier: VersionRow | undefined;
  now: VersionScore | null;
}) {
  const zone = useZone();
  const { session } = usePost();
  const own = { fields: version.fields, draft: version.draft };
  const name = version.name || momentInWords(version, zone);
  const [before, after] = earlier ? [earlier.score, version.score] : [version.score, now];
  return (
    <>
      {before && after && (
        <div className="mb-4 border-y py-3">
          <ScoreChange before={before} after={after} />
        </div>
      )}
      {earlier ? (
        <Comparison
          before={{ fields: earlier.fields, draft: earlier.draft }}
          after={own}
          names={[earlier.name || momentInWords(earlier, zone), name]}
        />
      ) : (
        <Comparison before={own} after={session.document} names={[name, 'now']} />
      )}
    </>
  );
}

function KeepNow({ onKeep }: { onKeep: (name: string) => void }) {
  const [name, setName] = useState('');
  return (
    <form
      className="border-b px-4 py-3"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(name.trim() || 'Kept by hand');
        setName('');
      }}
    >
      <label htmlFor="version-name" className="mb-1 block font-semibold">
        Keep a version now
      </label>
      <div className="flex gap-2">
        <input
          id="version-name"
          value={name}
          placeholder="Its name"
          onChange={(event) => setName(event.target.value)}
          className="min-w-0 flex-1 rounded-md border px-2.5 py-1.5"
        />
        <Button type="submit">Keep</Button>
      </div>
    </form>
  );
}
