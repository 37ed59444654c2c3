/** The shape of what comes while it is being read; `name` where several parts of a screen wait by themselves. */
export function Waiting({ className = 'm-6 h-40', name }: { className?: string; name?: string }) {
  const box = `rounded-md bg-sand/40 ${className}`;
  return name ? (
    <section aria-busy="true" aria-label={name} className={box} />
  ) : (
    <div aria-busy="true" className={box} />
  );
}
