import type { House } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeHouse } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { TextField } from '../../ui/field.tsx';

/** Pixels that the text's column can have. */
const [NARROWEST, WIDEST, USUAL] = [280, 1600, 700];

/** How the site's own pages look, for the reader's view of a post. */
export function ReaderSection({ site }: { site: SiteRow }) {
  const reader = site.house.reader ?? { css: '', column: USUAL };
  const set = (patch: Partial<NonNullable<House['reader']>>) =>
    attempt(
      changeHouse(site.id, (house) => ({
        ...house,
        reader: { ...(house.reader ?? { css: '', column: USUAL }), ...patch },
      })),
    );
  return (
    <section aria-label="Reader’s view" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Reader’s view</h2>
      <p className="mb-3 max-w-2xl text-soft">
        A post is shown in a plain style. Give your blog’s style sheet, and it is shown in that.
      </p>
      <div className="mb-4 w-52">
        <TextField
          stored
          label="Width of the text, px"
          inputMode="numeric"
          value={String(reader.column)}
          onChange={(typed) => {
            const column = Math.round(Number(typed));
            if (column >= NARROWEST && column <= WIDEST) set({ column });
          }}
          note={`${NARROWEST} to ${WIDEST}.`}
        />
      </div>
      <TextField
        stored
        label="Style sheet"
        rows={4}
        value={reader.css}
        onChange={(css) => set({ css })}
        placeholder="body { font-family: sans-serif; }"
        note="Rules that load something (fonts, backgrounds) are passed over: nothing is fetched."
      />
    </section>
  );
}
