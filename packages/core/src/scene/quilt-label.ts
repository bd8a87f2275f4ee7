import { pathRound } from '../geometry/path.ts';
import { rectangle } from '../geometry/shapes.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { labelSays, type RecordCard } from '../record/card.ts';
import type { Scene, SceneItem } from './scene.ts';

/** A label as it is usually made: 4 1/2" by 3 1/2", or 12 by 9 cm, finished (from memory). */
export const usualLabel = (unit: Plan['unit']): { readonly width: number; readonly height: number } =>
  unit === 'in' ? { width: 4.5, height: 3.5 } : { width: 12, height: 9 };

/** The label for the back of a quilt, true to size: cut along the outer line, turned under along the inner one. */
export function quiltLabelScene({ unit, seam }: Plan, card: RecordCard): Scene {
  const { width, height } = usualLabel(unit);
  const [across, down] = [width + 2 * seam, height + 2 * seam];
  const lines = [card.title, ...labelSays(card)];
  const sizes = lines.map((line, i) => {
    const wished = fromInches(i === 0 ? 0.24 : 0.15, unit);
    // Letters are about half as wide as they are high: a long line is set smaller, so that it stays inside.
    return Math.min(wished, (width * 0.92) / (0.52 * line.length));
  });
  const gap = fromInches(0.1, unit);
  const total = sizes.reduce((sum, size) => sum + size + gap, -gap);
  let y = (down - total) / 2;
  const words = lines.map((text, i): SceneItem => {
    y += sizes[i]!;
    const at = { x: across / 2, y };
    y += gap;
    return { what: 'text', at, text, size: sizes[i]!, align: 'middle', ...(i === 0 ? { strong: true } : {}) };
  });
  const line = (id: string, inset: number, kind: 'cut' | 'fold'): SceneItem => ({
    what: 'shape',
    id,
    paths: [pathRound(rectangle(inset, inset, across - 2 * inset, down - 2 * inset))],
    fill: null,
    line: kind,
  });
  return {
    name: 'Label',
    unit,
    box: { x: 0, y: 0, width: across, height: down },
    layers: [
      { id: 'label', name: 'Label', items: [line('cut', 0, 'cut'), line('fold', seam, 'fold'), ...words] },
    ],
  };
}
