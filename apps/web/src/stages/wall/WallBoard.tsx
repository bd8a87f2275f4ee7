import {
  type Clash,
  fromInches,
  type WallPlace,
  type Layout,
  middleOf,
  type Piece,
  type Plan,
  nearestSideOf,
  type RowLabel,
} from '@lattice/core';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';
import { Board } from '../../rooms/drawing/Board.ts';
import { outlinePath } from '../../rooms/drawing/paths.ts';
import { Pixel } from '../../rooms/drawing/pixel.ts';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';
import { useRoom } from '../../rooms/drawing/useRoom.ts';
import type { Source } from './hand.ts';
import { viewFilter, ViewFilters, type ViewId } from './views.tsx';

const Sheet = styled.svg`
  position: absolute;
  inset: 0;
  will-change: transform;
`;
const Drawing = styled(Sheet)`
  /* On the drawing itself: the browser asks the element that scrolls, not the shapes inside, and takes the finger’s way otherwise. */
  touch-action: none;
  .place {
    fill: transparent;
    cursor: grab;
  }
  .place[data-locked] {
    cursor: default;
  }
  .place:hover {
    fill: rgb(255 255 255 / 18%);
  }
  .place:focus {
    outline: none;
    stroke: var(--chalk);
    stroke-width: 3;
    vector-effect: non-scaling-stroke;
  }
  .place:focus:not(:focus-visible) {
    stroke: none;
  }
  .chosen {
    fill: none;
    stroke: var(--chalk);
    stroke-width: 4;
    vector-effect: non-scaling-stroke;
    pointer-events: none;
  }
  .carried {
    stroke: var(--thread);
    stroke-dasharray: 7 4;
  }
  .label {
    font-weight: 650;
    font-family: var(--text);
    fill: var(--on-light-cloth);
    text-anchor: middle;
    dominant-baseline: central;
    pointer-events: none;
  }
  .badge {
    fill: var(--on-dark-cloth);
    stroke: var(--on-light-cloth);
    stroke-width: 1;
    vector-effect: non-scaling-stroke;
    pointer-events: none;
  }
`;

interface WallBoardProps {
  /** What is drawn: the plan, or what is being tried out. */
  readonly plan: Plan;
  readonly layout: Layout;
  readonly pieces: readonly Piece[];
  readonly places: readonly WallPlace[];
  readonly labels: readonly RowLabel[];
  readonly showLabels: boolean;
  readonly view: ViewId;
  readonly clashes: readonly Clash[];
  readonly pointedClash: Clash | null;
  readonly chosen: readonly number[];
  readonly carried: number | null;
  readonly onPress: (event: React.PointerEvent, source: Source) => void;
  readonly onKey: (event: React.KeyboardEvent, place: number) => void;
}

/** The quilt as it hangs on the wall, every block to take hold of, clashes tied together with a thread. */
export const WallBoard = memo(function WallBoard({
  plan,
  layout,
  pieces,
  places,
  labels,
  showLabels,
  view,
  clashes,
  pointedClash,
  chosen,
  carried,
  onPress,
  onKey,
}: WallBoardProps) {
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const room = useRoom(element);
  const size = { width: layout.finished.width.value, height: layout.finished.height.value };
  const margin = 24;
  const scale = Math.max(
    0,
    Math.min((room.width - 2 * margin) / size.width, (room.height - 2 * margin) / size.height),
  );
  const x = (room.width - size.width * scale) / 2;
  const y = (room.height - size.height * scale) / 2;
  return (
    <Board ref={setElement}>
      {scale > 0 && (
        <>
          <Art {...{ plan, layout, view, x, y, scale }} width={room.width} height={room.height} />
          <Drawing width={room.width} height={room.height} aria-label="The wall" role="group">
            <g transform={`translate(${x} ${y}) scale(${scale})`}>
              <Threads {...{ clashes, pointedClash, pieces }} />
              <Places {...{ title: plan.title, pieces, places, labels, onPress, onKey }} />
              {chosen.map(
                (place) =>
                  pieces[place] && <path key={place} className="chosen" d={outlinePath(pieces[place])} />,
              )}
              {carried !== null && pieces[carried] && (
                <path className="chosen carried" d={outlinePath(pieces[carried])} />
              )}
              {showLabels && <Labels {...{ pieces, labels }} />}
              <Locks {...{ pieces, places }} />
            </g>
          </Drawing>
        </>
      )}
    </Board>
  );
});

