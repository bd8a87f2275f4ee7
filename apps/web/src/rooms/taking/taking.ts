import { numberOf, readPalette } from '@lattice/core';
import type { Takeaway, TakeJob } from '@lattice/export';
import { download } from '../../browser/download.ts';
import { planChanged } from '../../state/planSlice.ts';
import { selectKeptPlan, selectPlan, selectQuilt } from '../../state/selectors.ts';
import type { Thunk } from '../../sync/thunk.ts';
import { IN_BROWSER } from './inBrowser.ts';

/** What the maker chose for the paper and for tables. */
export type Wish = Pick<TakeJob, 'paper' | 'comma'>;

/** Writes something of the open quilt and hands it to the browser as a file. */
export const writeExport =
  (one: Takeaway, wish: Wish): Thunk<Promise<void>> =>
  async (_dispatch, getState) => {
    const state = getState();
    const { take } = await import('@lattice/export');
    const { name, type, bytes } = await take(one, {
      ...{ plan: selectPlan(state), quilt: selectQuilt(state), id: state.saving.id!, log: state.log },
      ...{ ...wish, ...IN_BROWSER, made: new Date().toISOString() },
    });
    download(name, bytes, type);
  };

/** Colours of a palette file onto the cloths: by their names where they are alike, the others in their order. Says how it went. */
export const coloursTaken =
  (text: string): Thunk<string> =>
  (dispatch, getState) => {
    const read = readPalette(text);
    if (!read.ok) return read.problem;
    const plan = selectKeptPlan(getState());
    const alike = (name: string) =>
      read.colours.find((one) => one.name.toLowerCase() === name.toLowerCase())?.colour;
    const named = new Map(plan.fabrics.map(({ id, name }) => [id, alike(name)]));
    const rest = read.colours
      .map(({ colour }) => colour)
      .filter((colour) => ![...named.values()].includes(colour));
    const fabrics = plan.fabrics.map((fabric) => {
      const colour = named.get(fabric.id) ?? rest.shift();
      return colour === undefined ? fabric : { ...fabric, colour };
    });
    dispatch(planChanged({ ...plan, fabrics }));
    const changed = fabrics.filter(({ colour }, i) => colour !== plan.fabrics[i]!.colour).length;
    return changed === 0
      ? 'The cloths have these colours already.'
      : `${changed} of ${numberOf(fabrics.length, 'cloth')} ${changed === 1 ? 'has' : 'have'} a new colour. Undo takes it back.`;
  };
