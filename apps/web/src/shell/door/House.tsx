import { lazy, Suspense, useEffect } from 'react';
import { Outlet } from 'react-router';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { hearHouse } from '../../sync/enter.ts';
import { NewVersion } from './NewVersion.tsx';

const Door = lazy(async () => ({ default: (await import('./Door.tsx')).Door }));

/** Round every page: who one is in this house, the door where one has to say so first, and word of a newer app. */
export function House() {
  const dispatch = useAppDispatch();
  const shut = useAppSelector((s) => s.house.shut);
  useEffect(() => void dispatch(hearHouse()), [dispatch]);
  return (
    <>
      {shut ? (
        <Suspense>
          <Door />
        </Suspense>
      ) : (
        <Outlet />
      )}
      <NewVersion />
    </>
  );
}
