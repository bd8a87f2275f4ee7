import type { Plan, Quilt } from '@lattice/core';
import { useState } from 'react';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { AllRound } from './AllRound.tsx';
import { BiasPlan } from './BiasPlan.tsx';
import { CornerView } from './CornerView.tsx';
import { fingerHigh } from '../../design/media.ts';

const Held = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 280px;
  background: var(--ground);
  > .views {
    justify-self: start;
    display: flex;
    gap: 4px;
    margin: 12px 16px 0;
    padding: 3px;
    border: 1px solid var(--line);
    border-radius: 10px;
    background: var(--card);
  }
`;
const View = styled(ToggleButton)`
  padding: 5px 14px;
  border: 0;
  border-radius: 7px;
  background: transparent;
  color: var(--soft);
  font-size: var(--size-note);
  font-weight: 600;
  cursor: pointer;
  &[data-selected] {
    background: var(--ink);
    color: var(--card);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
    outline-offset: 1px;
  }
  ${fingerHigh}
`;

/** The edge drawn three ways: a corner in close-up, the whole quilt with the joins where they fall, and the cloth bias strips come from. */
export function EdgeBoard({ plan, quilt }: { plan: Plan; quilt: Quilt }) {
  const [view, setView] = useState('corner');
  const bias = quilt.edge.binding?.bias ?? null;
  const shown = view === 'bias' && !bias ? 'corner' : view;
  return (
    <Held>
      <ToggleButtonGroup
        className="views"
        aria-label="What is drawn"
        selectionMode="single"
        disallowEmptySelection
        selectedKeys={[shown]}
        onSelectionChange={(keys) => setView(String([...keys][0]))}
      >
        <View id="corner">Corner</View>
        <View id="round">All round</View>
        {bias && <View id="bias">Bias plan</View>}
      </ToggleButtonGroup>
      {shown === 'corner' && <CornerView {...{ plan, quilt }} />}
      {shown === 'round' && <AllRound {...{ plan, quilt }} />}
      {shown === 'bias' && bias && (
        <BiasPlan plan={plan} bias={bias} stripWidth={quilt.edge.binding!.cutWidth} />
      )}
    </Held>
  );
}
