import {
  type CutLine,
  fabricById,
  fabricFor,
  formatLength,
  formatWithUnit,
  numberOf,
  settingOf,
  type Unit,
} from '@lattice/core';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Why } from '../../design/controls/Why.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { selectPlan, selectQuiltAsCut } from '../../state/selectors.ts';
import { pointedAt } from '../../state/viewSlice.ts';
import { FabricChoice } from './FabricChoice.tsx';
import { Line } from './Line.tsx';
import { Section } from './Section.tsx';
import { Turns } from './Turns.tsx';
import { EdgeToCut, LayersToCut } from './UnderAndRound.tsx';

/** Every piece to cut with its count and cut size; then what goes under the top and round it. */
export function CuttingList() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuiltAsCut);
  const { unit } = plan;
  return (
    <>
      <Section title="Pieces to cut">
        {quilt.pieces.length === 0 && (
          <p>
            {settingOf(plan.setting.kind).whole
              ? 'Nothing to cut for the top: it is made already.'
              : 'Nothing to cut: the blocks make the whole top.'}
          </p>
        )}
        <ul data-testid="cutting-list">
          {quilt.pieces.map((piece, i) => (
            <PieceLine
              key={piece.id}
              piece={piece}
              unit={unit}
              first={quilt.pieces.findIndex(({ use }) => use.what === piece.use.what) === i}
            />
          ))}
        </ul>
      </Section>
      <LayersToCut />
      <EdgeToCut />
    </>
  );
}

/** @param first of its job: where cloths that take turns in it are chosen */
function PieceLine({ piece, unit, first }: { piece: CutLine; unit: Unit; first: boolean }) {
  const plan = useAppSelector(selectPlan);
  const dispatch = useAppDispatch();
  const pointed = useAppSelector((s) => s.view.pointed);
  const { cut, count, squares, parts } = piece;
  const lower = piece.name.toLowerCase();
  const point = (pointing: boolean) => dispatch(pointedAt(pointing ? parts : []));
  return (
    <Line
      onPointerEnter={() => point(true)}
      onPointerLeave={() => point(false)}
      data-pointed={parts.some((p) => pointed.includes(p)) || undefined}
    >
      <span className="name">{piece.name}</span>
      <span className="figures">
        <Why figure={count} text={String(count.value)} what={`${count.value} ${lower}`} />
        {cut.shape === 'rectangle' && (
          <>
            {' '}
            at{' '}
            <Why
              figure={cut.width}
              text={formatLength(cut.width.value, unit)}
              what={`${formatWithUnit(cut.width.value, unit)} wide`}
            />
            {' × '}
            <Why
              figure={cut.length}
              text={formatWithUnit(cut.length.value, unit)}
              what={`${formatWithUnit(cut.length.value, unit)} long`}
            />
          </>
        )}
      </span>
      {cut.shape !== 'rectangle' && squares && (
        <span className="rest">
          from{' '}
          <Why
            figure={squares.count}
            text={String(squares.count.value)}
            what={numberOf(squares.count.value, 'square')}
          />
          {squares.count.value === 1 ? ' square of ' : ' squares of '}
          <Why
            figure={cut.side}
            text={formatWithUnit(cut.side.value, unit)}
            what={`squares of ${formatWithUnit(cut.side.value, unit)}`}
          />
          , cut {cut.shape === 'quarter-square' ? 'twice' : 'once'} corner to corner
          {squares.leftOver > 0 && `; ${squares.leftOver} left over`}
        </span>
      )}
      {piece.notes.map((note) => (
        <span className="rest" key={note}>
          <Lengths text={note} />
        </span>
      ))}
      <span className="rest">
        {piece.fabric === fabricFor(plan, piece.use) ? (
          <FabricChoice use={piece.use} label={`Cloth of ${lower}`} />
        ) : (
          `${fabricById(plan, piece.fabric).name}, in turn`
        )}
        {first && <Turns use={piece.use} of={lower} />}
      </span>
    </Line>
  );
}
