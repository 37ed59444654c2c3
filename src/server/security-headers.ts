import type { RequestHandler } from 'express';
import helmet, { type HelmetOptions } from 'helmet';

type Directives = Extract<HelmetOptions['contentSecurityPolicy'], object>['directives'];

/** The headers of every response of a server of ours: its policy, in no frame, and what browsers are told besides. */
export const securityHeaders = (directives: NonNullable<Directives>): RequestHandler =>
  helmet({
    contentSecurityPolicy: { useDefaults: false, directives },
    strictTransportSecurity: false,
    // Older browsers know this one only; it says what the policy says.
    frameguard: { action: 'deny' },
  });
