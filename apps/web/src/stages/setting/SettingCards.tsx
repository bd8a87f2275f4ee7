import { type AnySetting, type SettingKind, settingOf, SETTINGS, turnInto } from '@lattice/core';
import { useState } from 'react';
import { Label, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useAnswered } from '../../design/answered.ts';
import { SettingCard } from '../../design/SettingCard.ts';
import { SettingSample } from '../../rooms/drawing/SettingSample.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { Wrong } from '../../design/controls/fieldStyles.ts';

const Cards = styled(RadioGroup)`
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
  margin-bottom: 8px;
`;
/** The kinds of setting to choose from, each drawn by its own layout. */
export function SettingCards() {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const answered = useAnswered();
  const [problem, setProblem] = useState<string | null>(null);
  // What is there already is offered where it was begun with; blocks can be laid out there too.
  const { whole } = settingOf(plan.setting.kind);
  const offered = SETTINGS.filter((setting: AnySetting) => whole || !setting.whole);
  return (
    <Cards
      value={plan.setting.kind}
      isInvalid={problem !== null}
      validationBehavior="aria"
      onChange={(kind) =>
        setProblem(
          answered(edit((p) => ({ ...p, setting: turnInto(kind as SettingKind, p.setting, p.unit) }))),
        )
      }
    >
      <Label style={{ display: 'none' }}>Kind of setting</Label>
      {offered.map(({ kind, name, describes }) => (
        <SettingCard key={kind} value={kind} aria-label={`${name}: ${describes}`}>
          <SettingSample kind={kind} />
          {name}
        </SettingCard>
      ))}
      <Wrong>{problem}</Wrong>
    </Cards>
  );
}
