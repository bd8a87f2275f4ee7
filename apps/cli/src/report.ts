import { type Backing, type CutPiece, type Figure, formatLength, formatSize, formatWithUnit, type Plan, type Quilt, settingOf, type Unit } from '@lattice/core';

/** The whole result as lines of text, each figure followed by its working. */
export function report(plan: Plan, quilt: Quilt): string[] {
  const { unit } = plan;
  const { backing, binding } = quilt;
  const { width, height } = quilt.finished;
  const heading = (text: string) => ['', text];
  return [
    plan.title,
    `${settingOf(plan.setting.kind).name}, ${plan.grid.across} × ${plan.grid.down}, blocks finishing ${formatSize(plan.block.width, plan.block.height, unit)}`,
    ...heading(`Finished size  ${formatSize(width.value, height.value, unit)}`),
    ...why(width, 'across'),
    ...why(height, 'down'),
    ...(quilt.target ? [`  ${quilt.target.against.text}`, ...(quilt.target.says ? [`  ${quilt.target.says}`] : [])] : []),
    ...heading('Cut'),
    ...quilt.pieces.flatMap((piece) => [`  ${piece.count.value} ${piece.name}: ${cutText(piece, plan)}`, ...piece.count.working.map((line) => `      ${line}`), ...cutWorking(piece), ...piece.notes.map((note) => `      ${note}`)]),
    ...(backing ? [...heading('Backing'), ...backingLines(backing, unit)] : []),
    ...heading('Binding'),
    `  ${binding.strips.value} strips of ${formatWithUnit(binding.stripWidth, unit)} for ${formatWithUnit(binding.length.value, unit)}`,
    ...[...binding.length.working, ...binding.strips.working].map((line) => `      ${line}`),
    ...heading('Buy'),
    ...quilt.fabrics.flatMap(({ fabric, needed, buy }) => [`  ${buy.text.padEnd(9)} ${fabric.name}`, ...[...needed.working, ...buy.length.working].map((line) => `      ${line}`)]),
    ...(quilt.advice.length > 0 ? [...heading('Worth knowing'), ...quilt.advice.map((a) => `  ${a.message}`)] : []),
  ];
}

function backingLines({ width, height, options: [best] }: Backing, unit: Unit): string[] {
  const seams = best.seams === 'none' ? 'no seam' : `${best.seams} seams`;
  return [
    `  ${formatSize(width.value, height.value, unit)}: ${best.panels} ${best.panels === 1 ? 'panel' : 'panels'}, ${seams}, ${formatWithUnit(best.fabric.value, unit)} of fabric`,
    ...best.fabric.working.map((line) => `      ${line}`),
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
