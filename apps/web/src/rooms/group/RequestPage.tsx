import { formatSize, formatWithUnit, fromInches } from '@lattice/core';
import { useState } from 'react';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../paper/PrintHead.tsx';
import { selectPlan } from '../../state/selectors.ts';

const Page = styled(Paper)`
  max-width: 760px;
  font-size: var(--size-lead);
  h2 {
    margin: 16px 0 4px;
    font-size: var(--size-lead);
  }
  ol {
    padding-left: 1.3em;
  }
  li {
    margin: 4px 0;
  }
  > svg {
    width: 250px;
    float: right;
    margin: 0 0 10px 24px;
  }
  > svg text {
    font: 600 var(--size-mark) var(--text);
    text-anchor: middle;
    fill: currentColor;
  }
  .slip {
    margin-top: 20px;
    padding-top: 10px;
    border-top: 1px dashed currentColor;
  }
`;

/** What is asked of everyone who gives a block, on one page: the size to cut to, the seam, how to measure, the day. */
export function RequestPage() {
  const plan = useAppSelector(selectPlan);
  const id = useAppSelector((s) => s.saving.id)!;
  const [day, setDay] = useState('');
  const { unit, seam, block, title } = plan;
  const cut = { width: block.width + 2 * seam, height: block.height + 2 * seam };
  const ease = formatWithUnit(fromInches(1 / 8, unit), unit);
  return (
    <Page>
      <PrintHead title={`A block for ${title}`} back="Back to the group" to={`/quilts/${id}/group`} />
      <div className="hide">
        <WordsField label="To be handed in by" value={day} onChange={setDay} maxLength={60} />
      </div>
      <svg
        viewBox="0 0 120 124"
        role="img"
        aria-label={`The block, cut to ${formatSize(cut.width, cut.height, unit)}`}
      >
        <rect x="10" y="14" width="100" height="100" fill="none" stroke="currentColor" />
        <rect x="15" y="19" width="90" height="90" fill="none" stroke="currentColor" strokeDasharray="3 2" />
        <path d="M10 64H110M60 14V114" stroke="currentColor" strokeDasharray="1 2" />
        <text x="60" y="10">
          {formatWithUnit(cut.width, unit)}
        </text>
        <text x="60" y="122">{`dashed: the seam, ${formatWithUnit(seam, unit)} in`}</text>
      </svg>
      <p>
        One block,{' '}
        <b>
          <Lengths text={formatSize(cut.width, cut.height, unit)} />
        </b>{' '}
        from cut edge to cut edge; in the quilt it comes to{' '}
        <Lengths text={formatSize(block.width, block.height, unit)} />.
        {day.trim() !== '' && (
          <>
            {' '}
            By <b>{day}</b>, please.
          </>
        )}
      </p>
      <h2>Making it</h2>
      <ol>
        <li>
          <Lengths
            text={`Seams of ${formatWithUnit(seam, unit)}. Try yours first: three strips of ${formatWithUnit(unit === 'in' ? 1.5 : 4, unit)} sewn side by side measure ${formatWithUnit(unit === 'in' ? 3.5 : 12 - 4 * seam, unit)} together.`}
          />
        </li>
        <li>Wash the cloth first if it may run. Say on the slip whether you did.</li>
        <li>Press, do not iron: set the seam, then press it over.</li>
        <li>
          <Lengths
            text={`Points stay ${formatWithUnit(seam, unit)} inside the edge, so that they are not sewn over.`}
          />
        </li>
      </ol>
      <h2>Measuring it</h2>
      <ol>
        <li>Lay it flat, face up, without pulling.</li>
        <li>With a ruler, not the mat: across the middle both ways, and along all four edges.</li>
        <li>
          <Lengths
            text={`All within ${ease} of ${formatSize(cut.width, cut.height, unit)}: it is right. Write the sizes down as they are; do not trim it to fit. Too large can be trimmed here, too small cannot be made larger.`}
          />
        </li>
      </ol>
      <div className="slip">
        Pin this to your block. Made by ______________________ · called ______________________ · washed ☐ ·
        measured ________ × ________
      </div>
    </Page>
  );
}
