import {
  lookOf,
  backingCloth,
  type Band,
  fabricById,
  formatSize,
  type Layers,
  type PileBlock,
  type Plan,
  type Quilt,
  type Slab,
} from '@lattice/core';
import { useId, useState } from 'react';
import { FaceDefinitions } from '../../rooms/drawing/faces.tsx';
import { seamPath } from '../../rooms/drawing/paths.ts';
import { Mark, ScaledBoard } from '../../rooms/drawing/ScaledBoard.tsx';
import { QuiltArt } from '../../rooms/drawing/QuiltArt.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { useMoveBand } from '../../state/useMoveBand.ts';

const BATTING = { natural: '#f1e7d0', white: '#fdfdfb', dark: '#4a4b50' } as const;

/** Overhang, top, overhang: what the tape beside the backing reads. */
const bandsOf = (over: number, top: number): Band[] => [
  { role: 'overhang', part: 'overhang', from: 0, to: over, moves: { what: 'overhang' } },
  { role: 'top', part: 'top', from: over, to: over + top },
  { role: 'overhang', part: 'overhang', from: over + top, to: 2 * over + top, moves: { what: 'overhang' } },
];

/**
 * The layers to scale, the top folded back at its lower right corner so that batting and backing show, the
 * backing's seams dashed over all. The overhang is dragged on the tapes.
 */
export function LayersBoard({ plan, quilt, layers }: { plan: Plan; quilt: Quilt; layers: Layers }) {
  const [top, setTop] = useState(true);
  const [batting, setBatting] = useState(true);
  const [lines, setLines] = useState(true);
  const home = plan.quilting.by === 'home';
  const marking = home && lines;
  const [pointed, setPointed] = useState<readonly string[]>([]);
  const onMove = useMoveBand();
  const clip = useId().replace(/[^\w-]/g, '');
  const { overhang } = plan.backing;
  const { layout } = quilt;
  // As large as it came out: the backing is reckoned from that. What is drawn of the top is stretched to it.
  const drawn = { width: quilt.finished.width.value, height: quilt.finished.height.value };
  const stretch = `scale(${drawn.width / layout.finished.width.value} ${drawn.height / layout.finished.height.value})`;
  const size = { width: drawn.width + 2 * overhang, height: drawn.height + 2 * overhang };
  const cloth = backingCloth(plan, layers.chosenBacking).colour;
  const marked = layers.marked.lines.map(({ from, to }) => `M${from.x} ${from.y}L${to.x} ${to.y}`).join('');
  // Folded back along a slant through the lower right corner; the batting a little further out than the top.
  const fold = Math.min(drawn.width, drawn.height) * 0.42;
  const cutOff = ({ width, height }: typeof drawn, by: number) =>
    `M0 0H${width}V${height - by}L${width - by} ${height}H0Z`;
  return (
    <ScaledBoard
      unit={plan.unit}
      size={size}
      ground={cloth}
      label={`The layers: backing ${formatSize(layers.backing.width.value, layers.backing.height.value, plan.unit)}, batting, and the top`}
      tapes={{
        across: bandsOf(overhang, drawn.width),
        down: bandsOf(overhang, drawn.height),
        pointed,
        onPoint: setPointed,
        onMove,
        partsOf: () => ['overhang'],
        colourOf: (part) => (part === 'overhang' ? cloth : null),
      }}
      said={
        <Lengths
          text={`${layers.chosenBacking.panels === 1 && layers.chosenBacking.seams === 'none' ? 'no seam in the backing' : 'seams of the backing dashed'}`}
        />
      }
      marks={
        <>
          <Mark isSelected={top} onChange={setTop}>
            Top
          </Mark>
          <Mark isSelected={batting} onChange={setBatting}>
            Batting
          </Mark>
          {home && plan.quilting.marking !== 'ditch' && (
            <Mark isSelected={lines} onChange={setLines}>
              Quilting lines
            </Mark>
          )}
        </>
      }
    >
      <defs>
        <clipPath id={`${clip}-top`}>
          <path d={cutOff(drawn, fold)} />
        </clipPath>
        <clipPath id={`${clip}-batting`}>
          <path d={top ? cutOff(size, fold * 0.75 + 2 * overhang) : `M0 0H${size.width}V${size.height}H0Z`} />
        </clipPath>
      </defs>
      <BackingSlabs slabs={layers.chosenBacking.slabs} plan={plan} spare={quilt.pile.spare} />
      {batting && (
        <g clipPath={`url(#${clip}-batting)`}>
          <rect
            x={overhang * 0.12}
            y={overhang * 0.12}
            width={size.width - overhang * 0.24}
            height={size.height - overhang * 0.24}
            rx={overhang * 0.15}
            fill={BATTING[plan.batting.colour]}
            stroke="rgb(0 0 0 / 25%)"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={(layers.chosenBatting?.joins ?? []).map(({ from, to }) => wave(from, to)).join('')}
            fill="none"
            stroke="var(--brass)"
            strokeWidth={1.6}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      )}
      {top && (
        <g transform={`translate(${overhang} ${overhang})`}>
          <g clipPath={`url(#${clip}-top)`}>
            <g transform={stretch}>
              <QuiltArt plan={plan} layout={layout} />
              {marking && (
                <path
                  d={marked}
                  fill="none"
                  stroke="var(--on-dark-cloth)"
                  strokeWidth={1.8}
                  strokeDasharray="5 4"
                  vectorEffect="non-scaling-stroke"
                />
              )}
              {marking && (
                <path
                  d={marked}
                  fill="none"
                  stroke="var(--chalk)"
                  strokeWidth={0.9}
                  strokeDasharray="5 4"
                  vectorEffect="non-scaling-stroke"
                />
              )}
            </g>
          </g>
          <path
            d={`M${drawn.width} ${drawn.height - fold}L${drawn.width - fold} ${drawn.height}L${drawn.width - fold * 0.78} ${drawn.height - fold * 0.82}Z`}
            fill="#e9e4da"
            stroke="rgb(0 0 0 / 35%)"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      )}
      <SeamLines slabs={layers.chosenBacking.slabs} />
      <rect
        x={overhang}
        y={overhang}
        width={drawn.width}
        height={drawn.height}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={top ? 0 : 1.4}
        strokeDasharray="2 4"
        vectorEffect="non-scaling-stroke"
      />
    </ScaledBoard>
  );
}

