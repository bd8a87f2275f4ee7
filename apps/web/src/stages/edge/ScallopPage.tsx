import {
  CAUTIONS,
  checkScene,
  checkSide,
  formatWithUnit,
  scallopTemplates,
  sceneSvg,
  sheetScenes,
  type Template,
  templatesScene,
  type Unit,
} from '@lattice/core';
import { FileDown } from 'lucide-react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../../rooms/paper/PrintHead.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { SceneDrawing } from '../../rooms/drawing/SceneArt.tsx';
import { download } from '../../browser/download.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { onPaper } from '../../design/media.ts';

const Page = styled(Paper)`
  section {
    margin: 18px 0 26px;
  }
  h2 {
    font-size: var(--size-lead);
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
    font-size: var(--size-text);
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
  ${onPaper} {
    .true path {
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
      <PrintHead title={`${title}: scallops, true to size`} to={`/quilts/${id}/edge`} back="Back to the edge">
        <Button
          onPress={() =>
            download(
              `${title} scallops.svg`,
              sceneSvg(templatesScene(`${title}, scallops`, templates, unit)),
              'image/svg+xml',
            )
          }
        >
          <FileDown size={15} aria-hidden />
          As SVG
        </Button>
      </PrintHead>
      <p>
        Print at 100 %, not fitted to the page, and measure this square: it has to be{' '}
        <Lengths text={formatWithUnit(check, unit)} /> each way. The line is the finished edge, where the
        binding wraps it. {CAUTIONS.blade}
      </p>
      <div className="true">
        <SceneDrawing scene={checkScene(unit)} label="Square to check the printing by" />
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
  const sheets = sheetScenes(template, unit);
  return sheets.map((scene, i) => (
    <figure key={i} className="true">
      {sheets.length > 1 && (
        <figcaption>
          Sheet {i + 1} of {sheets.length}: cut along the dotted lines and tape the sheets edge to edge, in
          the order one reads.
        </figcaption>
      )}
      <SceneDrawing
        scene={scene}
        label={`${template.name}, ${formatWithUnit(template.width, unit)} wide${sheets.length > 1 ? `, sheet ${i + 1} of ${sheets.length}` : ''}`}
        data-part={sheets.length > 1 || undefined}
        data-testid="template"
      />
    </figure>
  ));
}
