import {
  type Layout,
  near,
  orientationOf,
  type Plan,
  type Point,
  type Wall,
  wallFrom,
  type WallPlace,
} from '@lattice/core';
import type { LayoutAsked, ReadLayout } from '@lattice/photo';

type Places = LayoutAsked['places'];

/** The places of blocks, in their order on the wall. */
export const placesOf = (layout: Layout) =>
  layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!);

/** Whether something is sewn between the blocks, which may not lie there yet. */
export const hasBetween = (layout: Layout): boolean =>
  Object.values(layout.parts).some((part) => part.cutFrom?.use.what === 'sash');

/** Where the blocks lie: as they will be sewn, or edge to edge where what goes between is not laid. */
export function laidPlaces(layout: Layout, edgeToEdge: boolean): Places {
  const pieces = placesOf(layout);
  if (!edgeToEdge) return pieces.map(({ outline }) => ({ corners: outline }));
  const [first] = pieces;
  const side = (a: Point, b: Point) => Math.hypot(b.x - a.x, b.y - a.y);
  const [w, h] = first
    ? [side(first.outline[0]!, first.outline[1]!), side(first.outline[1]!, first.outline[2]!)]
    : [1, 1];
  return pieces.map(({ spot }) => {
    const [x, y] = [spot!.column * w, spot!.row * h];
    return {
      corners: [
        { x, y },
        { x: x + w, y },
        { x: x + w, y: y + h },
        { x, y: y + h },
      ],
    };
  });
}

/** What is pointed at in the photo: four places of the layout, and how they are called. */
export function pointedPlaces(places: Places): {
  readonly places: readonly Point[];
  readonly says: string;
  readonly names: readonly string[];
} {
  const sides = ['Top left', 'Top right', 'Bottom right', 'Bottom left'];
  const straight = places.every(({ corners: [a, b] }) => near(a!.y, b!.y) || near(a!.x, b!.x));
  const all = places.flatMap(({ corners }) => corners);
  const xs = all.map((p) => p.x);
  const ys = all.map((p) => p.y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  if (straight)
    return {
      places: [
        { x: left, y: top },
        { x: right, y: top },
        { x: right, y: bottom },
        { x: left, y: bottom },
      ],
      says: 'Point at the outer corners of the blocks, all together; a finger’s breadth off does no harm.',
      names: sides.map((s) => `${s} corner of the blocks`),
    };
  // Blocks on their corners have no corner in common: the middles of the four outermost are pointed at.
  const middles = places.map(({ corners }) => ({
    x: corners.reduce((s, p) => s + p.x, 0) / corners.length,
    y: corners.reduce((s, p) => s + p.y, 0) / corners.length,
  }));
  const outermost = (sx: number, sy: number) =>
    middles.reduce((best, p) => (sx * p.x + sy * p.y > sx * best.x + sy * best.y + 1e-9 ? p : best));
  return {
    places: [outermost(-1, -1), outermost(1, -1), outermost(1, 1), outermost(-1, 1)],
    says: 'Point at the middle of the block in each of the four corners; a finger’s breadth off does no harm.',
    names: sides.map((s) => `Middle of the ${s.toLowerCase()} block`),
  };
}

/** How every block lies on the wall now: which of the pile, and turned in all by rule and hand. */
export const liesNow = (plan: Plan, layout: Layout, wall: Wall): LayoutAsked['now'] =>
  placesOf(layout).map((piece, i) => {
    const { block, turn } = wall.places[i]!;
    if (!block) return null;
    const rule = orientationOf(plan.places, piece.spot!);
    return { block: plan.pile.indexOf(block), turn: block.upright ? 0 : (rule.turn + turn) % 4 };
  });

/** The wall as the photo shows it. */
export function wallAsRead(plan: Plan, layout: Layout, wall: Wall, read: ReadLayout): WallPlace[] {
  return placesOf(layout).map((piece, i): WallPlace => {
    const { block, turn } = read.places[i]!;
    const laid = block === null ? null : plan.pile[block]!;
    const rule = orientationOf(plan.places, piece.spot!);
    return {
      block: laid,
      turn: laid && !laid.upright ? (((turn - rule.turn + 4) % 4) as WallPlace['turn']) : 0,
      locked: laid !== null && wall.places[i]!.locked && wall.places[i]!.block?.id === laid.id,
    };
  });
}

export const withWallRead = (plan: Plan, places: readonly WallPlace[]): Plan => ({
  ...plan,
  wall: wallFrom(places),
});
