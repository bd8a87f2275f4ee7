import { type Name, operationOf, type Operation, placeOf } from '@lattice/contract';
import express, { type RequestHandler, Router } from 'express';
import { jsonBody } from '../gate/body.ts';
import { parseBody } from '../parse-body.ts';
import { ownersOnly } from '../gate/who.ts';
import { checkAnswer, noteOperation } from './checked.ts';
import { type Call, type Guarded, type Handle, type Handlers, JsonText, Under } from './handler.ts';

const METHODS = { GET: 'get', POST: 'post', PUT: 'put', DELETE: 'delete' } as const;

/** Kinds of body that are a file, whatever they say they are: what it is shows when it is opened. */
const FILE = 'application/octet-stream';

/** Reads what a call carries, as its operation says: JSON, a file, or nothing. */
function readers({ body, sends }: Operation): RequestHandler[] {
  if (sends) return [express.raw({ type: [sends.type, FILE], limit: sends.most, inflate: false })];
  return body ? jsonBody() : [];
}

function answering(name: Name, handle: Handle<Name>): RequestHandler {
  const { query, body, wrong = '', answers } = operationOf(name);
  const [usual] = Object.keys(answers).map(Number);
  return async (request, response) => {
    const call = {
      params: request.params,
      query: query && parseBody(query, request.query, wrong),
      body: body && parseBody(body, request.body, wrong),
      ...{ request, response },
    };
    const given: unknown = await handle(call as Call<Name>);
    if (response.headersSent) return;
    const status = given instanceof Under ? Number(given.status) : usual!;
    const answer: unknown = given instanceof Under ? given.body : given;
    if (answer instanceof JsonText) {
      checkAnswer(response, status, JSON.parse(answer.text));
      return void response.status(status).type('json').send(answer.text);
    }
    checkAnswer(response, status, answer);
    if (answer === undefined) response.status(status).end();
    else response.status(status).json(answer);
  };
}

/**
 * Routes for operations, made from what the contract says of them: where they stand, who may, what is read of a call, and
 * under which status an answer leaves.
 */
export function serve<N extends Name>(handlers: Handlers<N>): Router {
  const router = Router();
  // A word before a place that anything may stand in: /taken-off before /{id}.
  const names = (Object.keys(handlers) as N[]).sort((a, b) => (placeOf(a).path < placeOf(b).path ? -1 : 1));
  for (const name of names) {
    const { method, path } = placeOf(name);
    const operation = operationOf(name);
    const own = handlers[name] as Handle<Name> | Guarded<Name>;
    const { before, handle } = typeof own === 'function' ? { before: [], handle: own } : own;
    router[METHODS[method as keyof typeof METHODS]](
      path.replace(/\{(\w+)\}/g, ':$1'),
      (_request, response, next) => {
        noteOperation(response, name);
        next();
      },
      ...(operation.ownersOnly ? [ownersOnly] : []),
      ...before,
      ...readers(operation),
      answering(name, handle),
    );
  }
  return router;
}
