import {
  templatesOf,
  clothScene,
  quiltLabelScene,
  bindingStripsSay,
  CAUTIONS,
  cautionsOf,
  chosenSewing,
  fabricById,
  formatSize,
  formatWithUnit,
  measuredScene,
  MEASURING_SHEETS,
  measuringSheetScene,
  numberOf,
  partSays,
  quiltAsCut,
  type Plan,
  placesInRows,
  placesScene,
  type Quilt,
  recordCard,
  sewRecord,
  sheetScenes,
  stepSays,
  stepScene,
  testSquares,
  toBuy,
  type ToBuy,
} from '@lattice/core';
import { onPaper, type TakeJob } from '../job.ts';
import { MARGIN, type PaperWriter } from './paper.ts';
import { POINTS } from './pen.ts';

type Pages = (paper: PaperWriter, job: TakeJob) => void;

const sizeOf = ({ unit }: Plan, { finished: { width, height } }: Quilt) =>
  formatSize(width.value, height.value, unit);

/** What to ask the shop for, or why there is nothing to ask for. */
const asked = ({ buy, settled }: ToBuy): string =>
  settled === null ? buy.text : `nothing to buy, ${SETTLED[settled]}`;
const SETTLED = {
  cut: 'all is cut',
  'in the house': 'it is in the house',
  'set aside': 'it is in the stash',
} as const satisfies Record<NonNullable<ToBuy['settled']>, string>;

/** The picture, the sizes, the cloths: what one hands over first. */
const cover: Pages = (paper, job) => {
  const { plan, quilt, made } = job;
  paper.heading(plan.title);
  paper.says(`${sizeOf(plan, quilt)} finished · ${onPaper(made)}`, { soft: true });
  const { width, height } = quilt.finished;
  const says = {
    width: formatWithUnit(width.value, plan.unit),
    height: formatWithUnit(height.value, plan.unit),
  };
  paper.drawing(measuredScene(plan, quilt, says), `The quilt, ${sizeOf(plan, quilt)}`, 380);
  const bought = toBuy(plan, quilt, job);
  const { layers, edge } = quiltAsCut(plan, quilt, bought);
  paper.pairs([
    [
      'Blocks',
      `${formatSize(plan.block.width, plan.block.height, plan.unit)} finished, ${plan.grid.across} across, ${plan.grid.down} down`,
    ],
    ...(layers
      ? ([
          ['Backing', formatSize(layers.backing.width.value, layers.backing.height.value, plan.unit)],
          [
            'Batting',
            `${formatSize(layers.batting.width.value, layers.batting.height.value, plan.unit)}${layers.chosenBatting ? `: ${layers.chosenBatting.text}` : ''}`,
          ],
        ] as const)
      : []),
    ...(edge.binding ? ([['Binding', bindingStripsSay(edge.binding, plan.unit)]] as const) : []),
    ...[...edge.finished, ...(edge.hanging ? [edge.hanging] : [])].flatMap(({ lines }) =>
      lines.map(
        ({ name, figure, after }) =>
          [name, [formatWithUnit(figure.value, plan.unit), after].filter(Boolean).join(' ')] as const,
      ),
    ),
    ...bought.map((cloth) => [cloth.fabric.name, asked(cloth)] as const),
  ]);
};

/** Where every block goes. */
const layout: Pages = (paper, { plan, quilt }) => {
  paper.heading('The layout');
  paper.drawing(placesScene(plan, quilt), 'Every block with the row it is sewn in and its number there', 500);
  const rows = placesInRows(plan, quilt.layout);
  if (plan.pile.length === 0) return;
  paper.heading('Which block goes where', 2);
  for (const { row, places } of rows)
    paper.says(`Row ${row}: ${places.map(({ number, says }) => `${number} ${says}`).join(', ')}`);
};

/** How high a cloth is drawn at most, in points. */
const CLOTH_HIGH = 300;

/** Each cloth as it is cut: where everything lies, and step by step. */
const cuts: Pages = (paper, job) => {
  const { plan, quilt } = job;
  paper.heading('Cutting');
  paper.says(CAUTIONS.blade, { soft: true });
  for (const cloth of toBuy(plan, quilt, job)) {
    if (cloth.pieces.length + cloth.runs.length === 0) continue;
    const { fabric, table } = cloth;
    const drawn = clothScene(plan, cloth);
    paper.heading(fabric.name, 2, paper.heightOf(drawn, CLOTH_HIGH) + 40);
    paper.says(
      `${asked(cloth)}, ${formatWithUnit(fabric.usableWidth, plan.unit)} usable; in all, cutting takes ${formatWithUnit(cloth.inAll, plan.unit)} of it, its end squared. The dashed lines lie a seam inside the cut ones.`,
    );
    paper.drawing(drawn, `${fabric.name} as it is cut`, CLOTH_HIGH);
    for (const step of table.steps) paper.tick(stepSays(step, plan.unit), step.done);
  }
};

