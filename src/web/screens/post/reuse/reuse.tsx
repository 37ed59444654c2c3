/** Reuse: what will stand here, said until it can do its work. */
export function Reuse() {
  return (
    <main className="mx-auto max-w-xl px-8 py-14">
      <h2 className="mb-3 font-serif text-2xl font-semibold">Reuse is not here yet</h2>
      <p>
        Here you will turn a published post into a thread, a short update or a newsletter blurb, and keep
        every version of them.
      </p>
    </main>
  );
}
