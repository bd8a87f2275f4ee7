import type { PileBlock, Plan, Point } from '@lattice/core';
import { cameraOf } from '@lattice/photo';
import { useCallback, useMemo, useState } from 'react';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { sendPicture } from '../../sync/pictures.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { askedByPoints, inFromRim } from './corners.ts';
import { asSizes } from './photoSizes.ts';
import { type MeasuredBy, referenceOf, usualReference } from './ReferenceChoice.tsx';
import { usePhotos } from './usePhotos.ts';

/** Sizes as a photo gives them. */
export type PhotoSizes = Pick<PileBlock, 'width' | 'height' | 'edges' | 'diagonals'>;

/** The block a photo is of: as chosen, else the first that is not measured, else the first. */
const blockOf = (pile: readonly PileBlock[], chosen: string | null): PileBlock | null =>
  pile.find((b) => b.id === chosen) ?? pile.find((b) => b.width === null) ?? pile[0] ?? null;

/** The block the next photo is of: the next that is not measured, else simply the next. */
export function blockAfter(pile: readonly PileBlock[], block: PileBlock): string | null {
  const later = pile.slice(pile.indexOf(block) + 1);
  return (later.find((b) => b.width === null) ?? later[0])?.id ?? null;
}

/** Photos being measured one after another: by what, for which block, by places pointed at; and their sizes taken. */
export function usePhotoSheet({ pile, unit }: Plan, onMeasured: (id: string, sizes: PhotoSizes) => void) {
  const dispatch = useAppDispatch();
  const { on, waiting, ask, take, next, measure, move } = usePhotos();
  const [by, setBy] = useState<MeasuredBy>(usualReference);
  /** Whether the block's face is kept as its picture. */
  const [keeps, setKeeps] = useState(false);
  const [chosen, choose] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  /** Four places pointed at, in the shown picture's dots. */
  const [pointed, setPointed] = useState<readonly Point[] | null>(null);
  const block = blockOf(pile, chosen);
  const byItself = useMemo(() => (by.kind === 'places' ? null : { reference: referenceOf(by) }), [by]);
  const begin = useCallback(
    async (files: FileList | null) => {
      setPointed(null);
      await take(files, byItself);
    },
    [take, byItself],
  );
  useFilesHere(begin);

  const { photo, measured } = on ?? { photo: null, measured: null };
  const scale = photo ? photo.picture.width / photo.width : 1;
  const corners = pointed ?? (photo ? inFromRim(photo.picture, 0.25) : []);
  return {
    ...{ on, waiting, ask, move, by, keeps, setKeeps, choose, said, block, begin, photo, measured },
    ...{ scale, corners },
    moveCorner: (k: number, to: Point) => setPointed(corners.map((p, i) => (i === k ? to : p))),
    nearPhoto: useCallback(
      (at: Point, size: number) =>
        ask({ ask: 'near', at: { x: at.x / scale, y: at.y / scale }, on: 'photo', dots: 20, size }),
      [ask, scale],
    ),
    skip: () => void next(byItself),
    measurePointed: () => {
      setPointed(null);
      void measure(
        askedByPoints(
          on,
          by,
          corners.map((p) => ({ x: p.x / scale, y: p.y / scale })),
        ),
      );
    },
    measureBy: (other: MeasuredBy) => {
      setBy(other);
      setPointed(null);
      if (photo && other.kind !== 'places') void measure({ reference: referenceOf(other) });
    },
    takeSizes: async () => {
      if (!block || !measured) return;
      if (keeps) {
        const camera = cameraOf(measured.values);
        const seen = measured.places.map((p) => camera.seen(p));
        void dispatch(sendPicture(block.id, await ask({ ask: 'face', corners: seen, size: 800 })));
      }
      onMeasured(block.id, asSizes(measured, unit));
      setSaid(`${block.name} is measured.`);
      choose(blockAfter(pile, block));
      setPointed(null);
      await next(byItself);
    },
  };
}
