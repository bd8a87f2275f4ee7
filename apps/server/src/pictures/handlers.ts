import { Refusal } from '../errors.ts';
import { fewAtOnce } from '../gate/few-at-once.ts';
import type { Surroundings } from '../surroundings.ts';
import type { Handlers } from '../serve/handler.ts';
import type { PictureRepository } from './repository.ts';
import type { Workshop } from './workshop.ts';

/** Pictures that are read at once, and that may wait for it: large as they are, no more of them lie in memory. */
const AT_ONCE = 4;
const WAITING = 60;

/** Pictures over HTTP: one file in, its id and colours out; then the picture itself, which never changes. */
export const pictureHandlers = (
  rows: PictureRepository,
  workshop: Workshop,
  { newId, now }: Surroundings,
): Handlers<'addPicture' | 'picture'> => ({
  addPicture: {
    before: [fewAtOnce(AT_ONCE, WAITING)],
    async handle({ query, request }) {
      const file: unknown = request.body;
      if (!Buffer.isBuffer(file)) throw new Refusal('no-picture', 'No picture came with this.');
      const { bytes, ...about } = await workshop.make(file);
      const id = query.id ?? newId();
      await rows.insert({ id, bytes, created_at: now().toISOString() });
      return { id, ...about };
    },
  },
  async picture({ params, response }) {
    const row = await rows.find(params.id);
    if (!row) throw new Refusal('no-such-picture', 'There is no such picture.');
    response
      .set({
        'Content-Type': 'image/webp',
        'Cache-Control': 'private, max-age=31536000, immutable',
        'X-Content-Type-Options': 'nosniff',
      })
      .send(row.bytes);
  },
});
