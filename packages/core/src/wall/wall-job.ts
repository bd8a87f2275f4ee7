import { sum } from 'd3-array';
import { valueOf } from '../colour/colour.ts';
import { measureOf } from '../block/measure.ts';
import type { Layout } from '../layout/lay-out.ts';
import { middleOf } from '../geometry/outline.ts';
import type { Piece } from '../piece/piece.ts';
import { convertLength } from '../length/unit.ts';
import type { PileBlock, Plan } from '../plan/shape.ts';
import type { Arrangement, ArrangeRules, Meeting, WallBlock, WallJob } from './job.ts';
import { type WallPlace, wallFrom, wallOf } from './wall.ts';

/** Lightness of the three values a quilter sorts by. */
const VALUES = { light: 0.85, medium: 0.55, dark: 0.25 } as const;

/** How light a block is, from 0 to 1: as the quilter says, or by its colours, the main one counting double. */
export function blockValue({ value, colours }: Pick<PileBlock, 'value' | 'colours'>): number {
  if (value) return VALUES[value];
  if (!colours || colours.length === 0) return VALUES.medium;
  const weights = colours.map((_, i) => (i === 0 ? 2 : 1));
  return sum(colours, (c, i) => valueOf(c) * weights[i]!) / sum(weights);
}

/** What blocks of one kind are called. */
export const kindOf = (block: PileBlock): string => block.kind?.toLowerCase() ?? block.face ?? 'block';

/** Places that meet: beside each other along a side or the sash between, or corner to corner. */
function meetingsOf(blocks: readonly Piece[]): Meeting[] {
  const at = new Map(blocks.map((p, i) => [`${p.spot!.column},${p.spot!.row}`, i]));
  return blocks.flatMap(({ spot }, a): Meeting[] => {
    const { column, row } = spot!;
    const found = (dx: number, dy: number, how: Meeting['how']): Meeting[] => {
      const b = at.get(`${column + dx},${row + dy}`);
      return b === undefined ? [] : [{ a, b, how }];
    };
    return [
      ...found(1, 0, 'side'),
      ...found(0, 1, 'side'),
      ...found(1, 1, 'corner'),
      ...found(-1, 1, 'corner'),
    ];
  });
}

/** Places and meetings are the layout's alone: worked out once for each, whatever lies in them. */
const ofLayout = new WeakMap<Layout, Pick<WallJob, 'places' | 'meetings'>>();

function placesOf(layout: Layout): Pick<WallJob, 'places' | 'meetings'> {
  const had = ofLayout.get(layout);
  if (had) return had;
  const pieces = layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!);
  const found = { places: pieces.map(middleOf), meetings: meetingsOf(pieces) };
  ofLayout.set(layout, found);
  return found;
}

/** A plan's wall as an arrangement to judge or improve. */
export function wallJob(plan: Plan, layout: Layout, rules: ArrangeRules): WallJob {
  const { places, meetings } = placesOf(layout);
  const wall = wallOf(plan, places.length);
  const blocks = [...wall.places.flatMap((p) => (p.block ? [p.block] : [])), ...wall.spare];
  const index = new Map(blocks.map((b, i) => [b.id, i]));
  const turns = blocks.map(() => 0);
  wall.places.forEach(({ block, turn }) => {
    if (block) turns[index.get(block.id)!] = turn;
  });
  const meant = plan.block.width + 2 * plan.seam;
  return {
    blocks: blocks.map((b): WallBlock => ({
      id: b.id,
      name: b.name,
      kind: b.kind || b.face ? kindOf(b) : null,
      maker: b.maker ?? null,
      colours: b.colours ?? [],
      value: blockValue(b),
      size: convertLength((measureOf(b)?.leastWidth ?? meant) - meant, plan.unit, 'in'),
      upright: b.upright ?? false,
    })),
    places,
    meetings,
    at: wall.places.map(({ block }) => (block ? index.get(block.id)! : -1)),
    turns,
    locked: wall.places.map((p) => p.locked),
    rules,
  };
}

/** The plan with an arrangement of its job on the wall. */
export function withArrangement(plan: Plan, { blocks, locked }: WallJob, { at, turns }: Arrangement): Plan {
  const byId = new Map(plan.pile.map((b) => [b.id, b]));
  const places = at.map((block, i): WallPlace => ({
    block: block < 0 ? null : (byId.get(blocks[block]!.id) ?? null),
    turn: block < 0 ? 0 : (turns[block] as WallPlace['turn']),
    locked: locked[i] ?? false,
  }));
  return { ...plan, wall: wallFrom(places) };
}
