import type { Point } from '@lattice/core';
import { offSquareBy, type PhotoAsked, type PhotoRefused, REFUSED_WORDS, sixLengths } from '@lattice/photo';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { MeasuredPhoto, OpenPhoto } from '../workers/photo.worker.ts';
import { type PhotoDesk, photoDesk, PhotoWrong } from './photoDesk.ts';

/** A photo on the desk, as far as it has come. */
export interface OnDesk {
  readonly name: string;
  readonly photo: OpenPhoto | null;
  readonly measured: MeasuredPhoto | null;
  /** Why it could not be opened or measured. */
  readonly wrong: string | null;
  readonly busy: boolean;
  /** By what it was last measured, and why it could not be. */
  readonly asked: PhotoAsked | null;
  readonly refused: PhotoRefused | null;
  /** Corners were moved by hand. */
  readonly moved: boolean;
}

/** Photos one after another: the first lies on the desk, the others wait. */
export function usePhotos() {
  const desk = useRef<PhotoDesk | null>(null);
  const [on, setOn] = useState<OnDesk | null>(null);
  useEffect(
    () => () => {
      desk.current?.close();
      desk.current = null;
    },
    [],
  );
  const ask = useCallback<PhotoDesk['ask']>((question) => {
    desk.current ??= photoDesk();
    return desk.current.ask(question);
  }, []);

  const measure = useCallback(
    async (asked: PhotoAsked) => {
      setOn((had) => had && { ...had, busy: true, wrong: null, asked });
      try {
        const found = await ask({ ask: 'measure', asked });
        setOn(
          (had) =>
            had && {
              ...had,
              busy: false,
              moved: false,
              ...(typeof found === 'string'
                ? { measured: null, refused: found, wrong: REFUSED_WORDS[found] }
                : { measured: found, refused: null, wrong: null }),
            },
        );
      } catch (error) {
        setOn((had) => had && { ...had, busy: false, wrong: wordsOf(error) });
      }
    },
    [ask],
  );

  /** Opens a photo; measures it at once where `asked` says by what. */
  const open = useCallback(
    async (file: File, asked: PhotoAsked | null) => {
      setOn({ ...NOTHING_YET, name: file.name });
      try {
        const photo = await ask({ ask: 'open', file });
        setOn((had) => had && { ...had, photo, busy: asked !== null });
        if (asked) await measure(asked);
      } catch (error) {
        setOn((had) => had && { ...had, busy: false, wrong: wordsOf(error) });
      }
    },
    [ask, measure],
  );

  /** Moves a corner of the block, in inches on the table: the lengths follow at once. */
  const move = useCallback((corner: number, to: Point) => {
    setOn((had) => {
      if (!had?.measured) return had;
      const places = had.measured.places.map((p, k) => (k === corner ? to : p));
      return {
        ...had,
        moved: true,
        measured: { ...had.measured, places, six: sixLengths(places), skew: offSquareBy(places) },
      };
    });
  }, []);

  const clear = useCallback(() => setOn(null), []);
  return { on, ask, measure, move, ...useRow(open, clear) };
}

/** Photos that wait their turn: the first is opened at once, the others one after another. */
function useRow(open: (file: File, asked: PhotoAsked | null) => Promise<void>, clear: () => void) {
  const [waiting, setWaiting] = useState<readonly File[]>([]);
  const take = useCallback(
    async (files: FileList | readonly File[] | null, asked: PhotoAsked | null) => {
      const [first, ...rest] = files ? [...files] : [];
      if (!first) return;
      setWaiting(rest);
      await open(first, asked);
    },
    [open],
  );

  /** The next photo that waits; none left clears the desk. */
  const next = useCallback(
    async (asked: PhotoAsked | null) => {
      const [first, ...rest] = waiting;
      setWaiting(rest);
      if (first) await open(first, asked);
      else clear();
    },
    [waiting, open, clear],
  );
  return { waiting: waiting.length, take, next };
}

const NOTHING_YET: OnDesk = {
  name: '',
  photo: null,
  measured: null,
  wrong: null,
  busy: true,
  asked: null,
  refused: null,
  moved: false,
};

const wordsOf = (error: unknown): string =>
  error instanceof PhotoWrong ? error.message : 'This photo could not be worked on here.';
