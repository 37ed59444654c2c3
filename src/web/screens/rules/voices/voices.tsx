import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { type House, voiceOf, writingOf } from '../../../../core/site/index.ts';
import { type HouseVoice, LEAST_SAMPLE_WORDS } from '../../../../core/writing/index.ts';
import { postsOf } from '../../../data/posts.ts';
import { changeHouse, currentSite } from '../../../data/sites.ts';
import { attempt } from '../../../state/attempt.ts';
import { offerUndo } from '../../../state/undo.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { TextField } from '../../../ui/field.tsx';
import { counted } from '../../../ui/figures.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { Panes } from '../../../ui/panes.tsx';
import { Waiting } from '../../../ui/waiting.tsx';
import { useZone } from '../../../ui/zone.ts';
import { studyWorker } from '../../../workers/study-client.ts';
import { VoiceView } from './voice-view.tsx';

/** Voices: how the house writes, learnt from posts that sound right. */
export function Voices() {
  const site = useLiveQuery(currentSite);
  const posts = useLiveQuery(async () => (site ? postsOf(site.id) : []), [site?.id]) ?? [];
  const zone = useZone();
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const [name, setName] = useState('');
  const [open, setOpen] = useState('');
  const [problem, setProblem] = useState('');
  if (!site) return <Waiting />;
  const voices = site.house.voices ?? [];
  const voice = voices.find(({ id }) => id === open) ?? voiceOf(site.house) ?? voices[0];
  const standing = posts.filter(({ deleted }) => deleted === '');
  const published = standing.filter(({ fields }) => fields.status === 'published');
  const samples = chosen ?? published.slice(0, 12).map(({ id }) => id);
  const change = (
    work: (voices: HouseVoice[]) => HouseVoice[],
    more: (house: House) => Partial<House> = () => ({}),
  ) => changeHouse(site.id, (house) => ({ ...house, voices: work(house.voices ?? []), ...more(house) }));
  const learn = async (postIds: readonly string[], before?: HouseVoice) => {
    setProblem('');
    const worker = await studyWorker();
    const id = before?.id ?? crypto.randomUUID();
    const learnt = await worker.learnVoice([...postIds], {
      id,
      name: name.trim() || 'The house',
      now: new Date().toISOString(),
      ...(before ? { before } : {}),
    });
    if (!learnt) {
      setProblem(
        `The chosen posts have fewer than ${LEAST_SAMPLE_WORDS} words of prose together. Choose more.`,
      );
      return;
    }
    const takeBack = await change(
      (known) => (before ? known.map((one) => (one.id === id ? learnt : one)) : [...known, learnt]),
      // The first one goes along at once: it was learnt for that.
      (house) => ((house.voices ?? []).length === 0 ? { writing: { ...writingOf(house), voice: id } } : {}),
    );
    setOpen(id);
    setName('');
    offerUndo(`“${learnt.name}” is learnt from ${counted(postIds.length, 'post')}.`, takeBack);
  };
  const remove = async (gone: HouseVoice) => {
    const takeBack = await change(
      (known) => known.filter(({ id }) => id !== gone.id),
      (house) => (writingOf(house).voice === gone.id ? { writing: { ...writingOf(house), voice: '' } } : {}),
    );
    offerUndo(`“${gone.name}” is taken out.`, takeBack);
  };
  const goesAlong = writingOf(site.house).voice;
  return (
    <main className="flex h-full min-h-0 flex-col">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Voices</h1>
        <Link to="/rules#writing" className="text-soft underline underline-offset-4">
          House rules
        </Link>
      </header>
      <Panes
        name="voices"
        main={
          <div className="min-h-0 min-w-0 flex-1 overflow-auto px-6 py-5">
            {voice ? (
              <>
                <div className="mb-4 flex flex-wrap items-start gap-3">
                  <div className="min-w-0 flex-1">
                    <h2 className="font-serif text-xl font-semibold">{voice.name}</h2>
                    <p className="text-soft">
                      Learnt {dayInWords(voice.learnt, zone)} from {counted(voice.posts.length, 'post')}:{' '}
                      {counted(voice.figures.words, 'word')}, {counted(voice.figures.sentences, 'sentence')}.
                    </p>
                  </div>
                  {goesAlong === voice.id ? (
                    <p className="self-center text-soft">It goes along with requests.</p>
                  ) : (
                    <Button
                      onClick={() =>
                        attempt(
                          changeHouse(site.id, (house) => ({
                            ...house,
                            writing: { ...writingOf(house), voice: voice.id },
                          })),
                        )
                      }
                    >
                      Send it along with requests
                    </Button>
                  )}
                  <Button onClick={() => attempt(learn(voice.posts, voice))}>Learn it anew</Button>
                  <IconButton
                    name={`Take out ${voice.name}`}
                    icon={Trash2}
                    look="grave"
                    onClick={() => attempt(remove(voice))}
                  />
                </div>
                <VoiceView
                  key={voice.id}
                  voice={voice}
                  onChange={(patch) =>
                    attempt(
                      change((known) =>
                        known.map((one) => (one.id === voice.id ? { ...one, ...patch(one) } : one)),
                      ),
                    )
                  }
                />
              </>
            ) : (
              <div className="mx-auto mt-12 max-w-md text-center">
                <h2 className="mb-2 font-serif text-xl font-semibold">No voice yet</h2>
                <p className="text-soft">
                  Choose posts that sound as the house should, and learn from them: how long sentences are,
                  who is spoken to, which words are liked and which are never used. It goes along with every
                  request, and any text can be held against it.
                </p>
              </div>
            )}
          </div>
        }
        side={
          <div className="min-h-0 flex-1 overflow-auto px-4 py-4 text-[13px]">
            {voices.length > 0 && (
              <nav aria-label="Voices" className="mb-5">
                <h2 className="mb-1 font-semibold">Voices of the house</h2>
                <ul>
                  {voices.map((one) => (
                    <li key={one.id}>
                      <button
                        type="button"
                        aria-current={one.id === voice?.id}
                        onClick={() => setOpen(one.id)}
                        className="w-full truncate py-1 text-left hover:text-marram aria-[current=true]:font-semibold aria-[current=true]:text-marram"
                      >
                        {one.name}
                        {goesAlong === one.id && <span className="font-normal text-soft"> · goes along</span>}
                      </button>
                    </li>
                  ))}
                </ul>
              </nav>
            )}
            <form
              aria-label="Learn a voice"
              onSubmit={(event) => {
                event.preventDefault();
                attempt(learn(samples), 'The voice could not be learnt');
              }}
            >
              <h2 className="mb-2 font-semibold">Learn a voice</h2>
              <TextField label="Its name" value={name} onChange={setName} placeholder="The house" />
              <fieldset className="mt-3">
                <legend className="mb-1 font-semibold">
                  Posts that sound right {samples.length} of {standing.length}
                </legend>
                <ul className="max-h-[46vh] overflow-auto border-y py-1">
                  {standing.map(({ id, fields }) => (
                    <li key={id} className="py-0.5">
                      <CheckField
                        checked={samples.includes(id)}
                        onChange={(checked) =>
                          setChosen(checked ? [...samples, id] : samples.filter((one) => one !== id))
                        }
                        className="flex items-start gap-1.5"
                        boxClassName="mt-0.5"
                      >
                        {fields.title || 'Untitled'}
                      </CheckField>
                    </li>
                  ))}
                </ul>
              </fieldset>
              {problem && (
                <p role="alert" className="mt-2 text-rust">
                  {problem}
                </p>
              )}
              <Button look="main" type="submit" className="mt-3" disabled={samples.length === 0}>
                Learn it
              </Button>
            </form>
          </div>
        }
        sideName="the posts to learn from"
        sideWidth={340}
        least={260}
        mainLeast={420}
        below={760}
      />
    </main>
  );
}
