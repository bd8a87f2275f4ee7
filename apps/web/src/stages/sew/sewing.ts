import type { Act, Placing, SewRecord } from '@lattice/core';
import type { Said } from '../../sync/outbox/writeLog.ts';
import { writeLog } from '../../sync/outbox/writeLog.ts';
import { selectPlan } from '../../state/selectors.ts';
import type { Thunk } from '../../sync/thunk.ts';
import type { AtSewing } from './useSewing.ts';

/** So many seams go into one entry of the log. */
const AT_ONCE = 2000;

/** Acts that were done: seams with their length, steps pressed, things besides. */
export const actsDone =
  ({ way }: Pick<AtSewing, 'way'>, acts: readonly Act[]): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { unit } = selectPlan(getState());
    const seams = acts.flatMap(({ key, seam }) =>
      seam === null ? [] : [{ seam: key, length: way.seams[seam]!.length }],
    );
    await dispatch(
      writeLog([
        ...inParts(seams).map((part): Said => ({ kind: 'seams-sewn', body: { unit, seams: part } })),
        ...acts.flatMap(({ key, seam }): Said[] =>
          seam === null ? [{ kind: 'sewing-done', body: { what: key, done: true } }] : [],
        ),
      ]),
    );
  };

/** Acts that had not been done after all, or seams that were taken out. */
export const actsUndone =
  (acts: readonly Act[]): Thunk<Promise<void>> =>
  async (dispatch) => {
    const seams = acts.flatMap(({ key, seam }) => (seam === null ? [] : [key]));
    await dispatch(
      writeLog([
        ...inParts(seams).map((part): Said => ({ kind: 'seams-ripped', body: { seams: part } })),
        ...acts.flatMap(({ key, seam }): Said[] =>
          seam === null ? [{ kind: 'sewing-done', body: { what: key, done: false } }] : [],
        ),
      ]),
    );
  };

/** The place is put somewhere else: everything before it done, nothing after. */
export const placePut =
  (sewing: Pick<AtSewing, 'way'>, { sewn, ripped }: Placing): Thunk<Promise<void>> =>
  async (dispatch) => {
    if (sewn.length > 0) await dispatch(actsDone(sewing, sewn));
    if (ripped.length > 0) await dispatch(actsUndone(ripped));
  };

/** How it is sewn from now on. */
export const sewingChosen =
  (chosen: NonNullable<SewRecord['chosen']>): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(writeLog([{ kind: 'sewing-chosen', body: chosen }]));
  };

/** What a part measured one way, raw edge to raw edge, as it lies. */
export const partMeasured =
  (what: string, side: 'across' | 'down', length: number): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { unit } = selectPlan(getState());
    await dispatch(writeLog([{ kind: 'part-measured', body: { what, side, unit, length } }]));
  };

const inParts = <T>(all: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(all.length / AT_ONCE) }, (_, i) =>
    all.slice(i * AT_ONCE, (i + 1) * AT_ONCE),
  );
