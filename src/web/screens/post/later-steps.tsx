/** What will stand on steps that cannot do their work yet. */
function Later({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <main className="mx-auto max-w-xl px-8 py-14">
      <h2 className="mb-3 font-serif text-2xl font-semibold">{name}</h2>
      {children}
    </main>
  );
}

export const Study = () => (
  <Later name="Study is not here yet">
    <p className="mb-3">
      Here you will open the result pages for your keyword, leave out those that do not fit, and see what the
      rest share: length, headings, topics, terms, questions, and figures with their sources.
    </p>
    <p className="text-soft">
      Until then, three criteria of the group Coverage that compare with other pages take no part in your
      score.
    </p>
  </Later>
);

export const Reuse = () => (
  <Later name="Reuse is not here yet">
    <p>
      Here you will turn a published post into a thread, a short update or a newsletter blurb, and keep every
      version of them.
    </p>
  </Later>
);
