import { progressOf, type Stage, STAGES, stepsAside } from '@lattice/core';
import { Link, Outlet, useLocation } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan } from '../../state/selectors.ts';
import { STAGE_NAMES } from '../../state/stageNames.ts';

const Aside = styled.section`
  max-width: 460px;
  margin: 16vh auto 0;
  padding: 0 20px;
  h1 {
    margin-bottom: 8px;
    font: 650 var(--size-head)/1.25 var(--name);
  }
  p {
    margin-bottom: 14px;
  }
`;

/** The stage at work; where it has nothing to do for this quilt it says so, and the way to where the work is. */
export function StageAtWork() {
  const { pathname } = useLocation();
  const plan = useAppSelector(selectPlan);
  const id = useAppSelector((s) => s.saving.id);
  const stage = STAGES.find((one): one is Stage => one === pathname.split('/')[3]);
  const says = stage ? stepsAside(plan, stage) : null;
  if (!stage || says === null) return <Outlet />;
  const { at } = progressOf(plan, { booked: false });
  return (
    <Aside aria-label={STAGE_NAMES[stage]}>
      <h1>Nothing to do at {STAGE_NAMES[stage]}</h1>
      <p>{says}</p>
      <Link to={`/quilts/${id}/${at}`}>Go to {STAGE_NAMES[at]}</Link>
    </Aside>
  );
}
