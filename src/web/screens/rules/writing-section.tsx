import { ArrowRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { writingOf } from '../../../core/site/index.ts';
import type { TextWay } from '../../../core/writing/index.ts';
import { generationsOfSite, removeGenerations } from '../../data/generations.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeHouse } from '../../data/sites.ts';
import { keyOf, modelsOf, type ShownKey, setKey } from '../../services/text-service.ts';
import { attempt, failureInWords } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, Field, TextField } from '../../ui/field.tsx';
import { counted } from '../../ui/figures.ts';

const KINDS = [
  { value: 'stand-in', name: 'the stand-in: by rule, without a model' },
  { value: 'endpoint', name: 'an endpoint of the chat-completions shape' },
] as const satisfies { value: TextWay['kind']; name: string }[];

const LINK =
  'inline-flex min-h-8.5 items-center gap-1.5 rounded-md border bg-sheet px-2.5 py-1.5 hover:border-soft';

/** Where text comes from, by which patterns, in which voice; and what is kept of it. */
export function WritingSection({ site }: { site: SiteRow }) {
  const { way, voice } = writingOf(site.house);
  const setVoice = (chosen: string) =>
    attempt(changeHouse(site.id, (house) => ({ ...house, writing: { ...writingOf(house), voice: chosen } })));
  // From how it stands in the database: an address and a model that are typed in quick succession both hold.
  const setWay = (change: Partial<TextWay>) =>
    attempt(
      changeHouse(site.id, (house) => {
        const writing = writingOf(house);
        return { ...house, writing: { ...writing, way: { ...writing.way, ...change } } };
      }),
    );
  const voices = site.house.voices ?? [];
  return (
    <section id="writing" aria-label="Texts that are asked for" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Texts that are asked for</h2>
      <p className="mb-3 max-w-2xl text-soft">
        On Write, patterns ask for titles, a section or the next sentences. What comes stands in a place of
        its own until you take it, and all of it is kept.
      </p>
      <div className="mb-4 grid grid-cols-2 gap-5 max-[760px]:grid-cols-1">
        <ChoiceField
          label="Text comes from"
          value={way.kind}
          onChange={(kind) => setWay({ kind })}
          options={KINDS}
          note={
            way.kind === 'stand-in'
              ? 'It composes from the study, the brief and your posts, quotes with their pages, and says so. Nothing leaves this machine.'
              : 'Requests go there from this machine’s server, with what the request needs and nothing else.'
          }
        />
        <ChoiceField
          label="Voice that goes along"
          value={voice}
          onChange={setVoice}
          options={[{ value: '', name: 'none' }, ...voices.map(({ id, name }) => ({ value: id, name }))]}
          note={voices.length === 0 ? 'Learn one from posts that sound right.' : undefined}
        />
      </div>
      {way.kind === 'endpoint' && <Endpoint key={site.id} way={way} onChange={setWay} />}
      <p className="flex flex-wrap gap-3">
        <Link to="/rules/patterns" className={LINK}>
          Patterns
          <ArrowRight size={15} aria-hidden />
        </Link>
        <Link to="/rules/voices" className={LINK}>
          Voices
          <ArrowRight size={15} aria-hidden />
        </Link>
        <Link to="/history" className={LINK}>
          History
          <ArrowRight size={15} aria-hidden />
        </Link>
      </p>
      <Kept siteId={site.id} />
    </section>
  );
}

