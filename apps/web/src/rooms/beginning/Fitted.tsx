import { applyFit, type Plan, startRequest, type Target, targetSize } from '@lattice/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { DesignWords } from '../finder/DesignWords.tsx';
import { useFits } from '../finder/useFits.ts';
import { newId } from '../../browser/tabs.ts';

const Designs = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 8px;
  button {
    width: 100%;
    height: 100%;
    padding: 8px 10px;
    border: 1.5px solid var(--line);
    border-radius: 9px;
    background: none;
    font-size: var(--size-note);
    line-height: 1.35;
    text-align: left;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 0.5px var(--ink);
  }
  strong {
    display: block;
  }
  .rest {
    color: var(--soft);
  }
`;

/** The designs of a beginning that come nearest to a size, the best taken unless another is: searched for in a worker. */
export function Fitted({
  plan,
  target,
  bordered,
  onFit,
}: {
  plan: Plan;
  target: Target;
  /** A border may be put round it where that helps; not where the maker wants none. */
  bordered: boolean;
  onFit: (plan: Plan | null) => void;
}) {
  const size = useMemo(() => targetSize(target, plan.unit), [target, plan.unit]);
  const request = useMemo(() => {
    const { borders, ...asked } = startRequest(plan, { width: size.width.value, height: size.height.value });
    return {
      ...asked,
      kinds: [plan.setting.kind],
      // Without a border it is without one, however far that is from the size.
      borders: { ...borders, count: bordered ? Math.max(1, plan.borders.length) : 0 },
    };
  }, [plan, size, bordered]);
  const { news, old, failed } = useFits(plan, request);
  const [chosen, setChosen] = useState(0);
  const best = useMemo(() => news?.best.slice(0, 3) ?? [], [news]);
  // What was found for other answers is shown until there is better, and not laid out.
  const pick = old ? undefined : best[Math.min(chosen, best.length - 1)];
  useEffect(() => {
    onFit(pick ? applyFit(plan, pick, request.target, newId) : null);
  }, [pick, plan, request, onFit]);
  if (failed) return <p role="alert">The search stopped working. Change an answer to begin it again.</p>;
  if (!news?.finished && best.length === 0) return <p role="status">Looking for what comes to that size…</p>;
  if (best.length === 0)
    return <p role="status">Nothing comes near that size with these blocks set so. Try another setting.</p>;
  return (
    <Designs aria-label="Designs that come to it">
      {best.map((fit, i) => (
        <li key={i}>
          <button type="button" aria-pressed={i === chosen} onClick={() => setChosen(i)}>
            <DesignWords fit={fit} unit={plan.unit} />
          </button>
        </li>
      ))}
    </Designs>
  );
}
