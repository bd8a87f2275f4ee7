import type { Name, Permission } from '@lattice/contract';
import cookieSession from 'cookie-session';
import express, { type Express, type RequestHandler, Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { answerErrors, Refusal } from '../errors.ts';
import { withinBounds } from '../gate/body.ts';
import { gate } from '../gate/gate.ts';
import { headers } from '../gate/headers.ts';
import type { Handlers } from '../serve/handler.ts';
import { serve } from '../serve/serve.ts';
import { requestId } from '../watch/request-id.ts';
import type { Links } from './links.ts';
import { isPassphrase, type Kept } from './secrets.ts';

/** What the door is kept by. */
export interface DoorOptions {
  readonly passphrase: Kept;
  /** Signs cookies. */
  readonly key: string;
  /** Changes when the passphrase does. */
  readonly sign: string;
  readonly links: Links;
  readonly isOurs: (name: string) => boolean;
  /** Where a proxy stands that says from whom it brings something; empty where there is none, and nobody is believed. */
  readonly proxies?: readonly string[];
  readonly report: (fault: object) => void;
}

/** What a session remembers: by what it came in. */
type Session = { by?: string };

const LASTS_MS = 30 * 24 * 3600 * 1000;
/** The most that says who one is. */
const MOST = '2kb';
/** Tries of the passphrase from one place: so many in so long. */
const TRIES = 5;
const TRIES_MS = 60_000;
/** From everywhere together, of those that no place's own limit has turned away: slower than any list of words can be gone through. */
const TRIES_IN_ALL = 30;
/** Of links, which nobody can guess, from one place: they are counted by themselves, so that no guest is kept out by another. */
const TRIES_OF_LINKS = 20;

/** What the door answers itself. */
export type DoorName = Extract<Name, 'enter' | 'leave'>;

/** The app as it is seen from the local network: behind a door that a passphrase or a link opens. */
export function behindDoor(
  app: Express,
  { passphrase, key, sign, links, isOurs, proxies = [], report }: DoorOptions,
): Express {
  const door = express();
  door.disable('x-powered-by');
  door.set('trust proxy', proxies.length > 0 ? [...proxies] : false);
  door.use(requestId, headers(), gate(isOurs));
  door.use(
    cookieSession({
      name: 'lattice',
      keys: [key],
      maxAge: LASTS_MS,
      httpOnly: true,
      secure: true,
      sameSite: 'strict',
    }),
  );
  const house = `house:${sign}`;
  const whoHolds = async ({ by }: Session): Promise<Permission | null> =>
    by === undefined ? null : by === house ? 'edit' : links.mayNow(by);

  const throttled = (limit: number, keyGenerator?: () => string) =>
    rateLimit({
      windowMs: TRIES_MS,
      limit,
      ...(keyGenerator ? { keyGenerator } : {}),
      skipSuccessfulRequests: true,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      // That one is named without a proxy is nothing to write about: it is not believed.
      validate: { xForwardedForHeader: false },
      handler: () => {
        throw new Refusal('too-many-tries', 'That was tried too often. Wait a minute, then try again.');
      },
    });
  const ofLinks = Router().use(throttled(TRIES_OF_LINKS));
  // The place's own first: what is turned away there does not count for all.
  const ofWords = Router().use(
    throttled(TRIES),
    throttled(TRIES_IN_ALL, () => 'all'),
  );
  const throttle: RequestHandler = (request, response, next) => {
    const link = typeof (request.body as { link?: unknown } | undefined)?.link === 'string';
    (link ? ofLinks : ofWords)(request, response, next);
  };
  const entrance: Handlers<DoorName> = {
    enter: {
      before: [express.json({ limit: MOST }), withinBounds, throttle],
      async handle({ body, request }) {
        const by =
          'link' in body
            ? (await links.openedBy(body.link))?.id
            : (await isPassphrase(body.passphrase, passphrase))
              ? house
              : undefined;
        if (by === undefined)
          throw new Refusal(
            'not-let-in',
            'link' in body
              ? 'This link lets nobody in any more. Ask for another.'
              : 'This is not the passphrase.',
          );
        (request as { session?: Session | null }).session = { by };
        return { who: await whoHolds({ by }) };
      },
    },
    leave({ request }) {
      (request as { session?: Session | null }).session = null;
    },
  };
  door.use(serve(entrance));
  door.use('/api', async (request, response, next) => {
    const who = await whoHolds((request as { session?: Session | null }).session ?? {});
    if (who === null)
      throw new Refusal('not-let-in', 'Enter the passphrase first, or use the link you were given.');
    response.locals['who'] = who;
    next();
  });
  door.use((_request, response, next) => {
    response.locals['fromOutside'] = true;
    next();
  });
  door.use(app);
  door.use(answerErrors(report));
  return door;
}
