import { type FabricUse, type Plan, TURN_FABRICS } from '@lattice/core';
import { Plus, X } from 'lucide-react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';

const Row = styled.span`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 6px;
  .one {
    display: inline-flex;
    align-items: center;
  }
`;
const ORDERS = [
  { id: 'sequence', name: 'one after another' },
  { id: 'scattered', name: 'scattered' },
];
const MOST = 11;

type Job = (typeof TURN_FABRICS)[number];
const jobOf = ({ what }: FabricUse): Job | null => TURN_FABRICS.find((job) => job === what) ?? null;

/** Cloths that take turns with the first in a job of the setting: scrappy sashes, cornerstones from leftovers. */
export function Turns({ use, of }: { use: FabricUse; of: string }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const job = jobOf(use);
  if (job === null || plan.fabrics.length < 2) return null;
  const at = plan.rotations.findIndex((rotation) => rotation.for === job);
  const rotation = plan.rotations[at];
  const change = (to: Partial<Plan['rotations'][number]>) =>
    edit((p) => ({ ...p, rotations: p.rotations.map((r) => (r.for === job ? { ...r, ...to } : r)) }));
  const used = new Set([plan.fabricFor[job], ...(rotation?.fabrics ?? [])]);
  const next = plan.fabrics.find(({ id }) => !used.has(id)) ?? plan.fabrics[0]!;
  const add = () =>
    rotation
      ? change({ fabrics: [...rotation.fabrics, next.id] })
      : edit((p) => ({
          ...p,
          rotations: [...p.rotations, { for: job, fabrics: [next.id], order: 'sequence', seed: 1 }],
        }));
  return (
    <Row role="group" aria-label={`Cloths in turn: ${of}`}>
      {rotation?.fabrics.map((fabric, turn) => (
        // A cloth may have its turn twice: its place in the row is what it is.
        <span className="one" key={turn}>
          <ChoiceField
            label={`Cloth ${turn + 2} of ${of}`}
            value={fabric}
            choices={plan.fabrics}
            onChange={(id) => change({ fabrics: rotation.fabrics.with(turn, id) })}
          />
          <Button
            look="quiet"
            aria-label={`Take cloth ${turn + 2} of ${of} out`}
            onPress={() =>
              rotation.fabrics.length === 1
                ? edit((p) => ({ ...p, rotations: p.rotations.filter((r) => r.for !== job) }))
                : change({ fabrics: rotation.fabrics.filter((_, i) => i !== turn) })
            }
          >
            <X size={14} aria-hidden />
          </Button>
        </span>
      ))}
      {rotation && rotation.fabrics.length > 1 && (
        <ChoiceField
          label={`Order of the cloths of ${of}`}
          value={rotation.order}
          choices={ORDERS}
          onChange={(order) => change({ order: order as Plan['rotations'][number]['order'] })}
        />
      )}
      {rotation?.order === 'scattered' && rotation.fabrics.length > 1 && (
        <Button look="quiet" onPress={() => change({ seed: rotation.seed + 1 })}>
          Scatter again
        </Button>
      )}
      <Button
        look="quiet"
        aria-label={`Another cloth in turn for ${of}`}
        isDisabled={(rotation?.fabrics.length ?? 0) >= MOST}
        onPress={add}
      >
        <Plus size={14} aria-hidden />
        in turn
      </Button>
    </Row>
  );
}
