import { FORMATS, PAPERS, type PaperName } from '@lattice/export';
import express, { type Response, Router } from 'express';
import { z } from 'zod';
import { Refusal } from '../errors.ts';
import { fewAtOnce } from '../gate/few-at-once.ts';
import { parseBody } from '../parse-body.ts';
import { whoIs } from '../share/who.ts';
import type { ParcelService } from './service.ts';

/** Files may wait to be made, one after another: each is work from its first page to its last. */
const WAITING = 60;
/** The most a parcel weighs on its way in. */
const MOST = '100mb';

export const takeQuery = z.object({
  to: z.enum(FORMATS),
  what: z.string().max(20).optional(),
  paper: z.enum(Object.keys(PAPERS) as [PaperName, ...PaperName[]]).default('a4'),
  comma: z.enum(['yes', 'no']).default('no'),
});

const send = (response: Response, { name, type, bytes }: { name: string; type: string; bytes: Uint8Array }) =>
  void response.attachment(name).type(type).send(Buffer.from(bytes));

/** Files out of the shelf and into it. */
export function parcelRoutes(parcels: ParcelService): Router {
  const router = Router();
  router.use('/quilts/:id/take', fewAtOnce(1, WAITING));
  router.get('/quilts/:id/take', async (request, response) => {
    const { to, what, paper, comma } = parseBody(
      takeQuery,
      request.query,
      'Say what to take along: to, what, paper, comma.',
    );
    send(response, await parcels.make(request.params.id, to, what, { paper, comma: comma === 'yes' }));
  });
  router.get('/shelf.zip', async (_request, response) => {
    if (whoIs(response) === 'view')
      throw new Refusal(403, 'view-only', 'Your link is for looking: take a quilt along from its own page.');
    const { name, write } = parcels.shelf();
    response.attachment(name).type('application/zip');
    await write(response);
  });
  router.get('/parcels', (_request, response) => void response.json({ arriving: parcels.arriving }));
  router.post(
    '/parcels',
    fewAtOnce(1, 10),
    express.raw({ type: 'application/octet-stream', limit: MOST, inflate: false }),
    async (request, response) => {
      if (!Buffer.isBuffer(request.body)) throw new Refusal(400, 'no-parcel', 'No file came with this.');
      let isGone = false;
      response.once('close', () => (isGone = !response.writableFinished));
      response.status(201).json(await parcels.arrive(request.body, () => isGone));
    },
  );
  return router;
}
