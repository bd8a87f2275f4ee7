import {
  type Band,
  type BandHandle,
  capital,
  formatLength,
  formatWithUnit,
  rulerStep,
  type Unit,
} from '@lattice/core';
import { MoveHorizontal, MoveVertical } from 'lucide-react';
import { useRef, useState } from 'react';
import { useMove } from 'react-aria';
import styled from 'styled-components';
import { byFinger } from '../../browser/fingers.ts';
import { useAnswered } from '../../design/answered.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Bubble } from './Bubble.ts';
import { inkOn } from './inkOn.ts';

/** Thickness of a tape, in pixels. */
export const TAPE = 28;

/** A tape with its divisions; those that can be dragged say so under the pointer. */
const Strip = styled.div`
  position: absolute;
  background: var(--card);
  border: 1px solid var(--ink);
  box-shadow: 0 1px 3px rgb(0 0 0 / 18%);
  /* Plain elements: there are twice as many as rows and columns, and each is drawn anew while a width is dragged. */
  > div {
    position: absolute;
    display: flex;
    align-items: center;
    justify-content: center;
    overflow: hidden;
    font-size: var(--size-note);
    font-weight: 650;
    font-stretch: 80%;
    color: var(--ink);
    white-space: nowrap;
    /* Cloths tell the divisions apart where colours are forced, too. */
    forced-color-adjust: none;
    &[data-pointed] {
      background: var(--chalk) !important;
      color: var(--on-chalk) !important;
    }
    &[data-hold] {
      cursor: ew-resize;
    }
    &[data-hold]:hover {
      box-shadow: inset 0 0 0 2px var(--chalk);
    }
  }
  &[data-tape='down'] > [data-hold] {
    cursor: ns-resize;
  }
`;
/** The grip of a width, beside the tape where grips cannot crowd, with a thread to its division. */
const Grip = styled.div`
  position: absolute;
  z-index: 2;
  display: grid;
  place-items: center;
  border: 1.5px solid var(--chalk);
  border-radius: 50%;
  background: var(--card);
  color: var(--chalk);
  touch-action: none;
  cursor: ew-resize;
  &[data-down] {
    cursor: ns-resize;
  }
  &:hover,
  &[data-active],
  &:focus-visible {
    background: var(--chalk);
    color: var(--on-chalk);
  }
`;
const Thread = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
  pointer-events: none;
  path {
    stroke: var(--chalk);
    stroke-width: 1.5;
    fill: none;
  }
