import { readFileSync, statSync } from 'node:fs';
import { createServer, type RequestListener, type Server } from 'node:http';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { openBlog } from './blog/blog-server.ts';
import { allowedHosts } from './fetch/allowed-hosts.ts';
import { ContentFolder } from './host/content-folder.ts';
import { openPublishing, type StandIn, standInOf } from './host/publishing.ts';

/** Milliseconds that an idle connection stays open: the five seconds of Node end it just as a client asks again. */
const KEPT_OPEN = 65_000;

const root = fileURLToPath(new URL('../../', import.meta.url));

/** Where the server keeps what it is given to keep: `DATA_DIR`, or `.dune-sparrow` where it was started. */
const dataFolder = (demo: boolean): string =>
  resolve(process.env['DATA_DIR']?.trim() || (demo ? '.dune-sparrow/demo' : '.dune-sparrow'));

/** A port as it is written in decimal digits, 0 to 65535; null for anything else. */
export const portOf = (text: string): number | null =>
  /^\d{1,5}$/.test(text) && Number(text) <= 65_535 ? Number(text) : null;

/** Milliseconds within which a request must have arrived whole. */
const ARRIVED_WITHIN = 15_000;

/** A server that cuts whoever takes too long to say what they want. */
export const httpServer = (app: RequestListener, within = ARRIVED_WITHIN): Server =>
  createServer(
    {
      headersTimeout: within,
      requestTimeout: within,
      connectionsCheckingInterval: Math.min(1000, within),
    },
    app,
  );

/** Starts the blog stand-in beside the application and prints where it stands; without it the application goes on. */
function startBlog({
  demo,
  host,
  shown,
  port,
  hosts,
  stands,
}: {
  demo: boolean;
  host: string;
  shown: string;
  port: number;
  hosts: readonly string[];
  /** Told where it stands, once it does. */
  stands: (blog: StandIn) => void;
}): void {
  if (port > 65_535) {
    console.error('There is no port above for the blog: set BLOG_PORT to a number from 0 to 65535.');
    return;
  }
  // Addresses in its pages name the port, which is known only when it listens.
  let app: RequestListener | null = null;
  const server = httpServer((request, response) => {
    if (app) app(request, response);
    else response.writeHead(503).end();
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(
      `The blog cannot be shown on port ${port} (${error.code}). Stop what uses it, or set BLOG_PORT to another number.`,
    );
  });
  server.keepAliveTimeout = KEPT_OPEN;
  server.listen(port, host, () => {
    const found = server.address();
    const actual = typeof found === 'object' && found ? found.port : port;
    const address = `http://${shown}:${actual}`;
    const blog = openBlog(join(dataFolder(demo), 'blog'), address, demo ? `${root}dist` : null, hosts);
    app = blog.app;
    stands(standInOf(address, blog.store));
    console.log(`The blog stands at ${address}/`);
  });
  stopping.push(() => {
    server.close();
    server.closeAllConnections();
  });
}

/** What is stopped beside the application. */
const stopping: (() => void)[] = [];

/** The folder of posts that was asked for; ends with 1 and a sentence where there is none. */
function contentFolder(asked: string): ContentFolder | null {
  const folder = asked || process.env['CONTENT_DIR']?.trim() || '';
  if (folder === '') return null;
  try {
    if (statSync(folder).isDirectory()) {
      const content = new ContentFolder(folder);
      stopping.push(content.watch());
      return content;
    }
  } catch {
    // Said below.
  }
  console.error(`There is no folder ${folder}. Give --content a folder of posts.`);
  process.exit(1);
}

/** Starts the server and prints where it is; ends with 0 on SIGINT and SIGTERM, with 1 and a sentence where it cannot listen. */
export function startServer({ demo, content = '' }: { demo: boolean; content?: string }): void {
  const { version } = JSON.parse(readFileSync(`${root}package.json`, 'utf8')) as { version: string };
  const portText = process.env['PORT'] ?? '4310';
  // Set to nothing, it must not be heard by the whole network.
  const host = process.env['HOST']?.trim() || '127.0.0.1';
  const port = portOf(portText);
  if (port === null) {
    console.error(`PORT is "${portText}"; set it to a number from 0 to 65535.`);
    process.exit(1);
  }
  const blogText = process.env['BLOG_PORT']?.trim() ?? '';
  const blogPort = blogText === '' ? null : portOf(blogText);
  if (blogText !== '' && blogPort === null) {
    console.error(`BLOG_PORT is "${blogText}"; set it to a number from 0 to 65535.`);
    process.exit(1);
  }
  const hosts = [host, ...(process.env['HOST_NAMES'] ?? '').split(',')]
    .map((name) => name.trim())
    .filter(Boolean);
  let blog: StandIn | null = null;
  const outward = { allowed: allowedHosts(process.env['ALLOW_HOSTS'] ?? '') };
  const publishing = openPublishing(join(dataFolder(demo), 'host'), version, outward, () => blog, {
    content: contentFolder(content),
  });
  stopping.push(() => publishing.queue.stop());
  const server = httpServer(
    createApp({
      web: `${root}dist/web`,
      demo: demo ? `${root}dist/demo` : null,
      market: `${root}dist/market.json`,
      version,
      copies: join(dataFolder(demo), 'copies'),
      texts: join(dataFolder(demo), 'text-service'),
      publishing,
      outward,
      hosts,
    }),
  );
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE')
      console.error(`Port ${port} on ${host} is in use. Stop what uses it, or set PORT to another number.`);
    else if (error.code === 'EACCES')
      console.error(`Port ${port} may not be used by you. Set PORT to a number above 1023.`);
    else
      console.error(
        `The server cannot listen on ${host}:${port} (${error.code}). Set HOST and PORT to an address of this machine.`,
      );
    process.exit(1);
  });
  server.keepAliveTimeout = KEPT_OPEN;
  server.listen(port, host, () => {
    const address = server.address();
    const actual = typeof address === 'object' && address ? address.port : port;
    const shown = host.includes(':') ? `[${host}]` : host;
    console.log(`Dune Sparrow is ready at http://${shown}:${actual}/`);
    startBlog({
      demo,
      host,
      shown,
      port: blogPort ?? actual + 1,
      hosts,
      stands: (stood) => {
        blog = stood;
      },
    });
  });
  const stop = () => {
    for (const end of stopping) end();
    server.close(() => process.exit(0));
    server.closeAllConnections();
    setTimeout(() => process.exit(0), 1000).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}
