import { formatLength, formatWithUnit, type Quilt, type Unit } from '@lattice/core';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../../rooms/paper/PrintHead.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';

const Slips = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(2.3in, 1fr));
  gap: 0.12in;
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 4px 12px;
    padding: 10px 12px;
    border: 1px dashed var(--soft);
    break-inside: avoid;
  }
  b {
    grid-row: span 3;
    align-self: center;
    font-size: var(--size-large);
    font-stretch: 80%;
  }
  strong {
    font-size: var(--size-read);
  }
  span {
    font-size: var(--size-note);
  }
`;

/** Slips for piles of cut pieces, a letter for each cloth and a number for each kind: to print, cut apart and lay on. */
export function PilesPage() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const { id } = useParams();
  return (
    <Paper>
      <PrintHead
        title={`${plan.title}: slips for the stacks`}
        to={`/quilts/${id}/cut`}
        back="Back to the table"
      />
      <Slips>
        {slipsOf(quilt, plan.unit).map(({ mark, name, size, cloth }) => (
          <li key={mark}>
            <b>{mark}</b>
            <strong>{name}</strong>
            <span>
              <Lengths text={size} />
            </span>
            <span>{cloth}</span>
          </li>
        ))}
      </Slips>
    </Paper>
  );
}

interface Slip {
  readonly mark: string;
  readonly name: string;
  readonly size: string;
  readonly cloth: string;
}

function slipsOf({ fabrics, pieces, besides }: Quilt, unit: Unit): Slip[] {
  return fabrics.flatMap(({ fabric }, i) => {
    const letter = String.fromCharCode(65 + (i % 26));
    return [...pieces, ...besides]
      .filter((line) => line.fabric === fabric.id && line.count.value > 0)
      .map(({ name, count, cut }, n): Slip => ({
        mark: `${letter}${n + 1}`,
        name: `${count.value} ${name.toLowerCase()}`,
        size:
          cut.shape === 'rectangle'
            ? `${formatLength(cut.width.value, unit)} × ${formatWithUnit(cut.length.value, unit)}`
            : `from squares of ${formatWithUnit(cut.side.value, unit)}, cut ${cut.shape === 'quarter-square' ? 'twice' : 'once'} corner to corner`,
        cloth: fabric.name,
      }));
  });
}