/** The quilt itself, on a sheet of its own: what is chosen or pointed at above it never draws it again. */
const Art = memo(function Art({
  plan,
  layout,
  view,
  x,
  y,
  scale,
  width,
  height,
}: Pick<WallBoardProps, 'plan' | 'layout' | 'view'> & {
  x: number;
  y: number;
  scale: number;
  width: number;
  height: number;
}) {
  return (
    <Sheet width={width} height={height} aria-hidden>
      <ViewFilters blur={fromInches(1 / 4, plan.unit)} />
      <g transform={`translate(${x} ${y}) scale(${scale})`} filter={viewFilter(view)}>
        <Pixel value={1 / scale}>
          <QuiltArt plan={plan} layout={layout} />
        </Pixel>
      </g>
    </Sheet>
  );
});

/** Row and place on every block. */
const Labels = memo(function Labels({ pieces, labels }: Pick<WallBoardProps, 'pieces' | 'labels'>) {
  return pieces.map((piece, i) => {
    const middle = middleOf(piece);
    const reach = nearestSideOf(piece);
    return (
      <g key={piece.id} pointerEvents="none">
        <circle className="badge" cx={middle.x} cy={middle.y} r={reach * 0.42} />
        <text className="label" x={middle.x} y={middle.y} fontSize={reach * 0.34}>
          {labels[i]!.row}·{labels[i]!.number}
        </text>
      </g>
    );
  });
});

/** A padlock on every block that stays. */
function Locks({ pieces, places }: Pick<WallBoardProps, 'pieces' | 'places'>) {
  return pieces.map((piece, i) => {
    if (!places[i]?.locked) return null;
    const middle = middleOf(piece);
    const reach = nearestSideOf(piece);
    return (
      <g key={piece.id} pointerEvents="none">
        <Lock x={middle.x} y={middle.y + reach * 0.74} size={reach * 0.26} />
      </g>
    );
  });
}

/** A small padlock. */
function Lock({ x, y, size }: { x: number; y: number; size: number }) {
  return (
    <g transform={`translate(${x} ${y}) scale(${size})`}>
      <circle r="0.95" className="badge" />
      <rect x="-0.42" y="-0.12" width="0.84" height="0.62" rx="0.1" fill="var(--on-light-cloth)" />
      <path
        d="M-0.26 -0.1V-0.3A0.26 0.26 0 0 1 0.26 -0.3V-0.1"
        fill="none"
        stroke="var(--on-light-cloth)"
        strokeWidth="0.14"
      />
    </g>
  );
}

/** From inside the one block to inside the other, no further: the blocks themselves stay to be seen. */
function threadOf({ a, b }: Clash, pieces: readonly Piece[]): string {
  const [from, to] = [middleOf(pieces[a]!), middleOf(pieces[b]!)];
  const along = (t: number) => `${from.x + t * (to.x - from.x)} ${from.y + t * (to.y - from.y)}`;
  return `M${along(0.3)}L${along(0.7)}`;
}

