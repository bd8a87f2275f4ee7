import { CAUTIONS, openedSays, partsFrom, type Quilt } from '@lattice/core';
import { useRef } from 'react';
import { TabList, TabPanel } from 'react-aria-components';
import { Link, useSearchParams } from 'react-router';
import { useLeaf, useSheet } from '../../browser/useInAddress.ts';
import { Button } from '../../design/controls/Button.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Leaf, Leaves } from '../../design/Leaf.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { ClockButton } from '../../rooms/clock/ClockButton.tsx';
import { QuiltLit } from '../../rooms/drawing/QuiltLit.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { AskShop } from '../../rooms/shop/AskShop.tsx';
import { Buying } from '../../rooms/shop/Buying.tsx';
import { ClothChart } from '../../rooms/shop/ClothChart.tsx';
import { ListToSay } from '../../rooms/shop/ListToSay.tsx';
import { StashCould } from '../../rooms/shop/StashCould.tsx';
import { useAppSelector } from '../../state/hooks.ts';
import { selectQuilt } from '../../state/selectors.ts';
import { StageGrid, StageSide } from '../stageLayout.ts';
import { useWorkAfter } from '../useWorkAfter.ts';
import { ClothDrawing } from './ClothDrawing.tsx';
import { ClothLies } from './ClothLies.tsx';
import { ClothTabs } from './ClothTabs.tsx';
import { CutSoFar } from './CutSoFar.tsx';
import { Table, ToPrint, Wrong } from './CutStage.styles.ts';
import { InHand } from './InHand.tsx';
import { StripDrawing } from './StripDrawing.tsx';
import { useAtTable } from './useAtTable.ts';
import { useHabits } from './useHabits.ts';
import { useSpaceBar } from './useSpaceBar.ts';
import { WaySection } from './WaySection.tsx';
import { WentWrong } from './WentWrong.tsx';

/** Cut: the cloth as it lies on the table, one act at a time, each ticked as it is done; and what to buy. */
export function CutStage() {
  const quilt = useAppSelector(selectQuilt);
  const [params, setParams] = useSearchParams();
  const cloths = quilt.fabrics.filter(({ pieces, runs }) => pieces.length + runs.length > 0);
  const cloth = cloths.find(({ fabric }) => fabric.id === params.get('cloth')) ?? cloths[0];
  if (!cloth)
    return (
      <StageGrid>
        <Table>
          <p style={{ padding: '24px 26px' }}>Nothing is to be cut: the blocks make the whole quilt.</p>
        </Table>
      </StageGrid>
    );
  return (
    <AtTable
      key={cloth.fabric.id}
      cloth={cloth.fabric.id}
      cloths={cloths}
      onCloth={(id) => setParams({ cloth: id }, { replace: true })}
    />
  );
}

interface AtTableProps {
  readonly cloth: string;
  readonly cloths: Quilt['fabrics'];
  readonly onCloth: (id: string) => void;
}

/** One cloth: drawn as it lies, the act in hand beside it. */
function AtTable({ cloth, cloths, onCloth }: AtTableProps) {
  const at = useAtTable(cloth);
  const { plan, quilt, id, table, record, step, opened, lines } = at;
  const { unit } = plan;
  const { fabric, tooNarrow } = table.placed;
  const [{ fold, leftHanded }, setHabits] = useHabits();
  const wrong = useSheet('wrong');
  const work = useRef<HTMLDivElement>(null);
  useWorkAfter(wrong.open !== null, work);
  const [page, setPage] = useLeaf(['table', 'buy']);
  useSpaceBar(page === 'table' && wrong.open === null ? at.done : null);
  return (
    <StageGrid>
      <Table>
        <ClothLies fabric={fabric} fold={fold} onFold={(next) => setHabits({ fold: next })} />
        <ClothDrawing {...{ table, step, fold, unit }} waiting={at.waiting} left={leftHanded} />
        <div className="below">
          <div className="strip">
            {opened && (
              <>
                <p>
                  <Lengths text={openedSays(opened, unit)} />
                </p>
                <StripDrawing placed={table.placed} step={opened} unit={unit} />
              </>
            )}
          </div>
          <QuiltLit plan={plan} layout={quilt.layout} parts={partsFrom(opened ?? step, lines)} />
        </div>
      </Table>
      <StageSide aria-label="At the table">
        <Leaves selectedKey={page} onSelectionChange={(key) => setPage(String(key))}>
          <TabList aria-label="Cutting and buying">
            <Leaf id="table">At the table</Leaf>
            <Leaf id="buy">Buy</Leaf>
          </TabList>
          <TabPanel id="table">
            <ClothTabs {...{ cloth, cloths, onCloth }}>
              {tooNarrow.map((says) => (
                <p key={says} role="alert">
                  <Lengths text={says} />
                </p>
              ))}
              <div ref={work}>
                <InHand {...{ table, fold, unit }} onDone={() => at.done()} onBack={at.back} />
              </div>
              <CutSoFar table={table} waits={at.says} unit={unit} onStash={at.toStash} />
              {record.plan === null && <WaySection cloth={cloth} table={table} way={at.way} />}
              <SwitchField
                label="Blade in the left hand"
                value={leftHanded}
                onChange={(on) => setHabits({ leftHanded: on })}
              />
              <ToPrint>
                <Link to={`/quilts/${id}/piles`}>Slips for the stacks of pieces, to print</Link>
                <Link to={`/quilts/${id}/cutting-plan`}>The cutting plan, to print</Link>
              </ToPrint>
              <Wrong>
                <ClockButton work="cut" step={fabric.name} />
                <Button look="quiet" onPress={() => wrong.show()}>
                  Something went wrong…
                </Button>
              </Wrong>
              <Caution>{CAUTIONS.blade} Makers’ instructions and local rules come first.</Caution>
            </ClothTabs>
          </TabPanel>
          <TabPanel id="buy">
            <ListToSay />
            <Buying />
            <AskShop />
            <StashCould />
            <ClothChart />
          </TabPanel>
        </Leaves>
      </StageSide>
      <WentWrong {...{ cloth, table, record }} isOpen={wrong.open !== null} onClose={wrong.close} />
    </StageGrid>
  );
}
