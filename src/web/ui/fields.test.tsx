// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { AddForm } from './add-form.tsx';
import { AudienceField, QuestionsField } from './brief-fields.tsx';
import { TextField } from './field.tsx';
import { ColumnChoice } from './grid/column-choice.tsx';
import { type Place, PlaceField, placesWith } from './place-field.tsx';
import { readWords, WordsField } from './words-field.tsx';

beforeAll(() => {
  // What jsdom lacks and the list of a combobox asks for.
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  Element.prototype.scrollIntoView ??= () => {};
});
afterEach(cleanup);

describe('a text that is stored as it is typed', () => {
  const field = () => screen.getByLabelText<HTMLInputElement>('Site name');
  const site = (value: string, stored = true) => (
    <TextField label="Site name" value={value} onChange={() => {}} stored={stored} />
  );
  const type = (text: string) => {
    fireEvent.focus(field());
    fireEvent.change(field(), { target: { value: text } });
  };
  it('shows what was typed however late storage is, and what storage made of it once it is left', () => {
    const { rerender } = render(site('Old name'));
    type(' Saltmarsh ');
    expect(field().value).toBe(' Saltmarsh ');
    rerender(site('Saltmarsh'));
    expect(field().value).toBe(' Saltmarsh ');
    fireEvent.blur(field());
    expect(field().value).toBe('Saltmarsh');
  });
  it('that storage never took stays in the field when it is left', () => {
    const { rerender } = render(site('Old name'));
    type('Saltmarsh');
    fireEvent.blur(field());
    expect(field().value).toBe('Saltmarsh');
    // Once it is taken after all, or another tab writes, that stands there.
    rerender(site('Saltmarsh Wheelworks'));
    expect(field().value).toBe('Saltmarsh Wheelworks');
  });
  it('can be changed from elsewhere before and after', () => {
    const { rerender } = render(site('Old name'));
    rerender(site('From another tab'));
    expect(field().value).toBe('From another tab');
    type('Mine');
    rerender(site('Mine'));
    fireEvent.blur(field());
    rerender(site('From another tab'));
    expect(field().value).toBe('From another tab');
  });
  it('otherwise shows what it is given', () => {
    render(site('as it is kept', false));
    type('Saltmarsh');
    expect(field().value).toBe('as it is kept');
  });
});

describe('a number of words', () => {
  it.each<[string, number | null]>([
    ['900', 900],
    [' 1,200 ', 1200],
    ['1 200', 1200],
    ['1.200', 1200],
    ['', null],
  ])('"%s" is read', (typed, words) => expect(readWords(typed)).toEqual({ words }));
  it.each(['a lot', '0', '-5', '12,5', '1e5', '9999999', 'constructor'])('"%s" is none', (typed) =>
    expect(readWords(typed)).toHaveProperty('problem', expect.stringContaining(`"${typed}" is no number`)),
  );
  it('what is none stays in the field with a sentence, and changes nothing', () => {
    const onChange = vi.fn();
    render(<WordsField label="Length" value={700} onChange={onChange} note="Words." />);
    const field = screen.getByLabelText<HTMLInputElement>('Length');
    fireEvent.change(field, { target: { value: 'a lot' } });
    fireEvent.blur(field);
    expect(field.value).toBe('a lot');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText(/is no number of words/)).toBeDefined();
    expect(onChange).not.toHaveBeenCalled();
    fireEvent.change(field, { target: { value: '900' } });
    expect(onChange).toHaveBeenCalledWith(900);
    expect(screen.getByText('Words.')).toBeDefined();
  });
});

