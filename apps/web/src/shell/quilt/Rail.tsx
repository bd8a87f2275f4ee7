import {
  atTable,
  cutRecord,
  cuttingJob,
  formatWithUnit,
  type Layout,
  numberOf,
  progressOf,
  type Quilt,
  settingOf,
  sewRecord,
  STAGES,
} from '@lattice/core';
import { useEffect, useMemo, useRef } from 'react';
import { VisuallyHidden } from 'react-aria';
import { NavLink, useLocation, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Landmark } from '../../design/Landmark.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { selectBooking } from '../../state/bookingSelectors.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { STAGE_NAMES } from '../../state/stageNames.ts';
import { narrow, slim } from '../../design/media.ts';

const Wool = styled(Landmark).attrs({ of: 'navigation' })`
  display: flex;
  flex-direction: column;
  padding: 26px 0 16px;
  color: var(--on-wool);
  background: repeating-linear-gradient(90deg, var(--wool) 0 17px, var(--wool-stripe) 17px 18px);
  ul {
    position: relative;
    flex: 1;
  }
  ul::before {
    content: '';
    position: absolute;
    inset: -10px auto 30px 31px;
    border-left: 2px dashed var(--on-wool-soft);
  }
  .summary {
    padding: 0 18px;
    font-size: var(--size-note);
    line-height: 1.4;
    color: var(--on-wool-soft);
  }
  ${narrow} {
    flex-direction: row;
    align-items: center;
    min-height: 48px;
    padding: 0 0 0 12px;
    overflow-x: auto;
    ul {
      flex: none;
      display: flex;
      padding-right: 30px;
    }
    /* More stages lie beyond this edge. */
    &::after {
      content: '›';
      position: sticky;
      right: 0;
      flex: none;
      align-self: stretch;
      display: grid;
      place-items: center;
      width: 34px;
      margin-left: -34px;
      font-size: var(--size-head);
      pointer-events: none;
      background: linear-gradient(90deg, transparent, var(--wool) 55%);
    }
    ul::before {
      display: none;
    }
    .summary {
      padding: 6px 8px;
    }
  }
  ${slim} {
    .summary {
      display: none;
    }
  }
`;
const Stop = styled(NavLink)`
  position: relative;
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 48px;
  padding: 0 20px;
  text-decoration: none;
  font-weight: 600;
  &[aria-current='page']::after {
    content: '';
    position: absolute;
    right: 0;
    width: 4px;
    height: 34px;
    border-radius: 2px 0 0 2px;
    background: var(--thread);
  }
  &:focus-visible {
    outline-offset: -3px;
  }
  ${narrow} {
    padding: 0 8px;
    &::after {
      display: none;
    }
  }
`;

/** A four-hole button on the running stitch; filled when the stage is settled or at work. */
function SewnButton({ current, settled }: { current: boolean; settled: boolean }) {
  const [cloth, thread] =
    settled && !current
      ? ['var(--on-wool)', 'var(--wool)']
      : [current ? 'var(--thread)' : 'var(--wool)', 'var(--on-wool)'];
  return (
    <svg width="24" height="24" viewBox="-12 -12 24 24" aria-hidden>
      <circle r="10.5" fill={cloth} stroke="var(--on-wool)" strokeWidth="1.6" />
      <circle r="7" fill="none" stroke={thread} strokeWidth="0.7" opacity="0.7" />
      {[
        [-2.3, -2.3],
        [2.3, -2.3],
        [-2.3, 2.3],
        [2.3, 2.3],
      ].map(([cx, cy]) => (
        <circle key={`${cx}${cy}`} cx={cx} cy={cy} r="1.3" fill={thread} />
      ))}
    </svg>
  );
}

/** Whether every cloth of the open quilt is cut, by the log. */
function useAllCut(quilt: Quilt): boolean {
  const plan = useAppSelector(selectPlan);
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id);
  return useMemo(() => {
    if (id === null || !log.some((entry) => entry.quilt === id && entry.kind === 'step-cut')) return false;
    return quilt.fabrics.every(
      ({ fabric }) =>
        atTable(cuttingJob(plan, quilt, fabric.id), cutRecord(log, id, fabric.id, plan.unit)).next === null,
    );
  }, [plan, quilt, log, id]);
}

/** Whether every seam of the open quilt's top is sewn, by the log: a top has a seam fewer than it has pieces. Seams of pieces that are gone do not count. */
function useTopSewn(layout: Layout): boolean {
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id);
  const { unit } = useAppSelector(selectPlan);
  return useMemo(() => {
    if (id === null || layout.pieces.length < 2) return false;
    const there = new Set(layout.pieces.map((piece) => piece.id));
    // A mitre is a seam besides.
    const sewn = [...sewRecord(log, id, unit).seams.keys()]
      .map((key) => key.split(' | '))
      .filter((pieces) => pieces.length === 2 && pieces.every((piece) => there.has(piece)));
    return sewn.length >= layout.pieces.length - 1;
  }, [layout, log, id, unit]);
}

/** Its place, before it is there. */
export const RailToCome = () => <Wool aria-hidden />;

/** The stage rail: where one is in the work, and what the pile says. */
export function Rail() {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const booked = useAppSelector(selectBooking) !== null;
  const { id } = useParams();
  const { pathname } = useLocation();
  const cut = useAllCut(quilt);
  const sewn = useTopSewn(quilt.layout);
  const settled = useMemo(
    () => progressOf(plan, { judged: quilt.pile, booked, cut, sewn }).settled,
    [plan, quilt, booked, cut, sewn],
  );
  const rail = useRef<HTMLElement>(null);
  // On a small screen the rail scrolls by itself: the stage at work stays in sight.
  useEffect(() => {
    rail.current?.querySelector('[aria-current]')?.scrollIntoView?.({ inline: 'center', block: 'nearest' });
  }, [pathname]);
  return (
    <Wool aria-label="Stages" ref={rail}>
      <ul>
        {STAGES.map((stage) => (
          <li key={stage}>
            <Stop to={`/quilts/${id}/${stage}`}>
              {({ isActive }) => (
                <>
                  <SewnButton current={isActive} settled={settled.has(stage)} />
                  <span>
                    {STAGE_NAMES[stage]}
                    {settled.has(stage) && <VisuallyHidden elementType="span">, settled</VisuallyHidden>}
                  </span>
                </>
              )}
            </Stop>
          </li>
        ))}
      </ul>
      <PileSaid pile={quilt.pile} />
    </Wool>
  );
}

/** What the pile says, in a line under the stages. */
function PileSaid({ pile }: { pile: Quilt['pile'] }) {
  const { setting, unit } = useAppSelector(selectPlan);
  const off = pile.small.length + pile.large.length + pile.crooked.length;
  return (
    <p className="summary">
      {pile.blocks === 0 ? (
        settingOf(setting.kind).whole ? (
          <>Made already: it goes by its measured size.</>
        ) : (
          <>No blocks yet.</>
        )
      ) : (
        <>
          {pile.measured === 0
            ? `${numberOf(pile.blocks, 'block')}, none measured yet.`
            : `${pile.measured} of ${numberOf(pile.blocks, 'block')} measured. `}
          <Lengths
            text={
              pile.measured === 0
                ? ''
                : off === 0
                  ? 'All can be sewn in as they are.'
                  : `${off} off by more than ${formatWithUnit(unit === 'in' ? 0.125 : 0.3, unit)}.`
            }
          />
        </>
      )}
    </p>
  );
}
