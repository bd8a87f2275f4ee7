import {
  checkSide,
  formatWithUnit,
  scallopTemplates,
  sheetsOf,
  type Template,
  templatesSvg,
  type Unit,
} from '@lattice/core';
import { FileDown, Printer } from 'lucide-react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Paper } from '../../design/Paper.ts';
import { Lengths } from '../../design/Lengths.tsx';
import { download } from '../../quilt/download.ts';
import { selectPlan, selectQuilt } from '../../quilt/selectors.ts';

const Page = styled(Paper)`
  section {
    margin: 18px 0 26px;
  }
  h2 {
    font-size: 17px;
    margin-bottom: 4px;
  }
  .true {
    overflow-x: auto;
    padding: 6px 2px;
  }
  figure {
    break-inside: avoid;
    margin: 0 0 10px;
  }
  figcaption {
    font-size: 14px;
    color: var(--soft);
    margin-bottom: 4px;
  }
  svg {
    display: block;
    overflow: visible;
  }
  svg[data-part] {
    overflow: hidden;
  }
  .true path,
  .true rect {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1px;
    vector-effect: non-scaling-stroke;
  }
  .true .seam {
    stroke-dasharray: 1 4;
  }
  .true .fold {
    stroke-dasharray: 6 4;
    stroke: var(--thread);
  }
  @media print {
    .true path,
    .true rect {
      stroke: #000;
    }
    .true {
      overflow: visible;
    }
  }
`;

/** Templates for scallops and corner, true to size on paper, with a square to see that the printer kept it. */
export function ScallopPage() {
  const plan = useAppSelector(selectPlan);
  const { edge } = useAppSelector(selectQuilt);
  const { id } = useParams();
  const { unit, title } = plan;
  const { scallops } = edge.outline;
  if (!scallops) {
    return (
      <Page>
        <p>
          This quilt’s edge has no scallops. <Link to={`/quilts/${id}/edge`}>Choose them in Edge</Link>, and
          their templates are here.
        </p>
      </Page>
    );
  }
  const templates = scallopTemplates(scallops, unit);
  const check = checkSide(unit);
  return (
    <Page>
      <header>
        <h1>{title}: scallops, true to size</h1>
        <Link className="hide" to={`/quilts/${id}/edge`}>
          Back to the edge
        </Link>
        <span className="hide">
          <Button
            onPress={() => download(`${title} scallops.svg`, templatesSvg(templates, unit), 'image/svg+xml')}
          >
            <FileDown size={15} aria-hidden />
            As SVG
          </Button>
        </span>
        <span className="hide">
          <Button look="main" onPress={() => window.print()}>
            <Printer size={15} aria-hidden />
            Print
          </Button>
        </span>
      </header>
      <p>
        Print at 100%, not fitted to the page, and measure this square: it has to be{' '}
        <Lengths text={formatWithUnit(check, unit)} /> each way. The line is the finished edge, where the
        binding wraps it.
      </p>
      <div className="true">
        <svg
          width={`${check}${unit}`}
          height={`${check}${unit}`}
          viewBox={`0 0 ${check} ${check}`}
          role="img"
          aria-label="Square to check the printing by"
        >
          <rect width={check} height={check} />
        </svg>
      </div>
      {templates.map((template) => (
        <section key={template.name} aria-label={template.name}>
          <h2>
            {template.name}
            {template.half ? ', half of it' : ''}
          </h2>
          <p>
            <Lengths text={`${template.says}.${template.half ? ' Lay the dashed edge on a fold.' : ''}`} />
          </p>
          <Sheets template={template} unit={unit} />
        </section>
      ))}
    </Page>
  );
}

/** A template on as many sheets of paper as it takes and is taped together. */
function Sheets({ template, unit }: { template: Template; unit: Unit }) {
  const sheets = sheetsOf(template, unit);
  const rest = 1e-6;
  return sheets.map(({ x, y, width, height }, i) => {
    const seams = [
      ...(x > rest ? [`M${x} ${y}v${height}`] : []),
      ...(x + width < template.width - rest ? [`M${x + width} ${y}v${height}`] : []),
      ...(y > rest ? [`M${x} ${y}h${width}`] : []),
      ...(y + height < template.height - rest ? [`M${x} ${y + height}h${width}`] : []),
    ];
    const sheet = sheets.length > 1 ? `, sheet ${i + 1} of ${sheets.length}` : '';
    return (
      <figure key={i} className="true">
        {sheets.length > 1 && (
          <figcaption>
            Sheet {i + 1} of {sheets.length}: cut along the dotted lines and tape the sheets edge to edge, in
            the order one reads.
          </figcaption>
        )}
        <svg
          data-part={sheets.length > 1 || undefined}
          width={`${width}${unit}`}
          height={`${height}${unit}`}
          viewBox={`${x} ${y} ${width} ${height}`}
          role="img"
          aria-label={`${template.name}, ${formatWithUnit(template.width, unit)} wide${sheet}`}
          data-testid="template"
        >
          <path d={template.path} />
          {template.half && x <= rest && <path className="fold" d={`M0 ${y}v${height}`} />}
          {seams.map((d) => (
            <path key={d} className="seam" d={d} />
          ))}
        </svg>
      </figure>
    );
  });
}
