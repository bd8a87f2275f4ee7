import cookieSession from 'cookie-session';
import express, { type Express, Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { z } from 'zod';
import { answerErrors, Refusal } from '../errors.ts';
import { gate } from '../gate/gate.ts';
import { headers } from '../gate/headers.ts';
import { parseBody } from '../parse-body.ts';
import { requestId } from '../watch/request-id.ts';
import type { Links } from './links.ts';
import { isPassphrase, type Kept } from './secrets.ts';
import type { Who } from './who.ts';

/** What the door is kept by. */
export interface DoorOptions {
  readonly passphrase: Kept;
  /** Signs cookies. */
  readonly key: string;
  /** Changes when the passphrase does. */
  readonly sign: string;
  readonly links: Links;
  readonly isOurs: (name: string) => boolean;
  readonly report: (fault: object) => void;
}

/** What a session remembers: by what it came in. */
type Session = { by?: string };

const LASTS_MS = 30 * 24 * 3600 * 1000;
/** Tries from one place: so many in so long. */
const TRIES = 5;
const TRIES_MS = 60_000;
/** Tries from everywhere together: slower than any list of words can be gone through. */
const TRIES_IN_ALL = 30;

const enterBody = z.union([
  z.strictObject({ passphrase: z.string().min(1).max(200) }),
  z.strictObject({ link: z.string().min(1).max(200) }),
]);

/** The app as it is seen from the local network: behind a door that a passphrase or a link opens. */
export function behindDoor(
  app: Express,
  { passphrase, key, sign, links, isOurs, report }: DoorOptions,
): Express {
  const door = express();
  door.disable('x-powered-by');
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
  const whoHolds = async ({ by }: Session): Promise<Who | null> =>
    by === undefined ? null : by === house ? 'edit' : links.mayNow(by);

  const entrance = Router();
  const throttled = (limit: number, keyGenerator?: () => string) =>
    rateLimit({
      windowMs: TRIES_MS,
      limit,
      ...(keyGenerator ? { keyGenerator } : {}),
      skipSuccessfulRequests: true,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: () => {
        throw new Refusal(429, 'too-many-tries', 'That was tried too often. Wait a minute, then try again.');
      },
    });
  entrance.post(
    '/',
    throttled(TRIES_IN_ALL, () => 'all'),
    throttled(TRIES),
    express.json({ limit: '2kb' }),
    async (request, response) => {
      const body = parseBody(enterBody, request.body, 'Say the passphrase, or use a link.');
      const by =
        'link' in body
          ? (await links.openedBy(body.link))?.id
          : (await isPassphrase(body.passphrase, passphrase))
            ? house
            : undefined;
      if (by === undefined)
        throw new Refusal(
          401,
          'not-let-in',
          'link' in body
            ? 'This link lets nobody in any more. Ask for another.'
            : 'This is not the passphrase.',
        );
      (request as { session?: Session | null }).session = { by };
      response.json({ who: await whoHolds({ by }) });
    },
  );
  entrance.delete('/', (request, response) => {
    (request as { session?: Session | null }).session = null;
    response.status(204).end();
  });
  door.use('/api/session', entrance);
  door.use('/api', async (request, response, next) => {
    const who = await whoHolds((request as { session?: Session | null }).session ?? {});
    if (who === null)
      throw new Refusal(401, 'not-let-in', 'Say the passphrase first, or use the link you were given.');
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
