import { applyFit, precutsSay, type FitRequest, type Plan, startRequest } from '@lattice/core';
import { lazy, useState } from 'react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { ChartFrame } from '../charts/ChartFrame.tsx';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { newId } from '../../browser/tabs.ts';
import { withUnmeasured } from '../../state/pileEdits.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { Asking } from './Asking.tsx';
import { DesignWords } from './DesignWords.tsx';
import { useFits } from './useFits.ts';
import { narrow } from '../../design/media.ts';

const TradeOff = lazy(async () => ({ default: (await import('../charts/TradeOff.tsx')).TradeOff }));

const Halves = styled.div`
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 0 26px;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
  h3 {
    margin: 14px 0 4px;
    font-size: var(--size-note);
    font-weight: 600;
    color: var(--soft);
  }
  .found {
    min-width: 0;
  }
`;
const State = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 34px;
  font-size: var(--size-text);
  color: var(--soft);
  progress {
    flex: 1;
  }
`;
const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
  margin-top: 10px;
  button {
    display: grid;
    gap: 6px;
    align-content: start;
    width: 100%;
    height: 100%;
    padding: 10px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--card);
    text-align: left;
    font-size: var(--size-note);
    line-height: 1.35;
    cursor: pointer;
  }
  button:hover {
    border-color: var(--soft);
  }
  button[aria-pressed='true'] {
    border-color: var(--thread);
    box-shadow: inset 0 0 0 1px var(--thread);
  }
  .art {
    height: 120px;
  }
  strong {
    display: block;
    font-size: var(--size-read);
    font-stretch: 88%;
  }
  .rest {
    color: var(--soft);
  }
`;
const Ways = styled.div`
  position: sticky;
  bottom: 0;
  display: flex;
  gap: 8px;
  justify-content: flex-end;
  grid-column: 1 / -1;
  padding: 14px 0 2px;
  background: var(--card);
`;

/** The search for designs that come to a size: what is asked at the left, what is found at the right, drawn. */
export function Finder({ onClose }: { onClose: () => void }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const { target } = useAppSelector(selectQuilt);
  const [request, setRequest] = useState<FitRequest>(() =>
    startRequest(
      plan,
      target
        ? { width: target.width.value, height: target.height.value }
        : plan.unit === 'in'
          ? { width: 60, height: 72 }
          : { width: 150, height: 180 },
    ),
  );
  const { news, failed, stop } = useFits(plan, request);
  const [chosen, setChosen] = useState(0);
  const [refused, setRefused] = useState<string | null>(null);
  const best = news?.best ?? [];
  const pick = best[Math.min(chosen, best.length - 1)];
  const ask = (change: Partial<FitRequest>) => {
    setChosen(0);
    setRequest((r) => ({ ...r, ...change }));
    return null;
  };
  /** Blocks that were only counted for the search are a pile from now on: what is spare of them is remembered. */
  const withBlocksOf = (fitted: Plan): Plan =>
    fitted.pile.length > 0 || request.blocks === null ? fitted : withUnmeasured(fitted, request.blocks);
  return (
    <Sheet title="Fit to a target" width={1120} isOpen onClose={onClose}>
      <Halves>
        <Asking plan={plan} request={request} ask={ask} />
        <div className="found">
          <State>
            {failed ? (
              <span role="alert">
                The search stopped working. Change anything at the left to begin it again.
              </span>
            ) : !news || !news.finished ? (
              <ProgressBar
                aria-label="Searching"
                value={news ? (100 * news.done) / news.of : 0}
                style={{ display: 'flex', flex: 1, gap: 12, alignItems: 'center' }}
              >
                {({ valueText }) => (
                  <>
                    Searching, {valueText}
                    <Button onPress={stop}>Stop</Button>
                  </>
                )}
              </ProgressBar>
            ) : (
              <span role="status">
                {best.length === 0
                  ? 'Nothing comes near this. Allow another setting, wider borders, more cloth, or another number of blocks.'
                  : best.length === 1
                    ? 'The one design there is.'
                    : `The best ${best.length} designs, best first.`}
              </span>
            )}
          </State>
          {best.length > 0 && (
            <ChartFrame height={190}>
              <TradeOff fits={best} aimed={request.target !== null} chosen={chosen} onChoose={setChosen} />
            </ChartFrame>
          )}
          <Grid aria-label="Designs found">
            {best.map((fit, i) => {
              const design = applyFit(
                { ...plan, pile: plan.pile.slice(0, fit.blocks) },
                fit,
                request.target,
                newId,
              );
              return (
                <li
                  key={`${fit.setting.kind}-${JSON.stringify(fit.setting)}-${fit.grid.across}-${fit.grid.down}`}
                >
                  <button type="button" aria-pressed={i === chosen} onClick={() => setChosen(i)}>
                    <span className="art">
                      <Thumbnail plan={design} />
                    </span>
                    <DesignWords fit={fit} unit={plan.unit} takes={precutsSay(design, request)} />
                  </button>
                </li>
              );
            })}
          </Grid>
        </div>
        <Ways>
          {refused && (
            <span role="alert">
              <Lengths text={refused} />
            </span>
          )}
          <Button onPress={onClose}>Leave the quilt as it is</Button>
          <Button
            look="main"
            isDisabled={!pick}
            onPress={() => {
              const refused = pick
                ? edit((p) => withBlocksOf(applyFit(p, pick, request.target, newId)))
                : null;
              setRefused(refused);
              if (refused === null) onClose();
            }}
          >
            Use this design
          </Button>
        </Ways>
      </Halves>
    </Sheet>
  );
}
