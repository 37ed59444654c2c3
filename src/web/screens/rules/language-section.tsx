import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { noLanguageRules } from '../../../core/proofreading/index.ts';
import type { House } from '../../../core/site/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { changeHouse } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { ChipsField } from '../../ui/chips-field.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

type Rules = NonNullable<House['language']>;

/** The house's words: what it writes and what it avoids, and what is right here though no dictionary has it. */
export function LanguageSection({ site }: { site: SiteRow }) {
  const { words, own } = site.house.language ?? noLanguageRules();
  const change = (work: (rules: Rules) => Rules) =>
    changeHouse(site.id, (house) => ({ ...house, language: work(house.language ?? noLanguageRules()) }));
  const remove = async (at: number) => {
    const gone = words[at];
    const takeBack = await change((rules) => ({
      ...rules,
      words: rules.words.filter((one) => JSON.stringify(one) !== JSON.stringify(gone)),
    }));
    offerUndo(`“${gone.use || gone.avoid[0]}” is no house word any more.`, takeBack);
  };
  return (
    <section aria-label="Language of the house" className="mb-8 border-t pt-5">
      <h2 className="mb-1 font-semibold">Words of the house</h2>
      <p className="mb-3 max-w-2xl text-soft">
        The lens “Language” on Write names what is avoided, wherever it stands, and writes what the house
        writes.
      </p>
      <ul aria-label="House words" className="mb-3">
        {words.map(({ use, avoid }, at) => (
          <li key={`${use} ${avoid.join()}`} className="flex items-center gap-2 border-b py-1">
            <span className="min-w-0 flex-1 break-words">
              {use ? <strong className="font-semibold">{use}</strong> : <em>nothing</em>}
              <span className="text-soft">, not </span>
              {avoid.join(', ')}
            </span>
            <IconButton
              name={`Take out ${use || avoid[0]}`}
              icon={Trash2}
              look="grave"
              onClick={() => attempt(remove(at))}
            />
          </li>
        ))}
      </ul>
      <NewWord
        onAdd={(use, avoid) =>
          attempt(change((rules) => ({ ...rules, words: [...rules.words, { use, avoid }] })))
        }
      />
      <div className="mt-5">
        <ChipsField
          label="Right here, though no dictionary has them"
          items={own}
          onChange={(next) => attempt(change((rules) => ({ ...rules, own: next })))}
          placeholder="Type a word and press Enter"
        />
      </div>
    </section>
  );
}

const BOX = 'min-w-0 flex-1 rounded-md border px-2.5 py-1.5';

/** What the house writes, and instead of what. */
function NewWord({ onAdd }: { onAdd: (use: string, avoid: string[]) => void }) {
  const [use, setUse] = useState('');
  const [avoided, setAvoided] = useState('');
  const avoid = avoided
    .split(/[,;\n]+/)
    .map((word) => word.trim())
    .filter((word) => word !== '' && word !== use.trim());
  return (
    <form
      className="flex flex-wrap gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (avoid.length === 0) return;
        onAdd(use.trim(), avoid);
        setUse('');
        setAvoided('');
      }}
    >
      <input
        aria-label="The house writes"
        value={use}
        placeholder="The house writes (empty: nothing)"
        onChange={(event) => setUse(event.target.value)}
        className={BOX}
      />
      <input
        aria-label="Instead of"
        value={avoided}
        placeholder="Instead of, with commas between"
        onChange={(event) => setAvoided(event.target.value)}
        className={BOX}
      />
      <Button type="submit" disabled={avoid.length === 0}>
        <Plus size={15} aria-hidden />
        Add
      </Button>
    </form>
  );
}
