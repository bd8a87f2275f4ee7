import { formatLength, formatWithUnit, isMeasured } from '@lattice/core';
import { TabList, TabPanel, Tabs } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useLeaf } from '../../browser/useInAddress.ts';
import { useSettled } from '../../browser/useSettled.ts';
import { Why } from '../../design/controls/Why.tsx';
import { Landmark } from '../../design/Landmark.tsx';
import { Leaf } from '../../design/Leaf.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { selectFinished, selectPlan } from '../../state/selectors.ts';
import { Buying } from '../shop/Buying.tsx';
import { CuttingList } from '../figures/CuttingList.tsx';
import { narrow } from '../../design/media.ts';

const Side = styled(Landmark).attrs({ of: 'complementary' })`
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--card);
  border-left: 1px solid var(--line);
  ${narrow} {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
`;
const Head = styled.div`
  padding: 14px 18px 10px;
  .what {
    font-size: var(--size-note);
    color: var(--soft);
  }
  .size {
    font-size: var(--size-large);
    font-weight: 700;
    font-stretch: 84%;
    line-height: 1.2;
    letter-spacing: -0.01em;
  }
  .chip {
    display: inline-block;
    margin-top: 4px;
    padding: 3px 10px;
    border-radius: 12px;
    font-size: var(--size-note);
    font-weight: 600;
    background: var(--brass-wash);
    color: var(--brass);
  }
  .chip[data-met] {
    background: var(--good-wash);
    color: var(--good);
  }
`;
const Book = styled(Tabs)`
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
`;
const Leaves = styled(TabList)`
  display: flex;
  gap: 4px;
  padding: 0 14px;
  border-bottom: 1px solid var(--line);
`;
const Open = styled(TabPanel)`
  /* Labels for the ear alone are laid off the page; they stay inside. */
  position: relative;
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 4px 18px 28px;
  outline: none;
  ${narrow} {
    overflow: visible;
  }
`;

const LEAVES = ['choices', 'pieces', 'buy'] as const;

/** Beside the drawing: the finished size, then what this stage chooses, what to cut and what to buy. */
export function Panel({ choices }: { choices: React.ReactNode }) {
  const { finished, target } = useAppSelector(selectFinished);
  const { measured, unit } = useAppSelector(selectPlan);
  const { width, height } = finished;
  const [leaf, setLeaf] = useLeaf(LEAVES);
  // The size comes with the drawing, what can be pressed right after both.
  const settled = useSettled();
  return (
    <Side aria-label="Figures">
      <Head>
        <h2 className="what">
          {measured.some(isMeasured) ? 'Finished size, from what was measured' : 'Finished size'}
        </h2>
        <div className="size" data-testid="finished-size">
          <Why figure={width} text={formatLength(width.value, unit)} what="this width" />
          {' × '}
          <Why figure={height} text={formatWithUnit(height.value, unit)} what="this height" />
        </div>
        {target && (
          <div className="chip" data-met={target.against.met || undefined} role="status">
            <Lengths text={target.against.text} />
          </div>
        )}
      </Head>
      {settled && (
        <Book selectedKey={leaf} onSelectionChange={(key) => setLeaf(String(key))}>
          <Leaves aria-label="Figures of this quilt">
            <Leaf id="choices">Choose</Leaf>
            <Leaf id="pieces">Pieces</Leaf>
            <Leaf id="buy">Buy</Leaf>
          </Leaves>
          <Open id="choices">{choices}</Open>
          <Open id="pieces">
            <CuttingList />
          </Open>
          <Open id="buy">
            <Buying />
          </Open>
        </Book>
      )}
    </Side>
  );
}
