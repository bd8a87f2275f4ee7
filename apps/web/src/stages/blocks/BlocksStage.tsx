import {
  type CutTo,
  doubtOf,
  formatWithUnit,
  kindOf,
  type Layout,
  numberOf,
  type PileBlock,
  type Plan,
  proposedCut,
  type ReadBlocks,
  readBlocksCsv,
  VERDICT_NAMES,
  verdictOn,
  wallOf,
  writeBlocksCsv,
} from '@lattice/core';
import { Camera, FileDown, FileUp, Plus } from 'lucide-react';
import { lazy, Suspense, useCallback, useMemo, useRef, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { ChartFrame } from '../../rooms/charts/ChartFrame.tsx';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { useSheet } from '../../browser/useInAddress.ts';
import { Button } from '../../design/controls/Button.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { outlinePath } from '../../rooms/drawing/paths.ts';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { download } from '../../browser/download.ts';
import {
  withBlock,
  withMoreBlocks,
  withoutBlocks,
  withPile,
  withSizesFrom,
  withUnmeasured,
} from '../../state/pileEdits.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { AddByLine } from '../../rooms/beginning/AddByLine.tsx';
import { EmptyPile } from '../../rooms/beginning/EmptyPile.tsx';
import { SpareOffers } from '../../rooms/beginning/SpareOffers.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { StageGrid, StageSide } from '../stageLayout.ts';
import { BlockSheet } from './BlockSheet.tsx';
import { BlockTable, type CellAt, EDGES, SIZES, type TableHandle } from './BlockTable.tsx';
import { KindsSection } from './KindsSection.tsx';
import { readTable } from './readTable.ts';
import { SeamTest } from './SeamTest.tsx';
import { SizeChoices } from './SizeChoices.tsx';
import { TapePanel } from './TapePanel.tsx';
import { theseOf, UnderstoodSheet } from './UnderstoodSheet.tsx';
import { narrow } from '../../design/media.ts';

const SizeChart = lazy(async () => ({ default: (await import('./SizeChart.tsx')).SizeChart }));
/** What a photo is read with is large, and fetched when one is. */
const PhotoSheet = lazy(async () => ({
  default: (await import('../../rooms/camera/PhotoSheet.tsx')).PhotoSheet,
}));

const Work = styled.div`
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-width: 0;
  min-height: 0;
  padding: 14px 18px;
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .bar h2 {
    margin-right: auto;
    font: 650 var(--size-title)/1.2 var(--name);
  }
  .problem {
    min-height: 20px;
    font-size: var(--size-note);
    color: var(--wrong);
  }
  .more summary {
    width: max-content;
    padding: 4px 6px;
    font-size: var(--size-text);
    font-weight: 600;
    cursor: pointer;
  }
  .empty {
    padding: 6px 10px;
    text-align: center;
    color: var(--soft);
  }
  ${narrow} {
    height: 90vh;
  }
`;
const Side = styled(StageSide)`
  .quilt {
    height: 190px;
    margin: 8px 0 6px;
  }
  .counts {
    font-size: var(--size-note);
    color: var(--soft);
  }
  .counts b {
    color: var(--ink);
  }
`;

/** Blocks: the pile to type or measure into, its sizes with the cut line, verdicts to work off, and the seam tested. */
export function BlocksStage() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const edit = useEdit();
  const { pile, unit, seam, block } = plan;
  const meant: CutTo = useMemo(
    () => ({ width: block.width + 2 * seam, height: block.height + 2 * seam }),
    [block, seam],
  );
  /** Size all are cut to; null: as proposed, so that verdicts and proposal are of one size. */
  const [chosenCut, setCut] = useState<CutTo | null>(null);
  const proposed = useMemo(() => proposedCut(plan), [plan]);
  const cut: CutTo = chosenCut ?? proposed;
  const setCutWidth = (width: number) => setCut({ width, height: cut.height + width - cut.width });
  const [edges, setEdges] = useState(pile.some((b) => b.edges));
  const [problem, setProblem] = useState<string | null>(null);
  const [kind, setKind] = useState<string | null>(null);
  const sheet = useSheet('block');
  const photo = useSheet('photo');
  const id = useAppSelector((s) => s.saving.id)!;
  const [pointed, setPointed] = useState<string | null>(null);
  /** A table that was read, and the block the cursor was at. */
  const [read, setRead] = useState<{ table: ReadBlocks; from: number | null } | null>(null);
  const takeTable = useCallback(
    async (files: FileList | null) => {
      const found = await readTable(files, unit);
      setRead(found && { table: found, from: null });
    },
    [unit],
  );
  // A table that is dropped here is of blocks.
  const closed = photo.open === null;
  useFilesHere(useCallback(async (files) => (closed ? takeTable(files) : undefined), [closed, takeTable]));
  const at = useRef<CellAt | null>(null);
  const table = useRef<TableHandle>(null);

  const change = useCallback(
    (id: string, what: { [K in keyof PileBlock]?: PileBlock[K] | undefined }) =>
      edit((p) => withBlock(p, id, what)),
    [edit],
  );
  const setSize = useCallback(
    (cell: CellAt, value: number | null): string | null => {
      const its = pile[cell.row];
      if (!its) return null;
      if (cell.field === 'width' || cell.field === 'height')
        // Corner to corner it was measured with the sizes it had.
        return change(its.id, { [cell.field]: value, diagonals: undefined, settled: undefined });
      if (value === null) return change(its.id, { edges: undefined });
      if (its.width === null || its.height === null)
        return 'Measure it across the middle both ways first, then along its edges.';
      const had = its.edges ?? { top: its.width, bottom: its.width, left: its.height, right: its.height };
      return change(its.id, { edges: { ...had, [cell.field]: value }, settled: undefined });
    },
    [pile, change],
  );
  const fields = edges ? [...SIZES, ...EDGES] : [...SIZES];
  const takeReading = (length: number) => {
    const cell = at.current;
    if (!cell)
      return setProblem(
        `The tape read ${formatWithUnit(length, unit)}, but no size is selected. Choose the cell it belongs in and squeeze again.`,
      );
    const wide = cell.field === 'width' || cell.field === 'top' || cell.field === 'bottom';
    const doubt = doubtOf(length, wide ? meant.width : meant.height, unit);
    if (doubt) return setProblem(doubt);
    const mark = unit === 'in' ? Math.round(length * 16) / 16 : Math.round(length * 10) / 10;
    const wrong = setSize(cell, mark);
    setProblem(wrong);
    if (wrong) return;
    const next = fields.indexOf(cell.field) + 1;
    const to: CellAt =
      next < fields.length ? { row: cell.row, field: fields[next]! } : { row: cell.row + 1, field: 'width' };
    at.current = to;
    table.current?.focus(to);
  };
  const onCell = useCallback((cell: CellAt) => {
    at.current = cell;
  }, []);

  const rows = useMemo(
    () =>
      pile
        .map((b, number) => ({ block: b, number }))
        .filter((r) => kind === null || kindOf(r.block) === kind),
    [pile, kind],
  );
  const opened = pile.find((b) => b.id === sheet.open);
  const kinds = (['small', 'crooked', 'trim', 'ease', 'fine', 'unmeasured'] as const)
    .map((kind) => ({ kind, blocks: pile.filter((b) => verdictOn(b, cut, unit, seam).kind === kind) }))
    .filter((k) => k.blocks.length > 0);
  const toWork = kinds
    .filter((k) => k.kind === 'small' || k.kind === 'crooked' || k.kind === 'trim')
    .flatMap((k) => k.blocks);
  const worked = toWork.filter((b) => b.settled).length;
  return (
    <StageGrid>
      <Work>
        <div className="bar">
          <h2>{pile.length === 0 ? 'No blocks yet' : numberOf(pile.length, 'block')}</h2>
          <Button onPress={() => edit((p) => withUnmeasured(p, 1))}>
            <Plus size={15} aria-hidden />
            Add a block
          </Button>
          <FileTrigger
            acceptedFileTypes={['.csv', '.tsv', '.txt', 'text/csv']}
            onSelect={(files) => void takeTable(files)}
          >
            <Button>
              <FileUp size={15} aria-hidden />
              From a CSV
            </Button>
          </FileTrigger>
          <Button
            isDisabled={pile.length === 0}
            onPress={() => download(`${plan.title} blocks.csv`, writeBlocksCsv(pile, unit), 'text/csv')}
          >
            <FileDown size={15} aria-hidden />
            To a CSV
          </Button>
          <Button isDisabled={pile.length === 0} onPress={() => photo.show()}>
            <Camera size={15} aria-hidden />
            By photo
          </Button>
        </div>
        {pile.length > 0 && (
          <ChartFrame height={190}>
            <SizeChart {...{ pile, meant, cut, unit, seam }} onCut={setCutWidth} />
          </ChartFrame>
        )}
        {pile.length === 0 ? (
          <>
            <EmptyPile autoFocus />
            <p className="empty">
              Or take them from a CSV, or copy a table in a spreadsheet and paste it in the table with Ctrl V.
            </p>
          </>
        ) : (
          <details className="more">
            <summary>More blocks, in one line</summary>
            <AddByLine />
          </details>
        )}
        <BlockTable
          {...{ rows, cut, unit, seam, edges, onCell }}
          handle={table}
          onChange={change}
          onSize={setSize}
          onProblem={setProblem}
          onOpen={sheet.show}
          onPoint={setPointed}
          onPaste={(text) => setRead({ table: readBlocksCsv(text, unit), from: at.current?.row ?? null })}
        />
        <p className="problem" role="alert">
          {problem && <Lengths text={problem} />}
        </p>
      </Work>
      <Side aria-label="Sizes">
        <PointedQuilt plan={plan} layout={quilt.layout} id={pointed} />
        <p className="counts" data-testid="verdicts">
          At{' '}
          <b>
            <Lengths text={formatWithUnit(cut.width, unit)} />
          </b>
          :{' '}
          {kinds
            .map(({ kind, blocks }) => `${blocks.length} ${VERDICT_NAMES[kind].toLowerCase()}`)
            .join(', ') || 'nothing measured'}
          .
          {toWork.length > 0 && (
            <>
              {' '}
              {worked} of {toWork.length} worked off.
            </>
          )}
        </p>
        <AdviceFor path="grid" />
        <SpareOffers />
        {toWork.length > worked && (
          <Caution>
            Trimming: close the cutter at every put-down, cut away from yourself with the hand behind the
            ruler’s edge, shift the hand rather than reach, and change a dull blade.
          </Caution>
        )}
        <SizeChoices cut={cut} onCut={setCut} />
        <KindsSection pile={pile} unit={unit} chosen={kind} onChoose={setKind} />
        <TapePanel unit={unit} meant={meant.width} onReading={takeReading} />
        <Section title="Readings">
          <SwitchField label="Along the four edges too" value={edges} onChange={setEdges} />
          <p>
            <small>Three readings each way tell a crooked block from one that is merely large.</small>
          </p>
        </Section>
        <SeamTest />
        <Section title="Made by several">
          <Link to={`/quilts/${id}/group`}>The group: who made what, what is asked of them</Link>
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
              setEdges(true);
              change(block, { ...sizes, settled: undefined });
            }}
            onClose={photo.close}
          />
        </Suspense>
      )}
      <UnderstoodSheet
        read={read?.table ?? null}
        ways={[
          {
            name:
              pile.length > 0
                ? `Put ${theseOf(read?.table.blocks.length ?? 0)} in place of the pile`
                : `Use ${theseOf(read?.table.blocks.length ?? 0)}`,
            take: ({ blocks }) => edit((p) => withPile(p, blocks)),
          },
          ...(pile.length > 0
            ? [
                {
                  name: 'Add them to the pile',
                  take: ({ blocks }: ReadBlocks) => edit((p) => withMoreBlocks(p, blocks)),
                },
              ]
            : []),
          ...(read && read.from !== null && pile[read.from]
            ? [
                {
                  name: `Fill sizes from ${pile[read.from]!.name} on`,
                  take: ({ blocks }: ReadBlocks) => edit((p) => withSizesFrom(p, read.from!, blocks)),
                },
              ]
            : []),
        ]}
        leave="Leave the pile as it is"
        onClose={() => setRead(null)}
      />
    </StageGrid>
  );
}

/** The quilt small, with the block that is pointed at in the table lit. */
function PointedQuilt({ plan, layout, id }: { plan: Plan; layout: Layout; id: string | null }) {
  const places = layout.pieces.filter((p) => p.place !== undefined);
  const place = id === null ? -1 : wallOf(plan, places.length).places.findIndex((l) => l.block?.id === id);
  const lit = places.find((p) => p.place === place);
  return (
    <svg
      className="quilt"
      viewBox={`0 0 ${layout.finished.width.value} ${layout.finished.height.value}`}
      width="100%"
      aria-hidden
    >
      <QuiltArt plan={plan} layout={layout} />
      {lit && (
        <path
          d={outlinePath(lit)}
          fill="var(--chalk)"
          fillOpacity={0.45}
          stroke="var(--chalk)"
          strokeWidth={3}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}
