import { Link, useRouteError } from 'react-router';

/** What stands in place of a screen that failed or does not exist. */
export function PageProblem() {
  const error = useRouteError();
  const reason = error instanceof Error ? error.message : null;
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="mb-2 font-serif text-2xl font-semibold">
        {reason ? 'This screen stopped' : 'There is nothing at this address'}
      </h1>
      <p className="mb-4 text-soft">
        {reason
          ? `${reason}. What you wrote up to a second ago is kept; reload to go on.`
          : 'The address may be old, or mistyped.'}
      </p>
      <Link className="font-semibold text-marram underline underline-offset-4" to="/posts">
        To your posts
      </Link>
    </main>
  );
}
