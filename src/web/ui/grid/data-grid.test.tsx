// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Tooltip } from 'radix-ui';
import { useState } from 'react';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { DataGrid } from './data-grid.tsx';
import type { GridColumn, GridSort } from './grid-column.ts';

/** jsdom lays nothing out: the table is told to be ten rows high. */
const sizes = { clientHeight: 300, clientWidth: 800 };
const before = Object.keys(sizes).map(
  (name) => [name, Object.getOwnPropertyDescriptor(Element.prototype, name)] as const,
);
beforeAll(() => {
  for (const [name, value] of Object.entries(sizes))
    Object.defineProperty(Element.prototype, name, { configurable: true, get: () => value });
  Element.prototype.scrollTo = function scrollTo(this: Element, to?: unknown) {
    this.scrollTop = (to as ScrollToOptions).top ?? 0;
    this.dispatchEvent(new Event('scroll'));
  } as Element['scrollTo'];
});
afterAll(() => {
  for (const [name, descriptor] of before)
    if (descriptor) Object.defineProperty(Element.prototype, name, descriptor);
});
afterEach(cleanup);

interface Route {
  name: string;
  km: number;
}
const routes = Array.from({ length: 1000 }, (_, at): Route => ({ name: `route ${at}`, km: at * 10 }));
const columns: GridColumn<Route, 'name' | 'km' | 'note'>[] = [
  { id: 'name', name: 'Route', width: '1fr', sorts: 'ascending', cell: ({ name }) => name },
  {
    id: 'km',
    name: 'Length',
    width: '80px',
    right: true,
    sorts: 'descending',
    hint: 'Along the road.',
    cell: ({ km }) => km,
  },
  { id: 'note', name: 'Note', width: '1fr', cell: () => <button type="button">Read</button> },
];

function Routes({
  rows = routes,
  hidden = [],
  onOpen = () => {},
  onSort = () => {},
  onSelected = () => {},
  sort = { by: 'name', descending: false },
}: {
  rows?: (Route | undefined)[];
  hidden?: 'note'[];
  onOpen?: (row: Route) => void;
  onSort?: (sort: GridSort) => void;
  onSelected?: (names: string[]) => void;
  sort?: GridSort<'name' | 'km'>;
}) {
  const [selected, setSelected] = useState<ReadonlySet<number>>(new Set());
  return (
    <Tooltip.Provider>
      <DataGrid<Route, number, 'name' | 'km' | 'note'>
        name="Routes"
        columns={columns}
        hidden={hidden}
        count={rows.length}
        rowAt={(place) => rows[place]}
        nameOf={({ name }) => name}
        rowHeight={30}
        sort={sort}
        onSort={onSort}
        selection={{
          selected,
          keyAt: (place) => place,
          onSelect: (next) => {
            setSelected(next);
            onSelected([...next].sort((a, b) => a - b).map((place) => rows[place]?.name ?? ''));
          },
        }}
        onOpen={onOpen}
        none={<p>No route matches.</p>}
      />
    </Tooltip.Provider>
  );
}

const table = () => screen.getByRole('table', { name: 'Routes' });
const group = () =>
  screen.getByRole('group', { name: /^Routes: arrow keys move, space selects, Enter opens$/ });
const inHand = () =>
  document.getElementById(group().getAttribute('aria-activedescendant') ?? '')?.textContent;

