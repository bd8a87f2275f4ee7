import { blockLabels, CAUTIONS } from '@lattice/core';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../../rooms/paper/PrintHead.tsx';
import { SceneDrawing } from '../../rooms/drawing/SceneArt.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';

const Page = styled(Paper)`
  h2 {
    font-size: var(--size-lead);
    margin-bottom: 6px;
  }
  ol {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1in;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    break-inside: avoid;
  }
  svg {
    display: block;
  }
`;

/** Labels for every block, row by row as they are sewn: to print, cut apart and pin on. */
export function LabelsPage() {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const { id } = useParams();
  const labels = blockLabels(plan, layout);
  const rows = [...new Set(labels.map((l) => l.row))];
  return (
    <Page>
      <PrintHead
        title={`${plan.title}: labels to pin on`}
        to={`/quilts/${id}/wall`}
        back="Back to the wall"
      />
      <p>
        <small>{CAUTIONS.labels}</small>
      </p>
      {rows.map((row) => (
        <section key={row} aria-label={`Row ${row}`}>
          <h2>Row {row}</h2>
          <ol>
            {labels
              .filter((label) => label.row === row)
              .map(({ number, says, scene }) => (
                <li key={number}>
                  <SceneDrawing scene={scene} label={says} />
                </li>
              ))}
          </ol>
        </section>
      ))}
    </Page>
  );
}
