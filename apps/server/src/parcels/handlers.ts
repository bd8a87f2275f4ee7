import type { Response } from 'express';
import { Refusal } from '../errors.ts';
import { fewAtOnce } from '../gate/few-at-once.ts';
import type { Handlers } from '../serve/handler.ts';
import { whoIs } from '../gate/who.ts';
import type { ParcelService } from './service.ts';

/** Files may wait to be made, one after another: each is work from its first page to its last. */
const FILES_WAITING = 60;
/** Parcels that may wait to be taken in. */
const PARCELS_WAITING = 10;

const send = (response: Response, { name, type, bytes }: { name: string; type: string; bytes: Uint8Array }) =>
  void response.attachment(name).type(type).send(Buffer.from(bytes));

/** Files out of the shelf and into it. */
export const parcelHandlers = (
  parcels: ParcelService,
): Handlers<'take' | 'shelfFile' | 'arriving' | 'arrive'> => ({
  take: {
    before: [fewAtOnce(1, FILES_WAITING)],
    async handle({ params, query: { to, what, paper, comma }, response }) {
      send(response, await parcels.make(params.id, to, what, { paper, comma: comma === 'yes' }));
    },
  },
  async shelfFile({ response }) {
    if (whoIs(response) === 'view')
      throw new Refusal('view-only', 'Your link is for looking: take a quilt along from its own page.');
    const { name, write } = parcels.shelf();
    response.attachment(name).type('application/zip');
    await write(response);
  },
  arriving: () => ({ arriving: parcels.arriving }),
  arrive: {
    before: [fewAtOnce(1, PARCELS_WAITING)],
    handle({ request, response }) {
      const file: unknown = request.body;
      if (!Buffer.isBuffer(file)) throw new Refusal('no-parcel', 'No file came with this.');
      let isGone = false;
      response.once('close', () => (isGone = !response.writableFinished));
      return parcels.arrive(file, () => isGone);
    },
  },
});
