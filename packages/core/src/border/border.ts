import type { BorderCorners } from './corners.ts';

/** One border of a stack, from the centre outward; widths are finished. */
export interface Border {
  readonly sides: number;
  readonly ends: number;
  readonly corners: BorderCorners;
  readonly fabric: string;
  readonly cornerFabric: string;
}
