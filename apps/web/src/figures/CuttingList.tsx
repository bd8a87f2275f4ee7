import { type CutPiece, fabricFor, type FabricUse, formatLength, formatWithUnit, type Unit, withFabric } from '@lattice/core';
import styled from 'styled-components';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { ChoiceField } from '../design/controls/ChoiceField.tsx';
import { LengthField } from '../design/controls/LengthField.tsx';
import { Why } from '../design/controls/Why.tsx';
import { Lengths } from '../design/Lengths.tsx';
import { selectPlan, selectQuilt } from '../quilt/selectors.ts';
import { useEdit } from '../quilt/useEdit.ts';
import { pointedAt } from '../quilt/viewSlice.ts';
import { Section } from './Section.tsx';

export const Line = styled.li`
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: baseline;
  gap: 2px 10px;
  padding: 8px 6px;
  margin: 0 -6px;
  border-radius: 6px;
  & + & { border-top: 1px solid var(--line); border-top-left-radius: 0; border-top-right-radius: 0; }
  &[data-pointed] { background: var(--chalk-wash); box-shadow: inset 3px 0 0 var(--chalk); }
  .name { font-size: 14px; }
  .figures { font-weight: 650; font-stretch: 88%; white-space: nowrap; text-align: right; }
  .rest { grid-column: 1 / -1; font-size: 13px; color: var(--soft); }
`;

/** Every piece to cut with its count and cut size; then the backing and the binding. */
export function CuttingList() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const { unit } = plan;
  return (
    <>
      <Section title="Pieces to cut">
        {quilt.pieces.length === 0 && <p>Nothing to cut: the blocks make the whole top.</p>}
        <ul data-testid="cutting-list">{quilt.pieces.map((piece) => <PieceLine key={piece.key} piece={piece} unit={unit} />)}</ul>
      </Section>
      <BackingSection />
      <BindingSection />
    </>
  );
}

function PieceLine({ piece, unit }: { piece: CutPiece; unit: Unit }) {
  const dispatch = useAppDispatch();
  const pointed = useAppSelector((s) => s.view.pointed);
  const { cut, count, squares, parts } = piece;
  const lower = piece.name.toLowerCase();
  const point = (pointing: boolean) => dispatch(pointedAt(pointing ? parts : []));
  return (
    <Line onPointerEnter={() => point(true)} onPointerLeave={() => point(false)} data-pointed={parts.some((p) => pointed.includes(p)) || undefined}>
      <span className="name">{piece.name}</span>
      <span className="figures">
        <Why figure={count} text={String(count.value)} what={`${count.value} ${lower}`} />
        {cut.shape === 'rectangle' && (
          <> at <Why figure={cut.width} text={formatLength(cut.width.value, unit)} what={`${formatWithUnit(cut.width.value, unit)} wide`} />
            {' × '}
            <Why figure={cut.length} text={formatWithUnit(cut.length.value, unit)} what={`${formatWithUnit(cut.length.value, unit)} long`} /></>
        )}
      </span>
      {cut.shape !== 'rectangle' && squares && (
        <span className="rest">
          from <Why figure={squares.count} text={String(squares.count.value)} what={`${squares.count.value} squares`} />
          {squares.count.value === 1 ? ' square of ' : ' squares of '}
          <Why figure={cut.side} text={formatWithUnit(cut.side.value, unit)} what={`squares of ${formatWithUnit(cut.side.value, unit)}`} />
          , cut {cut.shape === 'quarter-square' ? 'twice' : 'once'} corner to corner
          {squares.leftOver > 0 && `; ${squares.leftOver} left over`}
        </span>
      )}
      {piece.notes.map((note) => <span className="rest" key={note}><Lengths text={note} /></span>)}
      <span className="rest"><FabricChoice use={piece.use} label={`Fabric of ${lower}`} /></span>
    </Line>
  );
}

function FabricChoice({ use, label }: { use: FabricUse; label: string }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  return <ChoiceField label={label} value={fabricFor(plan, use)} choices={plan.fabrics} onChange={(id) => edit((p) => withFabric(p, use, id))} />;
}

const SEAMS = { none: 'no seam', vertical: 'vertical seams', horizontal: 'horizontal seams' } as const;

function BackingSection() {
  const plan = useAppSelector(selectPlan);
  const { backing } = useAppSelector(selectQuilt);
  const edit = useEdit();
  const { unit } = plan;
  if (!backing) return <Section title="Backing"><p>Every block has its own back, and the strips have theirs: nothing goes under the whole.</p></Section>;
  return (
    <Section title="Backing">
      <LengthField label="Overhang on every side" value={plan.backing.overhang} unit={unit} onCommit={(overhang) => edit((p) => ({ ...p, backing: { ...p.backing, overhang } }))} />
      <ul data-testid="backing">
        {backing.options.map((option, i) => (
          <Line key={option.seams}>
            <span className="name">{option.panels} {option.panels === 1 ? 'panel' : 'panels'}, {SEAMS[option.seams]}{i === 0 && backing.options.length > 1 ? ' (least fabric)' : ''}</span>
            <span className="figures"><Why figure={option.fabric} text={formatWithUnit(option.fabric.value, unit)} what="this much fabric" /></span>
          </Line>
        ))}
      </ul>
      <FabricChoice use={{ what: 'backing' }} label="Fabric of the backing" />
    </Section>
  );
}

function BindingSection() {
  const plan = useAppSelector(selectPlan);
  const { binding } = useAppSelector(selectQuilt);
  const edit = useEdit();
  const { unit } = plan;
  return (
    <Section title="Binding">
      <LengthField label="Strip, cut" value={plan.binding.stripWidth} unit={unit} onCommit={(stripWidth) => edit((p) => ({ ...p, binding: { ...p.binding, stripWidth } }))} />
      <ul data-testid="binding">
        <Line>
          <span className="name">Length with corners and tails</span>
          <span className="figures"><Why figure={binding.length} text={formatWithUnit(binding.length.value, unit)} what="this length" /></span>
        </Line>
        <Line>
          <span className="name">Strips, selvage to selvage</span>
          <span className="figures">
            <Why figure={binding.strips} text={String(binding.strips.value)} what={`${binding.strips.value} strips`} /> at <Lengths text={formatWithUnit(binding.stripWidth, unit)} />
          </span>
        </Line>
      </ul>
      <FabricChoice use={{ what: 'binding' }} label="Fabric of the binding" />
    </Section>
  );
}
