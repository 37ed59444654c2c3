import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { wholeProfile } from '../../../../../../core/criteria/index.ts';
import { voiceOf } from '../../../../../../core/site/index.ts';
import type { HouseVoice, VoiceNearness } from '../../../../../../core/writing/index.ts';
import type { SiteRow } from '../../../../../data/post-rows.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { Choice } from '../../../../../ui/choice.tsx';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { studyWorker } from '../../../../../workers/study-client.ts';
import { usePost } from '../../../frame/post-context.ts';
import type { LensProps } from '../lens-props.ts';

/** Milliseconds without a new report after which the text is held against the voice anew. */
const QUIET_FOR = 500;
const SHOWN = 110;

/** Whether nearness to a voice earns points: only to the one of the house's texts, and only where the house gives some. */
function worthOf(site: SiteRow, voice: HouseVoice): string {
  const isWorth =
    voiceOf(site.house)?.id === voice.id && wholeProfile(site.profile).weights['house-voice'] > 0;
  return isWorth ? 'The house gives points for it.' : 'It costs no points.';
}

/** How near the post is to a voice of the house, and what differs, paragraph by paragraph. */
export function VoiceLens({ body }: Pick<LensProps, 'body'>) {
  const { session, site } = usePost();
  const report = useAppSelector((state) => state.openPost.report);
  const voices = site.house.voices ?? [];
  const [chosen, setChosen] = useState('');
  const voice = voices.find(({ id }) => id === chosen) ?? voiceOf(site.house) ?? voices[0] ?? null;
  const [found, setFound] = useState<VoiceNearness | null>(null);
  const shown = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each report tells that the post changed
  useEffect(() => {
    if (!voice) return;
    let isOver = false;
    const look = async () => {
      const nearness = await (await studyWorker()).voiceOf(session.finished.draft, voice);
      if (isOver) return;
      shown.current = true;
      setFound(nearness);
    };
    const timer = setTimeout(
      () => attempt(look(), 'The text could not be held against the voice'),
      shown.current ? QUIET_FOR : 0,
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, voice, report]);
  const textOf = (blockId: string) => session.body.blocks.find(({ id }) => id === blockId)?.text ?? '';
  return (
    <section aria-label="Voice" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {!voice ? (
        <p className="text-soft">
          The house has no voice yet.{' '}
          <Link to="/rules/voices" className="underline underline-offset-4">
            Learn one from posts that sound right
          </Link>
          , and any text can be held against it.
        </p>
      ) : !found ? (
        <Waiting name="Holding the text against the voice" className="h-40" />
      ) : (
        <>
          {voices.length > 1 && (
            <Choice
              aria-label="Voice"
              value={voice.id}
              onChange={setChosen}
              options={voices.map(({ id, name }) => ({ value: id, name }))}
              className="mb-3 w-full px-2 py-1"
            />
          )}
          <p className="mb-2">
            {found.near === null ? (
              'There is too little text yet to hear a voice in it.'
            ) : (
              <>
                <strong className="font-semibold">{Math.round(found.near)}</strong> of 100 near to “
                {voice.name}”. <span className="text-soft">{worthOf(site, voice)}</span>
              </>
            )}
          </p>
          {found.differences.length > 0 && (
            <>
              <h2 className="mt-3 font-semibold">On the whole</h2>
              <ul>
                {found.differences.map(({ says }) => (
                  <li key={says} className="border-t py-1.5 first:border-t-0">
                    {says}
                  </li>
                ))}
              </ul>
            </>
          )}
          <h2 className="mt-4 font-semibold">By paragraph {found.paragraphs.length}</h2>
          {found.paragraphs.length === 0 && (
            <p className="text-soft">Each could stand in the voice’s own posts.</p>
          )}
          <ul>
            {found.paragraphs.map(({ blockId, differences }) => {
              const text = textOf(blockId);
              return (
                <li key={blockId} className="border-t py-1.5">
                  <button
                    type="button"
                    title="Show it in the text"
                    onClick={() => body.select({ blockId, start: 0, end: text.length })}
                    className="block w-full text-left font-serif leading-[1.35] text-soft hover:text-ink"
                  >
                    {text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text}
                  </button>
                  {differences.map((says) => (
                    <p key={says}>{says}</p>
                  ))}
                </li>
              );
            })}
          </ul>
        </>
      )}
    </section>
  );
}
