import {
  capital,
  type CutTo,
  type PileBlock,
  type Unit,
  type Verdict,
  VERDICT_NAMES,
  verdictOn,
} from '@lattice/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Check } from 'lucide-react';
import { memo, useEffect, useImperativeHandle, useRef, useState } from 'react';
import styled from 'styled-components';
import { Lengths } from '../../design/Lengths.tsx';
import { BlockArt } from '../../rooms/drawing/faces.tsx';
import { LengthCell } from './LengthCell.tsx';
import { SMALL, small, touch } from '../../design/media.ts';
import { type BlockChange, type CellAt, EDGES, SIZES, type SizeField } from './sizes.ts';

const Frame = styled.div`
  position: relative;
  flex: 1;
  min-height: 220px;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  font-size: var(--size-text);
`;
/** Height of a row; on a phone its verdict, and sizes at the edges, lie under its name. */
const ROW = 40;
const NARROW_ROW = 80;
const NARROW_ROW_EDGES = 120;
const columns = (edges: boolean) =>
  `44px minmax(110px, 1.4fr) minmax(70px, 0.8fr) 74px 74px ${edges ? '64px 64px 64px 64px ' : ''}minmax(150px, 2fr) 44px`;
const Line = styled.div<{ $edges: boolean; $row: number }>`
  display: grid;
  grid-template-columns: ${({ $edges }) => columns($edges)};
  align-items: center;
  gap: 6px;
  min-width: ${({ $edges }) => ($edges ? 880 : 600)}px;
  min-height: ${({ $row }) => $row}px;
  padding: 2px 8px;
  border-bottom: 1px solid var(--line);
  &[data-head] {
    position: sticky;
    z-index: 2;
    top: 0;
    height: 34px;
    background: var(--card);
    font-size: var(--size-note);
    color: var(--soft);
  }
  &[data-pointed] {
    background: var(--chalk-wash);
    box-shadow: inset 3px 0 0 var(--chalk);
  }
  .size {
    padding-right: 6px;
    text-align: right;
  }
  ${small} {
    grid-template-columns: 40px minmax(0, 1fr) 66px 66px 40px;
    grid-auto-rows: minmax(36px, auto);
    align-content: center;
    gap: 2px 4px;
    min-width: 0;
    /* Sizes and the tick beside the name, the verdict under them; who made it is on the block’s own sheet. */
    > :nth-child(3) {
      display: none;
    }
    > .done {
      grid-area: 1 / 5;
    }
    > .verdict {
      grid-area: ${({ $edges }) => ($edges ? 3 : 2)} / 1 / auto / -1;
    }
    > .edge {
      grid-row: 2;
    }
    &[data-head] {
      align-content: start;
      height: 34px;
    }
    &[data-head] > .edge,
    &[data-head] > .verdict {
      display: none;
    }
  }
  &[data-head] > span {
    padding-inline: 6px;
  }
`;
const Face = styled.button`
  width: 34px;
  height: 34px;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: none;
  overflow: hidden;
  cursor: pointer;
  &:hover {
    border-color: var(--chalk);
  }
  svg {
    display: block;
  }
`;
const TextCell = styled.input`
  width: 100%;
  min-width: 0;
  height: 34px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: transparent;
  text-overflow: ellipsis;
  &:hover {
    border-color: var(--line);
  }
  &:focus {
    outline: none;
    border-color: var(--chalk);
    background: var(--field);
    box-shadow: 0 0 0 1px var(--chalk);
  }
`;
const VerdictCell = styled.span`
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding-left: 8px;
  font-size: var(--size-note);
  line-height: 1.25;
  b {
    flex: none;
    min-width: 66px;
    font-weight: 650;
    color: var(--good);
  }
  span {
    color: var(--soft);
  }
  &[data-kind='ease'] b {
    color: var(--brass);
  }
  &[data-kind='trim'] b {
    color: var(--chalk);
  }
  &[data-kind='small'] b,
  &[data-kind='crooked'] b {
    color: var(--wrong);
  }
  &[data-kind='unmeasured'] b {
    color: var(--soft);
  }
`;
const Tick = styled.button`
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  border: 1.5px solid var(--soft);
  border-radius: 6px;
  background: none;
  color: transparent;
  cursor: pointer;
  &[aria-pressed='true'] {
    background: var(--good);
    border-color: var(--good);
    color: var(--card);
  }
  ${touch} {
    width: 40px;
    height: 40px;
  }
`;

