import { CheckField } from '../check-field.tsx';
import { PanelButton } from '../panel-button.tsx';

/** Which columns of a table are shown. */
export function ColumnChoice<Id extends string>({
  columns,
  shown,
  onChange,
  className = '',
}: {
  /** Those that can be chosen, in the order of the table. */
  columns: readonly { id: Id; name: string }[];
  shown: readonly Id[];
  /** Told those that are shown, in the order of the table. */
  onChange: (shown: Id[]) => void;
  className?: string;
}) {
  return (
    <PanelButton label="Columns" className={className}>
      <fieldset className="flex flex-col gap-1.5">
        <legend className="mb-1 font-semibold">Columns</legend>
        {columns.map(({ id, name }) => (
          <CheckField
            key={id}
            checked={shown.includes(id)}
            onChange={(checked) =>
              onChange(
                columns
                  .map((column) => column.id)
                  .filter((each) => (each === id ? checked : shown.includes(each))),
              )
            }
            className="flex items-center gap-2"
          >
            {name}
          </CheckField>
        ))}
      </fieldset>
    </PanelButton>
  );
}
