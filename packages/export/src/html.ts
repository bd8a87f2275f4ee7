import {
  asMarkup,
  CAUTIONS,
  cautionsOf,
  chosenSewing,
  fabricById,
  formatSize,
  formatWithUnit,
  numberOf,
  quiltAsCut,
  quiltScene,
  sceneSvg,
  sewRecord,
  stepScene,
  stepSays,
  toBuy,
} from '@lattice/core';
import { FACE_PIXELS, faceAddresses, onPaper, type TakeJob } from './job.ts';

const STYLE = `
:root { color-scheme: light dark; }
body { max-width: 46rem; margin: 2rem auto; padding: 0 1rem; font: 17px/1.5 system-ui, sans-serif; }
h1 { font-size: 1.9rem; line-height: 1.2; }
h2 { margin-top: 2rem; border-bottom: 2px dashed; padding-bottom: .2rem; }
svg { display: block; width: min(100%, 30rem); height: auto; margin: 1rem 0; }
li svg { width: min(100%, 16rem); margin: .5rem 0 1rem; }
table { border-collapse: collapse; width: 100%; }
th, td { padding: .25rem .8rem .25rem 0; border-bottom: 1px solid #8886; text-align: left; vertical-align: top; }
.cloth { display: inline-block; width: .9em; height: .9em; margin-right: .5em; border: 1px solid #8888; }
@media print { body { margin: 0; font-size: 11pt; } h2 { break-after: avoid; } }
`;

/**
 * A quilt as one page that needs nothing else: its picture, what to buy and cut, how it is cut and sewn. No script, no
 * network; whatever names say, they are words.
 *
 * @param missing pictures that were named and could not be had, to be told
 */
export async function htmlPage(job: TakeJob, missing: readonly string[] = []): Promise<string> {
  const { plan, quilt, made } = job;
  const { unit, title } = plan;
  const { width, height } = quilt.finished;
  const size = formatSize(width.value, height.value, unit);
  const list = (lines: readonly string[]) =>
    `<ol>${lines.map((line) => `<li>${asMarkup(line)}</li>`).join('')}</ol>`;
  const rows = (all: readonly (readonly string[])[]) =>
    all.map((cells) => `<tr>${cells.map((cell) => `<td dir="auto">${cell}</td>`).join('')}</tr>`).join('\n');
  const buying = toBuy(plan, quilt, job);
  const { sewing, way, guide, pressing } = chosenSewing(
    plan,
    quiltAsCut(plan, quilt, buying),
    sewRecord(job.log, job.id, unit).chosen,
  );
  const picture = sceneSvg(
    quiltScene(plan, quilt.layout, quilt.joins),
    await faceAddresses(job, FACE_PIXELS),
  ).replace('<svg ', `<svg role="img" aria-label="${asMarkup(`The quilt, ${size}`)}" `);
  const cut = buying
    .filter(({ pieces, runs }) => pieces.length + runs.length > 0)
    .map(
      ({ fabric, table }) =>
        `<h3 dir="auto">${asMarkup(fabric.name)}</h3>${list(table.steps.map((step) => `${stepSays(step, unit)}${step.done ? ' Done.' : ''}`))}`,
    );
  const drawn = (step: number, title: string) =>
    way && pressing && guide[step]!.seams.length > 0
      ? sceneSvg(stepScene(sewing, way, pressing, step, unit)).replace(
          '<svg ',
          `<svg role="img" aria-label="${asMarkup(`${title}: what is joined now stands out, arrows show the way its seams are pressed`)}" `,
        )
      : '';
  const sewn = way
    ? guide.map(
        ({ title: step, pick, does }, i) =>
          `<li><b>${asMarkup(step)}</b> ${asMarkup([pick, ...does].join(' '))}${drawn(i, step)}</li>`,
      )
    : [];
  const pieces = [...quilt.pieces, ...quilt.besides].map(({ name, fabric, count, cut: shape, squares }) => [
    String(count.value),
    asMarkup(name),
    asMarkup(
      shape.shape === 'rectangle'
        ? formatSize(shape.width.value, shape.length.value, unit)
        : `${numberOf(squares!.count.value, 'square')} of ${formatWithUnit(shape.side.value, unit)}, cut ${shape.shape === 'quarter-square' ? 'twice' : 'once'} corner to corner`,
    ),
    asMarkup(fabricById(plan, fabric).name),
  ]);
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; img-src data:">
<title>${asMarkup(title)}</title>
<style>${STYLE}</style>
</head>
<body>
<h1 dir="auto">${asMarkup(title)}</h1>
<p>${asMarkup(size)} finished. Written ${asMarkup(onPaper(made))} by Dapper Lattice.</p>
${picture}
<h2>To buy</h2>
<table><tbody>
${rows(buying.map(({ fabric, buy, settled, notes }) => [`<span class="cloth" style="background:${asMarkup(fabric.colour)}"></span>${asMarkup(fabric.name)}`, asMarkup(settled === null ? buy.text : `nothing: ${settled}`), asMarkup([`${formatWithUnit(fabric.usableWidth, unit)} usable`, ...notes].join('. '))]))}
</tbody></table>
<h2>To cut</h2>
<table><thead><tr><th>How many</th><th>What</th><th>As cut</th><th>Cloth</th></tr></thead><tbody>
${rows(pieces)}
</tbody></table>
<h2>Cutting, step by step</h2>
<p>${asMarkup(CAUTIONS.blade)}</p>
${cut.join('\n')}
<h2>Sewing, step by step</h2>
${way ? `<p>${asMarkup(cautionsOf(guide).join(' '))}</p><ol>${sewn.join('\n')}</ol>` : `<p>${asMarkup(sewing.hindered ?? 'Nothing is to be sewn.')}</p>`}
${missing.length > 0 ? `<p>${asMarkup(numberOf(missing.length, 'picture'))} could not be taken along: ${asMarkup(missing.join(', '))}.</p>` : ''}
</body>
</html>
`;
}
