import type { RequestHandler } from 'express';
import { IncomingMessage, ServerResponse } from 'node:http';
import { Socket } from 'node:net';
import helmet from 'helmet';

const OWN = ["'self'"];

/** What a page of this app may fetch, and who may show it: its own things, and nobody else. */
export function headers(): RequestHandler {
  const all = Object.entries(headersOf(rules()));
  return (_request, response, next) => {
    for (const [name, value] of all) response.setHeader(name, value!);
    next();
  };
}

/** What a maker of headers that looks at no request sets: the same for each, so asked once. */
function headersOf(make: ReturnType<typeof helmet>): Record<string, number | string | string[] | undefined> {
  const request = new IncomingMessage(new Socket());
  const response = new ServerResponse(request);
  make(request, response, () => undefined);
  return response.getHeaders();
}

const rules = () =>
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
