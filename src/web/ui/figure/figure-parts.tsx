import { DialogFrame } from '../dialog-frame.tsx';
import { None } from '../empty.tsx';
import { DataGrid } from '../grid/data-grid.tsx';
import type { GridColumn } from '../grid/grid-column.ts';
import { Waiting } from '../waiting.tsx';
import { FigureButton } from './figure-button.tsx';
import { heightOf, ROW } from './row-columns.tsx';
import { useLoaded } from './use-loaded.ts';

/** A figure that opens to what it was computed from: queries or pages, each with its share in it. */
export function FigureParts<Part>({
  title,
  way,
  name,
  columns,
  load,
  nameOf,
  children,
}: {
  title: string;
  /** How it comes of its parts. */
  way: string;
  /** Of the table: "Queries of the figure". */
  name: string;
  columns: GridColumn<Part>[];
  load: () => Promise<readonly Part[]>;
  nameOf: (part: Part) => string;
  children: string;
}) {
  return (
    <FigureButton title={title} figure={children}>
      {(onClose) => (
        <DialogFrame title={title} onClose={onClose} width="w-[min(1000px,94vw)]">
          <Parts way={way} name={name} columns={columns} load={load} nameOf={nameOf} />
        </DialogFrame>
      )}
    </FigureButton>
  );
}

function Parts<Part>({
  way,
  name,
  columns,
  load,
  nameOf,
}: {
  way: string;
  name: string;
  columns: GridColumn<Part>[];
  load: () => Promise<readonly Part[]>;
  nameOf: (part: Part) => string;
}) {
  const { loaded: parts, problem } = useLoaded(load);
  if (problem)
    return (
      <p role="alert" className="text-rust">
        This could not be read: {problem} Close it and open it again.
      </p>
    );
  if (parts === null) return <Waiting className="h-60" />;
  return (
    <>
      <p className="mb-2 text-soft">{way}</p>
      <div className="flex min-h-0" style={{ height: `min(52vh, ${heightOf(parts.length)}px)` }}>
        <DataGrid
          name={name}
          columns={columns}
          count={parts.length}
          rowAt={(place) => parts[place]}
          nameOf={nameOf}
          rowHeight={ROW}
          none={<None>Nothing of this is known.</None>}
        />
      </div>
    </>
  );
}
