import {
  isMessage,
  MAX_THREAD,
  MESSAGE_LIMITS,
  MIN_THREAD,
  type ReuseKind,
  type ReuseWishes,
} from '../../../../core/reuse/index.ts';
import { CheckField } from '../../../ui/check-field.tsx';
import { Choice } from '../../../ui/choice.tsx';

const NUMBER = 'w-20 rounded-md border px-2 py-1 tabular-nums';
const TYPED = 'typed';

/** How something is made: its limit, its parts, and what stands with it. */
export function WishesRow({
  kind,
  wishes,
  tags,
  onWishes,
  onTags,
}: {
  kind: ReuseKind;
  wishes: ReuseWishes;
  tags: readonly (readonly [string, string])[];
  onWishes: (change: Partial<ReuseWishes>) => void;
  onTags: (tags: [string, string][]) => void;
}) {
  const named =
    MESSAGE_LIMITS.find(({ most, link }) => most === wishes.most && link === wishes.link)?.name ?? TYPED;
  const whole = (text: string, least: number, most: number): number | null => {
    const value = Math.floor(Number(text));
    return text.trim() === '' || !Number.isFinite(value) ? null : Math.min(most, Math.max(least, value));
  };
  return (
    <fieldset aria-label="How it is made" className="flex flex-wrap items-center gap-x-4 gap-y-2 text-[13px]">
      {isMessage(kind) && (
        <>
          <label className="flex items-center gap-1.5">
            Limit
            <Choice
              aria-label="Limit of a message"
              value={named}
              onChange={(name) => {
                const found = MESSAGE_LIMITS.find((one) => one.name === name);
                if (found) onWishes({ most: found.most, link: found.link });
              }}
              options={[
                ...MESSAGE_LIMITS.map(({ name, most }) => ({ value: name, name: `${name}, ${most}` })),
                ...(named === TYPED ? [{ value: TYPED, name: 'Typed' }] : []),
              ]}
              className="px-2 py-1"
            />
          </label>
          <label className="flex items-center gap-1.5">
            Characters
            <input
              key={wishes.most}
              inputMode="numeric"
              defaultValue={wishes.most}
              onBlur={({ target }) => {
                const most = whole(target.value, 40, 100_000);
                if (most === null) target.value = String(wishes.most);
                else if (most !== wishes.most) onWishes({ most });
              }}
              className={NUMBER}
            />
          </label>
          <label className="flex items-center gap-1.5">
            A link counts
            <input
              key={String(wishes.link)}
              inputMode="numeric"
              defaultValue={wishes.link ?? ''}
              placeholder="as it is"
              onBlur={({ target }) => {
                const link = whole(target.value, 0, 1000);
                if (link !== wishes.link) onWishes({ link });
              }}
              className={NUMBER}
            />
          </label>
        </>
      )}
      {kind === 'thread' && (
        <label className="flex items-center gap-1.5">
          Messages
          <input
            key={wishes.parts}
            inputMode="numeric"
            defaultValue={wishes.parts || ''}
            placeholder="by points"
            onBlur={({ target }) => {
              const parts = whole(target.value, MIN_THREAD, MAX_THREAD) ?? 0;
              if (parts !== wishes.parts) onWishes({ parts });
            }}
            className={NUMBER}
          />
        </label>
      )}
      {kind === 'summary' && (
        <label className="flex items-center gap-1.5">
          Sentences
          <Choice
            aria-label="Sentences of the summary"
            value={String(wishes.parts || 3)}
            onChange={(parts) => onWishes({ parts: Number(parts) })}
            options={['1', '3', '5'].map((value) => ({ value, name: value }))}
            className="px-2 py-1"
          />
        </label>
      )}
      {kind === 'thread' && (
        <CheckField checked={wishes.numbered} onChange={(numbered) => onWishes({ numbered })}>
          Numbered
        </CheckField>
      )}
      {isMessage(kind) && (
        <CheckField checked={wishes.hashtags} onChange={(hashtags) => onWishes({ hashtags })}>
          Hashtags
        </CheckField>
      )}
      {(isMessage(kind) || kind === 'takeaways') && (
        <CheckField checked={wishes.emoji} onChange={(emoji) => onWishes({ emoji })}>
          Emoji
        </CheckField>
      )}
      {(isMessage(kind) || kind === 'newsletter') && (
        <label className="flex items-center gap-1.5">
          Campaign tags
          <input
            key={tags.map((tag) => tag.join('=')).join('&')}
            defaultValue={tags.map((tag) => tag.join('=')).join(' ')}
            placeholder="utm_source=letter"
            onBlur={({ target }) => {
              const next = target.value
                .split(/[\s&]+/)
                .filter((one) => one.includes('='))
                .map((one): [string, string] => [
                  one.slice(0, one.indexOf('=')),
                  one.slice(one.indexOf('=') + 1),
                ]);
              if (JSON.stringify(next) !== JSON.stringify(tags)) onTags(next);
            }}
            className="w-56 rounded-md border px-2 py-1"
          />
        </label>
      )}
    </fieldset>
  );
}
