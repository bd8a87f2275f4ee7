import { type Figure, footRadius, formatSize, formatWithUnit, type Plan, postCutOut } from '@lattice/core';
import { useState } from 'react';
import { Button } from '../../design/controls/Button.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { FigureLine } from '../../rooms/figures/Line.tsx';

/** Changes the edge; answers what is wrong with it, or null. */
export type Change = (part: Partial<Plan['edge']>) => string | null;

/** What the bed the quilt is made for asks of its foot: a curve by the drop, corners cut out for posts. */
export function ByTheBed({ plan, onAsk: ask }: { plan: Plan; onAsk: (part: Partial<Plan['edge']>) => void }) {
  const { unit } = plan;
  const { shape, corners, radius, cutOut } = plan.edge;
  const foot = footRadius(plan.target);
  const posts = postCutOut(plan.target);
  return (
    <>
      {foot !== null && !(shape === 'rounded' && corners === 'foot' && radius === foot) && (
        <Button onPress={() => ask({ shape: 'rounded', corners: 'foot', radius: foot })}>
          Round the foot by the drop, <Lengths text={formatWithUnit(foot, unit)} />
        </Button>
      )}
      {posts !== null &&
        !(
          shape === 'posts' &&
          corners === 'foot' &&
          cutOut.across === posts.across &&
          cutOut.down === posts.down
        ) && (
          <Button onPress={() => ask({ shape: 'posts', corners: 'foot', cutOut: posts })}>
            Cut the foot out for bed posts, <Lengths text={formatSize(posts.across, posts.down, unit)} />
          </Button>
        )}
    </>
  );
}

/** What the corners are cut by. */
export function CornerLengths({ plan, onChange: change }: { plan: Plan; onChange: Change }) {
  const { unit } = plan;
  const { shape, radius, cutOut } = plan.edge;
  return (
    <>
      {shape === 'posts' && (
        <>
          <LengthField
            label="Cut out, across"
            value={cutOut.across}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={(across) => change({ cutOut: { ...cutOut, across } })}
          />
          <LengthField
            label="Cut out, down"
            value={cutOut.down}
            unit={unit}
            step={unit === 'in' ? 0.5 : 1}
            onCommit={(down) => change({ cutOut: { ...cutOut, down } })}
          />
        </>
      )}
      {(shape === 'rounded' || shape === 'clipped') && (
        <LengthField
          label={shape === 'rounded' ? 'Radius' : 'Cut off along each side'}
          value={radius}
          unit={unit}
          step={unit === 'in' ? 0.5 : 1}
          onCommit={(to) => change({ radius: to })}
        />
      )}
    </>
  );
}

/** The length all round: computed, or measured with a tape. */
export function AllRoundLength({
  plan,
  around: figure,
  onChange: change,
}: {
  plan: Plan;
  around: Figure;
  onChange: Change;
}) {
  /** A tape is being laid round it: the field waits, empty, for what it reads. */
  const [taped, setTaped] = useState(false);
  const { unit } = plan;
  const { around } = plan.edge;
  return (
    <>
      <ul data-testid="around">
        <FigureLine
          name={around === null ? 'All round' : 'All round, measured'}
          figure={figure}
          unit={unit}
        />
      </ul>
      {around === null && !taped ? (
        <Button look="quiet" onPress={() => setTaped(true)}>
          Measured with a tape instead
        </Button>
      ) : (
        <>
          <LengthField
            label="Measured all round"
            value={around}
            unit={unit}
            autoFocus={taped}
            onCommit={(to) => change({ around: to })}
            onClear={() => void change({ around: null })}
          />
          <AdviceFor path="edge.around" />
          <Button
            look="quiet"
            onPress={() => {
              setTaped(false);
              void change({ around: null });
            }}
          >
            Compute it again
          </Button>
        </>
      )}
    </>
  );
}
