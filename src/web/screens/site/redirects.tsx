import { Trash2 } from 'lucide-react';
import type { Redirect } from '../../../core/site/index.ts';
import { changeRow } from '../../data/change-row.ts';
import { database } from '../../data/database.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { attempt } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { dayInWords } from '../../ui/day.ts';
import { counted } from '../../ui/figures.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { useZone } from '../../ui/zone.ts';

/** Addresses at which nothing stands any more, and where they lead; written when the address of a published post changes. */
export function Redirects({ site }: { site: SiteRow }) {
  const zone = useZone();
  const { redirects = [] } = site;
  if (redirects.length === 0) return null;
  const remove = async ({ from }: Redirect) => {
    const back = await changeRow(database().sites, site.id, ({ redirects: now = [] }) => ({
      redirects: now.filter((one) => one.from !== from),
    }));
    offerUndo(`${from} leads nowhere now`, back, 10_000);
  };
  return (
    <details className="px-6 pb-3">
      <summary className="cursor-pointer text-soft">
        {counted(redirects.length, 'old address leads', 'old addresses lead')} on
      </summary>
      <ul aria-label="Redirects" className="mt-1 max-h-60 max-w-3xl overflow-auto">
        {redirects.map((redirect) => (
          <li key={redirect.from} className="flex items-baseline gap-3 border-t py-1">
            <span className="min-w-0 flex-1 break-words">
              {redirect.from} <span className="text-soft">leads to</span>{' '}
              {redirect.to ?? 'nothing: it is gone'}
            </span>
            <span className="text-[13px] text-soft">
              {redirect.why}, {dayInWords(redirect.since, zone)}
            </span>
            <IconButton
              name={`Take out the redirect from ${redirect.from}`}
              icon={Trash2}
              look="grave"
              onClick={() => attempt(remove(redirect), 'The redirect could not be taken out')}
            />
          </li>
        ))}
      </ul>
    </details>
  );
}
