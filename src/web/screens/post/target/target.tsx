import { useId } from 'react';
import type { PostFields } from '../../../../core/draft/index.ts';
import { useAppSelector } from '../../../state/store.ts';
import { ChipsField } from '../../../ui/chips-field.tsx';
import { Field, TextField } from '../../../ui/field.tsx';
import { Editable } from '../frame/editable.tsx';
import { usePost } from '../frame/post-context.ts';
import { TargetLists } from './target-lists.tsx';

const GOALS = [
  'Bring new readers',
  'Answer a question well',
  'Lead to a booking',
  'Help customers after the sale',
  'Win newsletter readers',
];
/** Readers of any house; its own come first. */
const AUDIENCES = ['Newcomers', 'Returning customers', 'Families', 'Experts', 'Local readers'];
const TONES = ['Plain and friendly', 'Calm expert', 'Warm and personal', 'Brisk', 'Playful'];
const STYLES = ['How-to', 'List', 'Story', 'Comparison', 'Question and answer', 'Opinion'];
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
            <TextField
              label="Primary keyword"
              value={fields.keyword}
              onChange={(keyword) => set({ keyword })}
              placeholder="bike tour packing list"
              note={
                rival?.applies && rival.advice && fields.keyword ? (
                  <span className="text-ochre">{rival.advice}</span>
                ) : (
                  'One phrase, as a reader would type it. Inflected, hyphenated and reordered forms are recognised.'
                )
              }
            />
            <ChipsField
              label="Supporting keywords"
              items={fields.supporting}
              onChange={(supporting) => set({ supporting })}
              placeholder="Type one and press Enter, or paste a list"
              note="Paste a list with commas or one a line; each should stand in the text once."
            />
            <TargetLists session={session} site={site} />
            <ChipsField
              label="Questions to answer"
              items={fields.questions}
              onChange={(questions) => set({ questions })}
              splitAt={/[\n\r]+/}
              placeholder="How far can I ride in a day?"
              note="Each counts as answered when one section holds its words."
            />
            <ChipsField
              label="Main points"
              items={fields.points}
              onChange={(points) => set({ points })}
              splitAt={/[\n\r]+/}
              placeholder="What must not be missing"
            />
          </section>
          <section aria-labelledby={`${briefId}-b`} className="space-y-5">
            <h2 id={`${briefId}-b`} className="font-serif text-xl font-semibold">
              The brief
            </h2>
            <TextField
              label="Goal"
              value={fields.goal}
              onChange={(goal) => set({ goal })}
              list={GOALS}
              placeholder="What the post is for"
            />
            <ChipsField
              label="Audience"
              items={fields.audience}
              onChange={(audience) => set({ audience })}
              placeholder="Who should read it"
              suggestions={[...new Set([...site.house.audience, ...AUDIENCES])]}
            />
            <div className="grid grid-cols-2 gap-4">
              <TextField label="Tone" value={fields.tone} onChange={(tone) => set({ tone })} list={TONES} />
              <TextField
                label="Style"
                value={fields.style}
                onChange={(style) => set({ style })}
                list={STYLES}
              />
              <LengthField value={fields.targetWords} onChange={(targetWords) => set({ targetWords })} />
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
            <TextField
              label="Next step for the reader"
              value={fields.nextStep}
              onChange={(nextStep) => set({ nextStep })}
              placeholder="Book a fitting, read on, subscribe"
              note="What a reader should do when the post has helped."
            />
          </section>
        </div>
      </Editable>
    </main>
  );
}

function LengthField({
  value,
  onChange,
}: {
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  return (
    <Field label="Length in words" note={value === null ? 'Without a wish, about 700.' : undefined}>
      {(id, noteId) => (
        <input
          id={id}
          aria-describedby={noteId}
          type="number"
          min={50}
          max={50_000}
          step={50}
          value={value ?? ''}
          onChange={(event) => {
            const words = Math.round(Number(event.target.value));
            onChange(words > 0 ? words : null);
          }}
          className="w-full rounded-md border px-2.5 py-1.5"
        />
      )}
    </Field>
  );
}
