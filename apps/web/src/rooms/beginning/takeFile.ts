import { readPlanJson } from '@lattice/core';
import type { AppDispatch } from '../../sync/thunk.ts';
import { addQuilt } from '../../sync/newQuilts.ts';
import { type Taken, takeParcel, type Taking } from './takeParcel.ts';

/** Takes in a plan file, or whole quilts in a zip: what is to be said of it, and where to go. */
export async function takeFile(file: File, dispatch: AppDispatch, taking: Taking): Promise<Taken> {
  if (/\.zip$/i.test(file.name)) return takeParcel(file, dispatch, taking);
  const read = readPlanJson(await file.text());
  if (read.ok) return { problem: null, to: `/quilts/${await dispatch(addQuilt(read.plan))}/setting` };
  const [first, ...more] = read.problems;
  const place = first!.path.length > 0 ? ` (at ${first!.path.join('.')})` : '';
  const others = more.length > 0 ? ` And ${more.length} more like it.` : '';
  return { problem: `${file.name} was not taken. ${first!.message}${place}${others}`, to: null };
}
