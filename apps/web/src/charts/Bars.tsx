import { lazy } from 'react';
import { ChartFrame } from './ChartFrame.tsx';

const DrawnBars = lazy(async () => ({ default: (await import('./DrawnBars.tsx')).DrawnBars }));

/** A part of a bar: how much, how that is said, and its colour where it has one of its own. */
interface BarPart {
  readonly value: number;
  readonly says: string;
  readonly colour?: string;
}
/** One bar: what of, and its parts end to end. */
export interface OneBar {
  readonly name: string;
  readonly parts: readonly BarPart[];
}

/** Amounts side by side, a bar each, lying. What it says in words stands beside it wherever it is used. */
export function Bars(props: {
  readonly label: string;
  readonly unit: string;
  readonly bars: readonly OneBar[];
}) {
  return (
    <ChartFrame height={32 * props.bars.length + 56}>
      <DrawnBars {...props} />
    </ChartFrame>
  );
}
