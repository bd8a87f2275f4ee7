import { applyFit, type Fit, type FitRequest, formatLength, formatSize, formatWithUnit, type Plan, settingOf, SETTINGS, startRequest, type Unit, type Weights } from '@lattice/core';
import { useState } from 'react';
import { Checkbox, CheckboxGroup, Label, ProgressBar, Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import { useAppSelector } from '../app/store.ts';
import { Button } from '../design/controls/Button.tsx';
import { CountField } from '../design/controls/CountField.tsx';
import { LengthField } from '../design/controls/LengthField.tsx';
import { Lengths } from '../design/Lengths.tsx';
import { Sheet } from '../design/Sheet.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { selectPlan } from '../quilt/selectors.ts';
import { useEdit } from '../quilt/useEdit.ts';
import { TradeOff } from './TradeOff.tsx';
import { useFits } from './useFits.ts';

const Halves = styled.div`
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 0 26px;
  @media (max-width: 760px) { grid-template-columns: minmax(0, 1fr); }
  h3 { margin: 14px 0 4px; font-size: 13px; font-weight: 600; color: var(--soft); }
  .found { min-width: 0; }
`;
const Kinds = styled(CheckboxGroup)`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 10px;
  font-size: 14px;
  > span:first-child { grid-column: 1 / -1; margin: 14px 0 4px; font-size: 13px; font-weight: 600; color: var(--soft); }
`;
const Kind = styled(Checkbox)`
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 28px;
  cursor: pointer;
  .box { display: grid; place-items: center; width: 17px; height: 17px; border: 1.5px solid var(--soft); border-radius: 4px; font-size: 12px; line-height: 1; }
  &[data-selected] .box { background: var(--ink); border-color: var(--ink); color: var(--card); }
  &[data-focus-visible] .box { outline: 2px solid var(--chalk); outline-offset: 2px; }
  @media (pointer: coarse) { min-height: 44px; }
`;
const Weight = styled(Slider)`
  display: grid;
  grid-template-columns: 96px 1fr;
  align-items: center;
  gap: 10px;
  min-height: 30px;
  font-size: 14px;
  .track { position: relative; height: 26px; }
  .track::before { content: ''; position: absolute; inset: 12px 0; border-radius: 2px; background: var(--line); }
  .thumb { top: 50%; width: 24px; height: 24px; border: 2px solid var(--chalk); border-radius: 50%; background: var(--card); }
  .thumb[data-focus-visible] { outline: 2px solid var(--chalk); outline-offset: 2px; }
`;
const State = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 34px;
  font-size: 14px;
  color: var(--soft);
  progress { flex: 1; }
`;
const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
  margin-top: 10px;
  button {
    display: grid;
    gap: 6px;
    width: 100%;
    height: 100%;
    padding: 10px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--card);
    text-align: left;
    font-size: 13px;
    line-height: 1.35;
    cursor: pointer;
  }
  button:hover { border-color: var(--soft); }
  button[aria-pressed='true'] { border-color: var(--thread); box-shadow: inset 0 0 0 1px var(--thread); }
  .art { height: 120px; }
  strong { display: block; font-size: 15px; font-stretch: 88%; }
  .rest { color: var(--soft); }
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

const WEIGHTS: readonly (readonly [keyof Weights, string, number])[] = [
  ['size', 'Exact size', 4], ['blocks', 'Blocks used up', 4], ['proportion', 'Proportion', 6], ['fabric', 'Little cloth', 3], ['seams', 'Few seams', 3],
];

/** The search for designs that come to a size: what is asked at the left, what is found at the right, drawn. */
export function Finder({ onClose }: { onClose: () => void }) {
  const plan = useAppSelector(selectPlan);
  const edit = useEdit();
  const [request, setRequest] = useState<FitRequest>(() => startRequest(plan, plan.target ?? (plan.unit === 'in' ? { width: 60, height: 72 } : { width: 150, height: 180 })));
  const { news, failed, stop } = useFits(plan, request);
  const [chosen, setChosen] = useState(0);
  const best = news?.best ?? [];
  const pick = best[Math.min(chosen, best.length - 1)];
  const ask = (change: Partial<FitRequest>) => {
    setChosen(0);
    setRequest((r) => ({ ...r, ...change }));
    return null;
  };
  return (
    <Sheet title="Fit to a target" width={1120} isOpen onClose={onClose}>
      <Halves>
        <Asking plan={plan} request={request} ask={ask} />
        <div className="found">
          <State>
            {failed ? (
              <span role="alert">The search stopped working. Change anything at the left to begin it again.</span>
            ) : !news || !news.finished ? (
              <ProgressBar aria-label="Searching" value={news ? (100 * news.done) / news.of : 0} style={{ display: 'flex', flex: 1, gap: 12, alignItems: 'center' }}>
                {({ valueText }) => <>Searching, {valueText}<Button onPress={stop}>Stop</Button></>}
              </ProgressBar>
            ) : (
              <span role="status">{best.length === 0 ? 'Nothing comes near this size. Allow another setting, wider borders, or another number of blocks.' : `The best ${best.length} designs, best first.`}</span>
            )}
          </State>
          {best.length > 0 && <TradeOff fits={best} chosen={chosen} onChoose={setChosen} />}
          <Grid aria-label="Designs found">
            {best.map((fit, i) => (
              <li key={`${fit.setting.kind}-${JSON.stringify(fit.setting)}-${fit.grid.across}-${fit.grid.down}`}>
                <button type="button" aria-pressed={i === chosen} onClick={() => setChosen(i)}>
                  <span className="art"><Thumbnail plan={applyFit({ ...plan, pile: plan.pile.slice(0, fit.blocks) }, fit, request.target)} /></span>
                  <Said fit={fit} unit={plan.unit} />
                </button>
              </li>
            ))}
          </Grid>
        </div>
        <Ways>
          <Button onPress={onClose}>Leave the quilt as it is</Button>
          <Button
            look="main"
            isDisabled={!pick}
            onPress={() => {
              if (pick) edit((p) => applyFit(p, pick, request.target));
              onClose();
            }}
          >
            Set the quilt like this
          </Button>
        </Ways>
      </Halves>
    </Sheet>
  );
}

/** What is searched for: target, blocks, borders, kinds, and what weighs how much. */
function Asking({ plan, request, ask }: { plan: Plan; request: FitRequest; ask: (change: Partial<FitRequest>) => null }) {
  const { target, sash, borders } = request;
  const size = (value: number) => (value > 0 && value <= (plan.unit === 'in' ? 200 : 508) ? null : `A target of ${formatWithUnit(value, plan.unit)} cannot be right.`);
  const sashProblem = (least: number, most: number) => (least <= 0 ? 'A sash has to be wider than nothing.' : least > most ? 'The narrowest sash is wider than the widest.' : null);
  return (
    <div>
      <LengthField label="Target width" value={target.width} unit={plan.unit} step={1} onCommit={(width) => size(width) ?? ask({ target: { ...target, width } })} />
      <LengthField label="Target height" value={target.height} unit={plan.unit} step={1} onCommit={(height) => size(height) ?? ask({ target: { ...target, height } })} />
      {request.blocks !== null && (
        <CountField label="Blocks on hand" value={request.blocks} onCommit={(blocks) => (blocks >= 1 ? ask({ blocks }) : 'At least one block.')} />
      )}
      <LengthField label="Narrowest sash" value={sash.least} unit={plan.unit} onCommit={(least) => sashProblem(least, sash.most) ?? ask({ sash: { ...sash, least } })} />
      <LengthField label="Widest sash" value={sash.most} unit={plan.unit} onCommit={(most) => sashProblem(sash.least, most) ?? ask({ sash: { ...sash, most } })} />
      <CountField label="Borders" value={borders.count} onCommit={(count) => (count >= 0 && count <= 3 ? ask({ borders: { ...borders, count } }) : 'None to three borders.')} />
      <LengthField label="All borders, at most" value={borders.most} unit={plan.unit} onCommit={(most) => (most >= 0 && size(most || 1) === null ? ask({ borders: { ...borders, most } }) : 'A border is no wider than the quilt.')} />
      <Kinds value={request.kinds} onChange={(kinds) => kinds.length > 0 && ask({ kinds: kinds as FitRequest['kinds'] })}>
        <Label>Settings to try</Label>
        {SETTINGS.map(({ kind, name }) => (
          <Kind key={kind} value={kind}>{({ isSelected }) => <><span className="box" aria-hidden>{isSelected ? '✓' : ''}</span>{name}</>}</Kind>
        ))}
      </Kinds>
      <h3>What matters</h3>
      {WEIGHTS.map(([key, label, most]) => (
        <Weight key={key} minValue={0} maxValue={most} step={most / 20} value={request.weights[key]} onChange={(value) => ask({ weights: { ...request.weights, [key]: value as number } })}>
          <Label>{label}</Label>
          <SliderTrack className="track"><SliderThumb className="thumb" /></SliderTrack>
        </Weight>
      ))}
    </div>
  );
}

/** A design in words. */
function Said({ fit, unit }: { fit: Fit; unit: Unit }) {
  const { setting, grid, borders, finished, over } = fit;
  const parts = [
    `${grid.across} × ${grid.down}`,
    'sash' in setting ? `sash ${formatLength(setting.sash, unit)}` : '',
    borders.length === 0 ? 'no border' : `${borders.length === 1 ? 'border' : 'borders'} ${borders.map((b) => formatLength(b, unit)).join(', ')}`,
    over === null ? `${fit.blocks} blocks` : over > 0 ? `${over} spare` : over < 0 ? `${-over} to make` : 'uses every block',
  ];
  return (
    <span>
      <strong><Lengths text={formatSize(finished.width, finished.height, unit)} /></strong>
      {settingOf(setting.kind).name}<br />
      <span className="rest"><Lengths text={parts.filter(Boolean).join(' · ')} /></span>
    </span>
  );
}
