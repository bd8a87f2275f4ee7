import { quiltFromCounter, type Unit } from '@lattice/core';
import { Thumbnail } from '../drawing/Thumbnail.tsx';

interface AnswerDrawingProps {
  readonly topic: string;
  readonly asked: Readonly<Record<string, string>>;
  readonly unit: Unit;
  readonly json: Readonly<Record<string, unknown>>;
}

/** The answer drawn to scale, where that helps to believe it; nothing otherwise. */
export function AnswerDrawing({ topic, asked, unit, json }: AnswerDrawingProps) {
  switch (topic) {
    case 'triangles':
    case 'setting':
    case 'quilted-blocks': {
      const plan = quiltFromCounter(topic, asked, unit);
      return typeof plan === 'string' ? null : <Thumbnail plan={plan} />;
    }
    case 'backing':
      return <BackingPanels asked={asked} option={(json as { options: readonly Panels[] }).options[0]!} />;
    case 'prairie-points':
      return <Points {...(json as unknown as PointsJson)} />;
    default:
      return null;
  }
}

interface Panels {
  readonly seams: 'none' | 'vertical' | 'horizontal';
  readonly panels: number;
}

/** The quilt on its backing, the seams between panels where they fall. */
function BackingPanels({ asked, option: { seams, panels } }: { asked: Readonly<Record<string, string>>; option: Panels }) {
  const [w, h] = [Number(asked['width']) || 60, Number(asked['height']) || 72];
  const over = Math.min(w, h) * 0.06;
  const [width, height] = [w + 2 * over, h + 2 * over];
  const at = Array.from({ length: panels - 1 }, (_, i) => (i + 1) / panels);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} width="100%" height="100%" role="img" aria-label={`${panels} panels, ${seams === 'none' ? 'no seam' : `${seams} seams`}`}>
      <rect width={width} height={height} fill="var(--line)" />
      {at.map((t) => (seams === 'horizontal'
        ? <path key={t} d={`M0 ${t * height}H${width}`} stroke="var(--thread)" strokeWidth={2} strokeDasharray="6 4" vectorEffect="non-scaling-stroke" />
        : <path key={t} d={`M${t * width} 0V${height}`} stroke="var(--thread)" strokeWidth={2} strokeDasharray="6 4" vectorEffect="non-scaling-stroke" />))}
      <rect x={over} y={over} width={w} height={h} fill="none" stroke="var(--ink)" strokeWidth={1.5} vectorEffect="non-scaling-stroke" />
    </svg>
  );
}

interface PointsJson {
  readonly perSide: { readonly across: number; readonly down: number };
}

/** The points round the edge, so many a side, two meeting at every corner. */
function Points({ perSide: { across, down } }: PointsJson) {
  const tooth = 0.5;
  const path = [
    ...Array.from({ length: across }, (_, i) => `M${i} 0L${i + 0.5} ${-tooth}L${i + 1} 0ZM${i} ${down}L${i + 0.5} ${down + tooth}L${i + 1} ${down}Z`),
    ...Array.from({ length: down }, (_, i) => `M0 ${i}L${-tooth} ${i + 0.5}L0 ${i + 1}ZM${across} ${i}L${across + tooth} ${i + 0.5}L${across} ${i + 1}Z`),
  ].join('');
  return (
    <svg viewBox={`${-1} ${-1} ${across + 2} ${down + 2}`} width="100%" height="100%" role="img" aria-label={`${across} points across, ${down} down`}>
      <rect width={across} height={down} fill="var(--line)" />
      <path d={path} fill="var(--brass)" stroke="var(--card)" strokeWidth={0.06} />
    </svg>
  );
}
