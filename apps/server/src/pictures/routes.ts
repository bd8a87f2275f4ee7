import express, { Router } from 'express';
import { Refusal } from '../errors.ts';
import { fewAtOnce } from '../gate/few-at-once.ts';
import { ID } from '../made-elsewhere.ts';
import { parseBody } from '../parse-body.ts';
import type { Surroundings } from '../quilts/service.ts';
import type { PictureRepository } from './repository.ts';
import type { Workshop } from './workshop.ts';

/** A photo straight from a telephone fits; a film does not. */
const MOST = 25_000_000;
/** Pictures that are read at once, and that may wait for it: large as they are, no more of them lie in memory. */
const AT_ONCE = 4;
const WAITING = 60;
/** Kinds of body that are a picture, or may be: what it is shows when it is opened. */
const KINDS = ['image/*', 'application/octet-stream'];

/** Pictures over HTTP: one file in, its id and colours out; then the picture itself, which never changes. */
export function pictureRoutes(
  rows: PictureRepository,
  workshop: Workshop,
  { newId, now }: Surroundings,
): Router {
  const router = Router();
  const raw = express.raw({ type: KINDS, limit: MOST, inflate: false });
  router.post('/', fewAtOnce(AT_ONCE, WAITING), raw, async (request, response) => {
    const given = parseBody(ID.optional(), request.query['id'], 'The picture’s id cannot be one.');
    if (!Buffer.isBuffer(request.body)) throw new Refusal(400, 'no-picture', 'No picture came with this.');
    const { bytes, ...about } = await workshop.make(request.body);
    const id = given ?? newId();
    await rows.insert({ id, bytes, created_at: now().toISOString() });
    response.status(201).json({ id, ...about });
  });
  router.get('/:id', async (request, response) => {
    const row = await rows.find(request.params.id);
    if (!row) throw new Refusal(404, 'no-such-picture', 'There is no such picture.');
    response
      .set({
        'Content-Type': 'image/webp',
        'Cache-Control': 'private, max-age=31536000, immutable',
        'X-Content-Type-Options': 'nosniff',
      })
      .send(row.bytes);
  });
  return router;
}
