import {
  type BedId,
  BEDS,
  CAUTIONS,
  formatLength,
  formatWithUnit,
  isForBaby,
  mattress,
  onBed,
  startBed,
  type Target,
  type Unit,
} from '@lattice/core';
import { lazy, Suspense } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useSheet } from '../../browser/useInAddress.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

/** The search brings a chart library with it; fetched when it is first asked for. */
const Finder = lazy(async () => ({ default: (await import('../../rooms/finder/Finder.tsx')).Finder }));

const Asked = styled.p`
  padding: 6px 0;
  font-size: var(--size-text);
  strong {
    font-weight: 650;
    font-stretch: 88%;
  }
  .says {
    display: block;
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

const KINDS = [
  { id: 'none', name: 'None' },
  { id: 'size', name: 'A size' },
  { id: 'bed', name: 'A bed' },
  { id: 'wall', name: 'A wall' },
];

/** A target as each kind begins. */
function startTarget(kind: string, unit: Unit): Target | null {
  const inches = unit === 'in';
  switch (kind) {
    case 'size':
      return { of: 'size', width: inches ? 60 : 150, height: inches ? 72 : 180 };
    case 'bed':
      return startBed(inches ? 'us-queen' : 'eu-140', unit);
    case 'wall':
      return { of: 'wall', width: inches ? 96 : 240, height: inches ? 96 : 240, free: inches ? 12 : 30 };
    default:
      return null;
  }
}

/** What the quilt should come to: a size, a bed with what hangs over it, or a wall; and the search for designs that do. */
export function TargetSection() {
  const finder = useSheet('fit');
  const { target, unit } = useAppSelector(selectPlan);
  const { target: asked, finished } = useAppSelector(selectQuilt);
  const lies = onBed(target, { width: finished.width.value, height: finished.height.value }, unit);
  const edit = useEdit();
  const set = (next: Target | null) => edit((p) => ({ ...p, target: next }));
  return (
    <Section title="Target size">
      <ChoiceField
        label="Made for"
        labelled
        value={target?.of ?? 'none'}
        choices={KINDS}
        onChange={(kind) => set(startTarget(kind, unit))}
      />
      {target?.of === 'size' && (
        <>
          <LengthField
            label="Target width"
            value={target.width}
            unit={unit}
            step={1}
            onCommit={(width) => set({ ...target, width })}
          />
          <LengthField
            label="Target height"
            value={target.height}
            unit={unit}
            step={1}
            onCommit={(height) => set({ ...target, height })}
          />
        </>
      )}
      {target?.of === 'bed' && <BedFields target={target} unit={unit} set={set} />}
      {target?.of === 'wall' && (
        <>
          <LengthField
            label="Wall width"
            value={target.width}
            unit={unit}
            step={1}
            onCommit={(width) => set({ ...target, width })}
          />
          <LengthField
            label="Wall height"
            value={target.height}
            unit={unit}
            step={1}
            onCommit={(height) => set({ ...target, height })}
          />
          <LengthField
            label="Left free all round"
            value={target.free}
            unit={unit}
            step={1}
            onCommit={(free) => set({ ...target, free })}
          />
        </>
      )}
      {asked && target?.of !== 'size' && (
        <Asked data-testid="target-size">
          Asks for{' '}
          <strong>
            <Why figure={asked.width} text={formatLength(asked.width.value, unit)} what="this width" />
            {' × '}
            <Why figure={asked.height} text={formatWithUnit(asked.height.value, unit)} what="this height" />
          </strong>
          {asked.says && (
            <span className="says">
              <Lengths text={asked.says} />
            </span>
          )}
          {lies && (
            <span className="says">
              <Lengths text={lies.says} />
            </span>
          )}
        </Asked>
      )}
      <div style={{ marginTop: 8 }}>
        <Button look="main" onPress={() => finder.show()}>
          Fit to a target…
        </Button>
      </div>
      {finder.open !== null && (
        <Suspense fallback={null}>
          <Finder onClose={finder.close} />
        </Suspense>
      )}
    </Section>
  );
}

type Bed = Extract<Target, { of: 'bed' }>;

/** A bed, and what hangs over its sides, its foot and its head. */
function BedFields({
  target,
  unit,
  set,
}: {
  target: Bed;
  unit: Unit;
  set: (target: Target) => string | null;
}) {
  const { drop, tuck, depth } = target;
  const beds = BEDS.map(({ id, country, name }) => {
    const { width, length } = mattress(id, unit);
    return {
      id,
      name: `${country} ${name.includes('×') ? name : `${name}, ${formatLength(width, unit)} × ${formatLength(length, unit)}`}`,
    };
  });
  // Sides that hang alike stay so until the right one is given apart.
  const even = drop.left === drop.right;
  return (
    <>
      <ChoiceField
        label="Bed"
        labelled
        value={target.bed}
        choices={beds}
        onChange={(bed) => set({ ...target, bed: bed as BedId })}
      />
      {isForBaby(target) && <Caution>{CAUTIONS.sleep}</Caution>}
      <LengthField
        label="Drop at the left"
        value={drop.left}
        unit={unit}
        step={1}
        onCommit={(left) => set({ ...target, drop: { ...drop, left, right: even ? left : drop.right } })}
      />
      <LengthField
        label="Drop at the right"
        value={drop.right}
        unit={unit}
        step={1}
        onCommit={(right) => set({ ...target, drop: { ...drop, right } })}
      />
      <LengthField
        label="Drop at the foot"
        value={drop.foot}
        unit={unit}
        step={1}
        onCommit={(foot) => set({ ...target, drop: { ...drop, foot } })}
      />
      <p>
        <small>Measure each drop over the bed made up: a thick cover takes some of it.</small>
      </p>
      <LengthField
        label="Pillow tuck at the head"
        value={tuck}
        unit={unit}
        step={1}
        onCommit={(value) => set({ ...target, tuck: value })}
      />
      <SwitchField
        label="Mattress depth known"
        value={depth !== null}
        onChange={(known) => set({ ...target, depth: known ? (unit === 'in' ? 10 : 25) : null })}
      />
      {depth !== null && (
        <LengthField
          label="Mattress depth"
          value={depth}
          unit={unit}
          step={1}
          onCommit={(value) => set({ ...target, depth: value })}
        />
      )}
    </>
  );
}
