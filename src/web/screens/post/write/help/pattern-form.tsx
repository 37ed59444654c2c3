import { useEditorState } from '@tiptap/react';
import { useEffect, useRef, useState } from 'react';
import { clashingTones } from '../../../../../core/outline/index.ts';
import { writingOf } from '../../../../../core/site/index.ts';
import {
  type Along,
  type FieldValue,
  fieldFaults,
  fieldValue,
  filledFields,
  type Pattern,
  type TextRequest,
  withValue,
} from '../../../../../core/writing/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import { askText, knownFor, requestFor } from '../../../../state/writing/ask-text.ts';
import type { TextInHand } from '../../../../state/writing/text-run.ts';
import { Button } from '../../../../ui/button.tsx';
import { CheckField } from '../../../../ui/check-field.tsx';
import { Waiting } from '../../../../ui/waiting.tsx';
import { usePost } from '../../frame/post-context.ts';
import type { BodyEditor } from '../sheet/body-editor.ts';
import { askedAt } from './asked-at.ts';
import { FieldInput } from './field-input.tsx';
import { ListAnswer } from './list-answer.tsx';
import { SentDialog } from './sent-dialog.tsx';
import { askInSheet } from './use-ask.ts';

const ALONG_NAMES: Record<Along, string> = {
  house: 'the house and what it offers',
  voice: 'the voice',
  brief: 'the brief',
  outline: 'the outline',
  study: 'what the studied pages say',
  draft: 'the text',
  around: 'the text before and after the caret',
  selection: 'what is selected',
  site: 'what other posts of the blog say',
  picture: 'the picture in hand',
};

/** One pattern: its fields, filled from the post, what goes along, and what it answers. */
export function PatternForm({
  pattern,
  body,
  given,
  onBack,
}: {
  pattern: Pattern;
  body: BodyEditor;
  /** Values of an earlier request that are to stand there; null: those of the post. */
  given: FieldValue[] | null;
  onBack: () => void;
}) {
  const { session, site } = usePost();
  const [values, setValues] = useState<FieldValue[] | null>(given);
  const [along, setAlong] = useState<readonly Along[]>(pattern.along);
  const [sent, setSent] = useState<TextRequest | null>(null);
  const [run, setRun] = useState<TextInHand | null>(null);
  const [isTried, setIsTried] = useState(false);
  const isFilled = useRef(given !== null);
  useEffect(() => {
    if (isFilled.current) return;
    isFilled.current = true;
    attempt(
      knownFor(session, askedAt(body.editor)).then((known) => setValues(filledFields(pattern, known))),
      'What is known of the post could not be read',
    );
  }, [session, body, pattern]);
  // What is selected decides what can be asked for.
  const selected = useEditorState({
    editor: body.editor,
    selector: ({ editor }) => ({
      words: !editor.state.selection.empty,
      picture: editor.state.doc.nodeAt(editor.state.selection.from)?.type.name === 'figure',
    }),
  });
  if (!values) return <Waiting name="Filling in what is known" className="m-4 h-40" />;
  const { way } = writingOf(site.house);
  const faults = fieldFaults(pattern, values);
  const wish = { pattern, values, along, at: askedAt(body.editor) };
  const needsSelection = pattern.along.includes('selection') && !pattern.along.includes('draft');
  const lacks =
    needsSelection && !selected.words
      ? 'Select the words in the text that it is about.'
      : pattern.along.includes('picture') && !selected.picture
        ? 'Select the picture in the text that it is for.'
        : '';
  const clash = clashingTones(fieldValue(values, 'tone'));
  const ask = () => {
    setIsTried(true);
    if (faults.length > 0 || lacks !== '') return;
    const now = { ...wish, at: askedAt(body.editor) };
    if (pattern.into === 'sheet') {
      setRun(null);
      askInSheet(session, site, now);
    } else setRun(askText(session, site, now, crypto.randomUUID()));
  };
  return (
    <div className="text-[13px]">
      <Button look="word" className="mb-2 font-normal text-soft" onClick={onBack}>
        All patterns
      </Button>
      <h2 className="font-serif text-xl font-semibold">{pattern.name}</h2>
      <p className="mb-3 text-soft">{pattern.purpose}</p>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          ask();
        }}
      >
        {pattern.fields.map((field) => (
          <FieldInput
            key={field.id}
            field={field}
            value={values.find(({ id }) => id === field.id)?.value ?? ''}
            problem={
              isTried || field.kind === 'number' ? (faults.find(({ id }) => id === field.id)?.text ?? '') : ''
            }
            onChange={(value) => setValues(withValue(values, field.id, value))}
          />
        ))}
        {clash && (
          <p className="text-ochre">
            “{clash[0]}” and “{clash[1]}” do not go together: keep one.
          </p>
        )}
        <fieldset>
          <legend className="mb-1 font-semibold">What goes along</legend>
          {pattern.along.map((part) => (
            <CheckField
              key={part}
              checked={along.includes(part)}
              onChange={(checked) =>
                setAlong(checked ? [...along, part] : along.filter((one) => one !== part))
              }
            >
              {ALONG_NAMES[part]}
            </CheckField>
          ))}
        </fieldset>
        {lacks && <p className="text-ochre">{lacks}</p>}
        <p className="flex flex-wrap items-center gap-3">
          <Button look="main" type="submit">
            {run ? 'More' : 'Write it'}
          </Button>
          <Button
            look="word"
            onClick={() =>
              attempt(requestFor(session, site, { ...wish, at: askedAt(body.editor) }).then(setSent))
            }
          >
            What is sent
          </Button>
        </p>
      </form>
      {run && <ListAnswer run={run} pattern={pattern} values={values} body={body} />}
      {sent && <SentDialog request={sent} way={way} onClose={() => setSent(null)} />}
    </div>
  );
}
