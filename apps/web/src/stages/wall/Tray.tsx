import type { PileBlock } from '@lattice/core';
import { memo } from 'react';
import styled from 'styled-components';
import { BlockArt } from '../../rooms/drawing/faces.tsx';
import type { Source } from './hand.ts';

const Shelf = styled.div`
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 84px;
  padding: 8px 18px;
  overflow-x: auto;
  border-top: 1px solid var(--line);
  background: var(--card);
  font-size: var(--size-note);
  color: var(--soft);
  button {
    flex: none;
    width: 64px;
    height: 64px;
    padding: 0;
    border: 1px solid var(--line);
    border-radius: 6px;
    background: none;
    overflow: hidden;
    cursor: grab;
    /* Along the tray a finger scrolls it; out of it, it takes a block. */
    touch-action: pan-x;
  }
  button[aria-pressed='true'] {
    outline: 3px solid var(--chalk);
  }
  svg {
    display: block;
  }
`;

interface TrayProps {
  readonly spare: readonly PileBlock[];
  readonly chosen: string | null;
  readonly onPress: (event: React.PointerEvent, source: Source) => void;
  readonly onChoose: (id: string) => void;
}

/** Blocks beside the wall: drag one onto a place, or choose it and then a place; blocks are parked by dragging them here. */
export const Tray = memo(function Tray({ spare, chosen, onPress, onChoose }: TrayProps) {
  return (
    <Shelf data-tray role="group" aria-label="Beside the wall">
      <span>
        {spare.length === 0
          ? 'Nothing lies beside the wall. Drag a block here to park it.'
          : `${spare.length} beside the wall`}
      </span>
      {spare.map((block) => (
        <button
          key={block.id}
          type="button"
          aria-pressed={chosen === block.id}
          aria-label={`${block.name}, beside the wall`}
          title={block.name}
          onPointerDown={(event) => onPress(event, { spare: block.id })}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            onChoose(block.id);
          }}
        >
          <BlockArt block={block} />
        </button>
      ))}
    </Shelf>
  );
});
