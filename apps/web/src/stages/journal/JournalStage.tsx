import { TabList, TabPanel } from 'react-aria-components';
import { useState } from 'react';
import styled from 'styled-components';
import { useLeaf } from '../../browser/useInAddress.ts';
import { Leaf, Leaves } from '../../design/Leaf.ts';
import { StageGrid, StageSide } from '../stageLayout.ts';
import { NoteLeaf } from './NoteLeaf.tsx';
import { ReadyLeaf } from './ReadyLeaf.tsx';
import { ReadyView } from './ReadyView.tsx';
import { RecordCard } from './RecordCard.tsx';
import { RecordLeaf } from './RecordLeaf.tsx';
import { TimeLeaf } from './TimeLeaf.tsx';
import { TimeView } from './TimeView.tsx';
import { Timeline } from './Timeline.tsx';
import { useForecast } from './useForecast.ts';
import type { JournalLine } from '@lattice/core';
import { narrow } from '../../design/media.ts';

const Main = styled.div`
  min-width: 0;
  overflow-y: auto;
  padding: 18px 24px 40px;
  &:focus-visible {
    outline: 2px solid var(--chalk);
    outline-offset: -2px;
  }
  ${narrow} {
    overflow: visible;
    padding: 14px 16px 28px;
  }
`;

const LEAVES = ['journal', 'time', 'ready', 'record'] as const;

/** What was done, how long it takes, whether it will be ready, and the card that stays. */
export function JournalStage() {
  const [leaf, setLeaf] = useLeaf(LEAVES);
  const [pointed, setPointed] = useState<JournalLine | null>(null);
  const forecast = useForecast(leaf === 'ready');
  return (
    <StageGrid>
      {/* It scrolls by the keyboard too, where nothing in it can be pressed. */}
      <Main tabIndex={0}>
        {leaf === 'journal' && <Timeline onPoint={setPointed} />}
        {leaf === 'time' && <TimeView />}
        {leaf === 'ready' && <ReadyView heard={forecast} />}
        {leaf === 'record' && <RecordCard />}
      </Main>
      <StageSide aria-label="The record">
        <Leaves selectedKey={leaf} onSelectionChange={(key) => setLeaf(String(key))}>
          <TabList aria-label="Journal, time, day, record">
            <Leaf id="journal">Journal</Leaf>
            <Leaf id="time">Time</Leaf>
            <Leaf id="ready">Ready?</Leaf>
            <Leaf id="record">Record</Leaf>
          </TabList>
          <TabPanel id="journal">
            <NoteLeaf pointed={pointed} />
          </TabPanel>
          <TabPanel id="time">
            <TimeLeaf />
          </TabPanel>
          <TabPanel id="ready">
            <ReadyLeaf heard={forecast} />
          </TabPanel>
          <TabPanel id="record">
            <RecordLeaf />
          </TabPanel>
        </Leaves>
      </StageSide>
    </StageGrid>
  );
}
