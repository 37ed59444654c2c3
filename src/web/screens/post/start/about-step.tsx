import { useEffect, useState } from 'react';
import type { PostFields } from '../../../../core/draft/index.ts';
import { writingOf } from '../../../../core/site/index.ts';
import { database } from '../../../data/database.ts';
import { changeHouse } from '../../../data/sites.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import {
  AudienceField,
  GoalField,
  KeywordField,
  LengthField,
  NextStepField,
  PointsField,
  ToneField,
} from '../../../ui/brief-fields.tsx';
import { Button } from '../../../ui/button.tsx';
import { ChoiceField } from '../../../ui/field.tsx';
import { researchWorker } from '../../../workers/research-client.ts';
import { usePost } from '../frame/post-context.ts';

/** Keywords that are offered. */
const OFFERED = 8;

/** Phrases that no post targets yet: from lists without a post, and from near wins. */
function useOffered(): string[] {
  const { session } = usePost();
  const lists = useLiveQuery(async () => {
    const rows = await database().lists.where('siteId').equals(session.siteId).toArray();
    return rows
      .filter(({ postId }) => postId === '')
      .map(({ primary, phrases }) => primary || phrases[0] || '');
  }, [session]);
  const [near, setNear] = useState<string[]>([]);
  useEffect(() => {
    let isWanted = true;
    researchWorker()
      .then((worker) => worker.nearWins(session.siteId))
      .then(
        (found) => isWanted && setNear((found?.wins ?? []).slice(0, OFFERED).map(({ row }) => row.query)),
        // Without figures of the site there are none.
        () => {},
      );
    return () => {
      isWanted = false;
    };
  }, [session]);
  return [...new Set([...(lists ?? []), ...near])].filter(Boolean).slice(0, OFFERED);
}

/** What the post is about: keyword, goal, audience, length, and the voice in which it is written. */
export function AboutStep() {
  const { session, site } = usePost();
  const fields = useAppSelector((state) => state.openPost.fields);
  const offered = useOffered();
  const set = (patch: Partial<PostFields>) => session.setFields(patch);
  const voices = site.house.voices ?? [];
  return (
    <div className="space-y-5">
      <KeywordField
        value={fields.keyword}
        onChange={(keyword) => set({ keyword })}
        note="What people type who should find it."
      />
      {offered.length > 0 && (
        <p className="flex flex-wrap gap-x-4 gap-y-1 text-[13px]">
          <span className="text-soft">From your lists and near wins:</span>
          {offered.map((phrase) => (
            <Button key={phrase} look="word" onClick={() => set({ keyword: phrase })}>
              {phrase}
            </Button>
          ))}
        </p>
      )}
      <PointsField items={fields.points} onChange={(points) => set({ points })} />
      <div className="grid grid-cols-2 gap-5 max-[900px]:grid-cols-1">
        <GoalField value={fields.goal} onChange={(goal) => set({ goal })} />
        <AudienceField items={fields.audience} onChange={(audience) => set({ audience })} />
        <ToneField value={fields.tone} onChange={(tone) => set({ tone })} />
        <LengthField
          value={fields.targetWords}
          onChange={(targetWords) => set({ targetWords })}
          note="Words of the whole post."
        />
        <NextStepField value={fields.nextStep} onChange={(nextStep) => set({ nextStep })} />
        {voices.length > 0 && (
          <ChoiceField
            label="Voice"
            value={writingOf(site.house).voice}
            onChange={(voice) =>
              attempt(
                changeHouse(site.id, (house) => ({ ...house, writing: { ...writingOf(house), voice } })),
              )
            }
            options={[{ value: '', name: 'none' }, ...voices.map(({ id, name }) => ({ value: id, name }))]}
            note="Of the house: it goes along with every request."
          />
        )}
      </div>
    </div>
  );
}
