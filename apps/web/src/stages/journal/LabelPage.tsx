import { formatWithUnit, fromInches, labelSays, recordCard, usualLabel } from '@lattice/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../../rooms/paper/PrintHead.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { onPaper } from '../../design/media.ts';

const Choices = styled.div`
  max-width: 420px;
  margin-bottom: 18px;
  ${onPaper} {
    display: none;
  }
`;
/** Lengths on paper are paper's own: inches or centimetres, whatever the screen makes of them. */
const Sheet = styled.div`
  .label {
    position: relative;
    display: grid;
    box-sizing: border-box;
    color: #1b2433;
    background: #fff;
    outline: 0.3mm dashed #5c6877;
    break-inside: avoid;
  }
  .label[data-mirrored] {
    transform: scaleX(-1);
  }
  .inside {
    display: grid;
    align-content: center;
    justify-items: center;
    gap: 0.06in;
    overflow: hidden;
    border: 0.3mm solid #1b2433;
    text-align: center;
    overflow-wrap: anywhere;
  }
  .title {
    font: 650 18pt/1.1 var(--name);
  }
  .line {
    font-size: 10pt;
    line-height: 1.25;
  }
  .test {
    margin-top: 8mm;
    font-size: 9pt;
  }
  .test i {
    display: block;
    height: 3mm;
    margin-bottom: 1mm;
    border: solid #1b2433;
    border-width: 0 0.3mm 0.3mm;
  }
`;

/** A label for the back of the quilt, printed true to size on cloth or paper, with its seam allowance round it. */
export function LabelPage() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const { unit, seam } = plan;
  const [size, setSize] = useState(usualLabel(unit));
  const [mirrored, setMirrored] = useState(false);
  const card = useMemo(() => recordCard(plan, quilt, log, id), [plan, quilt, log, id]);
  const css = (length: number) => `${length}${unit}`;
  const most = unit === 'in' ? 7.5 : 19;
  const resize = (part: Partial<typeof size>) => {
    const [value] = Object.values(part);
    if (value! < (unit === 'in' ? 1 : 3) || value! > most)
      return `From ${formatWithUnit(unit === 'in' ? 1 : 3, unit)} to ${formatWithUnit(most, unit)}: what a sheet holds.`;
    setSize({ ...size, ...part });
    return null;
  };
  return (
    <Paper>
      <PrintHead title="A label" back="Back to the journal" to={`/quilts/${id}/journal?leaf=record`} />
      <Choices>
        <LengthField
          label="Finished, across"
          value={size.width}
          unit={unit}
          onCommit={(width) => resize({ width })}
        />
        <LengthField
          label="Finished, down"
          value={size.height}
          unit={unit}
          onCommit={(height) => resize({ height })}
        />
        <SwitchField label="Mirrored, for transfer paper" value={mirrored} onChange={setMirrored} />
        <p>
          Print at 100 %, not fitted to the page, and lay a ruler along the line below. On cloth: ironed onto
          freezer paper, cut to the sheet; let the ink dry and set it as its maker says. What is said of it is
          in the journal, under Record.
        </p>
      </Choices>
      <Sheet>
        <div
          className="label"
          data-testid="label"
          data-mirrored={mirrored || undefined}
          style={{
            width: css(size.width + 2 * seam),
            height: css(size.height + 2 * seam),
            padding: css(seam),
          }}
        >
          <div className="inside">
            <span className="title">{card.title}</span>
            {labelSays(card).map((line) => (
              <span className="line" key={line}>
                {line}
              </span>
            ))}
          </div>
        </div>
        <div className="test">
          <i style={{ width: css(fromInches(unit === 'in' ? 1 : 3 / 2.54, unit)) }} data-testid="test-line" />
          <Lengths text={unit === 'in' ? 'This line is 1″ long.' : 'This line is 3 cm long.'} /> Outer line:
          cut; inner line: finished.
        </div>
      </Sheet>
    </Paper>
  );
}