const EDGE_NAMES: Readonly<Record<string, true>> = { top: true, bottom: true, left: true, right: true };

/** What the stage asks of the table. */
export interface TableHandle {
  readonly focus: (at: CellAt) => void;
}

interface BlockTableProps {
  /** The blocks to show, each with its number in the pile. */
  readonly rows: readonly { readonly block: PileBlock; readonly number: number }[];
  readonly cut: CutTo;
  readonly unit: Unit;
  readonly seam: number;
  /** Show the sizes at the four edges too. */
  readonly edges: boolean;
  readonly onChange: (id: string, change: BlockChange) => string | null;
  readonly onSize: (at: CellAt, value: number | null) => string | null;
  readonly onCell: (at: CellAt) => void;
  readonly onProblem: (problem: string | null) => void;
  readonly onOpen: (id: string) => void;
  readonly onPoint: (id: string | null) => void;
  readonly onPaste: (text: string) => void;
  readonly handle: React.Ref<TableHandle>;
}

/** How high a row is in this room. */
function useRowHeight(edges: boolean): number {
  const [narrow, setNarrow] = useState(() => window.matchMedia?.(SMALL).matches ?? false);
  useEffect(() => {
    const media = window.matchMedia?.(SMALL);
    const onChange = () => setNarrow(media?.matches ?? false);
    media?.addEventListener('change', onChange);
    return () => media?.removeEventListener('change', onChange);
  }, []);
  return !narrow ? ROW : edges ? NARROW_ROW_EDGES : NARROW_ROW;
}

/**
 * The pile as a table to type into at speed: Enter and the down arrow go to the next block's same size,
 * the up arrow back, Tab to the next size; a table pasted anywhere in it is shown before it is taken.
 */
export function BlockTable(props: BlockTableProps) {
  const { rows, edges, onPaste, handle } = props;
  const frame = useRef<HTMLDivElement>(null);
  const high = useRowHeight(edges);
  // eslint-disable-next-line react-hooks/incompatible-library -- no compiler memoizes here; its functions are used where they are made.
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => high,
    // A verdict that takes more lines has a higher row: it is read whole, not by hovering.
    measureElement: (row) => (row as HTMLElement).offsetHeight || high,
    overscan: 12,
  });
  useEffect(() => virtual.measure(), [virtual, high]);
  const focus = ({ row, field }: CellAt) => {
    const index = rows.findIndex((r) => r.number === row);
    if (index < 0) return;
    virtual.scrollToIndex(index);
    // A row far off is only there once the table has scrolled to it.
    requestAnimationFrame(() =>
      requestAnimationFrame(() =>
        frame.current?.querySelector<HTMLInputElement>(`[data-cell="${row}-${field}"]`)?.focus(),
      ),
    );
  };
  useImperativeHandle(handle, () => ({ focus }));
  const onKeyDown = (event: React.KeyboardEvent) => {
    const cell = (event.target as HTMLElement).dataset['cell'];
    const by =
      event.key === 'Enter' || event.key === 'ArrowDown'
        ? event.shiftKey
          ? -1
          : 1
        : event.key === 'ArrowUp'
          ? -1
          : 0;
    if (!cell || by === 0) return;
    const [row, field] = cell.split('-') as [string, SizeField];
    event.preventDefault();
    const next = rows[rows.findIndex((r) => r.number === Number(row)) + by];
    if (next) focus({ row: next.number, field });
  };
  return (
    <Frame
      ref={frame}
      role="table"
      aria-label="Blocks"
      aria-rowcount={rows.length + 1}
      onKeyDown={onKeyDown}
      onPaste={(event) => {
        const text = event.clipboardData.getData('text');
        if (!/[\t\n]/.test(text.trim())) return;
        event.preventDefault();
        onPaste(text);
      }}
    >
      <Line role="row" data-head $edges={edges} $row={34}>
        {['', 'Block', 'Made by'].map((name, i) => (
          <span key={i} role="columnheader">
            {name}
          </span>
        ))}
        {[...SIZES, ...(edges ? EDGES : [])].map((name) => (
          <span
            key={name}
            role="columnheader"
            className={(EDGES as readonly string[]).includes(name) ? 'size edge' : 'size'}
          >
            {capital(name)}
          </span>
        ))}
        <span role="columnheader" className="verdict">
          Verdict
        </span>
        <span role="columnheader" className="done">
          Done
        </span>
      </Line>
      <div role="rowgroup" style={{ position: 'relative', height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => (
          <Row
            key={rows[index]!.block.id}
            block={rows[index]!.block}
            row={rows[index]!.number}
            start={start}
            high={high}
            index={index}
            measure={virtual.measureElement}
            {...props}
          />
        ))}
      </div>
    </Frame>
  );
}

