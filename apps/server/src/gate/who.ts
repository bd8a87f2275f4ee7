import type { Who } from '@lattice/contract';
import type { Request, RequestHandler, Response } from 'express';
import { Refusal } from '../errors.ts';

/** Who asks; the door writes it down, and without a door it is whoever sits at the machine. */
export const whoIs = (response: Response): Who => (response.locals['who'] as Who | undefined) ?? 'owner';

const isReading = ({ method }: Request) => method === 'GET' || method === 'HEAD';

/** Lets only whoever sits at the machine further. */
export const ownersOnly: RequestHandler = (_request, response, next) => {
  if (whoIs(response) !== 'owner')
    throw new Refusal('owner-only', 'This is for whoever sits at the machine the app runs on.');
  next();
};

/** Lets those who may only look change nothing. */
export const viewersLook: RequestHandler = (request, response, next) => {
  if (whoIs(response) === 'view' && !isReading(request))
    throw new Refusal('view-only', 'Your link is for looking, so nothing was changed.');
  next();
};
