import { columnsHidden } from './preferences.ts';
import { useAppDispatch, useAppSelector } from './store.ts';

/**
 * The columns of a table that are shown, as they were chosen last on this machine; `atFirst` are left out until
 * something is chosen. Ids that the table no longer has are passed over.
 */
export function useColumns<Id extends string>(
  table: string,
  columns: readonly Id[],
  atFirst: readonly Id[] = [],
) {
  const hiddenIds: readonly string[] =
    useAppSelector((state) => state.preferences.hiddenColumns[table]) ?? atFirst;
  const dispatch = useAppDispatch();
  return {
    hidden: columns.filter((id) => hiddenIds.includes(id)),
    shown: columns.filter((id) => !hiddenIds.includes(id)),
    choose: (shown: readonly Id[]) =>
      dispatch(columnsHidden({ table, hidden: columns.filter((id) => !shown.includes(id)) })),
  };
}