/** A lapped join is cut in a gentle wave, so that it does not crease. */
function wave(from: { x: number; y: number }, to: { x: number; y: number }): string {
  const upright = from.x === to.x;
  const length = upright ? to.y - from.y : to.x - from.x;
  const bends = 12;
  return (
    `M${from.x} ${from.y}` +
    Array.from({ length: bends }, (_, i) => {
      const side = (i % 2 === 0 ? 1 : -1) * 0.9;
      const [middle, end] = [((i + 0.5) / bends) * length, ((i + 1) / bends) * length];
      return upright
        ? `Q${from.x + side} ${from.y + middle} ${from.x} ${from.y + end}`
        : `Q${from.x + middle} ${from.y + side} ${from.x + end} ${from.y}`;
    }).join('')
  );
}

/** Spare blocks lie in a stripe as they were made. */
const lookOfSpare = (block: PileBlock) => lookOf(block);

/** The stripe in its cloth, darkened where it is the panels' own, and the spare blocks in it by their faces. */
export function BackingSlabs({
  slabs,
  plan,
  spare,
}: {
  slabs: readonly Slab[];
  plan: Plan;
  spare: readonly PileBlock[];
}) {
  const stripe = fabricById(plan, plan.backing.stripe.fabric).colour;
  const main = fabricById(plan, plan.backing.fabric).colour;
  const prefix = useId().replace(/[^\w-]/g, '');
  const looks = [...new Map(spare.map(lookOfSpare).map((look) => [look.key, look])).values()];
  const numberOf = (block: PileBlock | undefined) => {
    const { key } = lookOf(block);
    return looks.findIndex((look) => look.key === key);
  };
  const fill = stripe === main ? `color-mix(in srgb, ${stripe} 78%, #000)` : stripe;
  return (
    <>
      <FaceDefinitions looks={looks} prefix={prefix} />
      {slabs
        .filter((s) => s.what === 'stripe')
        .map(({ x, y, width, height }, i) => (
          <rect
            key={i}
            {...{ x, y, width, height }}
            fill={fill}
            stroke="rgb(0 0 0 / 35%)"
            strokeWidth={0.8}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      {slabs
        .filter((s) => s.what === 'block')
        .map(({ x, y, width, height }, i) => (
          // No more blocks are let in than are spare.
          <use
            key={i}
            href={`#${prefix}-${numberOf(spare[i])}`}
            transform={`translate(${x} ${y}) scale(${width} ${height})`}
          />
        ))}
    </>
  );
}

/** Seams between slabs, dashed light over dark so that they show on any cloth. */
export function SeamLines({ slabs }: { slabs: readonly Slab[] }) {
  const seams = seamPath(slabs);
  return (
    <g fill="none" pointerEvents="none" data-testid="backing-seams">
      <path d={seams} stroke="var(--on-dark-cloth)" strokeWidth={3} vectorEffect="non-scaling-stroke" />
      <path
        d={seams}
        stroke="var(--thread)"
        strokeWidth={1.8}
        strokeDasharray="8 5"
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}
