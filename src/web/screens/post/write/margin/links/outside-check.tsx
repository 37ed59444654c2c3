import { useEffect, useRef, useState } from 'react';
import { keepAddressCheck } from '../../../../../data/address-checks.ts';
import { checkAddress } from '../../../../../services/address-checks.ts';
import { NetworkProblem } from '../../../../../services/network.ts';
import { Button } from '../../../../../ui/button.tsx';
import { dayInWords, timeInWords } from '../../../../../ui/day.ts';
import { counted } from '../../../../../ui/figures.ts';
import { useZone } from '../../../../../ui/zone.ts';
import type { LinksView } from '../../../../../workers/links.ts';

/** Addresses that are asked for at once: the server lets one a second through to each host. */
const AT_ONCE = 4;

/** How far a check has come. */
interface Progress {
  done: number;
  of: number;
}

/** Asks whether the addresses outside the site still stand, one after the other, until it is stopped. */
export function OutsideCheck({
  view: { outside, checked, unsure },
  onChecked,
}: {
  view: LinksView;
  onChecked: () => void;
}) {
  const zone = useZone();
  const [progress, setProgress] = useState<Progress | null>(null);
  const [problem, setProblem] = useState('');
  const off = useRef<AbortController | null>(null);
  useEffect(() => () => off.current?.abort(), []);
  if (outside.length === 0) return null;

  const check = async () => {
    const stop = new AbortController();
    off.current = stop;
    const waiting = [...outside];
    let done = 0;
    setProblem('');
    setProgress({ done, of: waiting.length });
    const work = async () => {
      for (let address = waiting.shift(); address !== undefined; address = waiting.shift()) {
        const answer = await checkAddress(address, stop.signal);
        await keepAddressCheck({ ...answer, at: new Date().toISOString() });
        done += 1;
        setProgress({ done, of: outside.length });
      }
    };
    try {
      await Promise.all(Array.from({ length: Math.min(AT_ONCE, waiting.length) }, work));
    } catch (error) {
      if (!stop.signal.aborted) {
        // One that failed stops the others.
        stop.abort();
        setProblem(error instanceof NetworkProblem ? error.message : 'The check stopped. Try again.');
      }
    } finally {
      setProgress(null);
      onChecked();
    }
  };

  return (
    <div className="mt-2 border-t pt-2">
      {progress ? (
        <p role="status" className="flex items-center gap-3">
          {progress.done} of {counted(progress.of, 'outside address', 'outside addresses')} checked
          <Button look="word" onClick={() => off.current?.abort()}>
            Stop
          </Button>
        </p>
      ) : (
        <>
          <Button onClick={() => void check()}>
            {outside.length === 1 ? 'Check the outside link' : `Check ${outside.length} outside links`}
          </Button>
          <p className="mt-1 text-soft">
            {checked
              ? `Checked ${dayInWords(checked, zone)}, ${timeInWords(checked, zone)}.`
              : `${outside.length === 1 ? 'It was not checked yet' : 'Not all of them were checked yet'}. The server asks each address whether it stands.`}
          </p>
        </>
      )}
      {problem && (
        <p role="alert" className="mt-1 text-rust">
          {problem}
        </p>
      )}
      {unsure.length > 0 && (
        <details className="mt-1">
          <summary className="cursor-pointer text-soft">
            {counted(unsure.length, 'address', 'addresses')} could not be told
          </summary>
          <ul>
            {unsure.map(({ address, says }) => (
              <li key={address} className="border-t py-1 break-words">
                {address}: <span className="text-soft">{says}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
