import { type BandHandle, fabricById, formatSize, formatWithUnit, fromInches, type Layout, type Plan, type Quilt } from '@lattice/core';
import { ToggleButton } from 'react-aria-components';
import { memo, useMemo, useState } from 'react';
import styled from 'styled-components';
import { Lengths } from '../design/Lengths.tsx';
import { Board } from './Board.ts';
import { GrainMarks, JoinMarks } from './marks.tsx';
import { partPath } from './paths.ts';
import { QuiltArt } from './QuiltArt.tsx';
import { gripSize, Tape, TAPE } from './Tape.tsx';
import { useRoom } from './useRoom.ts';

const Drawing = styled.svg`
  position: absolute;
  inset: 0;
  .cloth { filter: drop-shadow(0 2px 5px rgb(0 0 0 / 30%)); }
`;
const Legend = styled.div`
  position: absolute;
  inset: auto 20px 10px;
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
  font-size: 13px;
  color: var(--soft);
  pointer-events: none;
  .marks { display: flex; align-items: center; gap: 14px; }
  .dash { display: inline-block; width: 22px; margin-right: 8px; border-top: 2px dashed var(--thread); vertical-align: middle; }
`;

const Mark = styled(ToggleButton)`
  padding: 3px 10px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  color: var(--soft);
  font-size: 13px;
  cursor: pointer;
  pointer-events: auto;
  &[data-hovered] { border-color: var(--soft); }
  &[data-selected] { border-color: var(--ink); color: var(--ink); font-weight: 650; }
  &[data-focus-visible] { outline: 2px solid var(--chalk); outline-offset: 2px; }
  @media (pointer: coarse) { min-height: 44px; padding: 3px 16px; border-radius: 22px; }
`;

/** Pixels kept free round the quilt: tapes, with room for their grips beside them, and the legend. */
const marginFor = (grip: number) => ({ left: 60 + grip, top: 60 + grip, right: 30, bottom: 48 });

interface QuiltBoardProps {
  readonly plan: Plan;
  readonly quilt: Quilt;
  /** Mark the straight grain on every cut piece. */
  readonly grain: boolean;
  readonly onGrain: (on: boolean) => void;
  readonly pointed: readonly string[];
  readonly onPoint: (parts: readonly string[]) => void;
  readonly onMove: (handle: BandHandle, width: number, gesture: string) => string | null;
}

/** Invisible areas that answer the pointer, one a part. Kept apart so that pointing never redraws the quilt. */
const HitAreas = memo(function HitAreas({ layout, onPoint }: { layout: Layout; onPoint: (parts: readonly string[]) => void }) {
  return (
    <g onPointerLeave={() => onPoint([])}>
      {Object.keys(layout.parts).map((part) => (
        <path key={part} data-part={part} d={partPath(layout, part)} fill="transparent" onPointerEnter={() => onPoint([part])} />
      ))}
    </g>
  );
});

/** The quilt to scale on a gridded floor, a tape along the top and the left, the target as a dashed line. */
export function QuiltBoard({ plan, quilt, grain, onGrain, pointed, onPoint, onMove }: QuiltBoardProps) {
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const room = useRoom(element);
  const { layout } = quilt;
  const { unit } = plan;
  const target = quilt.target && { width: quilt.target.width.value, height: quilt.target.height.value };
  const size = { width: layout.finished.width.value, height: layout.finished.height.value };
  const shown = { width: Math.max(size.width, target?.width ?? 0), height: Math.max(size.height, target?.height ?? 0) };
  const margin = marginFor(gripSize());
  const free = { width: room.width - margin.left - margin.right, height: room.height - margin.top - margin.bottom };
  const scale = Math.max(0, Math.min(free.width / shown.width, free.height / shown.height));
  const x = margin.left + Math.max(0, (free.width - shown.width * scale) / 2);
  const y = margin.top + Math.max(0, (free.height - shown.height * scale) / 2);
  const floor = fromInches(unit === 'in' ? 6 : 10 / 2.54, unit);

  const lit = useMemo(() => pointed.map((part) => partPath(layout, part)).join(''), [layout, pointed]);
  const colourOf = (part: string) => {
    const cut = layout.parts[part]?.cutFrom;
    return cut ? fabricById(plan, cut.fabric).colour : null;
  };
  const partsOf = (handle: BandHandle) => {
    // A border's own strips; for a length of the setting, whatever has the role of the divisions it moves.
    const roles = [...layout.bands.across, ...layout.bands.down].flatMap(({ role, moves }) => (moves?.what === 'setting' && handle.what === 'setting' && moves.key === handle.key ? [role] : []));
    return Object.values(layout.parts)
      .filter(({ cutFrom, role }) => (handle.what === 'border' ? cutFrom?.use.what === 'border' && cutFrom.use.index === handle.index : roles.includes(role)))
      .map((part) => part.key);
  };
  const tape = { unit, scale, colourOf, pointed, onPoint, partsOf, onMove };
  return (
    <Board ref={setElement}>
      {scale > 0 && (
        <>
          <Drawing width={room.width} height={room.height} role="img" aria-label={`The quilt, ${formatSize(size.width, size.height, unit)} finished`}>
            <defs>
              <pattern id="floor" width={floor * scale} height={floor * scale} x={x} y={y} patternUnits="userSpaceOnUse">
                <path d={`M0 0H${floor * scale}M0 0V${floor * scale}`} stroke="var(--grid)" fill="none" />
              </pattern>
            </defs>
            <rect width={room.width} height={room.height} fill="url(#floor)" />
            <rect className="cloth" x={x} y={y} width={size.width * scale} height={size.height * scale} fill="var(--card)" />
            <g transform={`translate(${x} ${y}) scale(${scale})`}>
              <QuiltArt plan={plan} layout={layout} />
              <JoinMarks joins={quilt.joins} />
              {grain && <GrainMarks layout={layout} most={fromInches(4, unit)} />}
              <HitAreas layout={layout} onPoint={onPoint} />
              {lit && <path className="lit" d={lit} fill="var(--chalk)" fillOpacity={0.28} stroke="var(--chalk)" strokeWidth={1.6} vectorEffect="non-scaling-stroke" pointerEvents="none" />}
            </g>
            {target && (
              <path
                d={`M${x + target.width * scale} ${y - TAPE - 20}V${y + shown.height * scale + 8}M${x - TAPE - 18} ${y + target.height * scale}H${x + shown.width * scale + 12}`}
                stroke="var(--thread)" strokeWidth={2} strokeDasharray="6 4" fill="none" pointerEvents="none"
              />
            )}
          </Drawing>
          <Tape direction="across" bands={layout.bands.across} start={x} offset={y - TAPE - 14} {...tape} />
          <Tape direction="down" bands={layout.bands.down} start={y} offset={x - TAPE - 12} {...tape} />
        </>
      )}
      <Legend>
        <span>{target && <><span className="dash" />target <Lengths text={formatSize(target.width, target.height, unit)} /></>}</span>
        <span className="marks">
          <Mark isSelected={grain} onChange={onGrain}>Straight grain</Mark>
          <span>floor squares <Lengths text={formatWithUnit(floor, unit)} /></span>
        </span>
      </Legend>
    </Board>
  );
}