/** The knot between two blocks, as a circle. */
function knotOf({ a, b }: Clash, pieces: readonly Piece[], share: number): string {
  const [from, to] = [middleOf(pieces[a]!), middleOf(pieces[b]!)];
  const r = nearestSideOf(pieces[a]!) * share;
  return `M${(from.x + to.x) / 2 - r} ${(from.y + to.y) / 2}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
}

/** Blocks that should not meet, tied by a thread with a knot between them: all as three paths, since there may be many hundreds; the one pointed at on top. */
const Threads = memo(function Threads({
  clashes,
  pointedClash,
  pieces,
}: {
  clashes: readonly Clash[];
  pointedClash: Clash | null;
  pieces: readonly Piece[];
}) {
  const drawn = useMemo(() => {
    const of = (how: Clash['how']) =>
      clashes
        .filter((c) => c.how === how)
        .map((c) => threadOf(c, pieces))
        .join('');
    return {
      side: of('side'),
      corner: of('corner'),
      knots: clashes.map((c) => knotOf(c, pieces, 0.12)).join(''),
    };
  }, [clashes, pieces]);
  const lit = pointedClash && clashes.includes(pointedClash) ? pointedClash : null;
  return (
    <g pointerEvents="none" className="clashes" stroke="#c33c24" fill="none">
      <path
        d={drawn.side + drawn.corner}
        stroke="var(--on-dark-cloth)"
        strokeWidth={5}
        vectorEffect="non-scaling-stroke"
      />
      <path d={drawn.side} strokeWidth={2.5} vectorEffect="non-scaling-stroke" />
      <path d={drawn.corner} strokeWidth={2.5} strokeDasharray="5 4" vectorEffect="non-scaling-stroke" />
      <path
        d={drawn.knots}
        fill="#c33c24"
        stroke="var(--on-dark-cloth)"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
      {lit && (
        <>
          <path
            d={threadOf(lit, pieces)}
            stroke="var(--on-dark-cloth)"
            strokeWidth={9}
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={threadOf(lit, pieces)}
            strokeWidth={5}
            strokeDasharray={lit.how === 'corner' ? '5 4' : undefined}
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={knotOf(lit, pieces, 0.2)}
            fill="#c33c24"
            stroke="var(--on-dark-cloth)"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        </>
      )}
    </g>
  );
});

const TURNS = ['', ', rotated a quarter', ', rotated half round', ', rotated three quarters'];

/** What is read out of a place. */
export function placeWords({ block, turn, locked }: WallPlace, { row, number }: RowLabel): string {
  const what = block ? `${block.name}${block.maker ? ` by ${block.maker}` : ''}` : 'empty';
  return `Row ${row}, place ${number}: ${what}${block ? TURNS[turn] : ''}${locked ? ', locked' : ''}`;
}

/** Invisible places that take hold of blocks; drawn apart, so that nothing else redraws them. */
const Places = memo(function Places({
  title,
  pieces,
  places,
  labels,
  onPress,
  onKey,
}: { title: string } & Pick<WallBoardProps, 'pieces' | 'places' | 'labels' | 'onPress' | 'onKey'>) {
  const group = useRef<SVGGElement>(null);
  // One place is in the order of Tab, the last that was gone to. Kept on the elements themselves: moving about draws nothing again.
  useEffect(() => {
    const all = [...group.current!.querySelectorAll('.place')];
    const had = all.findIndex((place) => place.getAttribute('tabindex') === '0');
    all.forEach((place, i) => place.setAttribute('tabindex', i === Math.max(0, had) ? '0' : '-1'));
  }, [pieces]);
  const goTo = (event: React.FocusEvent) => {
    group.current!.querySelector('[tabindex="0"]')?.setAttribute('tabindex', '-1');
    event.currentTarget.setAttribute('tabindex', '0');
  };
  return (
    <g ref={group} role="group" aria-label={`${title}, ${pieces.length} places`}>
      {pieces.map((piece, i) => (
        <path
          key={piece.id}
          className="place"
          d={outlinePath(piece)}
          role="button"
          data-place={i}
          data-locked={places[i]!.locked || undefined}
          aria-label={placeWords(places[i]!, labels[i]!)}
          onPointerDown={(event) => onPress(event, { place: i })}
          onKeyDown={(event) => onKey(event, i)}
          onFocus={goTo}
        />
      ))}
    </g>
  );
});
