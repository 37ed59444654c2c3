import { createServer, type IncomingMessage, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import type { Outward } from './outward.ts';

/** A server of this machine that plays a host of the network, with what was asked of it. */
export interface PlayedHost {
  /** Under a name that the tests allow. */
  address: string;
  port: number;
  asked: { method: string; url: string; headers: IncomingMessage['headers'] }[];
  close(): Promise<void>;
}

/** The name under which played hosts are asked for. */
export const NAME = 'host.example';

export async function playHost(answer: RequestListener): Promise<PlayedHost> {
  const asked: PlayedHost['asked'] = [];
  const server: Server = createServer((request, response) => {
    asked.push({ method: request.method!, url: request.url!, headers: request.headers });
    answer(request, response);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://${NAME}:${port}`,
    port,
    asked,
    close: () =>
      new Promise((done) => {
        server.closeAllConnections();
        server.close(() => done());
      }),
  };
}

/** Goes out to played hosts: the names that are given stand for the addresses that are given, whichever they are. */
export const outwardTo = (
  hosts: readonly PlayedHost[],
  names: Record<string, string[]> = {},
  more: Partial<Outward> = {},
): Outward => ({
  allowed: hosts.map(({ port }) => ({ name: NAME, port })),
  agent: 'DuneSparrow/test',
  within: 2000,
  mostBytes: 100_000,
  resolve: (name, done) => {
    const addresses = name === NAME ? ['127.0.0.1'] : (new Map(Object.entries(names)).get(name) ?? []);
    done(
      null,
      addresses.map((address) => ({ address, family: address.includes(':') ? 6 : 4 })),
    );
  },
  ...more,
});

/** Ten million bytes of nothing, small on their way. */
export const packedBomb = (): Buffer => gzipSync(Buffer.alloc(10_000_000));
