import type { Request } from 'express';
import type { BlogStore, Scope } from './blog-store.ts';
import { MicropubError } from './micropub-request.ts';

/** The token of a request: in its header or, in a form, beside the rest; never in both. */
function tokenOf(request: Request): string | null {
  const header = /^Bearer\s+(\S+)$/i.exec(request.headers.authorization ?? '')?.[1] ?? null;
  const body = request.body as unknown;
  const inForm =
    typeof body === 'string' && isForm(request) ? new URLSearchParams(body).get('access_token') : null;
  if (header !== null && inForm !== null)
    throw new MicropubError(
      400,
      'invalid_request',
      'The token is sent twice: in the header and in the form.',
    );
  return header ?? inForm;
}

export const isForm = (request: Request): boolean =>
  request.is('application/x-www-form-urlencoded') !== false;

/** Refuses whoever may not do what they ask. Throws {@link MicropubError}. */
export function mayDo(store: BlogStore, request: Request, scope: Scope | null): void {
  const token = tokenOf(request);
  if (token === null)
    throw new MicropubError(
      401,
      'unauthorized',
      'A token is needed: send it as "Authorization: Bearer ...".',
    );
  const scopes = store.scopesOf(token);
  if (scopes === null) throw new MicropubError(403, 'forbidden', 'This token is not known here.');
  if (scope !== null && !scopes.includes(scope))
    throw new MicropubError(401, 'insufficient_scope', `This token does not allow to ${scope}.`);
}
