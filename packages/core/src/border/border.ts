import type { BorderCorners } from '../choice/border-corners.ts';

/** One border of a stack, from the centre outward; widths are finished. */
export interface Border {
  readonly id: string;
  readonly sides: number;
  readonly ends: number;
  readonly corners: BorderCorners;
  readonly fabric: string;
  readonly cornerFabric: string;
}
