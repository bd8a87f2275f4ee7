import type { Stage } from '@lattice/core';
import { useLocation } from 'react-router';
import styled from 'styled-components';
import { Paper } from '../../design/Paper.ts';
import { JournalOnPaper } from '../../stages/journal/JournalOnPaper.tsx';
import { StepsOnPaper } from '../../stages/sew/StepsOnPaper.tsx';
import { STAGE_NAMES } from '../../state/stageNames.ts';
import {
  BlocksLines,
  BordersLines,
  EdgeLines,
  JoinsLines,
  LayersLines,
  PiecesToTick,
  ShoppingToTick,
  WallLines,
} from '../../rooms/paper/lists.tsx';
import { DrawnBorders, DrawnEdge, DrawnLayers } from '../../rooms/paper/drawn.tsx';
import { PaperHead } from '../../rooms/paper/PaperHead.tsx';
import { onPaper } from '../../design/media.ts';

const Sheet = styled(Paper)`
  h2 {
    margin: 0 0 4px;
    font-size: var(--size-read);
    font-weight: 650;
  }
  /* A long list begins under its heading, and goes on overleaf. */
  section {
    break-inside: auto;
  }
  h2 {
    break-after: avoid;
  }
  /* Read at the table, an arm's length away. */
  ${onPaper} {
    ul {
      font-size: var(--size-text);
    }
    small {
      font-size: var(--size-mark);
    }
  }
`;

/** What each stage hands on. */
const LISTS: Readonly<Record<Stage, React.ReactNode>> = {
  blocks: <BlocksLines />,
  setting: (
    <>
      <BordersLines />
      <PiecesToTick />
      <ShoppingToTick />
    </>
  ),
  wall: <WallLines />,
  borders: (
    <>
      <DrawnBorders />
      <BordersLines />
      <PiecesToTick />
    </>
  ),
  layers: (
    <>
      <DrawnLayers />
      <LayersLines />
      <ShoppingToTick />
    </>
  ),
  edge: (
    <>
      <DrawnEdge />
      <EdgeLines />
      <JoinsLines />
    </>
  ),
  cut: (
    <>
      <PiecesToTick />
      <ShoppingToTick />
    </>
  ),
  sew: <StepsOnPaper />,
  journal: <JournalOnPaper />,
};

/** The stage of an address, where that is one that prints by what it hands on; pages made for paper print themselves. */
export const stageToPrint = (pathname: string): Stage | null => {
  const last = pathname.split('/').at(-1) ?? '';
  return last in LISTS ? (last as Stage) : null;
};

/** What is on paper of a stage: the quilt, and its lists with boxes, without anything to press. */
export function StagePaper() {
  const stage = stageToPrint(useLocation().pathname);
  if (!stage) return null;
  return (
    <Sheet>
      <PaperHead what={STAGE_NAMES[stage]} large />
      {LISTS[stage]}
    </Sheet>
  );
}
