import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';

/** The application under an address of its own, whose service worker can be told to be a newer one. */
export interface SecondAddress {
  port: number;
  /** From now on the service worker that is handed out is another version. */
  release(): void;
  /** From now on the page that is handed out names files that only another version has. */
  releasePage(): void;
  /** From now on the page that is handed out is the one without demo data. */
  leaveDemoOut(): void;
  close(): Promise<void>;
}

/** Hands every request on to where the application runs. */
export async function secondAddress(target: string): Promise<SecondAddress> {
  let newer = false;
  let newerPage = false;
  let plain = false;
  const server = createServer((incoming, outgoing) => {
    // Asked for plainly and in full, so that what is handed out can be another text.
    const { 'accept-encoding': _packed, 'if-none-match': _known, ...headers } = incoming.headers;
    // As a server in front of another asks: by the name of the one behind it.
    const { host } = new URL(target);
    const asked = request(new URL(incoming.url ?? '/', target), {
      method: incoming.method,
      headers: { ...headers, host },
    });
    asked.on('response', (answer) => {
      const { 'content-length': _length, ...told } = answer.headers;
      outgoing.writeHead(answer.statusCode ?? 502, told);
      const isScript = incoming.url?.startsWith('/service-worker.js');
      const isPage = told['content-type']?.includes('text/html');
      if (!isScript && !isPage) {
        answer.pipe(outgoing);
        return;
      }
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () => {
        const text = Buffer.concat(parts).toString('utf8');
        if (isScript) outgoing.end(newer ? text.replace('`dune-sparrow-', '`dune-sparrow-newer-') : text);
        else {
          const shown = plain ? text.replace('demo" content="on"', 'demo" content="off"') : text;
          outgoing.end(newerPage ? shown.replaceAll('/assets/', '/assets/newer-') : shown);
        }
      });
    });
    asked.on('error', () => outgoing.destroy());
    incoming.pipe(asked);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    port: (server.address() as AddressInfo).port,
    release: () => {
      newer = true;
    },
    releasePage: () => {
      newerPage = true;
    },
    leaveDemoOut: () => {
      plain = true;
    },
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}
