import {
  capital,
  CHECKER_ROWS,
  MADE_NAMES,
  PIECED_CORNER_NAMES,
  PIECED_CORNERS,
  PIECED_KINDS,
  PIECED_NAMES,
  type PiecedCorner,
  piecedKind,
  type PiecedKindId,
  type Plan,
  type UnitsMade,
  withPieced,
} from '@lattice/core';
import { useAppSelector } from '../../state/hooks.ts';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { withBorder } from '../../state/borderEdits.ts';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { SpacerFits } from './SpacerFits.tsx';

type Pieced = NonNullable<Plan['borders'][number]['pieced']>;

const kinds = [
  { id: 'none', name: 'One cloth' },
  ...PIECED_KINDS.map((id) => ({ id, name: PIECED_NAMES[id] })),
];
const corners = PIECED_CORNERS.map((id) => ({ id, name: PIECED_CORNER_NAMES[id] }));
const rows = CHECKER_ROWS.map((count) => ({ id: String(count), name: `${count} rows` }));

/** What a border is pieced of, if it is: its units, how they are made and turn the corner, and the spacer that fits them. */
export function PiecedFields({ index }: { index: number }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { pieced } = plan.borders[index]!;
  const change = (part: Partial<Pieced>) =>
    edit((p) => {
      const { pieced: now } = p.borders[index]!;
      return now ? withBorder(p, index, { pieced: { ...now, ...part } }) : p;
    });
  const kind = pieced && piecedKind(pieced.kind);
  return (
    <>
      <ChoiceField
        label="Made of"
        labelled
        value={pieced?.kind ?? 'none'}
        choices={kinds}
        onChange={(id) => edit((p) => withPieced(p, index, id === 'none' ? null : (id as PiecedKindId)))}
      />
      {pieced && kind && (
        <>
          {pieced.kind === 'checkers' && (
            <ChoiceField
              label="Rows"
              labelled
              value={String(pieced.rows)}
              choices={rows}
              onChange={(id) => change({ rows: CHECKER_ROWS.find((count) => String(count) === id)! })}
            />
          )}
          {pieced.kind === 'keys' && (
            <LengthField
              label={`Keys of border ${index + 1}, finished`}
              value={pieced.key}
              unit={plan.unit}
              onCommit={(key) => change({ key })}
            />
          )}
          <ChoiceField
            label={`${capital(kind.many)} made`}
            labelled
            value={pieced.made}
            choices={kind.made.map((id) => ({ id, name: MADE_NAMES[id] }))}
            onChange={(id) => change({ made: id as UnitsMade })}
          />
          {kind.turnsCorner && (
            <ChoiceField
              label="At the corners"
              labelled
              value={pieced.corner}
              choices={corners}
              onChange={(id) => change({ corner: id as PiecedCorner })}
            />
          )}
          <SpacerFits
            index={index}
            one={kind.together === 2 ? 'pair of units' : kind.one}
            many={kind.together === 2 ? 'pairs of units' : kind.many}
            sewn="What lies inside it is sewn and measured: take in or let out a thread at some of its seams."
          />
        </>
      )}
      <AdviceFor path={`borders.${index}.pieced`} />
    </>
  );
}
