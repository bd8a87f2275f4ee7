import type { FloorTold } from './support/floor.ts';
import { outside } from './support/outside.ts';

/*
 * Walls of the demo, laid on a floor at random, photographed at a slant through a lens that bends, in light that falls
 * off and has a tint, with prints, wrinkles and noise; the corners pointed at a finger's breadth off.
 */
const ASKED = ['potting-shed:1', 'cot-on-point:3'];
const told = new Map<string, FloorTold>();
beforeAll(() => {
  outside<FloorTold[]>('run-floor.ts', ...ASKED).forEach((one, i) => told.set(ASKED[i]!, one));
});

describe.each(ASKED)('a layout read from the floor, %s', (name) => {
  const right = ({ read, truth, looks, alike }: FloorTold) =>
    truth.map(({ block, turn }, i) => {
      const place = read!.places[i]!;
      return (
        place.block !== null &&
        looks[place.block] === looks[block] &&
        alike[block]!.some((same) => (place.turn - turn - same + 8) % 4 === 0)
      );
    });

  it('97 % of the places are right, with the turn they lie in', () => {
    const all = right(told.get(name)!);
    expect(all.length).toBeGreaterThanOrEqual(18);
    expect(all.filter(Boolean).length / all.length).toBeGreaterThanOrEqual(0.97);
  });

  it('what is not right is marked unsure, and few are asked', () => {
    const { read } = told.get(name)!;
    const all = right(told.get(name)!);
    expect(read!.places.filter(({ unsure }, i) => !unsure && !all[i])).toEqual([]);
    expect(read!.places.filter(({ unsure }) => unsure).length).toBeLessThanOrEqual(all.length / 5);
  });

  it('no block is said to lie in two places', () => {
    const blocks = told.get(name)!.read!.places.flatMap(({ block }) => (block === null ? [] : [block]));
    expect(new Set(blocks).size).toBe(blocks.length);
  });
});
