import { type Request, type RequestHandler, type Response, Router } from 'express';
import { Refusal } from '../errors.ts';
import type { Permission } from './links.ts';

/** Who asks: whoever sits at the machine, or somebody from the local network and what they may. */
export type Who = 'owner' | Permission;

/** Who asks; the door writes it down, and without a door it is whoever sits at the machine. */
export const whoIs = (response: Response): Who => (response.locals['who'] as Who | undefined) ?? 'owner';

/** Parts that are for whoever sits at the machine. */
const OWNERS = ['/api/backups', '/api/links', '/api/numbers'];

const isReading = ({ method }: Request) => method === 'GET' || method === 'HEAD';

const ownersOnly: RequestHandler = (_request, response, next) => {
  if (whoIs(response) !== 'owner')
    throw new Refusal(403, 'owner-only', 'This is for whoever sits at the machine the app runs on.');
  next();
};

const viewersLook: RequestHandler = (request, response, next) => {
  if (whoIs(response) === 'view' && !isReading(request))
    throw new Refusal(403, 'view-only', 'Your link is for looking, so nothing was changed.');
  next();
};

/**
 * Holds everyone to what they may do: looking, changing quilts, or everything. Addresses are matched by the router that
 * leads to what stands at them, so that no way of writing one (`/API/links`) leads round the guard.
 */
export const permissions = (): Router => Router().use(OWNERS, ownersOnly).use(viewersLook);
