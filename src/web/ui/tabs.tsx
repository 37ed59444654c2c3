import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';

/** One tab: what it is called, and what stands with its name, a count mostly. */
export interface Tab<Id extends string> {
  id: Id;
  name: string;
  count?: ReactNode;
}

/** Tabs and what they show. Arrow keys walk through the tabs, Home and End go to the ends. */
export function TabSet<Id extends string>({
  value,
  onChange,
  upright = false,
  className,
  children,
}: {
  value: Id;
  onChange: (value: Id) => void;
  /** The tabs stand below one another. */
  upright?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Tabs.Root
      value={value}
      onValueChange={(next) => onChange(next as Id)}
      orientation={upright ? 'vertical' : 'horizontal'}
      className={className}
    >
      {children}
    </Tabs.Root>
  );
}

/** The row of tabs, with a count behind each name that has one. */
export function TabRow<Id extends string>({
  label,
  tabs,
  className = '',
}: {
  label: string;
  tabs: readonly Tab<Id>[];
  className?: string;
}) {
  return (
    <Tabs.List aria-label={label} className={`flex flex-wrap gap-x-4 gap-y-1 ${className}`}>
      {tabs.map(({ id, name, count }) => (
        <Tabs.Trigger
          key={id}
          value={id}
          className="border-b-2 border-transparent pb-0.5 text-soft hover:text-ink data-[state=active]:border-marram data-[state=active]:font-semibold data-[state=active]:text-ink"
        >
          {name}
          {count === undefined || count === null || count === '' ? '' : <> {count}</>}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  );
}

/** The narrow strip of tabs at the side of what they show, each with its count above its name. */
export function TabStrip<Id extends string>({ label, tabs }: { label: string; tabs: readonly Tab<Id>[] }) {
  return (
    <Tabs.List aria-label={label} className="sticky top-0 flex flex-col">
      {tabs.map(({ id, name, count }) => (
        <Tabs.Trigger
          key={id}
          value={id}
          className="border-b px-1 py-2.5 text-center text-[12px] text-soft data-[state=active]:bg-paper data-[state=active]:font-semibold data-[state=active]:text-ink"
        >
          {count !== undefined && count !== null && (
            <span className="block text-[15px] text-ink">{count}</span>
          )}
          {name}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  );
}

/** What a tab shows; reached by keyboard, so that what scrolls in it can be scrolled. */
export function TabPanel({
  of,
  className,
  children,
}: {
  /** The tab's id. */
  of: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Tabs.Content value={of} className={className}>
      {children}
    </Tabs.Content>
  );
}
