import type { Plan } from '@lattice/core';
import { api } from '../../sync/api.ts';
import { addQuilt } from '../../sync/newQuilts.ts';
import type { Thunk } from '../../sync/thunk.ts';

/** A name nobody on this shelf has: the one wished for, or with the next number. */
export function freeName(wished: string, taken: readonly string[]): string {
  const had = new Set(taken);
  if (!had.has(wished)) return wished;
  let number = 2;
  while (had.has(`${wished} (${number})`)) number++;
  return `${wished} (${number})`;
}

/** Puts a new quilt on the shelf under a name of its own; out of reach of the shelf, under the one wished for. Answers its id. */
export const makeQuilt =
  (plan: Plan): Thunk<Promise<string>> =>
  async (dispatch) => {
    const asked = dispatch(
      api.endpoints.shelf.initiate({ words: plan.title }, { subscribe: false, forceRefetch: true }),
    );
    const { data } = await Promise.race([
      asked,
      new Promise<{ data?: undefined }>((r) => setTimeout(() => r({}), 1500)),
    ]);
    const taken = data?.pages.flatMap(({ quilts }) => quilts.map(({ card }) => card.title)) ?? [];
    return dispatch(addQuilt({ ...plan, title: freeName(plan.title, taken) }));
  };
