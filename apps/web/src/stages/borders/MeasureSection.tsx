import {
  buysTheSame,
  changesBetween,
  computeQuilt,
  formatSize,
  isMeasured,
  type Measured,
  type Plan,
  type TopSize,
  type Unit,
} from '@lattice/core';
import { Plus, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const Top = styled.div`
  & + & {
    margin-top: 8px;
    padding-top: 8px;
    border-top: 1px dashed var(--line);
  }
  h4 {
    display: flex;
    align-items: center;
    justify-content: space-between;
    font-size: var(--size-text);
    font-weight: 650;
  }
  .planned {
    font-size: var(--size-note);
    color: var(--soft);
  }
`;
const Changes = styled.div`
  margin-top: 8px;
  font-size: var(--size-note);
  h4 {
    font-weight: 650;
  }
  li {
    padding: 2px 0;
    color: var(--soft);
  }
  b {
    font-weight: 600;
    color: var(--ink);
  }
`;

/** Where a top is measured, in the order one walks round it. */
const PLACES = {
  width: ['Width along the top', 'Width across the middle', 'Width along the bottom'],
  height: ['Height along the left', 'Height down the middle', 'Height along the right'],
} as const;

const BY = [
  { id: 'middle', name: 'The middle' },
  { id: 'average', name: 'Average of three' },
];

const nameOf = (borders: number): string =>
  borders === 0 ? 'The centre' : borders === 1 ? 'With border 1 on' : `With borders 1 to ${borders} on`;

/**
 * Measuring the top six times before each border: what it measured takes the place of what it was
 * planned to be, with a verdict, and everything that changed downstream listed.
 */
export function MeasureSection() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const edit = useEdit();
  const { measured, measureBy, unit, borders, seam } = plan;
  const { sizes } = quilt.layout;
  /** The measurement that was just begun: its first field waits for the tape. */
  const [begun, setBegun] = useState<number | null>(null);
  const next = sizes.find(
    (s) =>
      s.borders !== begun &&
      !s.measured &&
      s.borders <= borders.length &&
      s.borders > Math.max(-1, ...measured.map((m) => m.borders)),
  );
  // A measurement that is begun stands empty here, and in the plan once a tape was read.
  const shown = [
    ...measured,
    ...(begun !== null && begun <= borders.length && !measured.some((m) => m.borders === begun)
      ? [unmeasured(begun)]
      : []),
  ];
  return (
    <Section
      title="Measure the top"
      action={
        next && (
          <Button look="quiet" onPress={() => setBegun(next.borders)}>
            <Plus size={15} aria-hidden />
            {nameOf(next.borders)}
          </Button>
        )
      }
    >
      {shown.length === 0 && (
        <p>
          Borders are planned lengths until the centre is measured: a centre seldom comes out at its
          theoretical size. Measure raw edge to raw edge.
        </p>
      )}
      {shown.map((raw) => (
        <MeasuredTop
          key={raw.borders}
          raw={raw}
          size={sizes[raw.borders]!}
          unit={unit}
          seam={seam}
          begun={raw.borders === begun}
          onForget={() => setBegun(null)}
        />
      ))}
      <AdviceFor path="measured" />
      {measured.length > 0 && (
        <ChoiceField
          label="Cut borders by"
          labelled
          value={measureBy}
          choices={BY}
          onChange={(by) => edit((p) => ({ ...p, measureBy: by as Plan['measureBy'] }))}
        />
      )}
      {measured.length > 0 && <WhatChanged />}
    </Section>
  );
}

function MeasuredTop({
  raw,
  size,
  unit,
  seam,
  begun,
  onForget,
}: {
  raw: Measured;
  size: TopSize;
  unit: Unit;
  seam: number;
  begun: boolean;
  onForget: () => void;
}) {
  const edit = useEdit();
  const set = (side: 'width' | 'height', place: number, value: number | null) =>
    edit((p) => ({ ...p, measured: withPlace(p.measured, raw.borders, side, place, value) }));
  const name = nameOf(raw.borders);
  return (
    <Top role="group" aria-label={name}>
      <h4>
        {name}
        <Button
          look="quiet"
          aria-label={`Forget what was measured: ${name.toLowerCase()}`}
          onPress={() => {
            onForget();
            edit((p) => ({ ...p, measured: p.measured.filter((m) => m.borders !== raw.borders) }));
          }}
        >
          <X size={15} aria-hidden />
        </Button>
      </h4>
      <p className="planned">
        Planned{' '}
        <Lengths
          text={formatSize(size.planned.width.value + 2 * seam, size.planned.height.value + 2 * seam, unit)}
        />{' '}
        with its seams.
      </p>
      {(['width', 'height'] as const).map((side) =>
        PLACES[side].map((label, i) => (
          <LengthField
            key={label}
            label={label}
            value={raw[side][i] ?? null}
            unit={unit}
            autoFocus={begun && side === 'width' && i === 0}
            onCommit={(value) => set(side, i, value)}
            onClear={() => void set(side, i, null)}
          />
        )),
      )}
      {size.measured && (
        <Verdict role="status" data-kind={size.measured.verdict.kind}>
          <Lengths text={size.measured.verdict.text} />
        </Verdict>
      )}
    </Top>
  );
}

/** A top that no tape has been laid on yet. */
const unmeasured = (borders: number): Measured => ({
  borders,
  width: [null, null, null],
  height: [null, null, null],
});

/** The measurements with one place of one of them as the tape has it; one with nothing left is gone. */
function withPlace(
  measured: Plan['measured'],
  borders: number,
  side: 'width' | 'height',
  place: number,
  value: number | null,
): Plan['measured'] {
  const had = measured.find((m) => m.borders === borders) ?? unmeasured(borders);
  const now = { ...had, [side]: had[side].map((v, i) => (i === place ? value : v)) as Measured['width'] };
  return [...measured.filter((m) => m.borders !== borders), ...(isMeasured(now) ? [now] : [])].sort(
    (a, b) => a.borders - b.borders,
  );
}

/** What measuring made of the plan: line by line, and whether to buy otherwise. */
function WhatChanged() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const planned = useMemo(() => computeQuilt({ ...plan, measured: [] }), [plan]);
  const changes = changesBetween(planned, quilt, plan.unit);
  if (changes.length === 0)
    return (
      <Changes>
        <p>It measures what was planned: nothing changes.</p>
      </Changes>
    );
  return (
    <Changes>
      <h4>What changed{buysTheSame(planned, quilt) ? ': lengths only, what to buy stays the same' : ''}</h4>
      <ul data-testid="changes">
        {changes.map(({ what, before, after }) => (
          <li key={what}>
            <b>{what}</b> <Lengths text={`${before} → ${after}`} />
          </li>
        ))}
      </ul>
    </Changes>
  );
}
