// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { columnsHidden } from './preferences.ts';
import { store } from './store.ts';
import { useColumns } from './use-columns.ts';

const IDS = ['volume', 'season', 'lists'] as const;
const wrapper = ({ children }: { children: ReactNode }) => <Provider store={store}>{children}</Provider>;
const columns = (atFirst: (typeof IDS)[number][] = []) =>
  renderHook(() => useColumns('phrases', IDS, atFirst), { wrapper });

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  store.dispatch(columnsHidden({ table: 'phrases', hidden: [] }));
});

describe('the columns of a table', () => {
  it('are those that were chosen last, in the order of the table', () => {
    const { result } = columns();
    act(() => result.current.choose(['lists', 'volume']));
    expect(result.current.shown).toEqual(['volume', 'lists']);
    expect(result.current.hidden).toEqual(['season']);
    expect(columns().result.current.shown).toEqual(['volume', 'lists']);
  });
  it('are all of another table all the same', () => {
    const { result } = columns();
    act(() => result.current.choose([]));
    const other = renderHook(() => useColumns('posts', IDS), { wrapper });
    expect(other.result.current.hidden).toEqual([]);
  });
  it('that are left out at first come back once they are chosen', () => {
    store.dispatch(columnsHidden({ table: 'other', hidden: [] }));
    const fresh = renderHook(() => useColumns('fresh', IDS, ['season']), { wrapper });
    expect(fresh.result.current.shown).toEqual(['volume', 'lists']);
    act(() => fresh.result.current.choose(IDS));
    expect(fresh.result.current.hidden).toEqual([]);
  });
  it('that a table no longer has are passed over', () => {
    store.dispatch(columnsHidden({ table: 'phrases', hidden: ['constructor', 'gone', 'lists'] }));
    const { result } = columns();
    expect(result.current.hidden).toEqual(['lists']);
    act(() => result.current.choose(['lists']));
    expect(store.getState().preferences.hiddenColumns['phrases']).toEqual(['volume', 'season']);
  });
});
