import {
  type Edge,
  type EdgeOutline,
  type FinishedEdge,
  edgeBeyond,
  edgeOutline,
  edgePath,
  fabricById,
  type Layout,
  pathData,
  type Plan,
  pointBase,
  pointHeight,
} from '@lattice/core';
import { memo, useId } from 'react';
import { outlinePath } from './paths.ts';
import { QuiltArt } from './QuiltArt.tsx';

interface EdgeArtProps {
  readonly plan: Plan;
  readonly layout: Layout;
  readonly edge: Edge;
}

/** The cloth outermost on the quilt: it goes on into the seam allowance. */
function outerCloth(plan: Plan, layout: Layout): string {
  const border = plan.borders.at(-1);
  const part = Object.values(layout.parts).find((p) => p.cutFrom);
  const id = border?.fabric ?? part?.cutFrom?.fabric;
  return id ? fabricById(plan, id).colour : '#d8cfbd';
}

/**
 * The quilt with its edge finished, in quilt units, origin at the top's finished corner: trimmed a seam's
 * width outside it, bound, flanged or pointed, all to scale.
 */
export const EdgeArt = memo(function EdgeArt({ plan, layout, edge }: EdgeArtProps) {
  const clip = useId().replace(/[^\w-]/g, '');
  const [width, height] = [layout.finished.width.value, layout.finished.height.value];
  const over = edgeBeyond(plan);
  const outline = edgeOutline({ width: width + 2 * over, height: height + 2 * over }, plan.edge);
  const trimmed = pathData(edgePath(outline));
  const bound = edge.binding?.seam ?? 0;
  return (
    <g>
      <defs>
        <clipPath id={clip}>
          <path d={trimmed} transform={`translate(${-over} ${-over})`} />
        </clipPath>
      </defs>
      {edge.points && <Points plan={plan} edge={edge} width={width} height={height} />}
      {edge.finished.flatMap(({ bands }) =>
        bands
          .filter(({ from }) => from < 0)
          .map(({ name, from, fabric }) => (
            <g key={name} transform={`translate(${-over} ${-over})`} fill="none">
              <Ring path={trimmed} wide={-from} colour={fabricById(plan, fabric).colour} />
            </g>
          )),
      )}
      <g clipPath={`url(#${clip})`}>
        <rect
          x={-over}
          y={-over}
          width={width + 2 * over}
          height={height + 2 * over}
          fill={outerCloth(plan, layout)}
        />
        <QuiltArt plan={plan} layout={layout} />
        {edge.flange && (
          <Flange
            plan={plan}
            width={width}
            height={height}
            inset={bound - over}
            visible={edge.flange.visible}
          />
        )}
        {edge.binding && (
          <g transform={`translate(${-over} ${-over})`} fill="none">
            {plan.binding.flange && (
              <Ring
                path={trimmed}
                wide={bound + plan.binding.flange.visible}
                colour={fabricById(plan, plan.binding.flange.fabric).colour}
              />
            )}
            <Ring path={trimmed} wide={bound} colour={fabricById(plan, plan.binding.fabric).colour} />
            <Mitres outline={outline} wide={bound} />
          </g>
        )}
        {edge.hanging?.lies.map(({ name, outline: back }, i) => (
          <g key={`${name} ${i}`} fill="none">
            <path
              d={outlinePath({ outline: back })}
              stroke="rgb(255 255 255 / 70%)"
              strokeWidth={2.6}
              {...BROKEN}
            />
            <path
              d={outlinePath({ outline: back })}
              stroke="rgb(30 30 30 / 90%)"
              strokeWidth={1.2}
              {...BROKEN}
            />
          </g>
        ))}
        {edge.finished.map((one) => (
          <g key={one.finish} transform={`translate(${-over} ${-over})`} fill="none">
            <Bands plan={plan} finished={one} outline={outline} path={trimmed} />
          </g>
        ))}
      </g>
      {/* In the ink of the theme, so that a dark edge stands off a dark ground. */}
      <path
        d={trimmed}
        transform={`translate(${-over} ${-over})`}
        fill="none"
        stroke="color-mix(in srgb, var(--ink) 70%, transparent)"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
});

/** How what lies behind is drawn. */
const BROKEN = { strokeDasharray: '6 4', vectorEffect: 'non-scaling-stroke' } as const;

/** What a finish shows along the edge: bands of its cloth; what lies behind in a broken line. */
function Bands({
  plan,
  finished,
  outline,
  path,
}: {
  plan: Plan;
  finished: FinishedEdge;
  outline: EdgeOutline;
  path: string;
}) {
  const clip = useId().replace(/[^\w-]/g, '');
  return finished.bands.map(({ name, from, wide, fabric, face }) => {
    if (face === 'back') {
      const inner = pathData(
        edgePath(edgeOutline({ width: outline.width - 2 * wide, height: outline.height - 2 * wide })),
      );
      // Light under dark, so that it is seen on any cloth.
      return (
        <g key={name} transform={`translate(${wide} ${wide})`}>
          <path d={inner} stroke="rgb(255 255 255 / 70%)" strokeWidth={2.6} {...BROKEN} />
          <path d={inner} stroke="rgb(30 30 30 / 90%)" strokeWidth={1.2} {...BROKEN} />
        </g>
      );
    }
    if (from < 0) return null;
    const { colour } = fabricById(plan, fabric);
    if (from === 0)
      return (
        <g key={name}>
          <Ring path={path} wide={wide} colour={colour} />
          <Mitres outline={outline} wide={wide} />
        </g>
      );
    // Only what lies further in than the band begins.
    return (
      <g key={name}>
        <mask id={clip}>
          <path d={path} fill="white" />
          <path d={path} stroke="black" strokeWidth={2 * from} fill="none" />
        </mask>
        <g mask={`url(#${clip})`}>
          <Ring path={path} wide={from + wide} colour={colour} />
          {/* Light falls on a cord from above. */}
          <path d={path} stroke="rgb(255 255 255 / 35%)" strokeWidth={2 * from + wide * 0.9} />
          <path d={path} stroke={colour} strokeWidth={2 * from + wide * 0.35} />
        </g>
      </g>
    );
  });
}

/** A band inside the edge, with the seam at its inner side. Twice as wide as it shows: the outer half is clipped off. */
function Ring({ path, wide, colour }: { path: string; wide: number; colour: string }) {
  return (
    <>
      <path d={path} stroke="rgb(30 30 30 / 65%)" strokeWidth={2 * wide + 0.05} strokeLinejoin="miter" />
      <path d={path} stroke={colour} strokeWidth={2 * wide} strokeLinejoin="miter" />
    </>
  );
}

/** The fold at every corner, from the edge to where the seams meet. */
function Mitres({ outline, wide }: { outline: EdgeOutline; wide: number }) {
  const folds = outline.runs.flatMap((run, i) => {
    const before = outline.runs[(i + outline.runs.length - 1) % outline.runs.length]!;
    if (run.kind !== 'line' || before.kind !== 'line') return [];
    const into = (dx: number, dy: number) => ({ x: dx / Math.hypot(dx, dy), y: dy / Math.hypot(dx, dy) });
    const [a, b] = [
      into(run.to.x - run.from.x, run.to.y - run.from.y),
      into(before.from.x - before.to.x, before.from.y - before.to.y),
    ];
    const half = into(a.x + b.x, a.y + b.y);
    const sine = Math.abs(a.x * half.y - a.y * half.x);
    return [
      `M${run.from.x} ${run.from.y}L${run.from.x + (half.x * wide) / sine} ${run.from.y + (half.y * wide) / sine}`,
    ];
  });
  return (
    <path d={folds.join('')} stroke="rgb(30 30 30 / 70%)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
  );
}

/** Four folded strips: sides first, top and bottom across their ends. */
function Flange({
  plan,
  width,
  height,
  inset,
  visible,
}: {
  plan: Plan;
  width: number;
  height: number;
  inset: number;
  visible: number;
}) {
  const colour = fabricById(plan, plan.edge.flange.fabric).colour;
  const line = {
    fill: colour,
    stroke: 'rgb(30 30 30 / 60%)',
    strokeWidth: 0.8,
    vectorEffect: 'non-scaling-stroke' as const,
  };
  const wide = inset + visible + plan.seam;
  return (
    <>
      <rect x={-plan.seam} y={-plan.seam} width={wide} height={height + 2 * plan.seam} {...line} />
      <rect
        x={width - wide + plan.seam}
        y={-plan.seam}
        width={wide}
        height={height + 2 * plan.seam}
        {...line}
      />
      <rect x={-plan.seam} y={-plan.seam} width={width + 2 * plan.seam} height={wide} {...line} />
      <rect
        x={-plan.seam}
        y={height - wide + plan.seam}
        width={width + 2 * plan.seam}
        height={wide}
        {...line}
      />
    </>
  );
}

/** Points standing outward round the quilt, each slipped into the one before it. */
function Points({ plan, edge, width, height }: { plan: Plan; edge: Edge; width: number; height: number }) {
  const { points } = edge;
  if (!points) return null;
  const { square, fold, fabrics } = plan.edge.points;
  const strip = points.strip;
  const sides = [
    { at: 'translate(0 0)', set: points.across, q: strip?.cutEvery.across.value ?? square },
    { at: `translate(${width} 0) rotate(90)`, set: points.down, q: strip?.cutEvery.down.value ?? square },
    {
      at: `translate(${width} ${height}) rotate(180)`,
      set: points.across,
      q: strip?.cutEvery.across.value ?? square,
    },
    { at: `translate(0 ${height}) rotate(270)`, set: points.down, q: strip?.cutEvery.down.value ?? square },
  ];
  let number = 0;
  return (
    <>
      {sides.map(({ at, set, q }) => {
        const half = pointBase(q, plan.seam) / 2;
        const rise = pointHeight(q, plan.seam);
        const drawn = set.middles.map((tip, i) => {
          const [left, right] = [tip - half, tip + half];
          const colour = fabricById(plan, fabrics[points.colours[number++]! % fabrics.length]!).colour;
          // Nested, the open fold runs down one slope; folded in half, the corners meet along the middle.
          const crease =
            fold === 'centre'
              ? `M${tip} ${-rise}V0`
              : `M${tip - rise * 0.12} ${-rise * 0.88}L${right - rise * 0.24} 0`;
          return { i, colour, outline: `M${left} 0L${tip} ${-rise}L${right} 0Z`, crease };
        });
        // Of a continuous strip every other point lies behind its neighbours.
        const order = strip
          ? [...drawn.filter((d) => d.i % 2 === 1), ...drawn.filter((d) => d.i % 2 === 0)]
          : [...drawn].reverse();
        return (
          <g key={at} transform={at}>
            {order.map(({ i, colour, outline, crease }) => (
              <g key={i}>
                <path
                  d={outline}
                  fill={colour}
                  stroke="rgb(30 30 30 / 70%)"
                  strokeWidth={0.9}
                  vectorEffect="non-scaling-stroke"
                />
                <path
                  d={crease}
                  stroke="rgb(255 255 255 / 45%)"
                  strokeWidth={1}
                  fill="none"
                  vectorEffect="non-scaling-stroke"
                />
              </g>
            ))}
          </g>
        );
      })}
    </>
  );
}
