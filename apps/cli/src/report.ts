import {
  bindingStripsSay,
  type CutLine,
  type Edge,
  type Figure,
  FINISH_NAMES,
  formatLength,
  formatSize,
  formatWithUnit,
  type Layers,
  numberOf,
  type Plan,
  type Quilt,
  SEAM_NAMES,
  settingOf,
  type Unit,
} from '@lattice/core';

/** The whole result as lines of text, each figure followed by its working. */
export function report(plan: Plan, quilt: Quilt): string[] {
  const { unit } = plan;
  const { layers, edge } = quilt;
  const { width, height } = quilt.finished;
  const setting = settingOf(plan.setting.kind);
  const heading = (text: string) => ['', text];
  return [
    plan.title,
    setting.whole
      ? `${setting.name}, as it was measured`
      : `${setting.name}, ${plan.grid.across} × ${plan.grid.down}, blocks finishing ${formatSize(plan.block.width, plan.block.height, unit)}`,
    ...heading(`Finished size  ${formatSize(width.value, height.value, unit)}`),
    ...why(width, 'across'),
    ...why(height, 'down'),
    ...(quilt.target
      ? [`  ${quilt.target.against.text}`, ...(quilt.target.says ? [`  ${quilt.target.says}`] : [])]
      : []),
    ...heading('Cut'),
    ...quilt.pieces.flatMap((piece) => [
      `  ${piece.count.value} ${piece.name}: ${cutText(piece, plan)}`,
      ...piece.count.working.map((line) => `      ${line}`),
      ...cutWorking(piece),
      ...piece.notes.map((note) => `      ${note}`),
    ]),
    ...(layers
      ? [
          ...heading('Backing'),
          ...backingLines(layers, unit),
          ...heading('Batting'),
          ...battingLines(layers, unit),
        ]
      : []),
    ...edgeLines(edge, unit),
    ...heading('Buy'),
    ...quilt.fabrics.flatMap(({ fabric, needed, buy, notes }) => [
      `  ${buy.text.padEnd(9)} ${fabric.name}`,
      ...[...needed.working, ...buy.length.working, ...notes].map((line) => `      ${line}`),
    ]),
    ...(quilt.advice.length > 0
      ? [...heading('Worth knowing'), ...quilt.advice.map((a) => `  ${a.message}`)]
      : []),
  ];
}

function backingLines(
  { backing: { width, height, because, remarks }, chosenBacking: chosen }: Layers,
  unit: Unit,
): string[] {
  const seams = SEAM_NAMES[chosen.seams];
  return [
    `  ${formatSize(width.value, height.value, unit)}: ${numberOf(chosen.panels, 'panel')}, ${seams}, ${formatWithUnit(chosen.fabric.value, unit)} of cloth`,
    ...[...chosen.fabric.working, because, ...remarks].map((line) => `      ${line}`),
  ];
}

function battingLines({ batting: { width, height }, chosenBatting }: Layers, unit: Unit): string[] {
  return [
    `  ${formatSize(width.value, height.value, unit)}: ${chosenBatting?.text ?? 'nothing is large enough; make the quilt of two'}`,
    ...(chosenBatting?.working ?? []).map((line) => `      ${line}`),
  ];
}

/** Whatever finishes the edge, each with its working. */
function edgeLines({ binding, flange, points, finished, hanging }: Edge, unit: Unit): string[] {
  const lines: string[] = [];
  if (flange) {
    lines.push(
      '',
      'Flange',
      `  ${numberOf(flange.strips.value, 'strip')} of ${formatWithUnit(flange.cutWidth.value, unit)}: two ${formatWithUnit(flange.sides.value, unit)}, two ${formatWithUnit(flange.ends.value, unit)}`,
    );
    lines.push(
      ...[...flange.cutWidth.working, ...flange.sides.working, ...flange.strips.working].map(
        (line) => `      ${line}`,
      ),
    );
  }
  if (binding) {
    const { bias, strips, plainStrips, strictStrips, stripWidth, length } = binding;
    lines.push(
      '',
      'Binding',
      bias
        ? `  Bias strips of ${formatWithUnit(stripWidth, unit)} for ${formatWithUnit(length.value, unit)}, from ${formatWithUnit(bias.cloth.value, unit)} of cloth`
        : `  ${bindingStripsSay(binding, unit)} for ${formatWithUnit(length.value, unit)}`,
    );
    const counts = [`the plain count ${plainStrips.value}`, `counting every join ${strictStrips.value}`];
    if (!bias && new Set([strips.value, plainStrips.value, strictStrips.value]).size > 1)
      lines.push(`      ${counts.join(', ')}; whole strips, cut by themselves: ${strips.value}`);
    lines.push(
      ...[...length.working, ...(bias ? [...bias.cloth.working, ...bias.gives.working] : strips.working)].map(
        (line) => `      ${line}`,
      ),
    );
  }
  if (points)
    lines.push(
      '',
      'Prairie points',
      `  ${numberOf(points.total.value, 'point')}, ${points.across.count.value} across and ${points.down.count.value} down`,
      ...[...points.across.overlap.working, ...points.down.overlap.working].map((line) => `      ${line}`),
    );
  const others = [
    ...finished.map(({ finish, lines: own }) => [FINISH_NAMES[finish], own] as const),
    ...(hanging ? [['To hang it', hanging.lines] as const] : []),
  ];
  for (const [name, own] of others)
    lines.push(
      '',
      name,
      ...own.flatMap(({ name, figure, after }) => [
        `  ${[name, formatWithUnit(figure.value, unit), after].filter(Boolean).join(' ')}`,
        ...figure.working.map((line) => `      ${line}`),
      ]),
    );
  return lines;
}

const why = (figure: Figure, label: string): string[] =>
  figure.working.map((line, i) => `  ${(i === 0 ? label : '').padEnd(7)}${line}`);

function cutText({ cut, squares }: CutLine, { unit }: Plan): string {
  if (cut.shape === 'rectangle')
    return `${formatLength(cut.width.value, unit)} × ${formatWithUnit(cut.length.value, unit)}`;
  const how = cut.shape === 'quarter-square' ? 'twice' : 'once';
  const spare = squares!.leftOver > 0 ? `, ${squares!.leftOver} left over` : '';
  return `from ${numberOf(squares!.count.value, 'square')} of ${formatWithUnit(cut.side.value, unit)}, cut ${how} corner to corner${spare}`;
}

const cutWorking = ({ cut }: CutLine): string[] =>
  (cut.shape === 'rectangle'
    ? [...new Set([...cut.width.working, ...cut.length.working])]
    : cut.side.working
  ).map((line) => `      ${line}`);
