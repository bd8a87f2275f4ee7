import { lazy, Suspense } from 'react';
import { useRouteError } from 'react-router';
import { isPartGone } from '../browser/part-gone.ts';
import { PartGone } from './PartGone.tsx';

/** Seldom seen, so it is fetched when it is. */
const CannotDraw = lazy(async () => ({ default: (await import('./CannotDraw.tsx')).CannotDraw }));

/** In the place of a quilt whose screen failed: its part is gone, or it cannot be drawn. */
export function QuiltFailed() {
  const error = useRouteError();
  return isPartGone(error) ? (
    <PartGone />
  ) : (
    <Suspense>
      <CannotDraw />
    </Suspense>
  );
}
