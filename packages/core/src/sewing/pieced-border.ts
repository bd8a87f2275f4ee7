import type { PiecedBorder } from '../border/border.ts';
import { piecedKind } from '../border/pieced/registry.ts';
import type { Assembly, SeamLedger } from './seam-ledger.ts';

const SIDES = ['side-left', 'side-right', 'end-top', 'end-bottom'] as const;
const CORNERS = ['top-left', 'top-right', 'bottom-left', 'bottom-right'] as const;

/** The strips and corners of a pieced border, by any of their patches: ready to be sewn on as plain ones are. */
export type SewnStrips = Readonly<
  Record<(typeof SIDES)[number] | `corner-${(typeof CORNERS)[number]}`, Assembly>
>;

/**
 * Sews the units of a pieced border and joins them to strips (rule PB-5): every unit sitting by sitting, corners among
 * them, then strip by strip.
 *
 * @param name what the border is called: "border 2"
 */
export function sewUnits(bench: SeamLedger, border: PiecedBorder, name: string): SewnStrips {
  const own = `border-${border.id}`;
  const { index } = bench.top;
  const { pieced } = border;
  const unitsOf = (side: string): string[] => {
    const ids: string[] = [];
    while (index.has(`${own}-${side}-u${ids.length}-p0`)) ids.push(`${own}-${side}-u${ids.length}`);
    return ids;
  };
  const cornersOf = CORNERS.map((corner) => `${own}-corner-${corner}`).filter((id) => index.has(`${id}-p0`));
  const units = [...SIDES.flatMap(unitsOf), ...(pieced.kind === 'checkers' ? [] : cornersOf)];
  const patch = (unit: string, number: number): Assembly => index.get(`${unit}-p${number}`)!;
  for (const { id, title, joins } of piecedKind(pieced.kind).seams(pieced)) {
    bench.step(`${own}-${id}`, title(name));
    for (const unit of units) for (const [a, b] of joins) bench.join(patch(unit, a), patch(unit, b));
    // A corner of checkers is so many columns.
    if (pieced.kind === 'checkers')
      for (const corner of cornersOf)
        for (let column = 0; column < pieced.rows; column++)
          for (const [a, b] of joins)
            bench.join(patch(corner, column * pieced.rows + a), patch(corner, column * pieced.rows + b));
  }
  bench.step(`${own}-joined`, `Join the ${piecedKind(pieced.kind).many} of ${name} to strips`);
  const strips = SIDES.map(
    (side) => [side, bench.inRow(unitsOf(side).map((unit) => patch(unit, 0)))] as const,
  );
  if (pieced.kind === 'checkers')
    for (const corner of cornersOf)
      bench.inRow(Array.from({ length: pieced.rows }, (_, column) => patch(corner, column * pieced.rows)));
  const corners = CORNERS.map((corner) => {
    const id = `${own}-corner-${corner}`;
    return [`corner-${corner}`, index.get(id) ?? patch(id, 0)] as const;
  });
  return Object.fromEntries([...strips, ...corners]) as SewnStrips;
}
