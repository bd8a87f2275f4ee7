import { bindingStripsSay } from '../edge/binding-words.ts';
import type { CutLine } from '../cut/line.ts';
import { formatLength, formatWithUnit } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import type { Quilt } from './quilt.ts';

/** One thing that came out otherwise: "Border sides 3 × 56 → 3 × 55 5/8″, buy the same". */
export interface Change {
  readonly what: string;
  readonly before: string;
  readonly after: string;
}

/** Something that can be told apart from one quilt to the next: by ids that last, whatever it is called. */
interface Told {
  readonly ids: readonly string[];
  readonly what: string;
  readonly says: string;
}

/**
 * What a measurement or a choice changed downstream, line by line: pieces to cut, backing, binding,
 * then what to buy. Empty when nothing did. Lines are the same that share a cut, however they are named.
 */
export function changesBetween(before: Quilt, after: Quilt, unit: Unit): Change[] {
  const rooms = [sizeTold, piecesTold, layersTold, edgeTold, buyingTold];
  return rooms.flatMap((told) => changed(told(before, unit), told(after, unit)));
}

/** What is there now beside what it was, then what has gone; only what reads otherwise. */
function changed(before: readonly Told[], after: readonly Told[]): Change[] {
  const sharing = (list: readonly Told[], { ids }: Told) =>
    list.find((other) => other.ids.some((id) => ids.includes(id)));
  const now = after.map((told): Change => {
    const was = sharing(before, told);
    return { what: told.what, before: was?.says ?? 'none', after: told.says };
  });
  const gone = before
    .filter((told) => !sharing(after, told))
    .map(({ what, says }): Change => ({ what, before: says, after: 'none' }));
  return [...now, ...gone].filter((change) => change.before !== change.after);
}

const sizeTold = ({ finished: { width, height } }: Quilt, unit: Unit): Told[] => [
  {
    ids: ['finished'],
    what: 'Finished size',
    says: `${formatLength(width.value, unit)} × ${formatWithUnit(height.value, unit)}`,
  },
];

const piecesTold = ({ pieces }: Quilt, unit: Unit): Told[] =>
  pieces.map((line) => ({
    ids: line.cuts.map((cut) => cut.id),
    what: line.name,
    says: `${line.count.value} at ${sizeSaid(line, unit)}`,
  }));

function sizeSaid({ cut }: CutLine, unit: Unit): string {
  if (cut.shape !== 'rectangle') return formatWithUnit(cut.side.value, unit);
  return `${formatLength(cut.width.value, unit)} × ${formatWithUnit(cut.length.value, unit)}`;
}

function layersTold({ layers }: Quilt, unit: Unit): Told[] {
  if (!layers) return [];
  const { width, height } = layers.backing;
  const says = `${formatLength(width.value, unit)} × ${formatWithUnit(height.value, unit)}`;
  return [{ ids: ['backing'], what: 'Backing', says }];
}

function edgeTold({ edge: { binding, points } }: Quilt, unit: Unit): Told[] {
  const told: Told[] = [];
  if (binding) {
    const says = `${formatWithUnit(binding.length.value, unit)}, ${bindingStripsSay(binding, unit)}`;
    told.push({ ids: ['binding'], what: 'Binding', says });
  }
  if (points) told.push({ ids: ['points'], what: 'Prairie points', says: String(points.total.value) });
  return told;
}

const buyingTold = ({ fabrics }: Quilt): Told[] =>
  fabrics.map(({ fabric, buy }) => ({ ids: [fabric.id], what: `Buy ${fabric.name}`, says: buy.text }));

/** Whether the same cloth is bought before and after. */
export const buysTheSame = (before: Quilt, after: Quilt): boolean =>
  before.fabrics.length === after.fabrics.length &&
  before.fabrics.every((cut, i) => near(cut.buy.length.value, after.fabrics[i]!.buy.length.value));
