import { type Layout, near, type Plan, type Point, rowLabels, wallOf } from '@lattice/core';
import type { ReadLayout } from '@lattice/photo';
import { useCallback, useMemo, useState } from 'react';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { inFromRim } from './corners.ts';
import { FACE_SQUARE, faceSquares } from './faceSquares.ts';
import { laidPlaces, liesNow, placesOf, pointedPlaces } from './laid.ts';
import { othersIn, withChosen } from './laidRead.ts';
import { usePhotos } from './usePhotos.ts';

/** As they lie in most photos of a whole layout: near the rim. */
const NEAR_RIM = 0.1;

/** A photo of a layout: where its corners are, what was read of it, and how that stands to the wall. */
export function useLaidSheet(plan: Plan, layout: Layout) {
  const { on, ask, take } = usePhotos();
  const [edgeToEdge, setEdgeToEdge] = useState(false);
  const [pointed, setPointed] = useState<readonly Point[] | null>(null);
  const [read, setRead] = useState<ReadLayout | null>(null);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const begin = useCallback(
    async (files: FileList | null) => {
      setPointed(null);
      setRead(null);
      setWrong(null);
      await take(files, null);
    },
    [take],
  );
  useFilesHere(begin);
  const pieces = useMemo(() => placesOf(layout), [layout]);
  const labels = useMemo(() => rowLabels(pieces), [pieces]);
  const wall = useMemo(() => wallOf(plan, pieces.length), [plan, pieces]);
  const places = useMemo(() => laidPlaces(layout, edgeToEdge), [layout, edgeToEdge]);
  const points = useMemo(() => pointedPlaces(places), [places]);
  const now = useMemo(() => liesNow(plan, layout, wall), [plan, layout, wall]);
  const photo = on?.photo ?? null;
  const scale = photo ? photo.picture.width / photo.width : 1;
  const corners = pointed ?? (photo ? inFromRim(photo.picture, NEAR_RIM) : []);

  const lookAt = async () => {
    const inPhoto = corners.map((p) => ({ x: p.x / scale, y: p.y / scale }));
    const found = await ask({
      ask: 'layout',
      asked: {
        places,
        blocks: await faceSquares(plan.pile),
        size: FACE_SQUARE,
        pointed: points.places.flatMap((place, k) => {
          const seen = inPhoto[k];
          return seen ? [{ place, seen }] : [];
        }),
        turns: near(plan.block.width, plan.block.height) ? [0, 1, 2, 3] : [0, 2],
        now,
      },
    });
    if (!found) setWrong('The four corners lie in a line: point at each of them.');
    setRead(found);
  };
  const look = async () => {
    setBusy(true);
    setWrong(null);
    await lookAt().catch((error: unknown) =>
      setWrong(error instanceof Error ? error.message : 'The photo could not be read.'),
    );
    setBusy(false);
  };
  return {
    ...{ edgeToEdge, setEdgeToEdge, read, busy, labels, wall, points, now, photo, scale, corners, begin },
    wrong: on?.wrong ?? wrong,
    others: useMemo(() => (read ? othersIn(read, now) : new Set<number>()), [read, now]),
    moveCorner: (k: number, to: Point) => setPointed(corners.map((p, i) => (i === k ? to : p))),
    closeUp: useCallback(
      (at: Point, size: number) =>
        ask({ ask: 'near', at: { x: at.x / scale, y: at.y / scale }, on: 'photo', dots: 120, size }),
      [ask, scale],
    ),
    look: () => void look(),
    choose: (place: number, block: number | null) => setRead((had) => had && withChosen(had, place, block)),
    again: () => setRead(null),
  };
}