const Row = memo(function Row({
  block,
  row,
  start,
  high,
  index,
  measure,
  cut,
  unit,
  seam,
  edges,
  onChange,
  onSize,
  onCell,
  onProblem,
  onOpen,
  onPoint,
}: BlockTableProps & {
  block: PileBlock;
  row: number;
  start: number;
  high: number;
  index: number;
  measure: (row: Element | null) => void;
}) {
  const [pointed, setPointed] = useState(false);
  const verdict: Verdict = verdictOn(block, cut, unit, seam);
  const point = (on: boolean) => {
    setPointed(on);
    onPoint(on ? block.id : null);
  };
  const text = (field: 'name' | 'maker', label: string) => (
    <TextCell
      key={block[field] ?? ''}
      aria-label={label}
      defaultValue={block[field] ?? ''}
      maxLength={80}
      onBlur={(event) => {
        const value = event.target.value.trim();
        if (value !== (block[field] ?? '') && (value || field === 'maker'))
          onChange(block.id, { [field]: value || undefined });
      }}
    />
  );
  const size = (field: SizeField, value: number | null) => (
    <span role="cell" key={field} className={field in EDGE_NAMES ? 'edge' : ''}>
      <LengthCell
        label={`${block.name}, ${field}`}
        cell={`${row}-${field}`}
        value={value}
        unit={unit}
        onCommit={(v) => onSize({ row, field }, v)}
        onProblem={onProblem}
        onFocus={() => onCell({ row, field })}
      />
    </span>
  );
  return (
    <Line
      role="row"
      ref={measure}
      data-index={index}
      aria-rowindex={row + 2}
      $edges={edges}
      $row={high}
      data-pointed={pointed || undefined}
      style={{ position: 'absolute', insetInline: 0, transform: `translateY(${start}px)` }}
      onPointerEnter={() => point(true)}
      onPointerLeave={() => point(false)}
    >
      <span role="cell">
        <Face type="button" aria-label={`Open ${block.name}`} onClick={() => onOpen(block.id)}>
          <BlockArt block={block} />
        </Face>
      </span>
      <span role="cell">{text('name', `Name of block ${row + 1}`)}</span>
      <span role="cell">{text('maker', `Maker of ${block.name}`)}</span>
      {SIZES.map((field) => size(field, block[field]))}
      {edges && EDGES.map((field) => size(field, block.edges?.[field] ?? null))}
      <VerdictCell role="cell" className="verdict" data-kind={verdict.kind}>
        <b>{VERDICT_NAMES[verdict.kind]}</b>
        <span>
          <Lengths text={verdict.text} />
        </span>
      </VerdictCell>
      <span role="cell" className="done">
        {['trim', 'small', 'crooked', 'ease'].includes(verdict.kind) || block.settled ? (
          <Tick
            type="button"
            aria-pressed={block.settled === true}
            aria-label={`${block.name}: done`}
            onClick={() => onChange(block.id, { settled: block.settled ? undefined : true })}
          >
            <Check size={16} aria-hidden />
          </Tick>
        ) : null}
      </span>
    </Line>
  );
});
