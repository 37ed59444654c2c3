import { Copy, ExternalLink } from 'lucide-react';
import { useState } from 'react';
import { encode } from 'uqr';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { copyText } from '../../../ui/copy-text.ts';

/** An address as a square to be read by a phone. */
function Square({ address }: { address: string }) {
  const { data, size } = encode(address, { border: 2 });
  const path = data
    .flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x} ${y}h1v1h-1z`] : [])))
    .join('');
  return (
    <svg
      role="img"
      aria-label={`QR code of ${address}`}
      viewBox={`0 0 ${size} ${size}`}
      className="mt-2 w-40 rounded border"
      shapeRendering="crispEdges"
    >
      {/* Dark on light whatever the theme: readers of such squares want it so. */}
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#1F2A2E" />
    </svg>
  );
}

/** Where the post stands: to open, to copy, to hold under a phone. */
export function AddressPanel({ address }: { address: string }) {
  const [shown, setShown] = useState(false);
  return (
    <section aria-label="Address" className="mt-4 border-t pt-3">
      <p className="mb-1 text-[13px] text-soft">It stands at</p>
      <a
        href={address}
        target="_blank"
        rel="noreferrer"
        className="inline-flex items-baseline gap-1 break-all text-sea underline underline-offset-4"
      >
        {address.replace(/^https?:\/\//, '')}
        <ExternalLink size={13} aria-hidden className="shrink-0 self-center" />
      </a>
      <div className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        <Button
          look="word"
          className="text-[13px]"
          onClick={() => attempt(copyText(address, 'The address is copied.', 'address.txt'))}
        >
          <Copy size={13} aria-hidden />
          Copy
        </Button>
        <Button look="word" className="text-[13px]" aria-expanded={shown} onClick={() => setShown(!shown)}>
          {shown ? 'Hide the QR code' : 'QR code'}
        </Button>
      </div>
      {shown && <Square address={address} />}
    </section>
  );
}
