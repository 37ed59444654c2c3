// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Check, CheckField } from './check-field.tsx';
import { Choice } from './choice.tsx';
import { Empty } from './empty.tsx';
import { ChoiceField } from './field.tsx';
import { FileButton } from './file-button.tsx';
import { IconButton } from './icon-button.tsx';
import { isEnter } from './keys.ts';
import { TabPanel, TabRow, TabSet, TabStrip } from './tabs.tsx';
import { Waiting } from './waiting.tsx';
import { WordLink } from './word-link.tsx';

afterEach(cleanup);

const TABS = [
  { id: 'notes', name: 'Notes', count: 3 },
  { id: 'terms', name: 'Terms', count: 0 },
  { id: 'ledger', name: 'Ledger' },
] as const;
type Id = (typeof TABS)[number]['id'];

function Lenses({ upright = false }: { upright?: boolean }) {
  const [lens, setLens] = useState<Id>('notes');
  return (
    <TabSet value={lens} onChange={setLens} upright={upright}>
      {upright ? <TabStrip label="Margin" tabs={TABS} /> : <TabRow label="Margin" tabs={TABS} />}
      <TabPanel of={lens}>{`Shown: ${lens}`}</TabPanel>
    </TabSet>
  );
}

describe('tabs', () => {
  const tab = (name: RegExp) => screen.getByRole('tab', { name });
  it('have names with their counts, and a panel that is named after its tab', () => {
    render(<Lenses />);
    const list = screen.getByRole('tablist', { name: 'Margin' });
    expect(
      within(list)
        .getAllByRole('tab')
        .map((each) => each.textContent),
    ).toEqual(['Notes 3', 'Terms 0', 'Ledger']);
    expect(screen.getByRole('tabpanel', { name: 'Notes 3' }).textContent).toBe('Shown: notes');
  });
  it.each([
    [false, 'ArrowRight', 'ArrowLeft'],
    [true, 'ArrowDown', 'ArrowUp'],
  ])('are walked through by arrow keys (upright: %s), round the end too', async (upright, on, back) => {
    render(<Lenses upright={upright} />);
    tab(/Notes/).focus();
    for (const [key, shown] of [
      [on, 'terms'],
      [on, 'ledger'],
      [on, 'notes'],
      [back, 'ledger'],
      ['Home', 'notes'],
      ['End', 'ledger'],
    ]) {
      fireEvent.keyDown(document.activeElement!, { key });
      // The focus moves with the next task.
      await vi.waitFor(() => expect(screen.getByRole('tabpanel').textContent).toBe(`Shown: ${shown}`));
    }
    expect(document.activeElement).toBe(tab(/Ledger/));
  });
});

describe('a choice', () => {
  const options = [
    { value: 'place', name: 'by place' },
    { value: 'points', name: 'by points to win' },
  ] as const;
  it('tells what was chosen, under the label around it or beside it', () => {
    const chosen = vi.fn();
    render(
      <>
        <label>
          Order
          <Choice value="place" onChange={chosen} options={options} />
        </label>
        <ChoiceField label="Order of all" note="A note" value="points" onChange={chosen} options={options} />
      </>,
    );
    fireEvent.change(screen.getByLabelText('Order'), { target: { value: 'points' } });
    expect(chosen).toHaveBeenCalledWith('points');
    expect(screen.getByRole('combobox', { name: 'Order of all' })).toHaveProperty('value', 'points');
  });
});

describe('a file button', () => {
  const file = new File(['x'], 'one.png', { type: 'image/png' });
  it('hands files over, also the same one again, and nothing where nothing was chosen', () => {
    const taken = vi.fn();
    render(
      <FileButton label="Picture file" accept="image/*" multiple onFiles={taken}>
        Choose
      </FileButton>,
    );
    const field = screen.getByLabelText('Picture file') as HTMLInputElement;
    const opened = vi.spyOn(field, 'click');
    fireEvent.click(screen.getByRole('button', { name: 'Choose' }));
    expect(opened).toHaveBeenCalledOnce();
    fireEvent.change(field, { target: { files: [file] } });
    expect(taken).toHaveBeenCalledWith([file]);
    fireEvent.change(field, { target: { files: [] } });
    expect(taken).toHaveBeenCalledOnce();
    expect(field.tabIndex).toBe(-1);
  });
});

describe('boxes to tick', () => {
  it('are found by their name and tell how they stand', () => {
    const ticked = vi.fn();
    render(
      <>
        <Check name="Select Tides" checked={false} onChange={ticked} />
        <CheckField checked onChange={ticked}>
          Same case
        </CheckField>
      </>,
    );
    fireEvent.click(screen.getByRole('checkbox', { name: 'Select Tides' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Same case' }));
    expect(ticked.mock.calls).toEqual([[true], [false]]);
  });
});

describe('smaller parts', () => {
  it('a button that is a picture says its name', () => {
    const pressed = vi.fn();
    render(<IconButton name="Remove the picture" icon={Trash2} look="grave" onClick={pressed} />);
    fireEvent.click(screen.getByRole('button', { name: 'Remove the picture' }));
    expect(pressed).toHaveBeenCalledOnce();
  });
  it('a link in words leads where it says', () => {
    render(
      <MemoryRouter>
        <WordLink to="/posts">To your posts</WordLink>
      </MemoryRouter>,
    );
    expect(screen.getByRole('link', { name: 'To your posts' }).getAttribute('href')).toBe('/posts');
  });
  it('what waits says that it is busy; an empty screen says what belongs there', () => {
    render(
      <>
        <Waiting name="Near wins" />
        <Empty title="No posts yet" ways={<button type="button">Begin a post</button>}>
          This is where your posts stand.
        </Empty>
      </>,
    );
    expect(screen.getByRole('region', { name: 'Near wins' }).getAttribute('aria-busy')).toBe('true');
    expect(screen.getByRole('heading', { name: 'No posts yet' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Begin a post' })).toBeTruthy();
  });
});

describe('Enter', () => {
  const press = (given: object) => isEnter({ key: 'Enter', nativeEvent: given } as never);
  it('counts, but not while a character is composed', () => {
    expect(press({ isComposing: false, keyCode: 13 })).toBe(true);
    expect(press({ isComposing: true, keyCode: 13 })).toBe(false);
    // What browsers say that do not tell composing.
    expect(press({ isComposing: false, keyCode: 229 })).toBe(false);
  });
});
