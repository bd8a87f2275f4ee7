import {
  type BlockLook,
  type LineKind,
  ontoCorners,
  pathData,
  type Point,
  type Scene,
  type SceneItem,
  type SceneLayer,
} from '@lattice/core';
import { memo, use, useId, useMemo } from 'react';
import { AlikeBlocks } from './AlikeBlocks.tsx';
import { FaceDefinitions } from './faces.tsx';
import { LitParts } from './litParts.ts';
import { useStroked } from './pixel.ts';

interface Stroke {
  readonly stroke: string;
  /** In pixels at any scale, as its dashes. */
  readonly width: number;
  readonly dashes?: readonly number[];
}

/** How a line of each kind is stroked on the screen, one stroke over the other. */
const STROKES: Readonly<Record<LineKind, readonly Stroke[]>> = {
  outline: [{ stroke: 'var(--ink)', width: 1 }],
  // A seam shows on light cloth and on dark.
  seam: [{ stroke: 'rgb(110 110 110 / 55%)', width: 0.7 }],
  // Dashed, so that it is not taken for a seam of the design; light under dark, to show on any cloth.
  join: [
    { stroke: 'var(--on-dark-cloth)', width: 2.4 },
    { stroke: 'var(--on-light-cloth)', width: 1.2, dashes: [3, 2] },
  ],
  stitch: [{ stroke: 'var(--ink)', width: 1, dashes: [2, 2] }],
  cut: [{ stroke: 'var(--soft)', width: 1, dashes: [4, 3] }],
  fold: [{ stroke: 'var(--thread)', width: 1, dashes: [6, 4] }],
  tape: [{ stroke: 'var(--ink)', width: 1, dashes: [1, 4] }],
  empty: [{ stroke: 'var(--soft)', width: 1.2, dashes: [4, 4] }],
};
/** What shows in a place where nothing lies. */
const INSIDE: Partial<Record<LineKind, string>> = { empty: 'var(--ground)' };

/** So many alike are drawn as one, and not outlined each. */
const MANY = 24;

/** Looks that many blocks of a layer have, with where those lie; pictures are each their own. */
function alikeIn(layers: readonly SceneLayer[]) {
  const alike = new Map<string, { look: BlockLook; layer: string; places: (readonly Point[])[] }>();
  for (const { id, items } of layers) {
    const found = new Map<string, { look: BlockLook; layer: string; places: (readonly Point[])[] }>();
    for (const item of items) {
      if (item.what !== 'block' || item.look.picture !== null) continue;
      const group = found.get(item.look.key);
      if (group) group.places.push(item.corners);
      else found.set(item.look.key, { look: item.look, layer: id, places: [item.corners] });
    }
    for (const [key, group] of found) if (group.places.length >= MANY) alike.set(key, group);
  }
  return alike;
}

/** The layers of a scene, in its own units, for an SVG that shows its box. */
export function SceneLayers({ layers }: { layers: readonly SceneLayer[] }) {
  const prefix = useId().replace(/[^\w-]/g, '');
  const alike = alikeIn(layers);
  const looks = new Map(
    layers.flatMap(({ items }) =>
      items.flatMap((item) =>
        item.what === 'block' && !alike.has(item.look.key) ? [[item.look.key, item.look] as const] : [],
      ),
    ),
  );
  // In an order of their own: two blocks that change places leave every other one's reference as it was.
  const keys = [...looks.keys()].sort();
  const numbers = new Map(keys.map((key, i) => [key, i]));
  const hrefOf = (key: string) => `#${prefix}-${numbers.get(key)}`;
  return (
    <g>
      <FaceDefinitions looks={keys.map((key) => looks.get(key)!)} prefix={prefix} />
      {layers.map((layer) => (
        <g key={layer.id} className={layer.id}>
          {[...alike].map(([key, { look, layer: its, places }]) =>
            its === layer.id ? <AlikeBlocks key={key} look={look} places={places} /> : null,
          )}
          {layer.items.map((item, i) =>
            item.what === 'block' && alike.has(item.look.key) ? null : item.what === 'block' ? (
              <use key={item.id} href={hrefOf(item.look.key)} transform={ontoCorners(item.corners)} />
            ) : (
              <Item key={item.what === 'shape' ? item.id : i} item={item} />
            ),
          )}
        </g>
      ))}
    </g>
  );
}

/** One thing of a scene but for blocks, whose faces are drawn once and used many times. */
const Item = memo(function Item({ item }: { item: Exclude<SceneItem, { what: 'block' }> }) {
  const stroked = useStroked();
  switch (item.what) {
    case 'shape':
      return <Shape item={item} />;
    case 'text':
      return (
        <text
          x={item.at.x}
          y={item.at.y}
          fontSize={item.size}
          textAnchor={item.align}
          fontWeight={item.strong ? 700 : 400}
          fill="currentColor"
        >
          {item.text}
        </text>
      );
    case 'dimension':
      return (
        <path
          d={`M${item.from.x} ${item.from.y}L${item.to.x} ${item.to.y}`}
          stroke="var(--chalk)"
          {...stroked(2)}
        />
      );
  }
});

type ShapeItem = Extract<SceneItem, { what: 'shape' }>;

function Shape({ item }: { item: ShapeItem }) {
  const stroked = useStroked();
  const lit = use(LitParts).includes(item.id);
  const data = useMemo(() => item.paths.map(pathData).join(''), [item]);
  const inside = item.fill ?? (item.line && INSIDE[item.line]) ?? 'none';
  if (lit)
    return (
      <path
        className="lit"
        d={data}
        fill={`color-mix(in srgb, var(--chalk) 42%, ${inside})`}
        {...(item.paths.length <= MANY && { stroke: 'var(--chalk)', ...stroked(1.6) })}
      />
    );
  if (item.line === null) return <path d={data} fill={inside} />;
  return STROKES[item.line].map(({ stroke, width, dashes }, i) => (
    <path key={i} d={data} fill={i === 0 ? inside : 'none'} stroke={stroke} {...stroked(width, dashes)} />
  ));
}

/** A whole scene as a drawing, true to size on paper and on a screen that keeps its inches. */
export function SceneDrawing({
  scene,
  label,
  ...more
}: { scene: Scene; label: string } & React.SVGProps<SVGSVGElement>) {
  const { unit, box, layers } = scene;
  return (
    <svg
      {...more}
      width={`${box.width}${unit}`}
      height={`${box.height}${unit}`}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      role="img"
      aria-label={label}
    >
      <SceneLayers layers={layers} />
    </svg>
  );
}
