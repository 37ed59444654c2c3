import type { RequestHandler } from 'express';

/** Only the application's own pages may ask: a page elsewhere could write here, or read, through the browser. */
export const ownPages =
  (what: string): RequestHandler =>
  ({ headers }, response, next) => {
    const from = headers['sec-fetch-site'];
    if (from === undefined || from === 'same-origin') next();
    else response.status(403).json({ problem: `${what} are for the pages of this server alone.` });
  };
