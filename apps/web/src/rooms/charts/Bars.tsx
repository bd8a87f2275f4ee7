import type { OneBar } from './bar.ts';
import { lazy } from 'react';
import { ChartFrame } from './ChartFrame.tsx';

const DrawnBars = lazy(async () => ({ default: (await import('./DrawnBars.tsx')).DrawnBars }));

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
