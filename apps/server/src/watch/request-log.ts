import type { Request, Response } from 'express';
import type { Logger } from 'pino';

/** Says of a request how it went, once it is over. */
export type Tell = (request: Request, response: Response, ms: number) => void;

/** One line for each request: what was asked, how it went, how long it took. Nothing of what people write. */
export const requestLog =
  (logger: Logger): Tell =>
  ({ method, originalUrl }, response, ms) => {
    const { statusCode, writableFinished, locals } = response;
    const level = statusCode >= 500 ? 'error' : statusCode >= 400 ? 'warn' : 'info';
    logger[level](
      {
        req: { id: locals['request'] as string, method, url: originalUrl.split('?')[0] },
        res: { statusCode },
        responseTime: Math.round(ms),
      },
      writableFinished ? 'request completed' : 'request broken off',
    );
  };
