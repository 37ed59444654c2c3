import type { ReactNode } from 'react';
import { clashingTones } from '../../core/outline/index.ts';
import { ChipsField } from './chips-field.tsx';
import { TextField } from './field.tsx';
import { WordsField } from './words-field.tsx';

// The fields of a brief, each with its words in one place: Target, Brief and House rules show them.

interface TextProps {
  value: string;
  onChange: (value: string) => void;
  label?: string;
  note?: ReactNode;
  /** Whether the caret stands in it at once. */
  autoFocus?: boolean;
  /** Its value comes back from storage later than it is typed. */
  stored?: boolean;
}

interface ListProps {
  items: readonly string[];
  onChange: (items: string[]) => void;
  label?: string;
  note?: ReactNode;
  suggestions?: readonly string[];
}

const GOALS = [
  'Bring new readers',
  'Answer a question well',
  'Lead to a booking',
  'Help customers after the sale',
  'Win newsletter readers',
];
const TONES = ['Plain and friendly', 'Calm expert', 'Warm and personal', 'Brisk', 'Playful'];
const STYLES = ['How-to', 'List', 'Story', 'Comparison', 'Question and answer', 'Opinion'];
/** Readers of any house; its own come first. */
const AUDIENCES = ['Newcomers', 'Returning customers', 'Families', 'Experts', 'Local readers'];
/** Sentences are parted by lines alone. */
const LINES = /[\n\r]+/;

export const KeywordField = (props: TextProps) => (
  <TextField label="Primary keyword" placeholder="As a reader would type it" {...props} />
);

export const SupportingField = (props: ListProps) => (
  <ChipsField
    label="Supporting keywords"
    placeholder="Type one and press Enter, or paste a list"
    {...props}
  />
);

export const QuestionsField = (props: ListProps) => (
  <ChipsField
    label="Questions to answer"
    splitAt={LINES}
    placeholder="A question, as readers ask it"
    {...props}
  />
);

export const PointsField = (props: ListProps) => (
  <ChipsField label="Main points" splitAt={LINES} placeholder="What must not be missing" {...props} />
);

export const GoalField = (props: TextProps) => (
  <TextField label="Goal" list={GOALS} placeholder="What the post is for" {...props} />
);

/** Says where two of the tones that are wished for cannot be had at once. */
export const ToneField = ({ note, ...props }: TextProps) => {
  const clash = clashingTones(props.value);
  return (
    <TextField
      label="Tone"
      list={TONES}
      note={clash ? `"${clash[0]}" and "${clash[1]}" pull two ways: keep one of them.` : note}
      {...props}
    />
  );
};

export const StyleField = (props: TextProps) => <TextField label="Style" list={STYLES} {...props} />;

/** `own` are the readers that the house names: they are offered before those of any house. */
export const AudienceField = ({ own = [], ...props }: ListProps & { own?: readonly string[] }) => (
  <ChipsField
    label="Audience"
    placeholder="Who should read it"
    suggestions={[...new Set([...own, ...AUDIENCES])]}
    {...props}
  />
);

export const NextStepField = (props: TextProps) => (
  <TextField label="Next step for the reader" placeholder="Book a fitting, read on, subscribe" {...props} />
);

/** The length that is wished, in words; null is no wish. */
export const LengthField = ({
  label = 'Length in words',
  ...props
}: {
  label?: string;
  value: number | null;
  onChange: (words: number | null) => void;
  note?: ReactNode;
  placeholder?: string;
}) => <WordsField label={label} {...props} />;
