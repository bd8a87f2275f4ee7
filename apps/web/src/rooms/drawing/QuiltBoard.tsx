import {
  type BandHandle,
  fabricById,
  formatSize,
  fromInches,
  type Layout,
  onBed,
  type Plan,
} from '@lattice/core';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { Lengths } from '../../design/Lengths.tsx';
import type { Drawn } from '../../state/selectors.ts';
import { BedUnder } from './BedUnder.tsx';
import { LitParts } from './litParts.ts';
import { GrainMarks } from './marks.tsx';
import { partPath } from './paths.ts';
import { useStroked } from './pixel.ts';
import { QuiltArt } from './QuiltArt.tsx';
import { Mark, ScaledBoard } from './ScaledBoard.tsx';
import { TAPE } from './Tape.tsx';

interface Size {
  readonly width: number;
  readonly height: number;
}

interface QuiltBoardProps {
  readonly plan: Plan;
  readonly quilt: Drawn;
  /** Marks of joined strips, over the cloth. */
  readonly joins: React.ReactNode;
  /** Mark the straight grain on every cut piece. */
  readonly grain: boolean;
  readonly onGrain: (on: boolean) => void;
  readonly pointed: readonly string[];
  readonly onPoint: (parts: readonly string[]) => void;
  readonly onHold?: (held: boolean) => void;
  readonly onMove: (handle: BandHandle, width: number, gesture: string) => string | null;
}

/** Invisible areas that answer the pointer, one a part. Kept apart so that pointing never redraws the quilt. */
const HitAreas = memo(function HitAreas({
  layout,
  onPoint,
}: {
  layout: Layout;
  onPoint: (parts: readonly string[]) => void;
}) {
  return (
    <g onPointerLeave={() => onPoint([])}>
      {Object.keys(layout.parts).map((part) => (
        <path
          key={part}
          data-part={part}
          d={partPath(layout, part)}
          fill="transparent"
          onPointerEnter={() => onPoint([part])}
        />
      ))}
    </g>
  );
});

/** The quilt to scale on a gridded floor, a tape along the top and the left, the target as a dashed line. */
export function QuiltBoard({
  plan,
  quilt,
  joins,
  grain,
  onGrain,
  pointed,
  onPoint,
  onHold,
  onMove,
}: QuiltBoardProps) {
  const { layout } = quilt;
  const { unit } = plan;
  // Nobody points elsewhere while a width is in the hand: what answers the pointer follows the drawing.
  const answering = useDeferredValue(layout);
  const target = quilt.target && { width: quilt.target.width.value, height: quilt.target.height.value };
  const size = { width: layout.finished.width.value, height: layout.finished.height.value };
  const [lying, setLying] = useState(false);
  const bed = onBed(plan.target, size, unit);
  const shown = {
    width: Math.max(size.width, target?.width ?? 0),
    height: Math.max(size.height, target?.height ?? 0),
  };
  // Cloth is drawn lit itself; blocks have a light over them.
  const over = useMemo(() => {
    const bare = pointed.filter((part) => !layout.parts[part]?.cutFrom);
    return bare.map((part) => partPath(layout, part)).join('');
  }, [layout, pointed]);
  const colourOf = (part: string) => {
    const cut = layout.parts[part]?.cutFrom;
    return cut ? fabricById(plan, cut.fabric).colour : null;
  };
  const partsOf = (handle: BandHandle) => {
    // A border's own strips, or its patches; for a length of the setting, whatever has the role of the divisions it moves.
    const roles = [...layout.bands.across, ...layout.bands.down].flatMap(({ role, moves }) =>
      moves?.what === 'setting' && handle.what === 'setting' && moves.key === handle.key ? [role] : [],
    );
    return Object.values(layout.parts)
      .filter(({ cutFrom, role }) =>
        handle.what === 'border'
          ? (cutFrom?.use.what === 'border' || cutFrom?.use.what === 'border-second') &&
            cutFrom.use.border === plan.borders[handle.index]?.id
          : roles.includes(role),
      )
      .map((part) => part.key);
  };
  return (
    <ScaledBoard
      {...{ unit, size, shown }}
      label={`The quilt, ${formatSize(quilt.finished.width.value, quilt.finished.height.value, unit)} finished`}
      tapes={{ ...layout.bands, colourOf, pointed, onPoint, partsOf, onHold, onMove }}
      said={
        target && (
          <>
            <span className="dash" />
            target <Lengths text={formatSize(target.width, target.height, unit)} />
          </>
        )
      }
      marks={
        <>
          {bed && (
            <Mark isSelected={lying} onChange={setLying}>
              On the bed
            </Mark>
          )}
          <Mark isSelected={grain} onChange={onGrain}>
            Straight grain
          </Mark>
        </>
      }
    >
      {({ scale }) => (
        <>
          <LitParts value={pointed}>
            <QuiltArt plan={plan} layout={layout} />
          </LitParts>
          {joins}
          {grain && <GrainMarks layout={layout} most={fromInches(4, unit)} />}
          <HitAreas layout={answering} onPoint={onPoint} />
          {over && <Lit path={over} />}
          {bed && lying && <BedUnder {...{ bed, size, unit }} />}
          {target && <TargetLine {...{ target, shown, scale }} />}
        </>
      )}
    </ScaledBoard>
  );
}

/** A light over what is pointed at. */
function Lit({ path }: { path: string }) {
  const stroked = useStroked();
  return (
    <path
      className="lit"
      d={path}
      fill="var(--chalk)"
      fillOpacity={0.28}
      stroke="var(--chalk)"
      {...stroked(1.6)}
      pointerEvents="none"
    />
  );
}

/** The target's right and lower edge, out past the tapes. */
function TargetLine({ target, shown, scale }: { target: Size; shown: Size; scale: number }) {
  const stroked = useStroked();
  const out = (pixels: number) => pixels / scale;
  return (
    <path
      d={`M${target.width} ${-out(TAPE + 20)}V${shown.height + out(8)}M${-out(TAPE + 18)} ${target.height}H${shown.width + out(12)}`}
      stroke="var(--thread)"
      {...stroked(2, [6, 4])}
      fill="none"
      pointerEvents="none"
    />
  );
}
