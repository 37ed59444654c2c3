import { useState } from 'react';
import { Link } from 'react-router';
import { writingOf } from '../../../../../core/site/index.ts';
import { PATTERN_GROUP_NAMES, PATTERN_GROUPS } from '../../../../../core/writing/index.ts';
import { useAppDispatch, useAppSelector } from '../../../../state/store.ts';
import { patternAsked } from '../../../../state/view.ts';
import { patternsOf } from '../../../../state/writing/ask-text.ts';
import { usePost } from '../../frame/post-context.ts';
import type { LensProps } from '../margin/lens-props.ts';
import { AskedHere } from './asked-here.tsx';
import { PatternForm } from './pattern-form.tsx';

/** Text that is asked for: every pattern, the one in hand with its fields, and what was asked for this post before. */
export function HelpLens({ body }: Pick<LensProps, 'body'>) {
  const { site } = usePost();
  const dispatch = useAppDispatch();
  const asked = useAppSelector((state) => state.view.pattern);
  const [typed, setTyped] = useState('');
  const patterns = patternsOf(site);
  const pattern = patterns.find(({ id }) => id === asked?.id);
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const found = patterns.filter(({ name, purpose }) =>
    words.every((word) => `${name} ${purpose}`.toLowerCase().includes(word)),
  );
  const { way } = writingOf(site.house);
  return (
    <section aria-label="Patterns" className="min-w-0 flex-1 px-4 pt-3 pb-10 text-[13px]">
      {pattern ? (
        <PatternForm
          key={`${pattern.id} ${JSON.stringify(asked?.values)}`}
          pattern={pattern}
          body={body}
          given={asked?.values ?? null}
          onBack={() => dispatch(patternAsked({ id: '', values: null }))}
        />
      ) : (
        <>
          <h2 className="mb-1 font-serif text-xl font-semibold">Patterns</h2>
          <p className="mb-2 text-soft">
            {way.kind === 'stand-in'
              ? 'Made without a model, from the study, the brief and your own posts.'
              : `Written by ${way.model || 'the model'} from the study, the brief and your own posts.`}{' '}
            <Link to="/rules#writing" className="underline underline-offset-4">
              Change
            </Link>
          </p>
          <input
            type="search"
            aria-label="Find a pattern"
            placeholder="Find a pattern"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            className="mb-2 w-full rounded-md border px-2.5 py-1"
          />
          {found.length === 0 && <p className="text-soft">No pattern is called that.</p>}
          {PATTERN_GROUPS.map((group) => {
            const own = found.filter((one) => one.group === group);
            if (own.length === 0) return null;
            return (
              <section key={group} aria-label={PATTERN_GROUP_NAMES[group]} className="mt-3">
                <h3 className="font-semibold text-soft">{PATTERN_GROUP_NAMES[group]}</h3>
                <ul>
                  {own.map(({ id, name, purpose }) => (
                    <li key={id} className="border-t first:border-t-0">
                      <button
                        type="button"
                        title={purpose}
                        onClick={() => dispatch(patternAsked({ id, values: null }))}
                        className="block w-full py-1 text-left font-semibold hover:text-marram"
                      >
                        {name}
                        <span className="block font-normal text-soft">{purpose}</span>
                      </button>
                    </li>
                  ))}
                </ul>
              </section>
            );
          })}
        </>
      )}
      <AskedHere body={body} onAgain={(id, values) => dispatch(patternAsked({ id, values }))} />
    </section>
  );
}
