import { useEffect, useRef, useState } from 'react';

/**
 * What is read once, when a window opens: whoever draws the figure anew meanwhile asks for the same. `loaded` is null until it is there;
 * `problem` is empty unless it cannot be read.
 */
export function useLoaded<Loaded>(load: () => Promise<Loaded>): { loaded: Loaded | null; problem: string } {
  const [loaded, setLoaded] = useState<Loaded | null>(null);
  const [problem, setProblem] = useState('');
  const asked = useRef(load);
  useEffect(() => {
    let late = false;
    asked.current().then(
      (found) => !late && setLoaded(() => found),
      (error: unknown) => !late && setProblem(error instanceof Error ? error.message : String(error)),
    );
    return () => {
      late = true;
    };
  }, []);
  return { loaded, problem };
}
