import { type CutPiece, type Figure, formatLength, formatSize, formatWithUnit, type Plan, type Quilt, settingOf } from '@lattice/core';

/** The whole result as lines of text, each figure followed by its working. */
export function report(plan: Plan, quilt: Quilt): string[] {
  const { unit } = plan;
  const { layout, backing, binding } = quilt;
  const { width, height } = layout.finished;
  const best = backing.options[0];
  const heading = (text: string) => ['', text];
  return [
    plan.title,
    `${settingOf(plan.setting.kind).name}, ${plan.grid.across} × ${plan.grid.down}, blocks finishing ${formatSize(plan.block.width, plan.block.height, unit)}`,
    ...heading(`Finished size  ${formatSize(width.value, height.value, unit)}`),
    ...why(width, 'across'),
    ...why(height, 'down'),
    ...(quilt.target ? [`  ${quilt.target.text}`] : []),
    ...heading('Cut'),
    ...quilt.pieces.flatMap((piece) => [`  ${piece.count.value} ${piece.name}: ${cutText(piece, plan)}`, ...piece.count.working.map((line) => `      ${line}`), ...cutWorking(piece)]),
    ...heading('Backing'),
    `  ${formatSize(backing.width.value, backing.height.value, unit)}: ${best.panels} ${best.panels === 1 ? 'panel' : 'panels'}, ${best.seams === 'none' ? 'no seam' : `${best.seams} seams`}, ${formatWithUnit(best.fabric.value, unit)} of fabric`,
    ...best.fabric.working.map((line) => `      ${line}`),
    ...heading('Binding'),
    `  ${binding.strips.value} strips of ${formatWithUnit(binding.stripWidth, unit)} for ${formatWithUnit(binding.length.value, unit)}`,
    ...[...binding.length.working, ...binding.strips.working].map((line) => `      ${line}`),
    ...heading('Buy'),
    ...quilt.fabrics.flatMap(({ fabric, needed, buy }) => [`  ${buy.text.padEnd(9)} ${fabric.name}`, ...[...needed.working, ...buy.length.working].map((line) => `      ${line}`)]),
    ...(quilt.advice.length > 0 ? [...heading('Worth knowing'), ...quilt.advice.map((a) => `  ${a.message}`)] : []),
  ];
}

const why = (figure: Figure, label: string): string[] => figure.working.map((line, i) => `  ${(i === 0 ? label : '').padEnd(7)}${line}`);

function cutText({ cut, squares }: CutPiece, { unit }: Plan): string {
  if (cut.shape === 'rectangle') return `${formatLength(cut.width.value, unit)} × ${formatWithUnit(cut.length.value, unit)}`;
  const how = cut.shape === 'quarter-square' ? 'twice' : 'once';
  const spare = squares!.leftOver > 0 ? `, ${squares!.leftOver} left over` : '';
  return `from ${squares!.count.value} squares of ${formatWithUnit(cut.side.value, unit)}, cut ${how} corner to corner${spare}`;
}

const cutWorking = ({ cut }: CutPiece): string[] =>
  (cut.shape === 'rectangle' ? [...new Set([...cut.width.working, ...cut.length.working])] : cut.side.working).map((line) => `      ${line}`);
