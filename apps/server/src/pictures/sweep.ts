import type { PictureRepository } from './repository.ts';

/** A browser that was away may still hold a change that names a picture: it is given three months. */
const KEPT_MS = 90 * 24 * 3600 * 1000;

/** Deletes pictures older than three months that no quilt names; answers how many. */
export const sweepPictures = (pictures: PictureRepository, now: Date): Promise<number> =>
  pictures.sweep(new Date(now.getTime() - KEPT_MS).toISOString());
