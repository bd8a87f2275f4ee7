import type { PileBlock } from '@lattice/core';
import { useImperativeHandle, useRef, useState } from 'react';
import styled from 'styled-components';
import { BlockArt } from '../../rooms/drawing/faces.tsx';

const Ghost = styled.div`
  position: fixed;
  z-index: 40;
  inset: 0 auto auto 0;
  width: 84px;
  height: 84px;
  margin: -42px 0 0 -42px;
  border: 2px solid var(--card);
  border-radius: 4px;
  overflow: hidden;
  pointer-events: none;
  visibility: hidden;
  will-change: transform;
  &[data-shown] {
    visibility: visible;
  }
  svg {
    display: block;
  }
`;

/** What moves the ghost, without the stage being drawn again. */
export interface GhostHandle {
  readonly show: (block: PileBlock | null) => void;
  readonly move: (x: number, y: number) => void;
}

/** The block that is carried, at the pointer. */
export function DragGhost({ handle }: { handle: React.Ref<GhostHandle> }) {
  const [block, setBlock] = useState<PileBlock | null>(null);
  const element = useRef<HTMLDivElement>(null);
  useImperativeHandle(
    handle,
    () => ({
      show: setBlock,
      move: (x, y) => {
        if (element.current) element.current.style.transform = `translate(${x}px, ${y}px)`;
      },
    }),
    [],
  );
  return (
    <Ghost ref={element} aria-hidden data-shown={block !== null || undefined}>
      {block && <BlockArt block={block} />}
    </Ghost>
  );
}
