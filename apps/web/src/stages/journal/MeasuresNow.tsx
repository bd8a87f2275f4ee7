import { measuredAfter, type MeasuredWhen, measuredSays } from '@lattice/core';
import { useState } from 'react';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { quiltMeasured } from './journal.ts';

const WHEN: readonly { readonly id: MeasuredWhen; readonly name: string }[] = [
  { id: 'quilted', name: 'Quilted' },
  { id: 'washed', name: 'Washed' },
];

/** What the whole quilt measured once it was quilted, and once it was washed: typed here, kept in its journal. */
export function MeasuresNow() {
  const id = useAppSelector((s) => s.saving.id)!;
  const { unit } = useAppSelector(selectPlan);
  const { finished } = useAppSelector(selectQuilt);
  const log = useAppSelector((s) => s.log);
  const dispatch = useAppDispatch();
  const [when, setWhen] = useState<MeasuredWhen>('quilted');
  const [width, setWidth] = useState<number | null>(null);
  const [height, setHeight] = useState<number | null>(null);
  const measured = measuredAfter(log, id, unit);
  const planned = { width: finished.width.value, height: finished.height.value };
  const take = (set: (value: number) => void) => (value: number) => {
    set(value);
    return null;
  };
  return (
    <Section title="What it measured in the end">
      {WHEN.map(({ id: one, name }) => {
        const size = measured[one];
        return size ? (
          <p key={one} data-testid={`measured-${one}`}>
            {name}: <Lengths text={`${measuredSays(size, planned, unit)}.`} />
          </p>
        ) : null;
      })}
      <ChoiceField
        labelled
        label="Measured"
        value={when}
        choices={WHEN}
        onChange={(next) => setWhen(next as MeasuredWhen)}
      />
      <LengthField
        label="Across the middle"
        value={width}
        unit={unit}
        onCommit={take(setWidth)}
        onClear={() => setWidth(null)}
      />
      <LengthField
        label="Down the middle"
        value={height}
        unit={unit}
        onCommit={take(setHeight)}
        onClear={() => setHeight(null)}
      />
      <Button
        isDisabled={width === null || height === null}
        onPress={() => {
          void dispatch(quiltMeasured({ when, unit, width: width!, height: height! }));
          setWidth(null);
          setHeight(null);
        }}
      >
        Keep it
      </Button>
    </Section>
  );
}
