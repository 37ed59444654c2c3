import { Trash2 } from 'lucide-react';
import { slugOf } from '../../../../core/listing/index.ts';
import {
  ALONG,
  FIELD_KINDS,
  INTO,
  PATTERN_GROUP_NAMES,
  PATTERN_GROUPS,
  type Pattern,
  type PatternField,
  placeFaults,
  READ_AS,
  SHIPPED_PATTERNS,
  STANDARD_FIELDS,
} from '../../../../core/writing/index.ts';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { ChoiceField, Field, TextField } from '../../../ui/field.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';

const KIND_NAMES = {
  line: 'a line',
  text: 'a text',
  list: 'a list',
  number: 'a number',
  choice: 'a choice',
} as const;
const READ_NAMES = {
  lines: 'lines',
  headings: 'headings',
  paragraphs: 'paragraphs',
  text: 'one text',
} as const;
const INTO_NAMES = {
  sheet: 'the sheet',
  title: 'the title',
  'meta-title': 'the meta title',
  'meta-description': 'the meta description',
  excerpt: 'the excerpt',
  alt: 'the alt text',
  outline: 'the outline',
  questions: 'the questions',
  points: 'the main points',
  ideas: 'the ideas',
  list: 'nowhere: it is read and copied',
} as const;

/** An id for a field of a name: letters, digits and hyphens; none that is there already. */
function fieldId(name: string, known: readonly PatternField[]): string {
  const base = slugOf(name).slice(0, 30) || 'field';
  for (let count = 1; ; count++) {
    const id = count === 1 ? base : `${base}-${count}`;
    if (!known.some((field) => field.id === id)) return id;
  }
}

/** A pattern of the house, changed in place; what is wrong with its text is said at once. */
export function PatternEditor({
  pattern,
  onChange,
}: {
  pattern: Pattern;
  /** Changes it from how it stands: two changes in quick succession both hold. */
  onChange: (change: (pattern: Pattern) => Partial<Pattern>) => void;
}) {
  const { fields, along } = pattern;
  const set = (patch: Partial<Pattern>) => onChange(() => patch);
  const setFields = (work: (fields: PatternField[]) => PatternField[]) =>
    onChange((now) => ({ fields: work(now.fields) }));
  const faults = placeFaults(pattern);
  const missing = Object.values(STANDARD_FIELDS).filter(({ id }) => !fields.some((field) => field.id === id));
  const setField = (id: string, patch: Partial<PatternField>) =>
    setFields((now) => now.map((field) => (field.id === id ? { ...field, ...patch } : field)));
  return (
    <div className="mb-6 space-y-4">
      <div className="grid grid-cols-2 gap-4 max-[900px]:grid-cols-1">
        <TextField stored label="Name" value={pattern.name} onChange={(name) => set({ name })} />
        <TextField
          stored
          label="What it is for"
          value={pattern.purpose}
          onChange={(purpose) => set({ purpose })}
        />
      </div>
      <TextField
        stored
        rows={6}
        label="The request"
        value={pattern.text}
        onChange={(text) => set({ text })}
        problem={faults[0]}
        note={`Places: ${fields.map(({ id }) => `{{${id}}}`).join(' ')}. A line with a place that is empty is left out.`}
      />
      <fieldset>
        <legend className="mb-1 font-semibold">Fields</legend>
        <ul>
          {fields.map((field) => (
            <li
              key={field.id}
              className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t py-1.5 text-[13px]"
            >
              <code className="min-w-24 text-soft">{`{{${field.id}}}`}</code>
              <input
                aria-label={`Name of ${field.id}`}
                defaultValue={field.name}
                onBlur={({ target }) =>
                  target.value.trim() && setField(field.id, { name: target.value.trim() })
                }
                className="min-w-40 flex-1 rounded-md border px-2 py-1"
              />
              <Choice
                aria-label={`Kind of ${field.id}`}
                value={field.kind}
                onChange={(kind) => setField(field.id, { kind })}
                options={FIELD_KINDS.map((value) => ({ value, name: KIND_NAMES[value] }))}
                className="px-1.5 py-1"
              />
              <CheckField checked={field.required} onChange={(required) => setField(field.id, { required })}>
                needed
              </CheckField>
              <IconButton
                name={`Take out the field ${field.name}`}
                icon={Trash2}
                size={15}
                onClick={() => setFields((now) => now.filter(({ id }) => id !== field.id))}
              />
            </li>
          ))}
        </ul>
        <p className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
          <Button
            look="word"
            onClick={() => {
              setFields((now) => [
                ...now,
                {
                  id: fieldId('further', now),
                  name: 'Further field',
                  kind: 'line',
                  required: false,
                  suggestions: [],
                  most: null,
                },
              ]);
            }}
          >
            Add a field of its own
          </Button>
          {missing.map((field) => (
            <Button
              key={field.id}
              look="word"
              className="font-normal text-soft"
              onClick={() => setFields((now) => [...now, field])}
            >
              Add {field.name.toLowerCase()}
            </Button>
          ))}
        </p>
      </fieldset>
      <fieldset>
        <legend className="mb-1 font-semibold">What goes along</legend>
        <p className="flex flex-wrap gap-x-5 gap-y-1 text-[13px]">
          {ALONG.map((part) => (
            <CheckField
              key={part}
              checked={along.includes(part)}
              onChange={(checked) =>
                onChange((now) => ({
                  along: checked ? [...now.along, part] : now.along.filter((one) => one !== part),
                }))
              }
            >
              {part}
            </CheckField>
          ))}
        </p>
      </fieldset>
      <div className="grid grid-cols-3 gap-4 max-[900px]:grid-cols-1">
        <ChoiceField
          label="Listed"
          value={pattern.group}
          onChange={(group) => set({ group })}
          options={PATTERN_GROUPS.map((value) => ({ value, name: PATTERN_GROUP_NAMES[value] }))}
        />
        <ChoiceField
          label="Read as"
          value={pattern.readAs}
          onChange={(readAs) => set({ readAs })}
          options={READ_AS.map((value) => ({ value, name: READ_NAMES[value] }))}
        />
        <ChoiceField
          label="Goes into"
          value={pattern.into}
          onChange={(into) => set({ into })}
          options={INTO.map((value) => ({ value, name: INTO_NAMES[value] }))}
        />
        <ChoiceField
          label="Without a model, like"
          value={pattern.recipe}
          onChange={(recipe) => set({ recipe })}
          options={SHIPPED_PATTERNS.map(({ recipe, name }) => ({ value: recipe, name }))}
          note="What the stand-in does for it."
        />
        <Field label="Words of an answer" note="Empty: no wish.">
          {(id, noteId) => (
            <input
              id={id}
              aria-describedby={noteId}
              inputMode="numeric"
              defaultValue={pattern.words ?? ''}
              onBlur={({ target }) => {
                const words = Number(target.value);
                if (target.value.trim() === '') set({ words: null });
                else if (Number.isInteger(words) && words > 0 && words <= 5000) set({ words });
                else target.value = String(pattern.words ?? '');
              }}
              className="w-full rounded-md border px-2.5 py-1.5"
            />
          )}
        </Field>
      </div>
    </div>
  );
}
