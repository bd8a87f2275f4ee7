import { addressOf, type StoredQuilt } from '@lattice/contract';
import { type Plan, planProblems, type Problem } from '@lattice/core';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { serverError, useSaveQuiltMutation } from '../../sync/api.ts';
import { Button } from '../../design/controls/Button.tsx';
import { CountField } from '../../design/controls/CountField.tsx';
import { LengthField } from '../../design/controls/LengthField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Snapshots } from '../versions/Snapshots.tsx';
import { numberAt, withNumberAt } from './fields.ts';

export const MendFrame = styled.main`
  max-width: 620px;
  margin: 10vh auto;
  padding: 0 20px 60px;
  h1 {
    font: 650 var(--size-large)/1.2 var(--name);
    margin-bottom: 8px;
  }
  h2 {
    margin: 26px 0 8px;
    font-size: var(--size-read);
    font-weight: 650;
  }
  ol li {
    padding: 12px 0;
    border-top: 1px solid var(--line);
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 14px;
    align-items: center;
    margin-top: 18px;
  }
`;

/** Fields that count something; all other numbers are lengths. */
const COUNTED: ReadonlySet<string | number> = new Set(['across', 'down', 'borders']);

/** A quilt that was kept and cannot be drawn: what stands in the way, each with the figure to put right. */
export function MendPage({ quilt, onMended }: { quilt: StoredQuilt; onMended: () => void }) {
  const [plan, setPlan] = useState(quilt.plan);
  const [save, { error, isLoading }] = useSaveQuiltMutation();
  const problems = planProblems(plan);
  const keep = async () => {
    await save({ id: quilt.id, revision: quilt.revision, plan }).unwrap();
    onMended();
  };
  return (
    <MendFrame>
      <h1>{quilt.plan.title}</h1>
      <p>
        This quilt is safe, and cannot be drawn as it is: it was kept before the app knew this limit, or was
        changed outside of it. Put these figures right and it opens.
      </p>
      <ol>
        {problems.map((problem) => (
          <li key={`${problem.path.join('/')} ${problem.message}`}>
            <p>
              <Lengths text={problem.message} />
            </p>
            <Figure plan={plan} problem={problem} onChange={setPlan} />
          </li>
        ))}
      </ol>
      {problems.length === 0 && <p role="status">Now it can be drawn.</p>}
      {error !== undefined && <p role="alert">{serverError(error).message}</p>}
      <div className="ways">
        <Button
          look="main"
          isDisabled={problems.length > 0 || isLoading}
          onPress={() => void keep().catch(() => undefined)}
        >
          Keep it and open
        </Button>
        <a href={addressOf('planFile', { id: quilt.id })}>Download its file</a>
        <Link to="/">Go to the shelf</Link>
      </div>
      <Snapshots quilt={quilt.id} onGoBack={setPlan} />
    </MendFrame>
  );
}

function Figure({
  plan,
  problem: { path },
  onChange,
}: {
  plan: Plan;
  problem: Problem;
  onChange: (plan: Plan) => void;
}) {
  const value = numberAt(plan, path);
  if (value === null) return null;
  const commit = (next: number) => {
    onChange(withNumberAt(plan, path, next));
    return null;
  };
  return COUNTED.has(path.at(-1) ?? '') ? (
    <CountField label="Put it right" value={value} onCommit={commit} />
  ) : (
    <LengthField label="Put it right" value={value} unit={plan.unit} onCommit={commit} />
  );
}
