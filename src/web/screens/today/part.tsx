import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A link to what a line tells of. */
export const LINK = 'font-semibold text-marram underline decoration-marram/40 underline-offset-4';
/** Lines that a part shows. */
export const MAX_LINES = 6;

/** A part of Today: its heading, a few lines, and the way to all of them. */
export function Part({
  title,
  empty,
  more,
  shown,
  children,
}: {
  title: string;
  empty: string;
  more: { to: string; name: string };
  shown: number;
  children: ReactNode;
}) {
  return (
    <section aria-label={title}>
      <h2 className="mb-1 flex items-baseline gap-3">
        <span className="font-serif text-lg font-semibold">{title}</span>
        {shown > 0 && (
          <Link to={more.to} className="text-[13px] text-marram hover:underline">
            {shown > MAX_LINES ? `${more.name}, ${shown}` : more.name}
          </Link>
        )}
      </h2>
      {shown === 0 ? (
        <p className="text-soft">
          {empty}{' '}
          <Link to={more.to} className={LINK}>
            {more.name}
          </Link>
        </p>
      ) : (
        <ul>{children}</ul>
      )}
    </section>
  );
}
