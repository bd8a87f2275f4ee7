import {
  capital,
  CAUTIONS,
  type CutLine,
  cutRecord,
  cuttingJob,
  type Fold,
  formatWithUnit,
  leftoverEntries,
  type Plan,
  type Quilt,
  type TableStep,
  waitOf,
} from '@lattice/core';
import { useEffect, useMemo, useRef } from 'react';
import { Tab, TabList, TabPanel, Tabs, ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { chosenRing } from '../../design/cardStyles.ts';
import { useLeaf, useSheet } from '../../browser/useInAddress.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { ClockButton } from '../../rooms/clock/ClockButton.tsx';
import { Button } from '../../design/controls/Button.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Leaf, Leaves } from '../../design/Leaf.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Buying } from '../../rooms/shop/Buying.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { selectPlan, selectQuilt, selectToBuy } from '../../state/selectors.ts';
import { AskShop } from '../../rooms/shop/AskShop.tsx';
import { ClothChart } from '../../rooms/shop/ClothChart.tsx';
import { ListToSay } from '../../rooms/shop/ListToSay.tsx';
import { StashCould } from '../../rooms/shop/StashCould.tsx';
import { putInStash } from '../../rooms/stash/stash.ts';
import { useWorkAfter } from '../useWorkAfter.ts';
import { StageGrid, StageSide } from '../stageLayout.ts';
import { ClothDrawing } from './ClothDrawing.tsx';
import { CutSoFar } from './CutSoFar.tsx';
import { stepDone, stepUndone } from './cutting.ts';
import { InHand } from './InHand.tsx';
import { QuiltLit } from '../../rooms/drawing/QuiltLit.tsx';
import { StripDrawing } from './StripDrawing.tsx';
import { useHabits } from './useHabits.ts';
import { useListening, useTable } from './useTable.ts';
import { WaySection } from './WaySection.tsx';
import { WentWrong } from './WentWrong.tsx';
import { fingerHigh, narrow, touch } from '../../design/media.ts';

const Table = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1.25fr) minmax(0, 1fr);
  min-width: 0;
  min-height: 0;
  padding: 12px 0 14px;
  > .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 6px 16px;
    padding: 0 26px;
  }
  h1 {
    font-size: var(--size-lead);
    font-weight: 650;
  }
  .below {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 150px;
    gap: 18px;
    min-height: 0;
    padding: 0 26px;
  }
  .strip {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr);
    min-height: 0;
  }
  .strip p {
    font-size: var(--size-read);
    font-weight: 600;
  }
  ${narrow} {
    grid-template-rows: auto 280px 240px;
    .below {
      grid-template-columns: minmax(0, 1fr) 96px;
      padding: 0 14px;
    }
    > .head {
      padding: 0 14px;
    }
  }
`;
const Cloths = styled(TabList)`
  display: flex;
  flex-wrap: wrap;
  gap: 7px;
  padding: 10px 0 4px;
`;
const Cloth = styled(Tab)`
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 34px;
  padding: 3px 12px 3px 7px;
  border: 1.5px solid var(--line);
  border-radius: 18px;
  font-size: var(--size-note);
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
  i {
    width: 17px;
    height: 17px;
    border: 1px solid rgb(0 0 0 / 25%);
    border-radius: 5px;
  }
  ${chosenRing}
  ${fingerHigh}
`;
const Folds = styled(ToggleButtonGroup)`
  display: flex;
  button {
    padding: 5px 11px;
    border: 1px solid var(--line);
    background: var(--card);
    font-size: var(--size-note);
    font-weight: 600;
    color: var(--soft);
    cursor: pointer;
  }
  button:first-child {
    border-radius: 8px 0 0 8px;
  }
  button:last-child {
    border-radius: 0 8px 8px 0;
  }
  button + button {
    border-left: 0;
  }
  button[data-selected] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--card);
  }
  ${touch} {
    button {
      min-height: var(--finger);
    }
  }