describe('a place to link to', () => {
  const places: Place[] = [
    { address: '/journal/tide-table', title: 'Tide table cycling' },
    { address: '/rent', title: 'Rent a bike' },
    { address: 'https://saltmarsh.example/tides', title: 'Tides' },
  ];
  it('is found by all its words, in title or address', () => {
    expect(placesWith(places, 'TABLE tide').map(({ title }) => title)).toEqual(['Tide table cycling']);
    expect(placesWith(places, 'saltmarsh')).toHaveLength(1);
    expect(placesWith(places, '')).toHaveLength(3);
  });
  function Finder({
    onTake,
    quiet = false,
    pagesOnly = false,
  }: {
    onTake: (place: Place) => void;
    quiet?: boolean;
    pagesOnly?: boolean;
  }) {
    const [typed, setTyped] = useState('');
    return (
      <PlaceField
        label="Page"
        places={places}
        typed={typed}
        onTyped={setTyped}
        onTake={onTake}
        quiet={quiet}
        pagesOnly={pagesOnly}
      />
    );
  }
  const field = () => screen.getByRole('combobox', { name: 'Page' });
  const type = (value: string) => fireEvent.change(field(), { target: { value } });
  it('is chosen by keys among what is found', () => {
    const onTake = vi.fn();
    render(<Finder onTake={onTake} />);
    type('tide');
    expect(screen.getAllByRole('option')).toHaveLength(2);
    fireEvent.keyDown(field(), { key: 'ArrowDown' });
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(onTake).toHaveBeenCalledWith(places[2]);
  });
  it('is what was typed where that is an address, and comes first', () => {
    const onTake = vi.fn();
    render(<Finder onTake={onTake} />);
    type('/rent/tandem');
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(onTake).toHaveBeenCalledWith({ address: '/rent/tandem', title: '/rent/tandem' });
  });
  it('that may not be linked to, or is no page where pages are asked for, is not offered', () => {
    const { unmount } = render(<Finder onTake={() => {}} />);
    type('javascript:alert(1)');
    expect(screen.queryAllByRole('option')).toHaveLength(0);
    unmount();
    render(<Finder pagesOnly onTake={() => {}} />);
    type('mailto:ines@saltmarsh.example');
    expect(screen.queryAllByRole('option')).toHaveLength(0);
    type('saltmarsh.example/rent');
    expect(screen.getAllByRole('option')[0].textContent).toContain('https://saltmarsh.example/rent');
  });
  it('that is known is offered by its title, not twice', () => {
    render(<Finder onTake={() => {}} />);
    type('/rent');
    expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual(['Rent a bike/rent']);
  });
  it('that nothing answers to is said so', () => {
    render(<Finder onTake={() => {}} />);
    type('constructor');
    expect(screen.getByText(/has these words/)).toBeDefined();
  });
  it('offers nothing before it is asked where it shall be quiet', () => {
    render(<Finder quiet onTake={() => {}} />);
    expect(screen.queryAllByRole('option')).toHaveLength(0);
    type('tide');
    expect(screen.getAllByRole('option')).toHaveLength(2);
  });
});

describe('fields of a brief', () => {
  it('take a pasted list of questions apart by lines, not at their commas', () => {
    const onChange = vi.fn();
    render(<QuestionsField items={[]} onChange={onChange} />);
    const field = screen.getByLabelText('Questions to answer');
    fireEvent.paste(field, {
      clipboardData: { getData: () => 'How far, and how fast?\n- When is low water?' },
    });
    expect(onChange).toHaveBeenCalledWith(['How far, and how fast?', 'When is low water?']);
  });
  it('offer readers of the house before those of any house', () => {
    const { container } = render(<AudienceField items={[]} onChange={() => {}} own={['Night riders']} />);
    const offered = within(container)
      .getAllByRole('button')
      .map((button) => button.textContent);
    expect(offered[0]).toContain('Night riders');
    expect(offered.length).toBeGreaterThan(1);
  });
});

describe('a form that adds', () => {
  const field = () => screen.getByLabelText<HTMLInputElement>('Term to add');
  const submit = (typed: string) => {
    fireEvent.change(field(), { target: { value: typed } });
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
  };
  const form = (onAdd: (text: string) => unknown) =>
    render(<AddForm label="Term to add" placeholder="A term" onAdd={onAdd} />);
  it('hands over what was typed without space around it, and is empty for the next', async () => {
    const onAdd = vi.fn();
    form(onAdd);
    submit('  tide table ');
    expect(onAdd).toHaveBeenCalledWith('tide table');
    await waitFor(() => expect(field().value).toBe(''));
  });
  it.each([
    ['is refused', () => Promise.resolve(false)],
    ['fails', () => Promise.reject(new Error('no room'))],
  ])('gives back what %s', async (_how, onAdd) => {
    form(onAdd);
    submit('tide table');
    await waitFor(() => expect(field().value).toBe('tide table'));
  });
  it('adds nothing of nothing', () => {
    const onAdd = vi.fn();
    form(onAdd);
    fireEvent.change(field(), { target: { value: '   ' } });
    fireEvent.submit(field());
    expect(onAdd).not.toHaveBeenCalled();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add' }).disabled).toBe(true);
  });
});

describe('the choice of columns', () => {
  it('answers what is shown in the order of the table, whatever is pressed first', async () => {
    const onChange = vi.fn();
    const columns = [
      { id: 'a', name: 'Volume' },
      { id: 'b', name: 'Season' },
      { id: 'c', name: 'Lists' },
    ] as const;
    render(<ColumnChoice columns={columns} shown={['b']} onChange={onChange} />);
    fireEvent.click(screen.getByRole('button', { name: 'Columns' }));
    fireEvent.click(await screen.findByRole('checkbox', { name: 'Volume' }));
    expect(onChange).toHaveBeenLastCalledWith(['a', 'b']);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Season' }));
    expect(onChange).toHaveBeenLastCalledWith([]);
  });
});