describe('a table of many rows', () => {
  it('draws those in view alone, and says how many there are', () => {
    render(<Routes />);
    expect(table().getAttribute('aria-rowcount')).toBe('1001');
    const drawn = within(table()).getAllByRole('row');
    expect(drawn.length).toBeGreaterThan(8);
    expect(drawn.length).toBeLessThan(40);
    expect(drawn[1].getAttribute('aria-rowindex')).toBe('2');
  });
  it('leaves out the columns that are not wished', () => {
    render(<Routes hidden={['note']} />);
    expect(screen.getAllByRole('columnheader').map((heading) => heading.textContent)).toEqual([
      '',
      'Route ↑',
      'Length',
    ]);
    expect(screen.queryByText('Read')).toBeNull();
  });
  it('says by which column it is sorted, and asks for the other way or another column', () => {
    const onSort = vi.fn();
    render(<Routes onSort={onSort} />);
    expect(screen.getByRole('columnheader', { name: /Route/ }).getAttribute('aria-sort')).toBe('ascending');
    expect(screen.getByRole('columnheader', { name: 'Note' }).hasAttribute('aria-sort')).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: /Route/ }));
    expect(onSort).toHaveBeenLastCalledWith({ by: 'name', descending: true });
    // Figures begin with the largest.
    fireEvent.click(screen.getByRole('button', { name: 'Length' }));
    expect(onSort).toHaveBeenLastCalledWith({ by: 'km', descending: true });
  });
  it('is moved in by keys, and Enter opens the row in hand', () => {
    const onOpen = vi.fn();
    render(<Routes onOpen={onOpen} />);
    fireEvent.keyDown(group(), { key: 'ArrowDown' });
    fireEvent.keyDown(group(), { key: 'ArrowDown' });
    fireEvent.keyDown(group(), { key: 'ArrowUp' });
    expect(inHand()).toContain('route 1');
    fireEvent.keyDown(group(), { key: 'Enter' });
    expect(onOpen).toHaveBeenCalledWith(routes[1]);
    fireEvent.keyDown(group(), { key: 'End' });
    fireEvent.keyDown(group(), { key: 'ArrowDown' });
    fireEvent.keyDown(group(), { key: 'Enter' });
    expect(onOpen).toHaveBeenLastCalledWith(routes[999]);
  });
  it('keeps the row in hand within what a filter leaves', () => {
    const onOpen = vi.fn();
    const { rerender } = render(<Routes onOpen={onOpen} />);
    fireEvent.keyDown(group(), { key: 'End' });
    rerender(<Routes onOpen={onOpen} rows={routes.slice(0, 3)} />);
    fireEvent.keyDown(group(), { key: 'Enter' });
    expect(onOpen).toHaveBeenCalledWith(routes[2]);
  });
  it('selects by Space, stretches with Shift, takes all and lets all go', () => {
    const onSelected = vi.fn();
    render(<Routes onSelected={onSelected} rows={routes.slice(0, 5)} />);
    fireEvent.keyDown(group(), { key: 'ArrowDown' });
    fireEvent.keyDown(group(), { key: ' ' });
    expect(onSelected).toHaveBeenLastCalledWith(['route 1']);
    fireEvent.keyDown(group(), { key: 'ArrowDown', shiftKey: true });
    fireEvent.keyDown(group(), { key: 'ArrowDown', shiftKey: true });
    expect(onSelected).toHaveBeenLastCalledWith(['route 1', 'route 2', 'route 3']);
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Select all shown' }).checked).toBe(false);
    fireEvent.keyDown(group(), { key: 'a', ctrlKey: true });
    expect(onSelected.mock.lastCall?.[0]).toHaveLength(5);
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Select all shown' }).checked).toBe(true);
    fireEvent.keyDown(group(), { key: 'Escape' });
    expect(onSelected).toHaveBeenLastCalledWith([]);
  });
  it('selects from box to box with Shift', () => {
    const onSelected = vi.fn();
    render(<Routes onSelected={onSelected} rows={routes.slice(0, 6)} />);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Select route 4' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'Select route 2' }), { shiftKey: true });
    expect(onSelected).toHaveBeenLastCalledWith(['route 2', 'route 3', 'route 4']);
  });
  it('leaves Enter and Space to a heading, a box or a button, and composed keys to whoever composes', () => {
    const [onOpen, onSelected] = [vi.fn(), vi.fn()];
    render(<Routes onOpen={onOpen} onSelected={onSelected} />);
    fireEvent.keyDown(screen.getByRole('button', { name: /Route/ }), { key: 'Enter' });
    fireEvent.keyDown(screen.getByRole('checkbox', { name: 'Select route 1' }), { key: ' ' });
    fireEvent.keyDown(group(), { key: 'Enter', isComposing: true });
    expect(onOpen).not.toHaveBeenCalled();
    expect(onSelected).not.toHaveBeenCalled();
  });
  it('shows a shape for a row that is being fetched, which Enter does not open', () => {
    const onOpen = vi.fn();
    render(<Routes rows={[undefined, routes[1]]} onOpen={onOpen} />);
    expect(screen.getByRole('checkbox', { name: 'Select row' })).toBeDefined();
    fireEvent.keyDown(group(), { key: 'Enter' });
    expect(onOpen).not.toHaveBeenCalled();
  });
  it('says why it is empty, and keys do nothing', () => {
    const onOpen = vi.fn();
    render(<Routes rows={[]} onOpen={onOpen} />);
    expect(screen.getByText('No route matches.')).toBeDefined();
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Select all shown' }).checked).toBe(false);
    fireEvent.keyDown(group(), { key: 'Enter' });
    expect(onOpen).not.toHaveBeenCalled();
  });
});
