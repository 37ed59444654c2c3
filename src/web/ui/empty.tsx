import type { ReactNode } from 'react';

/** A screen on which nothing is yet: what belongs there, and the ways to fill it. */
export function Empty({ title, children, ways }: { title: string; children: ReactNode; ways?: ReactNode }) {
  return (
    <div className="mx-auto mt-16 max-w-md px-6 text-center">
      <h2 className="mb-2 font-serif text-xl font-semibold">{title}</h2>
      <p className="mb-4 text-soft">{children}</p>
      {ways && <div className="flex flex-wrap items-center justify-center gap-3">{ways}</div>}
    </div>
  );
}

/** What is said in place of a list that has nothing to show. */
export const None = ({ children }: { children: ReactNode }) => (
  <p className="mx-auto max-w-lg px-6 py-10 text-center text-soft">{children}</p>
);
