import { CAUTIONS, type ClothBox, type Fabric, formatWithUnit, stepSays } from '@lattice/core';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../../rooms/paper/PrintHead.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useTable } from './useTable.ts';
import { narrow } from '../../design/media.ts';

const Cloth = styled.section`
  h2 {
    font-size: var(--size-lead);
  }
  svg {
    display: block;
    width: 100%;
    max-height: 3.2in;
    margin: 6px 0 8px;
  }
  ol {
    margin: 0;
    padding: 0 0 0 4px;
    columns: 2;
    column-gap: 0.4in;
    list-style: none;
    font-size: var(--size-note);
  }
  li {
    display: grid;
    grid-template-columns: 16px minmax(0, 1fr);
    gap: 7px;
    padding: 2px 0;
    break-inside: avoid;
  }
  i {
    width: 13px;
    height: 13px;
    margin-top: 3px;
    border: 1.3px solid var(--ink);
    font: 700 var(--size-note)/1 var(--name);
    border-radius: 2px;
  }
  ${narrow} {
    ol {
      columns: 1;
    }
  }
`;

/** The cutting plan on paper: each cloth drawn with its pieces, and its steps to tick with a pencil. */
export function PlanPage() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const { id } = useParams();
  return (
    <Paper>
      <PrintHead
        title={`${plan.title}: cutting plan`}
        what="Cutting plan"
        to={`/quilts/${id}/cut`}
        back="Back to the table"
      />
      <p>
        <small>{CAUTIONS.blade}</small>
      </p>
      {quilt.fabrics.map(({ fabric }) => (
        <ClothPlan key={fabric.id} cloth={fabric.id} />
      ))}
    </Paper>
  );
}

/** One cloth as it is at the table: by the plan that was begun or chosen, what is cut already ticked. */
function ClothPlan({ cloth }: { cloth: string }) {
  const { unit } = useAppSelector(selectPlan);
  const { table } = useTable(cloth);
  const { placed, steps } = table;
  return (
    <Cloth aria-label={placed.fabric.name}>
      <h2>
        {placed.fabric.name},{' '}
        <Lengths
          text={`${formatWithUnit(placed.needed.value, unit)} of ${formatWithUnit(placed.fabric.usableWidth, unit)} usable`}
        />
      </h2>
      <Lying
        fabric={placed.fabric}
        length={placed.heights.reduce((sum, h) => sum + h, 0)}
        // Of leftovers the steps tell; they lie on no place of the cloth.
        boxes={[...placed.pieces, ...placed.runs.flatMap((run) => run.segments)].filter(
          ({ stock }) => stock === null,
        )}
      />
      <ol>
        {steps.map((step) => (
          <li key={step.id}>
            <i aria-hidden>{step.done && '✓'}</i>
            <Lengths text={stepSays(step, unit)} />
          </li>
        ))}
      </ol>
    </Cloth>
  );
}

/** A cloth with its pieces, its cut end at the left. The steps beside it say the same in words. */
function Lying({ fabric, length, boxes }: { fabric: Fabric; length: number; boxes: readonly ClothBox[] }) {
  if (length === 0) return null;
  const line = Math.max(length, fabric.usableWidth) / 500;
  return (
    <svg viewBox={`0 0 ${length} ${fabric.usableWidth}`} aria-hidden preserveAspectRatio="xMinYMin meet">
      <rect width={length} height={fabric.usableWidth} fill="none" stroke="var(--ink)" strokeWidth={line} />
      {boxes.map(({ x, y, w, h }) => (
        <rect
          key={`${x} ${y}`}
          x={y}
          y={x}
          width={h}
          height={w}
          fill={fabric.colour}
          fillOpacity="0.55"
          stroke="var(--ink)"
          strokeWidth={line}
        />
      ))}
    </svg>
  );
}
