import { settingOf, type SettingKind, SETTINGS, turnInto } from '@lattice/core';
import { useMemo, useState } from 'react';
import { Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { outlinePath } from '../../drawing/paths.ts';
import { selectPlan } from '../../quilt/selectors.ts';
import { useEdit } from '../../quilt/useEdit.ts';
import { pictureCard } from '../../design/cardStyles.ts';
import { Wrong } from '../../design/controls/fieldStyles.ts';

const Cards = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
  margin-bottom: 8px;
`;
const Card = styled(Radio)`
  ${pictureCard}
  svg {
    width: 46px;
    height: 46px;
  }
  path {
    fill: none;
    stroke: var(--soft);
    stroke-width: 0.6;
    vector-effect: non-scaling-stroke;
  }
  .block {
    fill: color-mix(in srgb, var(--soft) 22%, transparent);
  }
  &[data-selected] path {
    stroke: var(--ink);
  }
`;

/** A setting drawn small by laying it out: so that its nature shows. */
function Sample({ kind }: { kind: SettingKind }) {
  const centre = useMemo(() => {
    const setting = settingOf(kind);
    // Turned blocks show what they are with two; straight ones need three.
    const across = setting.onPoint ? 2 : 3;
    return setting.layOut({
      unit: 'in',
      block: { width: 10, height: 10 },
      grid: { across, down: across },
      options: setting.start('in'),
      seam: 0.25,
      origin: { x: 0, y: 0 },
    });
  }, [kind]);
  return (
    <svg viewBox={`-0.5 -0.5 ${centre.width.value + 1} ${centre.height.value + 1}`} aria-hidden>
      {centre.pieces.map((piece) => (
        <path key={piece.id} className={piece.place === undefined ? '' : 'block'} d={outlinePath(piece)} />
      ))}
    </svg>
  );
}

/** The kinds of setting to choose from, each drawn by its own layout. */
export function SettingCards() {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <Cards
      value={plan.setting.kind}
      isInvalid={problem !== null}
      validationBehavior="aria"
      onChange={(kind) =>
        setProblem(edit((p) => ({ ...p, setting: turnInto(kind as SettingKind, p.setting, p.unit) })))
      }
    >
      <Label style={{ display: 'none' }}>Kind of setting</Label>
      {SETTINGS.map(({ kind, name, describes }) => (
        <Card key={kind} value={kind} aria-label={`${name}: ${describes}`}>
          <Sample kind={kind} />
          {name}
        </Card>
      ))}
      <Wrong>{problem}</Wrong>
    </Cards>
  );
}
