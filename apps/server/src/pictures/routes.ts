import { Router } from 'express';
import multer from 'multer';
import { Refusal } from '../errors.ts';
import { ID } from '../made-elsewhere.ts';
import { parseBody } from '../parse-body.ts';
import type { Surroundings } from '../quilts/service.ts';
import { makePicture } from './make-picture.ts';
import type { PictureRepository } from './repository.ts';

/** A photo straight from a telephone fits; a film does not. */
const MOST_BYTES = 25_000_000;

/** Pictures over HTTP: one file in, its id and colours out; then the picture itself, which never changes. */
export function pictureRoutes(rows: PictureRepository, { newId, now }: Surroundings): Router {
  const router = Router();
  const upload = multer({
    storage: multer.memoryStorage(),
    limits: { fileSize: MOST_BYTES, files: 1, fields: 0 },
  });
  router.post('/', upload.single('picture'), async (request, response) => {
    if (!request.file) throw new Refusal(400, 'no-picture', 'No picture came with this.');
    const given = parseBody(ID.optional(), request.query['id'], 'The picture’s id cannot be one.');
    const { bytes, ...about } = await makePicture(request.file.buffer);
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