`;
interface TapeProps {
  readonly direction: 'across' | 'down';
  readonly bands: readonly Band[];
  readonly unit: Unit;
  /** Pixels for one unit, and where the quilt's edge lies in the room. */
  readonly scale: number;
  readonly start: number;
  readonly offset: number;
  readonly colourOf: (part: string) => string | null;
  readonly pointed: readonly string[];
  readonly onPoint: (parts: readonly string[]) => void;
  /** Every part whose width a handle moves, lit while it is held. */
  readonly partsOf: (handle: BandHandle) => readonly string[];
  /** A width is in the hand, or the hand is at it; and let go of. */
  readonly onHold?: ((held: boolean) => void) | undefined;
  /** Takes a new width for what the handle moves; answers what is wrong with it, or null. */
  readonly onMove: (handle: BandHandle, width: number, gesture: string) => string | null;
}

/** Shorter than this on screen, a division shows its colour and leaves its figure to the bubble. */
const LABEL_ROOM = 22;

/**
 * A tape along one edge of the quilt, split as the quilt is. Where a width is the quilter's to choose,
 * the division can be dragged, or focused and moved with the arrow keys, one ruler step at a time.
 */
export function Tape({
  direction,
  bands,
  unit,
  scale,
  start,
  offset,
  colourOf,
  pointed,
  onPoint,
  partsOf,
  onHold,
  onMove,
}: TapeProps) {
  const down = direction === 'down';
  const end = bands.at(-1)?.to ?? 0;
  const box = (from: number, length: number) =>
    down
      ? { top: from, height: length, left: 0, width: TAPE - 2 }
      : { left: from, width: length, top: 0, height: TAPE - 2 };
  const strip = down
    ? { left: offset, top: start, width: TAPE, height: end * scale }
    : { left: start, top: offset, width: end * scale, height: TAPE };
  const held = bands.map((band): Held | null => {
    if (!band.moves) return null;
    // The outer copy of a border or float grows towards the quilt's edge; everything else grows to the right or down.
    const mirrored = (band.moves.what !== 'setting' || band.moves.outward === true) && band.from > end / 2;
    return { band, moves: band.moves, mirrored };
  });
  const how = { unit, scale, down, onHold, onMove };
  /** The division that is in the hand. */
  const taken = useRef<Held | null>(null);
  const { moveProps, over } = useWidthMove(() => taken.current, how, false);
  // Of widths that are moved together the first has the grip.
  const gripped: (Held & { readonly what: string })[] = [];
  for (const h of held)
    if (h && !gripped.some(({ what }) => what === handleName(h.moves)))
      gripped.push({ ...h, what: handleName(h.moves) });
  const grip = gripSize();
  const places = spreadOut(
    gripped.map((h) => start + ((h.band.from + h.band.to) / 2) * scale),
    grip + 3,
  );
  const lane = offset - grip - 5;
  return (
    <>
      <Strip style={strip} aria-hidden data-tape={direction}>
        {bands.map((band, i) => {
          const hold = held[i] ?? null;
          const length = (band.to - band.from) * scale;
          const cloth = colourOf(band.part);
          const label = formatLength(band.to - band.from, unit);
          const needs = down ? LABEL_ROOM - 6 : 8 + 7 * label.replace(/ ?\d+\/\d+/, 'xx').length;
          const point = (on: boolean) => {
            onPoint(on ? (hold ? partsOf(hold.moves) : [band.part]) : []);
            if (hold) over(on);
          };
          return (
            <div
              key={i}
              {...(hold && moveProps)}
              onPointerDownCapture={() => (taken.current = hold)}
              onPointerEnter={() => point(true)}
              onPointerLeave={() => point(false)}
              data-hold={hold ? keyOf(hold.moves) : undefined}
              data-pointed={pointed.includes(band.part) || undefined}
              style={{
                ...box(band.from * scale, length),
                borderInlineStart: !down && i > 0 ? '1px solid var(--ink)' : undefined,
                borderBlockStart: down && i > 0 ? '1px solid var(--ink)' : undefined,
                ...(cloth ? { background: cloth, color: inkOn(cloth) } : {}),
              }}
            >
              {length >= needs ? <Lengths text={label} /> : null}
            </div>
          );
        })}
      </Strip>
      <Thread aria-hidden>
        {gripped.map(({ band, what }, at) => {
          const middle = start + ((band.from + band.to) / 2) * scale;
          return (
            <path
              key={what}
              d={
                down
                  ? `M${lane + grip} ${places[at]}L${offset} ${middle}`
                  : `M${places[at]} ${lane + grip}L${middle} ${offset}`
              }
            />
          );
        })}
      </Thread>
      {gripped.map(({ band, moves, what, mirrored }, at) => (
        <BandGrip
          key={what}
          {...{ band, moves, mirrored, what, grip, lane, ...how }}
          at={places[at]!}
          onPoint={(pointing) => onPoint(pointing ? partsOf(moves) : [])}
        />
      ))}
    </>
  );
}

/** A finger trembles: so many pixels of its way are one step of the ruler at least. */
const FINGER_STEP = 9;

/** Big enough for a finger where fingers are used. */
export const gripSize = (): number => (byFinger() ? 44 : 24);

/** Places in order, moved apart until none is nearer to the last than `gap`. */
function spreadOut(places: readonly number[], gap: number): number[] {
  const apart: number[] = [];
  for (const place of places) apart.push(Math.max(place, (apart.at(-1) ?? -Infinity) + gap));
  return apart;
}

/** What a handle moves, by its own key. */
const keyOf = (handle: BandHandle): string => (handle.what === 'setting' ? handle.key : handle.what);

function handleName(handle: BandHandle): string {
  if (handle.what === 'border') return `Border ${handle.index + 1}`;
  const name = keyOf(handle);
  return capital(name);
}

/** A width that can be moved: its division of the tape, and whether it grows against the tape's direction. */
interface Held {
  readonly band: Band;
  readonly moves: BandHandle;
  readonly mirrored: boolean;
}

interface How extends Pick<TapeProps, 'unit' | 'scale' | 'onHold' | 'onMove'> {
  readonly down: boolean;
}

const widthOf = ({ band }: Pick<Held, 'band'>): number => band.to - band.from;

let gestures = 0;

/** Dragging and arrow keys for one width: one gesture, one undo; what is wrong with where it was moved to. */
function useWidthMove(
  grasped: () => Held | null,
  { unit, scale, down, onHold, onMove }: How,
  byFinger: boolean,
) {
  const step = rulerStep(unit);
  const drag = useRef({ startWidth: 0, travelled: 0, scale: 1, gesture: '' });
  /** Whether the hand is over it, and whether it is being dragged: either holds it. */
  const hand = useRef({ over: false, dragging: false });
  const over = (on: boolean) => {
    hand.current.over = on;
    if (on || !hand.current.dragging) onHold?.(on);
  };
  const [active, setActive] = useState(false);
  const answered = useAnswered();
  const [problem, setProblem] = useState<string | null>(null);
  const { moveProps } = useMove({
    onMoveStart: ({ pointerType }) => {
      const held = grasped();
      if (!held) return;
      const geared = pointerType === 'touch' ? Math.max(scale, FINGER_STEP / step) : scale;
      const gesture = `tape-${gestures++}`;
      drag.current = { startWidth: widthOf(held), travelled: 0, scale: geared, gesture };
      setActive(pointerType !== 'keyboard');
      hand.current.dragging = pointerType !== 'keyboard';
      onHold?.(true);
    },
    onMove: ({ deltaX, deltaY, pointerType }) => {
      const going = drag.current;
      const held = grasped();
      // A finger that strays over the tape scrolls the page; it takes hold of the grip.
      if (!held || (pointerType === 'touch' && !byFinger)) return;
      if (pointerType === 'keyboard') {
        const steps = Math.round(widthOf(held) / step + Math.sign(deltaX - deltaY));
        setProblem(answered(onMove(held.moves, steps * step, going.gesture)));
        return;
      }
      going.travelled += down ? deltaY : deltaX;
      const moved = (held.mirrored ? -going.travelled : going.travelled) / going.scale;
      const to = Math.round((going.startWidth + moved) / step) * step;
      setProblem(answered(onMove(held.moves, to, going.gesture)));
    },
    onMoveEnd: ({ pointerType }) => {
      setActive(false);
      hand.current.dragging = false;
      if (pointerType === 'keyboard') return;
      setProblem(null);
      if (!hand.current.over) onHold?.(false);
    },
  });
  return { moveProps, over, active, problem, clearProblem: () => setProblem(null) };
}

interface GripProps extends Held, How {
  readonly what: string;
  /** Middle of the grip along the tape, its size, and where its lane begins across it. */
  readonly at: number;
  readonly grip: number;
  readonly lane: number;
  readonly onPoint: (pointing: boolean) => void;
}

/** The grip of a width, for hand, finger, keyboard and reader. */
function BandGrip({ what, at, grip, lane, band, moves, mirrored, onPoint, ...how }: GripProps) {
  const { unit, down } = how;
  const held = { band, moves, mirrored };
  const width = widthOf(held);
  const { moveProps, active, problem, clearProblem, over } = useWidthMove(() => held, how, true);
  const [showing, setShowing] = useState(false);
  const show = (on: boolean) => {
    setShowing(on);
    onPoint(on);
    over(on);
  };
  const place = down ? { top: at - grip / 2, left: lane } : { left: at - grip / 2, top: lane };
  const bubble = down
    ? { top: at - 14, left: lane + grip + TAPE + 14 }
    : { left: at + grip / 2 + 6, top: lane + grip / 2 - 14 };
  const Arrows = down ? MoveVertical : MoveHorizontal;
  return (
    <>
      <Grip
        {...moveProps}
        role="slider"
        tabIndex={0}
        aria-label={`${what} width, ${down ? 'down' : 'across'}`}
        aria-orientation={down ? 'vertical' : 'horizontal'}
        aria-valuenow={width}
        aria-valuemin={0}
        aria-valuemax={200}
        aria-valuetext={formatWithUnit(width, unit)}
        data-down={down || undefined}
        data-active={active || undefined}
        style={{ ...place, width: grip, height: grip }}
        onPointerEnter={() => show(true)}
        onPointerLeave={() => show(false)}
        onFocus={() => show(true)}
        onBlur={() => {
          show(false);
          clearProblem();
        }}
      >
        <Arrows size={13} aria-hidden />
      </Grip>
      {(showing || active) && (
        <Bubble style={bubble} role="status" data-wrong={problem !== null || undefined}>
          <Lengths text={problem ?? `${what} ${formatWithUnit(width, unit)}`} />
        </Bubble>
      )}
    </>
  );
}