`;
const ToPrint = styled.p`
  display: grid;
  a {
    padding: 7px 0;
  }
  ${touch} {
    a {
      padding: 11px 0;
    }
  }
`;
const Wrong = styled.div`
  padding: 12px 0;
  border-top: 1px solid var(--line);
  button {
    color: var(--chalk);
    font-size: var(--size-lead);
  }
`;

const LIES: Readonly<Record<Fold, string>> = {
  open: 'laid open',
  once: 'folded once, fold toward you',
  twice: 'folded twice, fold toward you',
};
const FOLD_NAMES: readonly (readonly [Fold, string])[] = [
  ['open', 'Open'],
  ['once', 'Folded'],
  ['twice', 'Twice'],
];

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

function AtTable({
  cloth,
  cloths,
  onCloth,
}: {
  cloth: string;
  cloths: Quilt['fabrics'];
  onCloth: (id: string) => void;
}) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const { table, record, way } = useTable(cloth);
  useListening();
  const dispatch = useAppDispatch();
  const id = useAppSelector((s) => s.saving.id)!;
  const [{ fold, leftHanded }, setHabits] = useHabits();
  const wrong = useSheet('wrong');
  const work = useRef<HTMLDivElement>(null);
  useWorkAfter(wrong.open !== null, work);
  const [page, setPage] = useLeaf(['table', 'buy']);
  const { unit } = plan;
  const step = table.next === null ? null : table.steps[table.next]!;
  const last = table.steps.findLast(({ done }) => done) ?? null;
  const done = () => step && void dispatch(stepDone(cloth, table, step));
  const back = last ? () => void dispatch(stepUndone(record, last)) : null;
  useSpaceBar(page === 'table' && wrong.open === null ? done : null);
  const lines = useMemo(() => cuttingJob(plan, quilt, cloth).lines, [plan, quilt, cloth]);
  const shown =
    step?.kind === 'square'
      ? (table.steps.slice(table.next!).find(({ kind }) => kind !== 'square') ?? null)
      : step;
  const opened = shown?.kind === 'strip' ? openedLater(table.steps, shown) : shown;
  const waits = useMemo(() => waitsIn(plan, lines), [plan, lines]);
  const waiting = useMemo(
    () => new Set(lines.filter((line) => waitOf(plan, line)).map((line) => line.id)),
    [plan, lines],
  );
  const { fabric, tooNarrow } = table.placed;
  const buying = useAppSelector(selectToBuy).find((one) => one.fabric.id === cloth);
  const short =
    buying && buying.have !== null && buying.settled === null
      ? `This takes ${formatWithUnit(buying.inAll, unit)} and you have ${formatWithUnit(buying.have, unit)}. Buy ${buying.buy.text} more, or see what else could be done.`
      : null;
  const stashLeft = () =>
    void dispatch(putInStash(leftoverEntries({ id, title: plan.title }, fabric, record, unit)));
  return (
    <StageGrid>
      <Table>
        <div className="head">
          <h1>
            {fabric.name}, {LIES[fold]}
          </h1>
          <Folds
            aria-label="How the cloth lies"
            selectionMode="single"
            disallowEmptySelection
            selectedKeys={[fold]}
            onSelectionChange={(keys) => setHabits({ fold: [...keys][0] as Fold })}
          >
            {FOLD_NAMES.map(([id, name]) => (
              <ToggleButton key={id} id={id}>
                {name}
              </ToggleButton>
            ))}
          </Folds>
        </div>
        <ClothDrawing {...{ table, step, fold, unit, waiting }} left={leftHanded} />
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
          <QuiltLit plan={plan} layout={quilt.layout} parts={partsOf(opened ?? step, lines)} />
        </div>
      </Table>
      <StageSide aria-label="At the table">
        <Leaves selectedKey={page} onSelectionChange={(key) => setPage(String(key))}>
          <TabList aria-label="Cutting and buying">
            <Leaf id="table">At the table</Leaf>
            <Leaf id="buy">Buy</Leaf>
          </TabList>
          <TabPanel id="table">
            <Tabs
              selectedKey={cloth}
              onSelectionChange={(key) => onCloth(String(key))}
              keyboardActivation="manual"
            >
              <Cloths aria-label="Cloths">
                {cloths.map((one) => (
                  <Cloth key={one.fabric.id} id={one.fabric.id}>
                    <i style={{ background: one.fabric.colour }} />
                    {one.fabric.name}
                    <ClothState cloth={one.fabric.id} />
                  </Cloth>
                ))}
              </Cloths>
              <TabPanel id={cloth}>
                {tooNarrow.map((says) => (
                  <p key={says} role="alert">
                    <Lengths text={says} />
                  </p>
                ))}
                <div ref={work}>
                  <InHand {...{ table, fold, unit }} onDone={() => done()} onBack={back} />
                </div>
                <CutSoFar
                  table={table}
                  waits={short ? [short, ...waits] : waits}
                  unit={unit}
                  onStash={table.next === null && record.left.length > 0 ? stashLeft : null}
                />
                {record.plan === null && <WaySection cloth={cloth} table={table} way={way} />}
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
              </TabPanel>
            </Tabs>
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

/** What takes the space bar for itself. */
const HAS_SPACE =
  'button, input, textarea, select, [role=tab], [role=radio], [role=dialog], [contenteditable]';

/** The space bar does what the great button does, unless something else has the keyboard. */
function useSpaceBar(act: (() => unknown) | null): void {
  useEffect(() => {
    if (!act) return;
    const pressed = (event: KeyboardEvent) => {
      const on = event.target as HTMLElement;
      if (event.code !== 'Space' || event.repeat || on.closest(HAS_SPACE)) return;
      event.preventDefault();
      act();
    };
    document.addEventListener('keydown', pressed);
    return () => document.removeEventListener('keydown', pressed);
  });
}

/** How far a cloth is, for its tab. */
function ClothState({ cloth }: { cloth: string }) {
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id)!;
  const { unit } = useAppSelector(selectPlan);
  const begun = useMemo(() => cutRecord(log, id, cloth, unit).done.size > 0, [log, id, cloth, unit]);
  return begun ? <span> · begun</span> : null;
}

/** A strip just cut off is drawn with what will be cut from it. */
const openedLater = (steps: readonly TableStep[], strip: TableStep): TableStep =>
  steps.find(({ kind, strips }) => kind === 'pieces' && strips.includes(strip.strips[0]!)) ?? strip;

function openedSays({ kind, strips, box }: TableStep, unit: Plan['unit']): string {
  if (kind === 'leftover') return 'The piece left over, and what comes of it';
  const width = formatWithUnit(box.h, unit);
  if (kind === 'strip') return `Strip ${strips[0]! + 1} of ${width}, opened out: it stays whole`;
  return strips.length > 1
    ? `Strips ${strips[0]! + 1} to ${strips.at(-1)! + 1} of ${width}, each opened out and turned`
    : `Strip ${strips[0]! + 1} of ${width}, opened out and turned`;
}

const partsOf = (step: TableStep | null, lines: readonly CutLine[]): readonly string[] =>
  step?.makes.flatMap((made) =>
    made.lines.flatMap((line) => lines.find(({ id }) => id === line)?.parts ?? []),
  ) ?? [];

/** What of this cloth waits until something is measured, and what is risked by cutting it now. */
function waitsIn(plan: Plan, lines: readonly CutLine[]): string[] {
  const said = new Map<string, string[]>();
  for (const line of lines) {
    const wait = waitOf(plan, line);
    if (!wait) continue;
    const key = `until ${wait.until}: ${wait.risk}`;
    said.set(key, [...(said.get(key) ?? []), line.name.toLowerCase()]);
  }
  return [...said].map(([says, names]) => {
    const what = names.join(', ');
    return `${capital(what)} wait ${says}`;
  });
}
