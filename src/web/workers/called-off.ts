/** Jobs that nobody waits for any more, by the sign under which they were asked for. */
const off = new Set<string>();

/** Signs are kept so many at most: one may come for a job that is done already. */
const MAX_REMEMBERED = 1000;

/** Says that nobody waits for a job any more. */
export function callOff(job: string): void {
  if (off.size >= MAX_REMEMBERED) off.clear();
  off.add(job);
}

/** Lets waiting messages in, one of which may call the job off: then throws an `AbortError`. */
export async function stillWanted(job: string): Promise<void> {
  await new Promise<void>((resolve) => setTimeout(resolve));
  if (off.delete(job)) throw new DOMException('Nobody waits for this any more.', 'AbortError');
}

/** Runs work that yields how far it is, 0 to 1, and heeds between its steps that it is called off. */
export async function inSteps<Answer>(
  steps: Generator<number, Answer>,
  job: string,
  tell: (done: number) => void,
): Promise<Answer> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    tell(step.value);
    await stillWanted(job);
  }
}
