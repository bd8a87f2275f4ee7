import { excessIn } from '@lattice/core';
import express, { type RequestHandler } from 'express';
import { Refusal } from '../errors.ts';

/** The most a quilt's JSON may weigh. */
const MOST_JSON = '4mb';

/** Refuses what holds more than any quilt could, or what nothing has. */
export const withinBounds: RequestHandler = (request, _response, next) => {
  const excess = excessIn(request.body);
  if (excess !== null)
    throw new Refusal('too-much', `This holds ${excess}, which no quilt does. Nothing was changed.`);
  next();
};

/** Reads JSON, and refuses what holds more than any quilt could before anybody looks into it. */
export function jsonBody(): RequestHandler[] {
  return [express.json({ limit: MOST_JSON }), withinBounds];
}
