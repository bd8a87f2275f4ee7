import {
  bindingStripsSay,
  type CutLine,
  fabricById,
  FIBRES,
  formatLength,
  formatSize,
  formatWithUnit,
  joinSays,
  numberOf,
  type Plan,
  placesInRows,
  type Unit,
  VERDICT_NAMES,
  verdictOn,
} from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { backingName } from '../figures/backingName.ts';
import { selectPlan, selectQuilt, selectQuiltAsCut, selectToBuy } from '../../state/selectors.ts';
import { Ticks } from './Ticks.ts';

/** A line of a list on paper: what it is, its figures, and what else is worth knowing. */
interface PaperLine {
  readonly what: string;
  readonly figures: string;
  readonly rest?: string | undefined;
}

/** Lines with their boxes, under a heading; nothing where there are none. */
function Lines({ title, lines }: { title: string; lines: readonly PaperLine[] }) {
  if (lines.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <Ticks>
        {lines.map(({ what, figures, rest }, i) => (
          <li key={i}>
            <span>
              <b>{what}</b> <Lengths text={figures} />
              {rest && (
                <small>
                  <Lengths text={rest} />
                </small>
              )}
            </span>
          </li>
        ))}
      </Ticks>
    </section>
  );
}

/** "31 at 2 × 12 1/2″", or the squares its triangles come from. */
function cutWords({ cut, count, squares }: CutLine, unit: Unit): string {
  if (cut.shape === 'rectangle')
    return `${count.value} at ${formatSize(cut.width.value, cut.length.value, unit)}`;
  const from = squares
    ? `from ${numberOf(squares.count.value, 'square')} of ${formatWithUnit(cut.side.value, unit)}, cut ${cut.shape === 'quarter-square' ? 'twice' : 'once'} corner to corner`
    : `squares of ${formatWithUnit(cut.side.value, unit)}`;
  return `${count.value} ${from}`;
}

/** Every piece to cut, of the top and besides, cloth by cloth. */
export function PiecesToTick() {
  const plan = useAppSelector(selectPlan);
  const { pieces, besides } = useAppSelector(selectQuiltAsCut);
  const lines = [...pieces, ...besides].map((line) => ({
    what: line.name,
    figures: cutWords(line, plan.unit),
    rest: [fabricById(plan, line.fabric).name, ...line.notes].join('. '),
  }));
  return <Lines title="Pieces to cut" lines={lines} />;
}

/** What to ask the shop for, cloth by cloth, and the batting. */
export function ShoppingToTick() {
  const plan = useAppSelector(selectPlan);
  const { layers } = useAppSelector(selectQuilt);
  const fabrics = useAppSelector(selectToBuy);
  const { unit } = plan;
  const lines: PaperLine[] = fabrics.map(({ fabric, needed, buy, cost, settled, notes }) => ({
    what: fabric.name,
    figures: settled === null ? buy.text : `nothing to buy: ${settled}`,
    rest: [
      `${formatWithUnit(needed.value, unit)} needed of ${formatWithUnit(fabric.usableWidth, unit)} usable${cost ? `; ${cost.value.toFixed(2)}` : ''}`,
      ...notes,
    ].join('. '),
  }));
  if (layers?.chosenBatting)
    lines.push({
      what: 'Batting',
      figures: `${FIBRES[plan.batting.fibre].name.toLowerCase()}, ${layers.chosenBatting.text.toLowerCase()}`,
    });
  return <Lines title="Ask the shop for" lines={lines} />;
}

/** What goes under the top. */
export function LayersLines() {
  const { unit } = useAppSelector(selectPlan);
  const { layers } = useAppSelector(selectQuilt);
  if (!layers) return null;
  const { backing, chosenBacking, chosenBatting } = layers;
  const lines: PaperLine[] = [
    {
      what: 'Backing',
      figures: `${backingName(chosenBacking)}, ${formatWithUnit(chosenBacking.fabric.value, unit)}`,
      rest: `trimmed to ${formatSize(backing.width.value, backing.height.value, unit)}`,
    },
    ...(chosenBatting ? [{ what: 'Batting', figures: chosenBatting.text }] : []),
  ];
  return <Lines title="Layers" lines={lines} />;
}

