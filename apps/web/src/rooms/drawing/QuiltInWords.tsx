import {
  formatSize,
  formatWithUnit,
  numberOf,
  piecedSays,
  type Plan,
  type Quilt,
  settingOf,
} from '@lattice/core';
import { VisuallyHidden } from 'react-aria';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';

/** What the drawing shows, in a sentence. */
function quiltInWords(plan: Plan, { layout: { centre: planned, sizes } }: Quilt): string {
  const { unit, borders, grid } = plan;
  const { name, whole } = settingOf(plan.setting.kind);
  const sized = ({ width, height }: typeof planned) => formatSize(width.value, height.value, unit);
  // What is drawn is the plan; what a tape said of it is said beside it.
  const { used, measured } = sizes[0]!;
  const centre = measured ? `planned ${sized(planned)} and measured ${sized(used)}` : sized(planned);
  const round = borders.map(({ sides, ends, pieced }) =>
    sides === ends
      ? `${formatWithUnit(sides, unit)}${piecedSays({ pieced })}`
      : `${formatWithUnit(sides, unit)} at the sides and ${formatWithUnit(ends, unit)} at top and bottom`,
  );
  const laid = whole ? name : `${name}, ${grid.across} across and ${grid.down} down`;
  return `${laid}; the centre is ${centre}. ${
    round.length === 0
      ? 'No border.'
      : `${numberOf(round.length, 'border')} from the centre out: ${round.join(', ')}.`
  }`;
}

/** The drawing for whoever does not see it: its parts in a table, with how many there are and what they are made of. */
export function QuiltInWords() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const clothOf = (id: string | undefined) => plan.fabrics.find((fabric) => fabric.id === id)?.name ?? '';
  return (
    <VisuallyHidden>
      <table>
        <caption>What the drawing shows. {quiltInWords(plan, quilt)}</caption>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">How many</th>
            <th scope="col">Of what</th>
          </tr>
        </thead>
        <tbody>
          {Object.values(quilt.layout.parts).map(({ key, name, count, cutFrom }) => (
            <tr key={key}>
              <th scope="row">{name}</th>
              <td>{count.value}</td>
              <td>{cutFrom ? clothOf(cutFrom.fabric) : 'as they are'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </VisuallyHidden>
  );
}
