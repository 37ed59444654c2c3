import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { House } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeHouse } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { AddForm } from '../../ui/add-form.tsx';
import { AudienceField, GoalField, LengthField, ToneField } from '../../ui/brief-fields.tsx';
import { ChipsField } from '../../ui/chips-field.tsx';
import { TextField } from '../../ui/field.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

/** What a new post begins with, and who writes. */
export function BriefSection({ site }: { site: SiteRow }) {
  const { house } = site;
  const set = (patch: Partial<House>) => attempt(changeHouse(site.id, (known) => ({ ...known, ...patch })));
  return (
    <section aria-label="Offer and briefs" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Offer and briefs</h2>
      <p className="mb-4 text-soft">A new post begins with these; each post can say otherwise on Target.</p>
      <div className="grid grid-cols-2 gap-5 max-[760px]:grid-cols-1">
        <div className="col-span-full">
          <TextField
            stored
            label="What the site offers"
            rows={2}
            value={house.offer}
            onChange={(offer) => set({ offer })}
            placeholder="In your own words: what readers can buy, book or join"
          />
        </div>
        <GoalField stored label="Goal of a post" value={house.goal} onChange={(goal) => set({ goal })} />
        <ToneField stored value={house.tone} onChange={(tone) => set({ tone })} />
        <AudienceField items={house.audience} onChange={(audience) => set({ audience })} />
        <LengthField
          label="Length of a post"
          value={house.targetWords}
          onChange={(targetWords) => set({ targetWords })}
          placeholder="No wish"
          note="Words."
        />
        <ChipsField
          label="Authors"
          items={house.authors}
          onChange={(authors) => set({ authors })}
          placeholder="Type a name and press Enter"
          note="Offered on Release; a single one is filled in by itself."
        />
      </div>
    </section>
  );
}

/** The house's own checklist: what no program can judge. */
export function ChecklistSection({ site }: { site: SiteRow }) {
  const { checklist } = site.house;
  const set = (change: (known: House['checklist']) => House['checklist']) =>
    changeHouse(site.id, (house) => ({ ...house, checklist: change(house.checklist) }));
  const remove = async (id: string) => {
    offerUndo('The point is taken out.', await set((known) => known.filter((item) => item.id !== id)));
  };
  return (
    <section aria-label="Checklist" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Checklist</h2>
      <p className="mb-3 text-soft">
        What no program can judge. Each point is ticked for each post on Release; none changes the score.
      </p>
      <ul className="mb-3">
        {checklist.map((item, at) => (
          <li key={item.id} className="flex items-center gap-2 border-b py-1">
            <ChecklistText
              label={`Point ${at + 1}`}
              value={item.text}
              onChange={(next) =>
                attempt(
                  set((known) => known.map((each) => (each.id === item.id ? { ...each, text: next } : each))),
                )
              }
            />
            <IconButton
              name={`Take out point ${at + 1}`}
              icon={Trash2}
              look="grave"
              onClick={() => attempt(remove(item.id))}
            />
          </li>
        ))}
      </ul>
      <AddForm
        label="A new point"
        placeholder="For example: prices looked up this week"
        onAdd={(text) => attempt(set((known) => [...known, { id: crypto.randomUUID(), text }]))}
      />
    </section>
  );
}

/** A text that is stored when it is left, so that half a word is no point. */
function ChecklistText({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      aria-label={label}
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => {
        if (typed?.trim() && typed !== value) onChange(typed.trim());
        setTyped(null);
      }}
      className="min-w-0 flex-1 rounded bg-transparent px-1 py-1"
    />
  );
}
