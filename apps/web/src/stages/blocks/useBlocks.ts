import { type CutTo, kindOf, proposedCut, type ReadBlocks } from '@lattice/core';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { withBlock } from '../../state/pileEdits.ts';
import { selectPlan } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import type { TableHandle } from './BlockTable.tsx';
import { readTable } from './readTable.ts';
import { type BlockChange, type CellAt, cellAfter, judge, readingFor, sizeGiven } from './sizes.ts';

/** A table that was read, and the block the cursor was at. */
export interface TableRead {
  readonly table: ReadBlocks;
  readonly from: number | null;
}

/** The size all blocks are cut to: as chosen, or as proposed, so that verdicts and proposal are of one size. */
function useCut() {
  const plan = useAppSelector(selectPlan);
  const [chosen, setCut] = useState<CutTo | null>(null);
  const proposed = useMemo(() => proposedCut(plan), [plan]);
  const cut = chosen ?? proposed;
  const setCutWidth = (width: number) => setCut({ width, height: cut.height + width - cut.width });
  return { cut, setCut, setCutWidth };
}

/** A table of blocks dropped or chosen here: what was read of it waits to be taken. */
function useTable(listens: boolean) {
  const { unit } = useAppSelector(selectPlan);
  const [read, setRead] = useState<TableRead | null>(null);
  const takeTable = useCallback(
    async (files: FileList | null) => {
      const found = await readTable(files, unit);
      setRead(found && { table: found, from: null });
    },
    [unit],
  );
  useFilesHere(useCallback(async (files) => (listens ? takeTable(files) : undefined), [listens, takeTable]));
  return { read, setRead, takeTable };
}

/** The pile being typed and measured: its sizes, where the cursor is, what a tape reads there, how it stands. */
export function useBlocks({ listens }: { listens: boolean }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { pile, unit, seam, block } = plan;
  const meant: CutTo = useMemo(
    () => ({ width: block.width + 2 * seam, height: block.height + 2 * seam }),
    [block, seam],
  );
  const cutting = useCut();
  const [edges, setEdges] = useState(pile.some((b) => b.edges));
  const [problem, setProblem] = useState<string | null>(null);
  const [kind, setKind] = useState<string | null>(null);
  const at = useRef<CellAt | null>(null);
  const table = useRef<TableHandle>(null);

  const change = useCallback((id: string, what: BlockChange) => edit((p) => withBlock(p, id, what)), [edit]);
  const setSize = useCallback(
    (cell: CellAt, value: number | null): string | null => {
      const its = pile[cell.row];
      if (!its) return null;
      const given = sizeGiven(its, cell.field, value);
      return typeof given === 'string' ? given : change(its.id, given);
    },
    [pile, change],
  );
  const takeReading = (length: number) => {
    const reading = readingFor(at.current, length, meant, unit);
    if (typeof reading !== 'number') return setProblem(reading.doubt);
    if (!at.current) return;
    const wrong = setSize(at.current, reading);
    setProblem(wrong);
    if (wrong) return;
    at.current = cellAfter(at.current, edges);
    table.current?.focus(at.current);
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
  return {
    ...{ plan, meant, ...cutting, edges, setEdges, problem, setProblem, kind, setKind, rows },
    ...{ change, setSize, takeReading, onCell, table, ...useTable(listens) },
    /** The block the cursor is at. */
    cellRow: () => at.current?.row ?? null,
    judged: judge(pile, cutting.cut, unit, seam),
  };
}
