import { group } from 'd3-array';
import { isOfBorder } from '../piece/roles.ts';
import type { PartName } from './part-name.ts';
import type { Top } from './top.ts';

/** What the id of a border's piece tells: whose it is, on which side, and of a patch its unit. */
interface OfBorder {
  readonly owner: string;
  /** "top", "left", "top right". */
  readonly side: string;
  readonly corner: boolean;
  /** Its number along the strip from 1; null of what is no patch, and of a unit in a corner. */
  readonly unit: number | null;
  readonly patch: boolean;
}

const ID =
  /^(.+?)-(side|end|corner)-((?:top|bottom|left|right)(?:-(?:left|right))?)(?:-u(\d+))?(?:-p(\d+))?$/;

function readId(id: string): OfBorder {
  const [, owner = id, what, side = '', unit, patch] = ID.exec(id) ?? [];
  return {
    owner,
    side: side.replace('-', ' '),
    corner: what === 'corner',
    unit: unit === undefined ? null : Number(unit) + 1,
    patch: patch !== undefined,
  };
}

const named = (kind: string, the = `the ${kind}`): PartName => ({ the, kind });

/**
 * Names what is made of pieces of borders alone: strips, corner squares, patches, units and strips of units, by their
 * side, and by which border where there are several.
 */
export function borderNames({ pieces }: Top): (part: readonly number[]) => PartName {
  const known = new Map(
    pieces.flatMap(({ id, role }, piece) => (isOfBorder(role) ? [[piece, readId(id)] as const] : [])),
  );
  const owners = [...new Set([...known.values()].map(({ owner }) => owner))];
  const unitKey = ({ owner, side, unit }: OfBorder) => `${owner} ${side} ${unit}`;
  const stripKey = ({ owner, side }: OfBorder) => `${owner} ${side}`;
  const patches = [...known.values()].filter(({ patch }) => patch);
  const inUnit = group(patches, unitKey);
  const inStrip = group(patches, stripKey);
  const of = ({ owner }: OfBorder) => (owners.length > 1 ? ` of border ${owners.indexOf(owner) + 1}` : '');
  const strip = (one: OfBorder) =>
    `the ${one.side} ${of(one) === '' ? 'border ' : ''}${one.corner ? 'corner square' : 'strip'}${of(one)}`;

  return (part) => {
    const own = part.map((piece) => known.get(piece)!);
    const first = own.find(({ corner }) => !corner) ?? own[0]!;
    const sides = new Set(own.map(stripKey));
    if (sides.size > 1)
      return named(
        'strip with its corner squares',
        `${strip(first)} with ${sides.size === 2 ? 'its corner square' : 'its corner squares'}`,
      );
    if (!first.patch) return named(first.corner ? 'border corner square' : 'border strip', strip(first));
    if (own.length === inStrip.get(stripKey(first))!.length)
      return named(first.corner ? 'border corner square' : 'border strip', strip(first));
    const units = [...new Set(own.map(({ unit }) => unit))];
    // What is less than a strip is told by its units; a corner that is pieced is one unit.
    const where = first.corner ? strip(first) : `unit ${units[0]} of ${strip(first)}`;
    if (units.length > 1)
      return named('part of a border strip', `units ${units[0]} to ${units.at(-1)} of ${strip(first)}`);
    if (own.length === 1) return named('border patch', `a patch of ${where}`);
    return own.length === inUnit.get(unitKey(first))!.length
      ? named('border unit', where)
      : named('part of a border unit', `part of ${where}`);
  };
}
