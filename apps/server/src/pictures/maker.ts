import type { ErrorCode } from '@lattice/contract';
import process from 'node:process';
import sharp from 'sharp';
import { Refusal } from '../errors.ts';
import { makePicture } from './make-picture.ts';

/** What the workshop asks of this process, and what it answers. */
export interface PictureJob {
  readonly number: number;
  readonly file: Uint8Array;
}
export type PictureResult =
  | { readonly number: number; readonly made: Awaited<ReturnType<typeof makePicture>> }
  | { readonly number: number; readonly refusal: { code: ErrorCode; message: string } };

// One picture at a time, and nothing kept of the last.
sharp.concurrency(1);
sharp.cache(false);

process.on('message', ({ number, file }: PictureJob) => {
  const deliver = (delivery: PictureResult) => process.send!(delivery);
  makePicture(Buffer.from(file)).then(
    (made) => deliver({ number, made }),
    (error: unknown) => {
      const refusal =
        error instanceof Refusal ? error : new Refusal('unexpected', 'The picture could not be made.');
      deliver({ number, refusal: { code: refusal.code, message: refusal.message } });
    },
  );
});
process.on('disconnect', () => process.exit());
