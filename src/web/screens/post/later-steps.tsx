/** What will stand on steps that cannot do their work yet. */
function Later({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <main className="mx-auto max-w-xl px-8 py-14">
      <h2 className="mb-3 font-serif text-2xl font-semibold">{name}</h2>
      {children}
    </main>
  );
}

export const Reuse = () => (
  <Later name="Reuse is not here yet">
    <p>
      Here you will turn a published post into a thread, a short update or a newsletter blurb, and keep every
      version of them.
    </p>
  </Later>
);
