import type { PhotoAnswers, PhotoNews, PhotoQuestion } from '../workers/photo.worker.ts';

/** What went wrong with a photo, in the maker's words. */
export class PhotoWrong extends Error {}

/** One photo at a time, worked on beside the page: questions about it are answered in turn. */
export interface PhotoDesk {
  ask<Q extends PhotoQuestion>(question: Q): Promise<PhotoAnswers[Q['ask']]>;
  close(): void;
}

/** Opens a desk: a worker of its own, so that the page stays quick. */
export function photoDesk(): PhotoDesk {
  const worker = new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module' });
  const waiting = new Map<number, { done: (value: never) => void; failed: (error: Error) => void }>();
  let last = 0;
  worker.onmessage = ({ data }: MessageEvent<PhotoNews>) => {
    const one = waiting.get(data.id);
    waiting.delete(data.id);
    if ('wrong' in data) one?.failed(new PhotoWrong(data.wrong));
    else one?.done(data.ok as never);
  };
  worker.onerror = () => {
    for (const { failed } of waiting.values())
      failed(new PhotoWrong('The photo could not be worked on here.'));
    waiting.clear();
  };
  return {
    ask: (question) =>
      new Promise((done, failed) => {
        last += 1;
        waiting.set(last, { done, failed });
        worker.postMessage({ id: last, question });
      }),
    close: () => worker.terminate(),
  };
}
