import {
  capital,
  formatWithUnit,
  type Plan,
  type Scallops,
  type Side,
  SIDES,
  type Unit,
} from '@lattice/core';
import { Printer } from 'lucide-react';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { fingerHigh } from '../../design/media.ts';
import type { Change } from './ShapeLengths.tsx';

const Sides = styled.span`
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
  margin: 4px 0;
`;
const SideButton = styled(ToggleButton)`
  min-height: 32px;
  border: 1.5px solid var(--line);
  border-radius: 8px;
  background: transparent;
  font-size: var(--size-note);
  cursor: pointer;
  &[data-selected] {
    border-color: var(--ink);
    background: var(--chalk-wash);
    font-weight: 650;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 2px;
  }
  ${fingerHigh}
`;

/** How each side is divided, and what becomes of the corners. */
function scallopWords({ sides, across, down, corner }: Scallops, unit: Unit): string {
  const level = sides.filter((s) => s === 'top' || s === 'bottom');
  const upright = sides.filter((s) => s === 'left' || s === 'right');
  const along = (of: readonly Side[], { count, width }: NonNullable<Scallops['across']>) =>
    `${count} along ${of.length === 2 ? (of[0] === 'top' ? 'top and bottom' : 'the sides') : `the ${of[0]}`}, ${formatWithUnit(width, unit)}`;
  const parts = [
    ...(across ? [`${along(level, across)} each`] : []),
    ...(down ? [along(upright, down)] : []),
  ];
  const corners = !corner
    ? 'the other sides straight'
    : sides.length === 4
      ? 'and every corner turned'
      : 'and a corner turned where two of them meet';
  return `${parts.join('; ')}; ${corners}.`;
}

/** Scallops: about how wide and how deep, along which sides, what comes of it, and templates to print. */
export function ScallopsAsked({
  plan,
  scallops,
  onChange: change,
}: {
  plan: Plan;
  scallops: Scallops;
  onChange: Change;
}) {
  const { id } = useParams();
  const { unit } = plan;
  const { scallop } = plan.edge;
  return (
    <>
      <LengthField
        label="Scallops about"
        value={scallop.width}
        unit={unit}
        step={unit === 'in' ? 0.5 : 1}
        onCommit={(width) => change({ scallop: { ...scallop, width } })}
      />
      <LengthField
        label="Deep"
        value={scallop.depth}
        unit={unit}
        onCommit={(depth) => change({ scallop: { ...scallop, depth } })}
      />
      <ToggleButtonGroup
        selectionMode="multiple"
        disallowEmptySelection
        aria-label="Scallops along"
        selectedKeys={scallop.sides}
        onSelectionChange={(keys) =>
          void change({ scallop: { ...scallop, sides: SIDES.filter((side) => keys.has(side)) } })
        }
      >
        <Sides>
          {SIDES.map((side) => (
            <SideButton key={side} id={side}>
              {capital(side)}
            </SideButton>
          ))}
        </Sides>
      </ToggleButtonGroup>
      <p data-testid="scallops">
        <Lengths text={scallopWords(scallops, unit)} />
      </p>
      <p>
        <Link to={`/quilts/${id}/scallops`}>
          <Printer size={14} aria-hidden /> True-size templates to print
        </Link>
      </p>
    </>
  );
}
