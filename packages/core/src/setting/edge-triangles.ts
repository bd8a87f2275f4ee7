import { countOf } from '../figure/figure.ts';
import type { Grid, SettingPart } from './setting.ts';

/** Side setting triangles an on-point grid needs: one between each two blocks along every edge. */
export const sideTriangles = ({ across, down }: Grid): number => 2 * (across - 1) + 2 * (down - 1);

/** The triangles that fill an on-point centre out to a rectangle; grain along the quilt's edge (handbook 4). */
export function edgeTriangleParts(grid: Grid): SettingPart[] {
  const sides = sideTriangles(grid);
  const corners: SettingPart = {
    key: 'corner-triangle', role: 'corner-triangle', name: 'Corner triangles', grain: 'square-to-edge', count: countOf(4, 'One at each corner: 4'),
  };
  if (sides === 0) return [corners];
  const working = `Top and bottom 2 × (${grid.across} − 1), sides 2 × (${grid.down} − 1): ${sides}`;
  return [corners, { key: 'side-triangle', role: 'side-triangle', name: 'Side triangles', grain: 'square-to-edge', count: countOf(sides, working) }];
}
