import { useId } from 'react';
import { useLocation } from 'react-router';
import type { PostFields } from '../../../../core/draft/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import {
  AudienceField,
  GoalField,
  KeywordField,
  LengthField,
  NextStepField,
  PointsField,
  QuestionsField,
  StyleField,
  SupportingField,
  ToneField,
} from '../../../ui/brief-fields.tsx';
import { TextField } from '../../../ui/field.tsx';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { TalkLink } from './talk-link.tsx';
import { TargetLists } from './target-lists.tsx';

const LANGUAGES = [
  'en',
  'en-GB',
  'en-US',
  'de',
  'fr',
  'es',
  'it',
  'nl',
  'pt',
  'sv',
  'da',
  'pl',
  'ja',
  'zh',
  'ar',
];

/** Target: what the post should be found for, and for whom it is written. */
export function Target() {
  const { session, site } = usePost();
  const { state: led } = useLocation();
  const fields = useAppSelector((state) => state.openPost.fields);
  const report = useAppSelector((state) => state.openPost.report);
  const set = (patch: Partial<PostFields>) => session.setFields(patch);
  const rival = report?.criteria.find((line) => line.id === 'keyword-free');
  const briefId = useId();
  return (
    <main className="h-full overflow-auto">
      <Editable>
        <div className="mx-auto grid max-w-5xl gap-x-12 gap-y-8 px-8 py-8 lg:grid-cols-2">
          <section aria-labelledby={`${briefId}-k`} className="space-y-5">
            <h2 id={`${briefId}-k`} className="font-serif text-xl font-semibold">
              What people type
            </h2>
            <KeywordField
              autoFocus={led?.focus === 'keyword'}
              value={fields.keyword}
              onChange={(keyword) => set({ keyword })}
              note={
                rival?.applies && rival.advice && fields.keyword ? (
                  <span className="text-ochre">{rival.advice}</span>
                ) : (
                  'One phrase, as a reader would type it. Inflected, hyphenated and reordered forms are recognised.'
                )
              }
            />
            <SupportingField
              items={fields.supporting}
              onChange={(supporting) => set({ supporting })}
              note="Paste a list with commas or one a line; each should stand in the text once."
            />
            <TargetLists session={session} site={site} />
            <TalkLink postId={session.id} />
            <QuestionsField
              items={fields.questions}
              onChange={(questions) => set({ questions })}
              note="Each counts as answered when a section says it, in its words or others for the same."
            />
            <PointsField items={fields.points} onChange={(points) => set({ points })} />
          </section>
          <section aria-labelledby={`${briefId}-b`} className="space-y-5">
            <h2 id={`${briefId}-b`} className="font-serif text-xl font-semibold">
              The brief
            </h2>
            <GoalField value={fields.goal} onChange={(goal) => set({ goal })} />
            <AudienceField
              items={fields.audience}
              onChange={(audience) => set({ audience })}
              own={site.house.audience}
            />
            <div className="grid grid-cols-2 gap-4">
              <ToneField value={fields.tone} onChange={(tone) => set({ tone })} />
              <StyleField value={fields.style} onChange={(style) => set({ style })} />
              <LengthField
                value={fields.targetWords}
                onChange={(targetWords) => set({ targetWords })}
                note={fields.targetWords === null ? 'Without a wish, about 700.' : undefined}
              />
              <TextField
                label="Language"
                value={fields.language}
                onChange={(language) => set({ language: language.trim() })}
                list={LANGUAGES}
                placeholder={site.language || 'found by its words'}
                note={
                  /^(?:[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*)?$/i.test(fields.language) ? (
                    'A tag such as en-GB.'
                  ) : (
                    <span className="text-rust">This is no language tag; write one such as en-GB or de.</span>
                  )
                }
              />
            </div>
            <NextStepField
              value={fields.nextStep}
              onChange={(nextStep) => set({ nextStep })}
              note="What a reader should do when the post has helped."
            />
          </section>
        </div>
      </Editable>
    </main>
  );
}
