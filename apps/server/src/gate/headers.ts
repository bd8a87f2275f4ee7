import type { RequestHandler } from 'express';
import helmet from 'helmet';

const OWN = ["'self'"];

/** What a page of this app may fetch, and who may show it: its own things, and nobody else. */
export const headers = (): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: OWN,
        // Styles are written by the app itself as it runs.
        styleSrc: ["'self'", "'unsafe-inline'"],
        fontSrc: OWN,
        imgSrc: ["'self'", 'blob:', 'data:'],
        connectSrc: OWN,
        workerSrc: OWN,
        manifestSrc: OWN,
        baseUri: ["'none'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
