import { formatSize, isMeasured, numberOf, type Plan, type Quilt, settingOf } from '@lattice/core';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { Thumbnail } from '../drawing/Thumbnail.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { onPaper } from '../../design/media.ts';

const Head = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 0.3in;
  align-items: start;
  margin-bottom: 14px;
  h1 {
    margin: 0;
    font: 650 var(--size-head)/1.2 var(--name);
  }
  .of {
    margin-top: 2px;
    font-size: var(--size-text);
  }
  .rest {
    margin-top: 2px;
    font-size: var(--size-note);
    color: var(--soft);
  }
  figure {
    width: 2.3in;
    height: 2.5in;
    margin: 0;
  }
  &[data-large] figure {
    width: 2.7in;
    height: 3in;
  }
  ${onPaper} {
    .rest {
      color: #333;
    }
  }
`;

/** The day, as it stands on paper. */
const today = (): string =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' }).format(new Date());

/** What a quilt is, in two lines: its size and unit, its setting, its blocks and borders. */
function quiltLines(plan: Plan, quilt: Quilt): readonly [string, string] {
  const { unit, grid, borders, measured } = plan;
  const { width, height } = quilt.finished;
  const setting = settingOf(plan.setting.kind);
  const size = formatSize(width.value, height.value, unit);
  const laid = setting.whole
    ? setting.name.toLowerCase()
    : `${setting.name.toLowerCase()}, ${grid.across} × ${grid.down}, ${numberOf(quilt.pile.needed, 'block')} of ${formatSize(plan.block.width, plan.block.height, unit)} finished`;
  const round = borders.length === 0 ? 'no border' : numberOf(borders.length, 'border');
  return [
    `${size} finished${measured.some(isMeasured) ? ', as measured' : ''}, in ${unit === 'in' ? 'inches' : 'centimetres'}`,
    `${laid}, ${round}`,
  ];
}

/** The head of whatever is printed of a quilt: its name and what this sheet is, the day, its size, and the quilt itself. */
export function PaperHead({ what, large = false }: { what: string; large?: boolean }) {
  const plan = useAppSelector(selectPlan);
  const quilt = useAppSelector(selectQuilt);
  const [of, rest] = quiltLines(plan, quilt);
  return (
    <Head data-large={large || undefined}>
      <div>
        <h1>{plan.title}</h1>
        <p className="of">
          {what} · {today()}
        </p>
        <p className="of">
          <Lengths text={of} />
        </p>
        <p className="rest">
          <Lengths text={rest} />
        </p>
      </div>
      <figure>
        <Thumbnail plan={plan} edged />
      </figure>
    </Head>
  );
}
