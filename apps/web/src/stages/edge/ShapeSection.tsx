import { type Edge, EDGE_SHAPE_NAMES, EDGE_SHAPES, type EdgeShape, formatWithUnit, type Plan } from '@lattice/core';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { AdviceFor } from '../../figures/AdviceFor.tsx';
import { FigureLine } from '../../figures/Line.tsx';
import { Section } from '../../figures/Section.tsx';
import { selectPlan } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';
import { Lengths } from '../../design/Lengths.tsx';

const shapes = EDGE_SHAPES.map((id) => ({ id, name: EDGE_SHAPE_NAMES[id] }));
const WHICH = [{ id: 'all', name: 'All four' }, { id: 'foot', name: 'The two at the foot' }];

/** The edge's shape with what it is shaped by; its length computed, or measured with a tape. */
export function ShapeSection({ edge }: { edge: Edge }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { id } = useParams();
  const [refused, setRefused] = useState<{ why: string; of: Plan['edge'] } | null>(null);
  const problem = refused?.of === plan.edge ? refused.why : null;
  const { unit } = plan;
  const { shape, corners, radius, scallop, around } = plan.edge;
  const change = (part: Partial<Plan['edge']>) => edit((p) => ({ ...p, edge: { ...p.edge, ...part } }));
  const { scallops } = edge.outline;
  const sided = shape === 'rounded' || shape === 'clipped';
  return (
    <Section title="Shape">
      <ChoiceField labelled label="Edge" value={shape} choices={shapes} onChange={(to) => {
        const why = change({ shape: to as EdgeShape });
        setRefused(why === null ? null : { why, of: plan.edge });
      }} />
      {problem && <Verdict role="alert" data-kind="ease">{problem}</Verdict>}
      {sided && <ChoiceField labelled label="Which corners" value={corners} choices={WHICH} onChange={(to) => change({ corners: to as 'all' })} />}
      {sided && <LengthField label={shape === 'rounded' ? 'Radius' : 'Cut off along each side'} value={radius} unit={unit} step={unit === 'in' ? 0.5 : 1} onCommit={(to) => change({ radius: to })} />}
      {scallops && (
        <>
          <LengthField label="Scallops about" value={scallop.width} unit={unit} step={unit === 'in' ? 0.5 : 1} onCommit={(width) => change({ scallop: { ...scallop, width } })} />
          <LengthField label="Deep" value={scallop.depth} unit={unit} onCommit={(depth) => change({ scallop: { ...scallop, depth } })} />
          <p data-testid="scallops"><Lengths text={`${scallops.across.count} along top and bottom, ${formatWithUnit(scallops.across.width, unit)} each; ${scallops.down.count} along the sides, ${formatWithUnit(scallops.down.width, unit)}; and every corner turned.`} /></p>
          <p><Link to={`/quilts/${id}/scallops`}><Printer size={14} aria-hidden /> True-size templates to print</Link></p>
        </>
      )}
      <ul data-testid="around"><FigureLine name={around === null ? 'All round' : 'All round, measured'} figure={edge.around} unit={unit} /></ul>
      {around === null
        ? <Button look="quiet" onPress={() => void change({ around: Math.round(edge.outline.length * 8) / 8 })}>Measured with a tape instead</Button>
        : (
          <>
            <LengthField label="Measured all round" value={around} unit={unit} onCommit={(to) => change({ around: to })} />
            <AdviceFor path="edge.around" />
            <Button look="quiet" onPress={() => void change({ around: null })}>Compute it again</Button>
          </>
        )}
    </Section>
  );
}
