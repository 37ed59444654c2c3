import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Button } from './button.tsx';
import { pasteList } from './paste-list.ts';

/** A field and a button that add what is typed to a list; Enter adds too. */
export function AddForm({
  label,
  placeholder,
  action = 'Add',
  onAdd,
  small = false,
  phrases = false,
  className = '',
}: {
  label: string;
  placeholder: string;
  /** What the button says. */
  action?: string;
  /** Given what was typed, without space around it. Where it answers false, or fails, that comes back into the field. */
  onAdd: (text: string) => unknown;
  small?: boolean;
  /** What is typed are phrases parted by commas: a pasted column is such a list. */
  phrases?: boolean;
  className?: string;
}) {
  const [typed, setTyped] = useState('');
  const text = typed.trim();
  return (
    <form
      className={`flex gap-2 ${className}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (text === '') return;
        setTyped('');
        // Something else may be typed by then: that stays.
        const comeBack = () => setTyped((now) => now || typed);
        Promise.resolve(onAdd(text)).then((taken) => {
          if (taken === false) comeBack();
        }, comeBack);
      }}
    >
      <input
        aria-label={label}
        value={typed}
        placeholder={placeholder}
        onChange={(event) => setTyped(event.target.value)}
        onPaste={phrases ? (event) => pasteList(event, setTyped) : undefined}
        className={`min-w-0 flex-1 rounded-md border px-2.5 ${small ? 'py-1' : 'py-1.5'}`}
      />
      <Button type="submit" disabled={text === ''} className={small ? 'min-h-7.5! py-1!' : ''}>
        {action === 'Add' && <Plus size={15} aria-hidden />}
        {action}
      </Button>
    </form>
  );
}
