/**
 * Browsers give a page that comes over plain http from another machine no ids, no digests, no locks and no service
 * worker. Ids are made from random bytes then; the rest does without, and says so once.
 */
export function standInForIds(): void {
  if (typeof crypto.randomUUID === 'function') return;
  Object.defineProperty(crypto, 'randomUUID', {
    value: () => {
      const bytes = crypto.getRandomValues(new Uint8Array(16));
      // Version 4, variant 1 (RFC 9562).
      bytes[6] = (bytes[6] & 0x0f) | 0x40;
      bytes[8] = (bytes[8] & 0x3f) | 0x80;
      const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
      return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
    },
  });
}
