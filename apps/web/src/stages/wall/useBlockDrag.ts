import type { PileBlock } from '@lattice/core';
import { useCallback, useEffect, useRef } from 'react';
import type { GhostHandle } from './DragGhost.tsx';
import type { Source, Target } from './hand.ts';

/** Pixels a pointer may tremble before it drags. */
const TREMBLE = 6;

/** What lies under a point: a place of the wall by its mark, the tray, or nothing. */
function targetAt(x: number, y: number): Target {
  const under = document
    .elementFromPoint(x, y)
    ?.closest<HTMLElement | SVGElement>('[data-place], [data-tray]');
  if (!under) return null;
  return under.dataset['place'] === undefined ? 'tray' : { place: Number(under.dataset['place']) };
}

interface DragOptions {
  /** The block of a source, to be shown at the pointer. */
  readonly blockOf: (source: Source) => PileBlock | null;
  /** Dropped, or given up (null source target). */
  readonly onDrop: (source: Source, target: Target) => void;
  /** Pressed and let go without dragging. */
  readonly onTap: (source: Source, more: boolean) => void;
}

/**
 * Dragging blocks by mouse, pen or finger. The ghost follows the pointer by its style alone, so that a
 * wall of four hundred blocks is never drawn again while one is carried.
 */
export function useBlockDrag(options: DragOptions) {
  const ghost = useRef<GhostHandle>(null);
  const latest = useRef(options);
  useEffect(() => {
    latest.current = options;
  });
  const end = useRef<(() => void) | null>(null);
  useEffect(() => () => end.current?.(), []);

  const press = useCallback((event: React.PointerEvent, source: Source) => {
    if (event.button !== 0) return;
    const from = { x: event.clientX, y: event.clientY };
    const more = event.shiftKey || event.ctrlKey || event.metaKey;
    let lifted = false;
    const onMove = (move: PointerEvent) => {
      if (!lifted) {
        if (Math.hypot(move.clientX - from.x, move.clientY - from.y) < TREMBLE) return;
        lifted = true;
        ghost.current?.show(latest.current.blockOf(source));
      }
      ghost.current?.move(move.clientX, move.clientY);
    };
    const finish = (target: Target | undefined) => {
      window.removeEventListener('pointermove', onMove);
      window.removeEventListener('pointerup', onUp);
      window.removeEventListener('pointercancel', onCancel);
      window.removeEventListener('keydown', onKey);
      end.current = null;
      if (lifted) ghost.current?.show(null);
      if (lifted) latest.current.onDrop(source, target ?? null);
      else if (target !== undefined) latest.current.onTap(source, more);
    };
    const onUp = (up: PointerEvent) => finish(targetAt(up.clientX, up.clientY));
    const onCancel = () => finish(undefined);
    const onKey = (key: KeyboardEvent) => key.key === 'Escape' && finish(undefined);
    window.addEventListener('pointermove', onMove);
    window.addEventListener('pointerup', onUp);
    window.addEventListener('pointercancel', onCancel);
    window.addEventListener('keydown', onKey);
    end.current = () => finish(undefined);
  }, []);
  return { ghost, press };
}
