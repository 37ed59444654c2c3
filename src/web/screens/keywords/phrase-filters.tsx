import { INTENTS, type KeywordWish } from '../../../core/research/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { AddForm } from '../../ui/add-form.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Choice } from '../../ui/choice.tsx';
import { ColumnChoice } from '../../ui/grid/column-choice.tsx';
import { INTENT_NAMES } from '../../ui/intent-names.ts';
import { PanelButton } from '../../ui/panel-button.tsx';
import { COLUMNS, type ColumnKey } from './phrase-columns.tsx';

/** Filters and columns under a name. */
export interface SavedView {
  name: string;
  wish: KeywordWish;
  columns: ColumnKey[];
}

/** The views that a site keeps; columns that the table no longer has are passed over. */
export const savedViews = (site: SiteRow): SavedView[] =>
  (site.house.keywordViews ?? []).map((view) => ({
    ...view,
    columns: COLUMNS.flatMap(({ id }) => (view.columns.includes(id) ? [id] : [])),
  }));

const BOX = 'rounded-md border px-2 py-1';

function NumberFilter({
  label,
  value,
  onChange,
  placeholder,
}: {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  placeholder: string;
}) {
  return (
    <label>
      <span className="sr-only">{label}</span>
      <input
        inputMode="numeric"
        value={value ?? ''}
        placeholder={placeholder}
        onChange={(event) => {
          const digits = event.target.value.replace(/\D/g, '').slice(0, 9);
          onChange(digits === '' ? null : Number(digits));
        }}
        className={`${BOX} w-[102px]`}
      />
    </label>
  );
}

/** Which phrases are shown, which columns, and views kept under a name. */
export function PhraseFilters({
  wish,
  setWish,
  columns,
  setColumns,
  views,
  setViews,
}: {
  wish: KeywordWish;
  setWish: (patch: Partial<KeywordWish>) => void;
  columns: readonly ColumnKey[];
  setColumns: (columns: ColumnKey[]) => void;
  views: readonly SavedView[];
  setViews: (views: SavedView[]) => void;
}) {
  return (
    <div
      role="group"
      aria-label="Filters"
      className="flex flex-wrap items-center gap-1.5 px-6 py-2 text-[13px]"
    >
      <label>
        <span className="sr-only">Contains</span>
        <input
          placeholder="Contains"
          value={wish.contains}
          onChange={(event) => setWish({ contains: event.target.value })}
          className={`${BOX} w-[108px]`}
        />
      </label>
      <label>
        <span className="sr-only">Does not contain</span>
        <input
          placeholder="Not contains"
          value={wish.without}
          onChange={(event) => setWish({ without: event.target.value })}
          className={`${BOX} w-[108px]`}
        />
      </label>
      <NumberFilter
        label="Volume from"
        placeholder="Volume from"
        value={wish.volumeFrom}
        onChange={(volumeFrom) => setWish({ volumeFrom })}
      />
      <NumberFilter
        label="Volume to"
        placeholder="to"
        value={wish.volumeTo}
        onChange={(volumeTo) => setWish({ volumeTo })}
      />
      <NumberFilter
        label="Difficulty to"
        placeholder="Difficulty to"
        value={wish.difficultyTo}
        onChange={(difficultyTo) => setWish({ difficultyTo })}
      />
      <label>
        <span className="sr-only">Intent</span>
        <Choice<KeywordWish['intent']>
          value={wish.intent}
          onChange={(intent) => setWish({ intent })}
          className={BOX}
          options={[
            { value: 'any', name: 'Any intent' },
            ...INTENTS.map((value) => ({ value, name: INTENT_NAMES[value] })),
          ]}
        />
      </label>
      <CheckField
        checked={wish.questionsOnly}
        onChange={(checked) => setWish({ questionsOnly: checked })}
        className="flex items-center gap-1"
      >
        Questions only
      </CheckField>
      <CheckField
        checked={wish.onNoList}
        onChange={(checked) => setWish({ onNoList: checked })}
        className="flex items-center gap-1"
      >
        On no list yet
      </CheckField>
      <div className="ml-auto flex items-center gap-1.5">
        <Views
          wish={wish}
          columns={columns}
          views={views}
          setViews={setViews}
          onPick={(view) => {
            setWish(view.wish);
            setColumns(view.columns);
          }}
        />
        <ColumnChoice columns={COLUMNS} shown={columns} onChange={setColumns} className="min-h-7.5! py-1!" />
      </div>
    </div>
  );
}

function Views({
  wish,
  columns,
  views,
  setViews,
  onPick,
}: {
  wish: KeywordWish;
  columns: readonly ColumnKey[];
  views: readonly SavedView[];
  setViews: (views: SavedView[]) => void;
  onPick: (view: SavedView) => void;
}) {
  return (
    <PanelButton label="Views" className="min-h-7.5! py-1!" panel="w-64">
      <p className="mb-2 font-semibold">Saved views</p>
      {views.length === 0 && (
        <p className="mb-2 text-soft">None yet. A view keeps filters, order and columns.</p>
      )}
      <ul>
        {views.map((view) => (
          <li key={view.name} className="flex items-center gap-2 border-t py-1">
            <button
              type="button"
              onClick={() => onPick(view)}
              className="min-w-0 flex-1 truncate text-left text-marram hover:underline"
            >
              {view.name}
            </button>
            <button
              type="button"
              aria-label={`Remove the view ${view.name}`}
              onClick={() => setViews(views.filter((other) => other !== view))}
              className="text-soft hover:text-rust"
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
      <AddForm
        label="Name of the view"
        placeholder="Name"
        action="Keep"
        small
        className="mt-2 border-t pt-2"
        onAdd={(name) =>
          setViews([...views.filter((view) => view.name !== name), { name, wish, columns: [...columns] }])
        }
      />
    </PanelButton>
  );
}
