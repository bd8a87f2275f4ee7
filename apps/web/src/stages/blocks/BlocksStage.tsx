import { readBlocksCsv } from '@lattice/core';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useSheet } from '../../browser/useInAddress.ts';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { AddByLine } from '../../rooms/beginning/AddByLine.tsx';
import { EmptyPile } from '../../rooms/beginning/EmptyPile.tsx';
import { SpareOffers } from '../../rooms/beginning/SpareOffers.tsx';
import { ChartFrame } from '../../rooms/charts/ChartFrame.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { useAppSelector } from '../../state/hooks.ts';
import { withoutBlocks } from '../../state/pileEdits.ts';
import { selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { StageGrid } from '../stageLayout.ts';
import { BlocksBar } from './BlocksBar.tsx';
import { BlockSheet } from './BlockSheet.tsx';
import { Side, Work } from './BlocksStage.styles.ts';
import { BlockTable } from './BlockTable.tsx';
import { KindsSection } from './KindsSection.tsx';
import { PointedQuilt } from './PointedQuilt.tsx';
import { SeamTest } from './SeamTest.tsx';
import { SizeChoices } from './SizeChoices.tsx';
import { TapePanel } from './TapePanel.tsx';
import { UnderstoodSheet } from './UnderstoodSheet.tsx';
import { useBlocks } from './useBlocks.ts';
import { Verdicts } from './Verdicts.tsx';
import { waysToTake } from './waysToTake.ts';

const SizeChart = lazy(async () => ({ default: (await import('./SizeChart.tsx')).SizeChart }));
/** What a photo is read with is large, and fetched when one is. */
const PhotoSheet = lazy(async () => ({
  default: (await import('../../rooms/camera/PhotoSheet.tsx')).PhotoSheet,
}));

/** Blocks: the pile to type or measure into, its sizes with the cut line, verdicts to work off, and the seam tested. */
export function BlocksStage() {
  const { layout } = useAppSelector(selectQuilt);
  const quilt = useAppSelector((s) => s.saving.id);
  const edit = useEdit();
  const sheet = useSheet('block');
  const photo = useSheet('photo');
  // A table that is dropped here is of blocks; over the camera a file is a photo.
  const at = useBlocks({ listens: photo.open === null });
  const { plan, meant, cut, edges, rows, change, read, setRead } = at;
  const { pile, unit, seam } = plan;
  const [pointed, setPointed] = useState<string | null>(null);
  const opened = pile.find((b) => b.id === sheet.open);
  return (
    <StageGrid>
      <Work>
        <BlocksBar plan={plan} onTable={at.takeTable} onPhoto={() => photo.show()} />
        {pile.length > 0 && (
          <ChartFrame height={190}>
            <SizeChart {...{ pile, meant, cut, unit, seam }} onCut={at.setCutWidth} />
          </ChartFrame>
        )}
        {pile.length === 0 ? <NoBlocks /> : <MoreBlocks />}
        <BlockTable
          {...{ rows, cut, unit, seam, edges }}
          handle={at.table}
          onCell={at.onCell}
          onChange={change}
          onSize={at.setSize}
          onProblem={at.setProblem}
          onOpen={sheet.show}
          onPoint={setPointed}
          onPaste={(text) => setRead({ table: readBlocksCsv(text, unit), from: at.cellRow() })}
        />
        <p className="problem" role="alert">
          {at.problem && <Lengths text={at.problem} />}
        </p>
      </Work>
      <Side aria-label="Sizes">
        <PointedQuilt plan={plan} layout={layout} id={pointed} />
        <Verdicts judged={at.judged} cut={cut} unit={unit} />
        <AdviceFor path="grid" />
        <SpareOffers />
        {at.judged.toWork > at.judged.worked && (
          <Caution>
            Trimming: close the cutter at every put-down, cut away from yourself with the hand behind the
            ruler’s edge, shift the hand rather than reach, and change a dull blade.
          </Caution>
        )}
        <SizeChoices cut={cut} onCut={at.setCut} />
        <KindsSection pile={pile} unit={unit} chosen={at.kind} onChoose={at.setKind} />
        <TapePanel unit={unit} meant={meant.width} onReading={at.takeReading} />
        <Section title="Readings">
          <SwitchField label="Along the four edges too" value={edges} onChange={at.setEdges} />
          <p>
            <small>Three readings each way tell a crooked block from one that is merely large.</small>
          </p>
        </Section>
        <SeamTest />
        <Section title="Made by several">
          <Link to={`/quilts/${quilt ?? ''}/group`}>The group: who made what, what is asked of them</Link>
        </Section>
      </Side>
      {opened && (
        <BlockSheet
          key={opened.id}
          block={opened}
          onChange={(what) => change(opened.id, what)}
          onRemove={() => {
            sheet.close();
            edit((p) => withoutBlocks(p, [opened.id]));
          }}
          onClose={sheet.close}
        />
      )}
      {photo.open !== null && (
        <Suspense fallback={null}>
          <PhotoSheet
            plan={plan}
            cut={cut}
            onMeasured={(block, sizes) => {
              at.setEdges(true);
              change(block, { ...sizes, settled: undefined });
            }}
            onClose={photo.close}
          />
        </Suspense>
      )}
      <UnderstoodSheet
        read={read?.table ?? null}
        ways={read ? waysToTake(read, pile, edit) : []}
        leave="Leave the pile as it is"
        onClose={() => setRead(null)}
      />
    </StageGrid>
  );
}

const NoBlocks = () => (
  <>
    <EmptyPile autoFocus />
    <p className="empty">
      Or take them from a CSV, or copy a table in a spreadsheet and paste it in the table with Ctrl V.
    </p>
  </>
);

const MoreBlocks = () => (
  <details className="more">
    <summary>More blocks, in one line</summary>
    <AddByLine />
  </details>
);
