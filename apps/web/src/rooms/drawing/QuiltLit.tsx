import type { Layout, Plan } from '@lattice/core';
import { memo } from 'react';
import styled from 'styled-components';
import { partPath } from './paths.ts';
import { QuiltArt } from './QuiltArt.tsx';

const Frame = styled.div`
  height: 100%;
  min-height: 0;
  svg {
    width: 100%;
    height: 100%;
    filter: drop-shadow(0 2px 4px rgb(0 0 0 / 28%));
  }
`;

const NONE: readonly string[] = [];

/** The quilt small, with the parts lit that what is in hand becomes. */
export const QuiltLit = memo(function QuiltLit({
  plan,
  layout,
  parts = NONE,
  path = '',
}: {
  plan: Plan;
  layout: Layout;
  parts?: readonly string[];
  /** What else is lit, as path data on the quilt's plane. */
  path?: string;
}) {
  const { width, height } = layout.finished;
  const lit =
    path +
    parts
      .filter((part) => part in layout.parts)
      .map((part) => partPath(layout, part))
      .join('');
  return (
    <Frame>
      <svg viewBox={`0 0 ${width.value} ${height.value}`} aria-hidden focusable="false">
        <g opacity={lit ? 0.55 : 1}>
          <QuiltArt plan={plan} layout={layout} />
        </g>
        <path
          d={lit}
          fill="var(--thread)"
          fillOpacity="0.55"
          stroke="var(--thread)"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
    </Frame>
  );
});