/** What finishes the edge. */
export function EdgeLines() {
  const { unit } = useAppSelector(selectPlan);
  const {
    edge: { binding, flange, points, finished, hanging, around },
  } = useAppSelector(selectQuiltAsCut);
  const lines: PaperLine[] = [
    { what: 'All round', figures: formatWithUnit(around.value, unit) },
    ...(flange
      ? [
          {
            what: 'Flange',
            figures: `${numberOf(flange.strips.value, 'strip')} at ${formatWithUnit(flange.cutWidth.value, unit)}`,
            rest: `two of ${formatWithUnit(flange.sides.value, unit)}, two of ${formatWithUnit(flange.ends.value, unit)}`,
          },
        ]
      : []),
    ...(binding
      ? [
          {
            what: 'Binding',
            figures: binding.bias
              ? `${formatWithUnit(binding.length.value, unit)}, bias strips ${formatWithUnit(binding.cutWidth, unit)} from ${formatWithUnit(binding.bias.cloth.value, unit)} of cloth`
              : `${formatWithUnit(binding.length.value, unit)}: ${bindingStripsSay(binding, unit)}`,
          },
        ]
      : []),
    ...(points ? [{ what: 'Prairie points', figures: String(points.total.value) }] : []),
    ...[...finished, ...(hanging ? [hanging] : [])].flatMap(({ lines: own }) =>
      own.map(({ name, figure, after }) => ({
        what: name,
        figures: [formatWithUnit(figure.value, unit), after].filter(Boolean).join(' '),
      })),
    ),
  ];
  return <Lines title="Edge" lines={lines} />;
}

/** Where the binding is joined, by the numbers that stand on the drawing. */
export function JoinsLines() {
  const { unit } = useAppSelector(selectPlan);
  const { binding } = useAppSelector(selectQuiltAsCut).edge;
  const lines = (binding?.joins.joins ?? []).map((join, i) => ({
    what: join.last ? 'S' : String(i),
    figures: joinSays(join, i, unit),
  }));
  return <Lines title="Joins of the binding" lines={lines} />;
}

/** Borders from the centre out. */
export function BordersLines() {
  const { borders, unit } = useAppSelector(selectPlan);
  const lines = borders.map(({ sides, ends, cut }, i) => ({
    what: `Border ${i + 1}`,
    figures:
      sides === ends
        ? formatWithUnit(sides, unit)
        : `${formatLength(sides, unit)} at the sides, ${formatWithUnit(ends, unit)} at the ends`,
    rest: `finished; cut ${cut}`,
  }));
  return <Lines title="Borders, from the centre out" lines={lines} />;
}

const measuredWords = ({ width, height }: Plan['pile'][number], unit: Unit): string =>
  width === null || height === null ? 'not measured' : formatSize(width, height, unit);

/** The pile, each block with what it measures and what is to be done about it. */
export function BlocksLines() {
  const plan = useAppSelector(selectPlan);
  const { pile } = useAppSelector(selectQuilt);
  const lines = plan.pile.map((block) => {
    const verdict = verdictOn(block, pile.cut, plan.unit, plan.seam);
    return {
      what: block.maker ? `${block.name}, ${block.maker}` : block.name,
      figures: measuredWords(block, plan.unit),
      rest: verdict.kind === 'unmeasured' ? undefined : `${VERDICT_NAMES[verdict.kind]}: ${verdict.text}`,
    };
  });
  return <Lines title="Blocks" lines={lines} />;
}

/** What hangs where, row by row. */
export function WallLines() {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const lines = placesInRows(plan, layout).flatMap(({ places }) =>
    places.map(({ row, number, says, turn }) => ({
      what: `${row}·${number}`,
      figures: says,
      rest: turn === 0 ? undefined : `rotated ${numberOf(turn, 'quarter')} to the right`,
    })),
  );
  return <Lines title="Rows and places" lines={plan.pile.length === 0 ? [] : lines} />;
}
