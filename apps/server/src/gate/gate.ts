import type { Request, RequestHandler } from 'express';
import { Refusal } from '../errors.ts';

/** Methods that change nothing. */
const READING: ReadonlySet<string> = new Set(['GET', 'HEAD']);
const METHODS: ReadonlySet<string> = new Set([...READING, 'POST', 'PUT', 'DELETE']);
/** Names of this machine to itself. */
const LOOPBACK: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]']);

/** A host header's name, without its port. */
export const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, '').replace(/\.$/, '');

/** Whether this is a name of the machine to itself. */
export const isLoopback = (host: string): boolean => LOOPBACK.has(nameOf(host));

/**
 * Lets in what this app's own pages ask for, and what a person types; nothing that another page sends. A page elsewhere
 * can make a browser send requests here, and can call itself by a name that leads here: it cannot help saying so.
 *
 * @param isOurs whether a name is one of this house
 */
export function gate(isOurs: (name: string) => boolean): RequestHandler {
  return (request, _response, next) => {
    const { host, origin } = request.headers;
    if (!METHODS.has(request.method))
      throw new Refusal('bad-method', 'Nothing here can be asked in this way.');
    if (!host || !isOurs(nameOf(host)))
      throw new Refusal('wrong-host', 'The app is not called by this name, so nothing was answered.');
    if (isForeign(request, host, origin))
      throw new Refusal('foreign', 'Another page asked for this, so nothing was done.');
    if (!READING.has(request.method)) refuseForms(request);
    next();
  };
}

function isForeign(request: Request, host: string, origin: string | undefined): boolean {
  if (origin !== undefined && origin.replace(/^https?:\/\//, '') !== host) return true;
  const site = request.headers['sec-fetch-site'];
  if (site === undefined || site === 'same-origin' || site === 'none') return false;
  // A link to the app, followed from anywhere, shows the app; it asks for nothing by itself.
  const followed = request.method === 'GET' && request.headers['sec-fetch-mode'] === 'navigate';
  return !followed || /^\/+api(\/|$)/i.test(request.path);
}

/** A form can be sent by any page, JSON and pictures only by our own: whatever carries something says which it is. */
function refuseForms(request: Request): void {
  const type = request.headers['content-type']?.split(';')[0]?.trim().toLowerCase();
  const carries = request.headers['content-length'] !== '0' && 'content-length' in request.headers;
  const taken =
    type === 'application/json' || type === 'application/octet-stream' || type?.startsWith('image/');
  if (taken || (type === undefined && !carries && request.headers['transfer-encoding'] === undefined)) return;
  throw new Refusal('bad-type', 'Only JSON and pictures are taken here, so nothing was changed.');
}
