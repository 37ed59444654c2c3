import { Check, Plus } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { addSite, allSites, currentSite, goToSite } from '../data/sites.ts';
import { attempt } from '../state/attempt.ts';
import { useLiveQuery } from '../state/use-live-query.ts';

const ITEM =
  'flex cursor-pointer items-center gap-2 rounded px-2 py-1.5 outline-none data-[highlighted]:bg-paper';

/** The sites, and the way to each and to a new one; open at once, as it is loaded when it is asked for. */
export function SiteMenu({ trigger }: { trigger: ReactElement }) {
  const site = useLiveQuery(currentSite);
  const sites = useLiveQuery(allSites) ?? [];
  const navigate = useNavigate();
  const go = async (id: string) => {
    await goToSite(id, new Date().toISOString());
    navigate('/posts');
  };
  const create = async () => {
    await addSite(crypto.randomUUID(), `Site ${sites.length + 1}`, new Date().toISOString());
    navigate('/rules');
  };
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          side="right"
          align="end"
          sideOffset={6}
          className="rise z-50 min-w-52 rounded-md border bg-sheet p-1"
        >
          {sites.map(({ id, name, baseAddress }) => (
            <DropdownMenu.Item key={id} className={ITEM} onSelect={() => attempt(go(id))}>
              <Check size={14} aria-hidden className={id === site?.id ? '' : 'invisible'} />
              <span>
                {name || 'Unnamed site'}
                {baseAddress && <span className="block text-[12px] text-soft">{baseAddress}</span>}
              </span>
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 border-t" />
          <DropdownMenu.Item className={ITEM} onSelect={() => attempt(create())}>
            <Plus size={14} aria-hidden />
            New site
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
