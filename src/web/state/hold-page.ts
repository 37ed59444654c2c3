/** Why the page may not go without asking; each as long as it holds. */
const reasons = new Set<() => boolean>();

const ask = (event: BeforeUnloadEvent): void => {
  // The browser asks in its own words.
  if ([...reasons].some((holds) => holds())) event.preventDefault();
};

/** The browser asks before the page goes, while `holds` says so. Answers how to end it. */
export function holdPage(holds: () => boolean = () => true): () => void {
  if (reasons.size === 0) addEventListener('beforeunload', ask);
  reasons.add(holds);
  return () => {
    reasons.delete(holds);
    if (reasons.size === 0) removeEventListener('beforeunload', ask);
  };
}