/** What to buy and what to cut, with boxes to tick. */
const shopping: Pages = (paper, job) => {
  const { plan, quilt } = job;
  paper.heading('To buy');
  for (const cloth of toBuy(plan, quilt, job)) {
    const { fabric, notes, settled } = cloth;
    paper.tick(
      `${asked(cloth)}${settled === null ? ' of' : ':'} ${fabric.name}, ${formatWithUnit(fabric.usableWidth, plan.unit)} usable`,
      settled !== null,
    );
    for (const note of notes) paper.says(note, { soft: true, indent: 18, size: 9 });
  }
  paper.heading('To cut', 2);
  for (const line of [...quilt.pieces, ...quilt.besides]) {
    const { cut, squares, count, name, fabric } = line;
    const of = fabricById(plan, fabric).name;
    const size =
      cut.shape === 'rectangle'
        ? formatSize(cut.width.value, cut.length.value, plan.unit)
        : `from ${numberOf(squares!.count.value, 'square')} of ${formatWithUnit(cut.side.value, plan.unit)}, cut ${cut.shape === 'quarter-square' ? 'twice' : 'once'} corner to corner`;
    paper.tick(`${count.value} ${name.toLowerCase()}: ${size}, ${of}`);
    for (const note of line.notes) paper.says(note, { soft: true, indent: 18, size: 9 });
  }
};

/** How high the picture of a step is at most, in points: two and a half inches, so that arrows are seen on it. */
const STEP_HIGH = 180;

/** Every step of the sewing with its picture, by the way that was chosen, or the best there is. */
const steps: Pages = (paper, job) => {
  const { plan, quilt, id, log } = job;
  paper.heading('Sewing');
  const record = sewRecord(log, id, plan.unit);
  const asCut = quiltAsCut(plan, quilt, toBuy(plan, quilt, job));
  const { sewing, way, guide, pressing } = chosenSewing(plan, asCut, record.chosen);
  if (!way || !pressing) {
    paper.says(sewing.hindered ?? 'Nothing is to be sewn.');
    return;
  }
  paper.says(`${way.method.name}. ${way.method.says}`);
  for (const caution of cautionsOf(guide)) paper.says(caution, { soft: true, size: 9 });
  guide.forEach((step, i) => {
    paper.heading(`${i + 1}. ${step.title}`, 2, step.seams.length > 0 ? STEP_HIGH + 60 : 60);
    if (step.seams.length > 0)
      paper.drawing(
        stepScene(sewing, way, pressing, i, plan.unit),
        `${step.title}: what is joined now stands out, arrows show the way its seams are pressed`,
        STEP_HIGH,
      );
    for (const line of [step.pick, ...step.does]) paper.says(line);
    for (const size of step.measures) paper.says(`${partSays(size, plan.unit)}, raw edge to raw edge.`);
    paper.tick('Done', record.done.has(step.id));
  });
};

/** Templates true to size, over as many sheets as they take, with squares to check the printing by. */
const templates: Pages = (paper, { plan, quilt }) => {
  paper.heading('Templates, true to size');
  paper.says(
    'Print at 100 %, not fitted to the page. Measure both squares before you cut: 1 inch and 3 centimetres.',
  );
  const { y } = paper.doc;
  testSquares().forEach((square, i) => paper.drawing(square, square.name, null, { x: i * 110, y }));
  paper.doc.y = y + 100;
  const cards = templatesOf(plan, quilt);
  if (cards.length === 0)
    paper.says('Nothing here is small enough for a card: everything is cut by the ruler.');
  for (const template of cards) {
    const sheets = sheetScenes(template, plan.unit);
    sheets.forEach((sheet, i) => {
      if (i > 0) paper.page();
      else paper.heading(template.name, 2, paper.heightOf(sheet, null) + 30);
      if (i === 0) paper.says(`${template.says}. Cut along the outer line; the inner one is the seam.`);
      if (sheets.length > 1)
        paper.says(`Sheet ${i + 1} of ${sheets.length}: tape edge to edge where the letters meet.`, {
          size: 9,
          soft: true,
        });
      paper.drawing(sheet, `${template.name}, sheet ${i + 1} of ${sheets.length}, true to size`, null);
    });
  }
};

/** The record card, and the label true to size. */
const record: Pages = (paper, { plan, quilt, log, id }) => {
  const card = recordCard(plan, quilt, log, id);
  paper.heading('Record card');
  paper.says(`${card.title}, ${card.size}`, { strong: true, size: 12 });
  paper.pairs(card.lines.map(({ what, says }) => [what, says] as const));
  for (const { who, blocks } of card.makers) paper.pairs([[who, blocks.join(', ')]]);
  const label = quiltLabelScene(plan, card);
  paper.room(label.box.height * 72 + 60);
  paper.heading('Label, true to size', 2);
  paper.drawing(label, 'A label to sew on the back; the outer line is cut', null);
};

/** The sheet to photograph a block beside: its squares in the middle of the paper, as the camera takes them to be. */
const measuringSheet: Pages = (page, { paper }) => {
  const { paper: size, sides } = MEASURING_SHEETS[paper];
  const [x, y] = [0, 1].map((k) => ((size[k]! - sides[k]!) / 2) * POINTS.in) as [number, number];
  page.drawing(measuringSheetScene(paper), 'Four black squares and a line of 4 inches', null, {
    x: x - MARGIN,
    y,
  });
};

/** What can be put on paper, and the pages of each. */
export const PAPER_PAGES = {
  booklet: [cover, layout, shopping, cuts, steps, templates, record],
  layout: [cover, layout],
  cuts: [cuts],
  shopping: [shopping],
  steps: [steps],
  templates: [templates],
  'measuring-sheet': [measuringSheet],
} as const satisfies Readonly<Record<string, readonly Pages[]>>;
