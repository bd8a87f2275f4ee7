import {
  type Answer,
  type AnswerDrawn,
  formatSize,
  formatWithUnit,
  numberOf,
  quiltFromCounter,
  type Unit,
} from '@lattice/core';
import { outlinePath, seamPath } from '../drawing/paths.ts';
import { Thumbnail } from '../drawing/Thumbnail.tsx';

interface AnswerDrawingProps {
  readonly topic: string;
  readonly asked: Readonly<Record<string, string>>;
  readonly unit: Unit;
  readonly answer: Answer;
}

/** Stands for whatever cloth was asked about, by day and in the evening. */
const CLOTH = '#d8a13a';
/** Topics whose answer is the quilt it begins. */
const QUILTS = ['triangles', 'setting', 'quilted-blocks', 'pieced-border'];

/** The answer drawn to scale, where that helps to believe it; nothing otherwise. */
export function AnswerDrawing({ topic, asked, unit, answer: { drawn } }: AnswerDrawingProps) {
  if (drawn?.what === 'backing') return <BackingPanels {...drawn} />;
  if (drawn?.what === 'points') return <Points {...drawn} />;
  if (drawn?.what === 'strips') return <Strips {...drawn} unit={unit} />;
  if (drawn?.what === 'bias') return <BiasCloth {...drawn} unit={unit} />;
  if (!QUILTS.includes(topic)) return null;
  const quilt = quiltFromCounter(topic, asked, unit);
  return quilt.ok ? <Thumbnail plan={quilt.plan} /> : null;
}

/** Drawn to scale in whatever units its box is in, as large as there is room. */
function Drawing({ box, label, children }: { box: string; label: string; children: React.ReactNode }) {
  return (
    <svg viewBox={box} role="img" aria-label={label}>
      {children}
    </svg>
  );
}

type Drawn<W extends AnswerDrawn['what']> = Extract<AnswerDrawn, { what: W }>;

/** The quilt's edge on its backing, with the seams between panels where they fall. */
function BackingPanels({ width, height, overhang, slabs }: Drawn<'backing'>) {
  return (
    <Drawing box={`0 0 ${width} ${height}`} label={`${numberOf(slabs.length, 'panel')} under the quilt`}>
      <rect width={width} height={height} fill="var(--line)" />
      <path
        d={seamPath(slabs)}
        stroke="var(--thread)"
        strokeWidth={2}
        strokeDasharray="6 4"
        vectorEffect="non-scaling-stroke"
      />
      <rect
        x={overhang}
        y={overhang}
        width={width - 2 * overhang}
        height={height - 2 * overhang}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
    </Drawing>
  );
}

/** The top left corner of the points where they stand, large enough to see how they meet. */
function Points({ width, height, base, rise, across, down }: Drawn<'points'>) {
  const path = (middles: readonly number[]) =>
    middles.map((at) => `M${at - base / 2} 0L${at} ${-rise}L${at + base / 2} 0Z`).join('');
  const sides = [
    ['', across],
    [`translate(${width} 0) rotate(90)`, down],
    [`translate(${width} ${height}) rotate(180)`, across],
    [`translate(0 ${height}) rotate(270)`, down],
  ] as const;
  return (
    <Drawing
      box={`${-1.3 * rise} ${-1.3 * rise} ${Math.min(width, 5.6 * base) + 1.3 * rise} ${Math.min(height, 2.4 * base) + 1.3 * rise}`}
      label={`The top left corner: ${across.length} points across, ${down.length} down`}
    >
      <rect width={width} height={height} fill="var(--line)" />
      {sides.map(([transform, middles]) => (
        <path
          key={transform}
          transform={transform}
          d={path(middles)}
          fill={CLOTH}
          stroke="var(--card)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </Drawing>
  );
}

/** The cloth that was asked for, its strips cut selvage to selvage; what is left of the last one, and of the cloth, paler. */
function Strips({ usable, bought, strip, count, used, unit }: Drawn<'strips'> & { unit: Unit }) {
  return (
    <Drawing
      box={`0 0 ${usable} ${bought}`}
      label={`${numberOf(count, 'strip')} on ${formatWithUnit(bought, unit)} of cloth, the last used for ${formatWithUnit(used, unit)}`}
    >
      <rect width={usable} height={bought} fill="var(--line)" />
      {Array.from({ length: count }, (_, i) => {
        const width = i === count - 1 ? used : usable;
        return <rect key={i} y={i * strip} width={width} height={strip} fill={CLOTH} />;
      })}
      {Array.from({ length: count }, (_, i) => (
        <path
          key={i}
          d={`M0 ${(i + 1) * strip}H${usable}`}
          stroke="var(--card)"
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </Drawing>
  );
}

/** The cloth with its strips where they are cut; where it is folded first, the fold dotted. */
function BiasCloth({ width, height, fold, strips, unit }: Drawn<'bias'> & { unit: Unit }) {
  return (
    <Drawing
      box={`0 0 ${width} ${height}`}
      label={`${numberOf(strips.length, fold ? 'bias strip' : 'strip')} from ${width === height ? `a square of ${formatWithUnit(width, unit)}` : `a cloth of ${formatSize(width, height, unit)}`}`}
    >
      <rect width={width} height={height} fill="var(--line)" />
      {strips.map(({ outline }, i) => (
        <path
          key={i}
          d={outlinePath({ outline })}
          fill={CLOTH}
          stroke="var(--card)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {fold && (
        <path
          d={`M0 ${height}L${width} 0`}
          stroke="var(--ink)"
          strokeWidth={1.2}
          strokeDasharray="2 4"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </Drawing>
  );
}
