import { formatFine, fromInches, type Plan, type Point } from '@lattice/core';
import { useCallback } from 'react';
import { Lengths } from '../../design/Lengths.tsx';
import type { MeasuredPhoto } from '../workers/photo.worker.ts';
import { CORNERS } from './corners.ts';
import { PointBoard } from './PointBoard.tsx';
import type { usePhotos } from './usePhotos.ts';

/** The table from straight above with the block's outline on it, each edge with its length. */
export function TableBoard({
  measured: { table, places, six, perInch },
  unit,
  onMove,
  ask,
}: {
  measured: MeasuredPhoto;
  unit: Plan['unit'];
  onMove: (corner: number, to: Point) => void;
  ask: ReturnType<typeof usePhotos>['ask'];
}) {
  const { left, top, perInch: dots } = table;
  const shown = (p: Point): Point => ({ x: (p.x - left) * dots, y: (p.y - top) * dots });
  const laid = useCallback(
    (p: Point): Point => ({ x: left + p.x / dots, y: top + p.y / dots }),
    [left, top, dots],
  );
  const near = useCallback(
    (at: Point, size: number) => ask({ ask: 'near', at: laid(at), on: 'table', dots: 20, size }),
    [ask, laid],
  );
  const points = places.map(shown);
  const middle = (a: number, b: number) => ({
    x: (points[a]!.x + points[b]!.x) / 2,
    y: (points[a]!.y + points[b]!.y) / 2,
  });
  const show = (inches: number) => <Lengths text={formatFine(fromInches(inches, unit), unit)} />;
  return (
    <PointBoard
      picture={table.picture}
      says="The block from straight above, with its outline"
      points={points}
      names={CORNERS}
      step={(0.1 / perInch) * dots}
      onMove={(k, to) => onMove(k, laid(to))}
      near={near}
      lengths={[
        { key: 'top', at: middle(0, 1), text: show(six.width.top) },
        { key: 'right', at: middle(1, 2), text: show(six.height.right) },
        { key: 'bottom', at: middle(2, 3), text: show(six.width.bottom) },
        { key: 'left', at: middle(3, 0), text: show(six.height.left) },
      ]}
    />
  );
}
