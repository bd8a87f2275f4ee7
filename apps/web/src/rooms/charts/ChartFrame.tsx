import { Suspense } from 'react';

/** Room of its own height for a chart, held while what draws it is fetched: that is large, and comes when one is seen. */
export function ChartFrame({ height, children }: { height: number; children: React.ReactNode }) {
  return (
    <div style={{ position: 'relative', height }}>
      <Suspense>{children}</Suspense>
    </div>
  );
}
