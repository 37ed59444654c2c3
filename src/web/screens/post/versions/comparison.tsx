import {
  type ComparedPiece,
  type ComparedRow,
  compareDrafts,
  compareTexts,
  type PostDocument,
  type PostFields,
} from '../../../../core/draft/index.ts';

const FIELDS: [key: keyof PostFields, name: string][] = [
  ['title', 'Title'],
  ['metaTitle', 'Meta title'],
  ['metaDescription', 'Meta description'],
  ['slug', 'Slug'],
  ['keyword', 'Keyword'],
  ['supporting', 'Supporting keywords'],
  ['image', 'Featured picture'],
  ['imageAlt', 'Its alternative text'],
  ['shareTitle', 'Title for shares'],
  ['shareDescription', 'Description for shares'],
  ['shareImage', 'Picture for shares'],
  ['robots', 'For search'],
  ['comments', 'Comments'],
  ['place', 'Place'],
  ['status', 'Status'],
  ['category', 'Category'],
  ['author', 'Author'],
  ['excerpt', 'Excerpt'],
];

const inWords = (value: unknown) => (Array.isArray(value) ? value.join(', ') : String(value ?? ''));

const Pieces = ({ pieces }: { pieces: ComparedPiece[] }) =>
  pieces.map(({ text, change }, at) => {
    const key = `${at}${change}`;
    if (change === 'same') return <span key={key}>{text}</span>;
    return change === 'out' ? (
      <del key={key} className="bg-sand/70 decoration-rust">
        {text}
      </del>
    ) : (
      <ins key={key} className="bg-ochre-wash decoration-marram">
        {text}
      </ins>
    );
  });

const STYLES: Partial<Record<ComparedRow['kind'], string>> = {
  heading: 'font-semibold',
  code: 'font-mono text-[13px] whitespace-pre-wrap',
};

function Row({ row }: { row: ComparedRow }) {
  const look = `py-1.5 align-top font-serif break-words ${STYLES[row.kind] ?? ''} ${row.same ? 'text-soft' : ''}`;
  return (
    <tr>
      <td className={`${look} pr-5`}>{row.before && <Pieces pieces={row.before} />}</td>
      <td className={`${look} border-l pl-5`}>{row.after && <Pieces pieces={row.after} />}</td>
    </tr>
  );
}

/** Long stretches that did not change are folded, but for the lines beside a change. */
function folded(rows: ComparedRow[]): (ComparedRow | { folded: number })[] {
  const near = (at: number) => [at - 1, at, at + 1].some((place) => rows[place] && !rows[place].same);
  const out: (ComparedRow | { folded: number })[] = [];
  rows.forEach((row, at) => {
    if (near(at)) out.push(row);
    else {
      const last = out.at(-1);
      if (last && 'folded' in last) last.folded += 1;
      else out.push({ folded: 1 });
    }
  });
  return out;
}

/** Two states of a post side by side, by words. */
export function Comparison({
  before,
  after,
  names,
}: {
  before: PostDocument;
  after: PostDocument;
  names: [string, string];
}) {
  const fields = FIELDS.flatMap(([key, name]) => {
    const [old, next] = [inWords(before.fields[key]), inWords(after.fields[key])];
    return old === next ? [] : [{ name, ...compareTexts(old, next) }];
  });
  const rows = compareDrafts(before.draft, after.draft);
  if (fields.length === 0 && rows.every((row) => row.same))
    return <p className="py-6 text-center text-soft">The two are the same.</p>;
  return (
    <table aria-label="Side by side" className="w-full table-fixed border-collapse">
      <thead>
        <tr className="border-b text-left text-[13px] text-soft">
          {names.map((name, at) => (
            <th key={name} scope="col" className={`pb-1.5 font-normal ${at ? 'border-l pl-5' : 'pr-5'}`}>
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {fields.map(({ name, before: old, after: next }) => (
          <tr key={name} className="border-b align-top">
            <td className="py-1.5 pr-5 break-words">
              <span className="block text-[12px] text-soft">{name}</span>
              <Pieces pieces={old} />
            </td>
            <td className="border-l py-1.5 pl-5 break-words">
              <span className="block text-[12px] text-soft">{name}</span>
              <Pieces pieces={next} />
            </td>
          </tr>
        ))}
        {folded(rows).map((row, at) =>
          'folded' in row ? (
            // biome-ignore lint/suspicious/noArrayIndexKey: the rows are made anew as a whole
            <tr key={at}>
              <td colSpan={2} className="py-1.5 text-center text-[13px] text-soft">
                {row.folded} {row.folded === 1 ? 'block' : 'blocks'} unchanged
              </td>
            </tr>
          ) : (
            // biome-ignore lint/suspicious/noArrayIndexKey: the rows are made anew as a whole
            <Row key={at} row={row} />
          ),
        )}
      </tbody>
    </table>
  );
}