/** The address, the model and the key of an endpoint. The key goes to the server and is never read again. */
function Endpoint({ way, onChange }: { way: TextWay; onChange: (change: Partial<TextWay>) => void }) {
  const [shown, setShown] = useState<ShownKey | null>(null);
  const [typed, setTyped] = useState('');
  const [models, setModels] = useState<string[]>([]);
  const [said, setSaid] = useState({ text: '', isBad: false });
  const { base } = way;
  useEffect(() => {
    let isWanted = true;
    if (base.trim() !== '')
      keyOf(base).then(
        (key) => isWanted && setShown(key),
        () => isWanted && setShown(null),
      );
    return () => {
      isWanted = false;
    };
  }, [base]);
  const work = async (task: () => Promise<string>) => {
    try {
      setSaid({ text: await task(), isBad: false });
    } catch (error) {
      setSaid({ text: failureInWords(error), isBad: true });
    }
  };
  const keep = (key: string) =>
    work(async () => {
      setShown(await setKey(base, key));
      setTyped('');
      return key === '' ? 'The key is taken away.' : 'The key lies on the server now.';
    });
  const list = () =>
    work(async () => {
      const found = await modelsOf(base);
      setModels(found);
      return found.length === 0
        ? 'It answers, and names no model.'
        : `It answers, with ${counted(found.length, 'model')}.`;
    });
  return (
    <div className="mb-4 grid grid-cols-2 gap-5 max-[760px]:grid-cols-1">
      <TextField
        stored
        label="Address of the endpoint"
        value={base}
        onChange={(next) => onChange({ base: next })}
        placeholder="https://text.example/v1"
        note="Up to what stands before /chat/completions. Plain http goes to this machine alone."
      />
      <TextField
        stored
        label="Model"
        value={way.model}
        onChange={(model) => onChange({ model })}
        list={models}
        note="As the endpoint calls it."
      />
      <Field
        label="Key"
        note={
          shown?.isSet
            ? `A key is set${shown.ends ? `; it ends with ${shown.ends}` : ''}. It lies on the server, for this address alone, and is in no export or backup.`
            : 'Goes to the server, for this address alone, and is never shown again.'
        }
      >
        {(id, noteId) => (
          <span className="flex gap-2">
            <input
              id={id}
              aria-describedby={noteId}
              type="password"
              autoComplete="off"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              className="w-full rounded-md border px-2.5 py-1.5"
            />
            <Button disabled={typed.trim() === '' || base.trim() === ''} onClick={() => attempt(keep(typed))}>
              Set
            </Button>
            {shown?.isSet && <Button onClick={() => attempt(keep(''))}>Take away</Button>}
          </span>
        )}
      </Field>
      <div className="self-end">
        <Button disabled={base.trim() === ''} onClick={() => attempt(list())}>
          Ask it for its models
        </Button>
        {said.text && (
          <p role="status" className={`mt-1 text-[13px] ${said.isBad ? 'text-rust' : 'text-soft'}`}>
            {said.text}
          </p>
        )}
      </div>
    </div>
  );
}

/** Older than so many days texts can be cleared that were not taken. */
const OLD_DAYS = 30;

/** How much is kept of what was asked for, and the ways to clear it. */
function Kept({ siteId }: { siteId: string }) {
  const rows = useLiveQuery(() => generationsOfSite(siteId), [siteId]);
  if (!rows || rows.length === 0) return null;
  const bytes = rows.reduce((sum, row) => sum + JSON.stringify(row).length, 0);
  const before = new Date(Date.now() - OLD_DAYS * 86_400_000).toISOString();
  const old = rows.filter(({ at, asked }) => asked?.taken === 'no' && at < before);
  const untaken = rows.filter(({ asked }) => asked?.taken === 'no');
  const clear = async (ids: readonly string[]) =>
    offerUndo(`${counted(ids.length, 'text')} cleared.`, await removeGenerations(ids));
  return (
    <p className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px] text-soft">
      <span>
        {counted(rows.length, 'text')} kept, {Math.max(1, Math.round(bytes / 1000)).toLocaleString('en')} kB.
      </span>
      {old.length > 0 && (
        <Button look="word" onClick={() => attempt(clear(old.map(({ id }) => id)))}>
          Clear {old.length} not taken, older than {OLD_DAYS} days
        </Button>
      )}
      {untaken.length > 0 && (
        <Button look="word" onClick={() => attempt(clear(untaken.map(({ id }) => id)))}>
          Clear all {untaken.length} that were not taken
        </Button>
      )}
    </p>
  );
}
