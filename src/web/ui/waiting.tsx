/** The shape of what comes while it is being read; `name` where several parts of a screen wait by themselves. */
export function Waiting({ className = 'm-6 h-40', name }: { className?: string; name?: string }) {
  const box = `rounded-md bg-sand/40 ${className}`;
  return name ? (
    <section aria-busy="true" aria-label={name} className={box} />
  ) : (
    <div aria-busy="true" className={box} />
  );
}

/** The shape of a table that is being read. */
export function WaitingRows() {
  return (
    <div aria-busy="true" className="mx-6 flex-1 space-y-2 py-4">
      {['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map((key) => (
        <div key={key} className="h-9 rounded-md bg-sand/40" />
      ))}
    </div>
  );
}
