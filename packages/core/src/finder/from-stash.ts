import { differenceOf } from '../colour/colour.ts';
import type { StashPiece } from '../log/stash.ts';
import type { Fabric, Plan } from '../plan/shape.ts';
import { computeQuilt } from '../quilt/compute.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { settingOf, turnInto } from '../setting/registry.ts';
import { planProblems } from '../soundness/problems.ts';
import { enoughOf } from '../table/enough.ts';

/** A cloth of a quilt that pieces of the stash are enough for. */
interface Matched {
  readonly cloth: string;
  readonly piece: StashPiece;
  readonly count: number;
}

/** A quilt that can be made with what is in the stash. */
export interface FromStashWay {
  readonly id: string;
  /** "As it is planned", "Without its last border" */
  readonly title: string;
  /** With the colours of the stash where a cloth comes from it. */
  readonly plan: Plan;
  readonly matched: readonly Matched[];
  /** Cloths that would still have to be bought. */
  readonly toBuy: readonly Fabric[];
}

/** So many pieces of the stash are tried for one cloth, the likest colours first. */
const MOST_TRIED = 8;

/**
 * What can be made from the stash: the quilt as it is planned and some simpler ones, each with the pieces that are
 * enough for its cloths. As many cloths as can be are matched, every piece to one cloth; where there is a choice the
 * liker colour is taken. What asks for the least to be bought comes first; a quilt that nothing is there for is left out.
 */
export function fromStash(plan: Plan, stash: readonly StashPiece[]): FromStashWay[] {
  const free = stash.filter((piece) => piece.free > 0 && piece.kind !== 'batting');
  return variants(plan)
    .filter(({ plan: made }) => planProblems(made).length === 0)
    .map(({ id, title, plan: made }): FromStashWay => {
      const quilt = computeQuilt(made);
      const matched = matchedTo(made, quilt, free);
      const taken = new Map(matched.map((one) => [one.cloth, one.piece]));
      return {
        id,
        title,
        plan: {
          ...made,
          fabrics: made.fabrics.map((fabric) => ({
            ...fabric,
            colour: taken.get(fabric.id)?.colour ?? fabric.colour,
          })),
        },
        matched,
        toBuy: quilt.fabrics
          .filter(({ fabric, needed }) => needed.value > 0 && !taken.has(fabric.id))
          .map(({ fabric }) => fabric),
      };
    })
    .filter(({ matched }) => matched.length > 0)
    .sort((a, b) => a.toBuy.length - b.toBuy.length);
}

/** The plan and simpler ones: fewer borders, no sashes. */
function variants(plan: Plan): { id: string; title: string; plan: Plan }[] {
  const { borders, setting, unit } = plan;
  const fewer = borders.map((_, i) => {
    const kept = borders.slice(0, borders.length - 1 - i);
    return {
      id: `borders-${kept.length}`,
      title:
        kept.length === 0
          ? 'Without a border'
          : `Without its last ${i === 0 ? 'border' : `${i + 1} borders`}`,
      plan: { ...plan, borders: kept, measured: [] },
    };
  });
  const plain =
    setting.kind === 'edge-to-edge' || settingOf(setting.kind).quilted || setting.kind === 'on-point'
      ? []
      : [
          {
            id: 'edge-to-edge',
            title: 'Edge to edge, without a border',
            plan: {
              ...plan,
              setting: turnInto('edge-to-edge', setting, unit),
              borders: [],
              measured: [],
              wall: [],
            },
          },
        ];
  return [{ id: 'as-planned', title: 'As it is planned', plan }, ...fewer, ...plain];
}

/** The most cloths that pieces of the stash are enough for, each piece for one (augmenting paths; Kuhn 1955). */
function matchedTo(plan: Plan, quilt: Quilt, free: readonly StashPiece[]): Matched[] {
  const wanted = quilt.fabrics.filter(({ needed }) => needed.value > 0);
  const offers = wanted.map(({ fabric }) => {
    return free
      .map((piece) => ({ piece, far: differenceOf(piece.colour, fabric.colour) }))
      .sort((a, b) => a.far - b.far)
      .slice(0, MOST_TRIED)
      .flatMap(({ piece }) => {
        const count = enoughOf(piece, plan, quilt, fabric.id);
        return count === null ? [] : [{ cloth: fabric.id, piece, count }];
      });
  });
  const holder = new Map<string, { at: number; match: Matched }>();
  const place = (at: number, seen: Set<string>): boolean => {
    for (const match of offers[at]!) {
      const { id } = match.piece;
      if (seen.has(id)) continue;
      seen.add(id);
      const had = holder.get(id);
      if (had && !place(had.at, seen)) continue;
      holder.set(id, { at, match });
      return true;
    }
    return false;
  };
  wanted.forEach((_, at) => place(at, new Set()));
  return [...holder.values()].sort((a, b) => a.at - b.at).map(({ match }) => match);
}
