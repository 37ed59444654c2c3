import { FigureButton } from './figure-button.tsx';
import { RowsDialog, type RowsSource } from './rows-dialog.tsx';

/** A figure that opens to the rows that it is made of, as they were brought. */
export function FigureRows({
  source,
  title,
  way,
  children,
}: {
  source: RowsSource;
  title: string;
  /** How it comes of its rows: a sentence. */
  way: string;
  children: string;
}) {
  return (
    <FigureButton title={title} figure={children}>
      {(onClose) => <RowsDialog title={title} way={way} source={source} onClose={onClose} />}
    </FigureButton>
  );
}
