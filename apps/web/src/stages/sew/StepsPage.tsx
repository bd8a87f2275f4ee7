import { cautionsOf, numberOf, partSays } from '@lattice/core';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../../rooms/paper/PrintHead.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { GrowingQuilt } from './GrowingQuilt.tsx';
import { useSewing } from './useSewing.ts';
import { small } from '../../design/media.ts';

const Step = styled.section`
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 18px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  .picture {
    height: 250px;
  }
  h2 {
    font-size: var(--size-lead);
  }
  p {
    margin: 2px 0;
    font-size: var(--size-note);
  }
  .boxes {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px;
    margin-top: 6px;
  }
  .boxes span {
    margin-right: 4px;
    font-size: var(--size-mark);
  }
  .boxes i {
    display: inline-block;
    width: 13px;
    height: 13px;
    border: 1.2px solid var(--ink);
    border-radius: 2px;
    font: 700 var(--size-mark)/1 var(--name);
    text-align: center;
  }
  ${small} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
/** More boxes than this are a number. */
const MOST_BOXES = 120;

/** The steps on paper: one picture each, boxes to tick with a pencil. */
export function StepsPage() {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const { id } = useParams();
  const heard = useSewing();
  return (
    <Paper>
      <PrintHead
        title={`${plan.title}: sewing`}
        what="Sewing steps"
        to={`/quilts/${id}/sew`}
        back="Back to the sewing"
      />
      {'says' in heard ? (
        <p role="status">{heard.says}</p>
      ) : (
        <>
          <p>
            {heard.way.method.name}: {heard.way.method.says}
          </p>
          <p>
            <small>{cautionsOf(heard.guide).join(' ')}</small>
          </p>
          {heard.guide.map((step, i) => {
            // A box for each seam, as many as there are to count; pressing has its own.
            const acts = heard.at.acts.filter((act) => act.step === i);
            const seams = acts.filter((act) => act.kind === 'seam');
            const last = acts.filter((act) => act.kind !== 'seam');
            return (
              <Step key={step.id} aria-label={step.title}>
                <div className="picture">
                  {step.seams.length > 0 && (
                    <GrowingQuilt
                      onPaper
                      {...{ plan, layout }}
                      sewing={heard}
                      seams={step.seams}
                      hand={null}
                      label={`The seams of this step, with the way each is pressed`}
                    />
                  )}
                </div>
                <div>
                  <h2>
                    {i + 1}. {step.title}
                  </h2>
                  {[step.pick, ...step.does].map((line) => (
                    <p key={line}>
                      <Lengths text={line} />
                    </p>
                  ))}
                  {step.measures.map((size) => (
                    <p key={size.id}>
                      <Lengths text={`${partSays(size, plan.unit, 'then')}: ______ × ______`} />
                    </p>
                  ))}
                  <div className="boxes" aria-hidden>
                    {seams.length > 0 && <span>{numberOf(seams.length, 'seam')}</span>}
                    {seams.slice(0, MOST_BOXES).map(({ key, done }) => (
                      <i key={key}>{done && '✓'}</i>
                    ))}
                    {seams.length > MOST_BOXES && <span>and {seams.length - MOST_BOXES} more</span>}
                    {last.map(({ key, done, kind }) => (
                      <span key={key}>
                        {kind === 'press' ? 'pressed' : 'done'} <i>{done && '✓'}</i>
                      </span>
                    ))}
                  </div>
                </div>
              </Step>
            );
          })}
        </>
      )}
    </Paper>
  );
}
