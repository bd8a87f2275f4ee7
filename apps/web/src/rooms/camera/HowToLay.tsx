import styled from 'styled-components';
import { slim } from '../../design/media.ts';

const Ways = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  figure {
    margin: 0;
  }
  svg {
    display: block;
    width: 100%;
    border-radius: 10px;
    background: var(--wool);
  }
  figcaption {
    padding: 6px 2px;
    font-size: var(--size-note);
    color: var(--soft);
  }
  b {
    color: var(--ink);
  }
  ${slim} {
    grid-template-columns: 1fr;
  }
`;

/** A block of four patches, drawn: what lies on the table. */
const Patches = ({ x, y, side, turn }: { x: number; y: number; side: number; turn: number }) => (
  <g transform={`translate(${x} ${y}) rotate(${turn})`}>
    {[0, 1, 2].flatMap((r) =>
      [0, 1, 2].map((c) => (
        <rect
          key={`${r} ${c}`}
          x={(c * side) / 3 - side / 2}
          y={(r * side) / 3 - side / 2}
          width={side / 3}
          height={side / 3}
          fill={(r + c) % 2 === 0 ? '#c9704a' : '#efe6d2'}
        />
      )),
    )}
  </g>
);
const Squares = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }) => (
  <>
    {[
      [0, 0],
      [width - 9, 0],
      [width - 9, height - 9],
      [0, height - 9],
    ].map(([dx, dy]) => (
      <rect key={`${dx} ${dy}`} x={x + dx!} y={y + dy!} width={9} height={9} fill="#111" />
    ))}
  </>
);

/** The two ways to lay a block for its photo. */
export function HowToLay() {
  return (
    <Ways>
      <figure>
        <svg viewBox="0 0 200 150" aria-hidden>
          <Patches x={62} y={75} side={78} turn={-6} />
          <rect x={114} y={25} width={76} height={100} rx={1} fill="#f6f4ee" />
          <Squares x={123} y={34} width={58} height={82} />
        </svg>
        <figcaption>
          <b>Beside the sheet.</b> Flat and close, the camera straight above. A small block may lie on it.
        </figcaption>
      </figure>
      <figure>
        <svg viewBox="0 0 200 150" aria-hidden>
          <Patches x={100} y={75} side={84} turn={4} />
          {[
            [26, 10],
            [160, 10],
            [160, 126],
            [26, 126],
          ].map(([x, y]) => (
            <g key={`${x} ${y}`}>
              <rect x={x! - 4} y={y! - 4} width={17} height={17} fill="#f6f4ee" />
              <rect x={x} y={y} width={9} height={9} fill="#111" />
            </g>
          ))}
        </svg>
        <figcaption>
          <b>Among four cards: the surest.</b> A lens bends lines. Cards all round the block show by how much;
          a sheet at one side shows less.
        </figcaption>
      </figure>
    </Ways>
  );
}
