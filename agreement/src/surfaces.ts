import {
  type chosenSewing,
  computeQuilt,
  cuttingCsv,
  formatSize,
  formatWithUnit,
  numberOf,
  partSays,
  type Plan,
  type Quilt,
  recordCard,
  sewingJson,
  sewRecord,
  shoppingCsv,
  sizeSoFar,
  spokenCut,
  spokenList,
  type ToBuy,
  workLeft,
} from '@lattice/core';
import Papa from 'papaparse';
import { report } from '../../apps/cli/src/report.ts';
import { htmlPage } from '../../packages/export/src/html.ts';
import { PAPER_PAGES } from '../../packages/export/src/pdf/pages.ts';
import type { PaperWriter } from '../../packages/export/src/pdf/paper.ts';
import type { Claim } from './claim.ts';
import { type Evening, QUILT } from './evening.ts';
import { answers } from './answers.ts';
import { commands } from './commands.ts';
import { drawings, sizesSaid } from './drawings.ts';
import { lengthIn, PRINTED, sizeIn } from './read.ts';
import { counted, finished, job, known, type Said, type Surface } from './surface.ts';

const bought = (fabric: string, text: string): Said => ({ of: `to buy: ${fabric}`, value: text });

/** The screens: their figures before they are drawn. */
const screens: Surface = {
  name: 'screens',
  says: (evening) => {
    const { plan, quilt, buying, sewing } = known(evening);
    const each = counted();
    return [
      ...finished(quilt.finished.width.value, quilt.finished.height.value),
      ...[...quilt.pieces, ...quilt.besides].flatMap((line): Said[] => {
        const key = each(line.name);
        const [width, length] =
          line.cut.shape === 'rectangle'
            ? [line.cut.width.value, line.cut.length.value]
            : [line.cut.side.value, line.cut.side.value];
        return [
          { of: `count: ${key}`, value: line.count.value },
          { of: `cut width: ${key}`, value: width },
          { of: `cut length: ${key}`, value: length },
        ];
      }),
      ...buying.flatMap(({ fabric, buy, needed, table }): Said[] => [
        bought(fabric.name, buy.text),
        { of: `still needed: ${fabric.name}`, value: needed.value },
        { of: `steps at the table: ${fabric.name}`, value: table.steps.length },
      ]),
      ...sewingSaid(sewing, plan),
      {
        of: 'cuts left',
        value: buying.reduce((sum, { table }) => sum + table.steps.filter(({ done }) => !done).length, 0),
      },
      { of: 'cloths to buy', value: buying.filter(({ settled }) => settled === null).length },
      ...drawnSaid(quilt),
      ...edgeSaid(quilt),
      ...doneSaid(evening),
    ];
  },
};

/** What a drawing of the top and of its cloths has to measure. */
function drawnSaid({ layout, fabrics }: Quilt): Said[] {
  return [
    { of: 'drawn width', value: layout.finished.width.value },
    { of: 'drawn height', value: layout.finished.height.value },
    { of: 'blocks drawn', value: layout.pieces.filter(({ place }) => place !== undefined).length },
    ...fabrics
      .filter(({ pieces, runs }) => pieces.length + runs.length > 0)
      .map(({ pieces, runs }, i): Said => ({
        of: `outlines cut from cloth ${i + 1}`,
        value: sizesSaid([
          ...pieces.flatMap(({ w, h, corners }) => trianglesIn(w, h, corners)),
          ...runs.flatMap(({ segments }) => segments.map(({ w, h }) => [w, h] as const)),
        ]),
      })),
  ];
}

/** How far a square's triangles reach each way: two halves the whole of it, four quarters half of it one way. */
function trianglesIn(w: number, h: number, corners: 0 | 1 | 2): (readonly [number, number])[] {
  if (corners === 0) return [[w, h]];
  if (corners === 1)
    return [
      [w, h],
      [w, h],
    ];
  return [
    [w, h / 2],
    [w / 2, h],
    [w, h / 2],
    [w / 2, h],
  ];
}

/** What binding and backing come to. */
const edgeSaid = ({ edge: { binding }, layers }: Quilt): Said[] => [
  ...(binding && !binding.bias
    ? [
        { of: 'binding length', value: binding.length.value },
        { of: 'binding, whole strips', value: binding.leftovers ? 'beside leftovers' : binding.strips.value },
      ]
    : []),
  ...(layers
    ? [
        { of: 'backing width', value: layers.backing.width.value },
        { of: 'backing height', value: layers.backing.height.value },
      ]
    : []),
];

/** What has been done so far. */
function doneSaid({ plan, log }: Evening): Said[] {
  const record = sewRecord(log, QUILT, plan.unit);
  return [{ of: 'seams sewn', value: record.seams.size }];
}

function sewingSaid({ way, guide, pressing }: ReturnType<typeof chosenSewing>, { unit }: Plan): Said[] {
  if (!way) return [];
  return [
    { of: 'sewn', value: way.method.name },
    { of: 'seams', value: way.seams.length },
    { of: 'crossings that nest', value: pressing!.nested },
    ...guide.flatMap((step, i): Said[] => [
      { of: `step ${i + 1}`, value: step.title },
      { of: `step ${i + 1} does`, value: [step.pick, ...step.does].join(' ') },
      ...step.measures.map((size, n): Said => ({
        of: `step ${i + 1} makes ${n + 1}`,
        value: partSays(size, unit),
      })),
    ]),
  ];
}

/** The list that is said at the counter, and what an order asks for. */
const counter: Surface = {
  name: 'list for the counter',
  says: (evening) => {
    const { plan, buying } = known(evening);
    const lines = spokenList(buying, plan.unit);
    return buying
      .filter(({ buy }) => buy.length.value > 0)
      .map(({ fabric, buy }, i): Said => {
        const said = `${spokenCut(buy, plan.unit)} of the ${fabric.name.toLowerCase()}`;
        const isSaid = lines[i]!.toLowerCase().startsWith(said.toLowerCase());
        return bought(fabric.name, isSaid ? buy.text : lines[i]!);
      });
  },
};

const rowsOf = (text: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;

/** The tables, read as any spreadsheet reads them. */
const tables: Surface = {
  name: 'tables',
  says: (evening) => {
    const { plan, quilt, buying } = known(evening);
    const each = counted();
    return [
      ...rowsOf(cuttingCsv(plan, quilt)).flatMap((row): Said[] => {
        const key = each(row['piece']!);
        return [
          { of: `count: ${key}`, value: Number(row['pieces']) },
          { of: `cut width: ${key}`, value: Number(row[`width (${plan.unit})`]) },
          { of: `cut length: ${key}`, value: Number(row[`length (${plan.unit})`]) },
        ];
      }),
      ...rowsOf(shoppingCsv(plan, buying)).flatMap((row): Said[] => [
        bought(row['cloth']!, row['ask']!),
        { of: `still needed: ${row['cloth']}`, value: Number(row[`needed (${plan.unit})`]) },
      ]),
    ];
  },
};

/** A paper that keeps what is written on it. */
export function paperWith(
  what: keyof typeof PAPER_PAGES,
  evening: Evening,
): { kind: string; text: string; done?: boolean }[] {
  const kept: { kind: string; text: string; done?: boolean }[] = [];
  const paper = {
    ...{ doc: { y: 0 }, width: 500, bottom: 800, left: 500 },
    ...{ page: () => undefined, room: () => undefined, heightOf: () => 0, drawing: () => undefined },
    heading: (text: string) => kept.push({ kind: 'heading', text }),
    says: (text: string) => kept.push({ kind: 'says', text }),
    tick: (text: string, done = false) => kept.push({ kind: 'tick', text, done }),
    pairs: (rows: readonly (readonly [string, string])[]) =>
      rows.forEach(([name, text]) => kept.push({ kind: `pair ${name}`, text })),
  } as unknown as PaperWriter;
  for (const write of PAPER_PAGES[what]) write(paper, job(evening));
  return kept;
}

/** What a paper says of a cloth: an amount, or why there is nothing to ask for. */
const askedOn = (text: string, cloth: ToBuy): string =>
  text.startsWith('nothing') ? (cloth.settled === null ? text : cloth.buy.text) : text;

/** The booklet's pages as they are written, before they are printed. */
const paper: Surface = {
  name: 'paper',
  says: (evening) => {
    const { plan, quilt, buying } = known(evening);
    const each = counted();
    const lists = paperWith('shopping', evening).filter(({ kind }) => kind === 'tick');
    const lines = [...quilt.pieces, ...quilt.besides];
    const steps = paperWith('steps', evening);
    const heads = steps.flatMap(({ kind, text }, at) =>
      kind === 'heading' && /^\d+\. /.test(text) ? [{ text, at }] : [],
    );
    const cover = paperWith('layout', evening);
    const [wide, high] = sizeIn(/^(.*?) finished/.exec(cover[1]!.text)![1]!, plan.unit);
    return [
      ...finished(wide, high, PRINTED[plan.unit]),
      ...buying.map((cloth, i): Said => {
        const amount = /^(.*?)(?: of|:) /.exec(lists[i]!.text)![1]!.replace(/,.*/, '');
        return bought(cloth.fabric.name, askedOn(amount, cloth));
      }),
      ...lists.slice(buying.length).flatMap(({ text }, i): Said[] => {
        const line = lines[i]!;
        const [, count, rest] = /^(\d+) .*?: (.*)$/.exec(text.slice(0, text.lastIndexOf(', ')))!;
        const key = each(line.name);
        const size = /from [\d,]+ squares? of (.*?), cut/.exec(rest!)?.[1];
        const [width, length] = size
          ? [lengthIn(size, plan.unit), lengthIn(size, plan.unit)]
          : sizeIn(rest!.slice(rest!.lastIndexOf(': ') + 1), plan.unit);
        return [
          { of: `count: ${key}`, value: Number(count) },
          { of: `cut width: ${key}`, value: width, within: PRINTED[plan.unit] },
          { of: `cut length: ${key}`, value: length, within: PRINTED[plan.unit] },
        ];
      }),
      ...heads.flatMap(({ text, at }, i): Said[] => {
        const own = steps
          .slice(at + 1, heads[i + 1]?.at ?? steps.length)
          .filter(({ kind }) => kind === 'says');
        const makes = own.filter(({ text: line }) => /, raw edge to raw edge\.$/.test(line));
        return [
          { of: `step ${i + 1}`, value: text.replace(/^\d+\. /, '') },
          ...makes.map(({ text: line }, n): Said => ({
            of: `step ${i + 1} makes ${n + 1}`,
            value: line.replace(/, raw edge to raw edge\.$/, ''),
          })),
        ];
      }),
      ...(heads.length > 0 ? [{ of: 'sewn', value: steps[1]!.text.split('.')[0]! }] : []),
      ...buying
        .filter(({ pieces, runs }) => pieces.length + runs.length > 0)
        .flatMap((cloth): Said[] => {
          const cuts = paperWith('cuts', evening);
          const from = cuts.findIndex(({ kind, text }) => kind === 'heading' && text === cloth.fabric.name);
          const to = cuts.findIndex(({ kind }, i) => i > from && kind === 'heading');
          const own = cuts.slice(from, to < 0 ? undefined : to).filter(({ kind }) => kind === 'tick');
          return [{ of: `steps at the table: ${cloth.fabric.name}`, value: own.length }];
        }),
    ];
  },
};

const plainText = (html: string): string =>
  html
    .replace(/<[^>]*>/g, '')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&#39;/g, '’')
    .replace(/&amp;/g, '&');

/** The page to share, read as markup. */
const page: Surface = {
  name: 'page to share',
  says: async (evening) => {
    const { plan, quilt, buying, sewing } = known(evening);
    const html = await htmlPage(job(evening));
    const [wide, high] = sizeIn(/<p>(.*?) finished\./.exec(html)![1]!, plan.unit);
    const tablesIn = [...html.matchAll(/<tbody>(.*?)<\/tbody>/gs)].map(([, body]) =>
      [...body!.matchAll(/<tr>(.*?)<\/tr>/gs)].map(([, row]) =>
        [...row!.matchAll(/<td[^>]*>(.*?)<\/td>/gs)].map(([, cell]) => plainText(cell!)),
      ),
    );
    const lists = [...html.matchAll(/<ol>(.*?)<\/ol>/gs)].map(([, list]) =>
      [...list!.matchAll(/<li>(.*?)<\/li>/gs)].map(([, item]) => item!),
    );
    const cut = buying.filter(({ pieces, runs }) => pieces.length + runs.length > 0);
    const steps = sewing.way ? (lists[cut.length] ?? []) : [];
    const each = counted();
    return [
      ...finished(wide, high, PRINTED[plan.unit]),
      ...tablesIn[0]!.map((row, i): Said => bought(row[0]!, askedOn(row[1]!, buying[i]!))),
      ...tablesIn[1]!.flatMap((row, i): Said[] => {
        const key = each([...quilt.pieces, ...quilt.besides][i]!.name);
        const square = /of (.*?), cut/.exec(row[2]!)?.[1];
        const [width, length] = square
          ? [lengthIn(square, plan.unit), lengthIn(square, plan.unit)]
          : sizeIn(row[2]!, plan.unit);
        return [
          { of: `count: ${key}`, value: Number(row[0]) },
          { of: `cut width: ${key}`, value: width, within: PRINTED[plan.unit] },
          { of: `cut length: ${key}`, value: length, within: PRINTED[plan.unit] },
        ];
      }),
      ...cut.map(({ fabric }, i): Said => ({
        of: `steps at the table: ${fabric.name}`,
        value: lists[i]!.length,
      })),
      ...steps.map((item, i): Said => ({
        of: `step ${i + 1}`,
        value: plainText(/<b>(.*?)<\/b>/.exec(item)![1]!),
      })),
    ];
  },
};

/** The command that works a plan out, as text; it knows the plan alone. */
const command: Surface = {
  name: 'compute',
  says: ({ plan, log }) => {
    const quilt = computeQuilt(plan);
    const lines = report(plan, quilt);
    const head = lines.find((line) => line.startsWith('Finished size'))!;
    const [wide, high] = sizeIn(head.replace('Finished size', ''), plan.unit);
    const from = lines.indexOf('Cut') + 1;
    const cuts = lines
      .slice(from)
      .filter((line) => /^ {2}\d+ /.test(line))
      .slice(0, quilt.pieces.length);
    const each = counted();
    const shop = lines.slice(lines.indexOf('Buy') + 1).filter((line) => /^ {2}\S/.test(line));
    return [
      ...finished(wide, high, PRINTED[plan.unit]),
      ...cuts.map((line, i): Said => ({
        of: `count: ${each(quilt.pieces[i]!.name)}`,
        value: Number(/^ {2}(\d+)/.exec(line)![1]),
      })),
      // Of a plan alone nothing is cut, set aside or bought.
      ...(log.length === 0
        ? quilt.fabrics.map(({ fabric }, i): Said =>
            bought(fabric.name, shop[i]!.trim().split(/\s{2,}|(?<=yd|m) /)[0]!),
          )
        : []),
    ];
  },
};

/** The shelf's card, the record card, the forecast, and the sewing for scripts. */
const others: Surface = {
  name: 'shelf, record, forecast, scripts',
  says: (evening) => {
    const { plan, log, quilt, sewing } = known(evening);
    const soFar = sizeSoFar(plan);
    const card = recordCard(plan, quilt, log, QUILT);
    const [wide, high] = sizeIn(card.size, plan.unit);
    const left = workLeft(plan, log, QUILT);
    const shop = left.jobs.jobs.find(({ id }) => id === 'shop');
    const json = sewing.way && sewingJson(sewing.sewing, sewing.way, sewing.pressing!);
    return [
      ...finished(soFar.width, soFar.height),
      ...finished(wide, high, PRINTED[plan.unit]),
      { of: 'cuts left', value: left.left.cuts },
      ...(left.left.cuts > 0
        ? [{ of: 'cloths to buy', value: shop ? Number(/\d+/.exec(shop.name)?.[0] ?? NaN) : 0 }]
        : []),
      ...(json
        ? [
            { of: 'seams', value: json.steps.reduce((sum, { seams }) => sum + seams.length, 0) },
            { of: 'crossings that nest', value: json.nested },
          ]
        : []),
    ];
  },
};

/** Every surface that is held against the others. A new one is a line here. */
export const SURFACES: readonly Surface[] = [
  screens,
  counter,
  tables,
  paper,
  page,
  command,
  others,
  drawings,
  commands,
  answers,
];

/** All that all surfaces say of an evening. */
export async function claimsOf(evening: Evening, surfaces: readonly Surface[] = SURFACES): Promise<Claim[]> {
  const all: Claim[] = [];
  for (const { name, says } of surfaces)
    for (const said of await says(evening)) all.push({ ...said, surface: name });
  return all;
}

/** What an evening was, in a line: for whoever looks into a disagreement. */
export const eveningSaid = ({ plan, log }: Evening, quilt: Quilt = computeQuilt(plan)): string =>
  `${plan.setting.kind}, ${plan.grid.across} × ${plan.grid.down}, ${formatSize(quilt.finished.width.value, quilt.finished.height.value, plan.unit)}, seam ${formatWithUnit(plan.seam, plan.unit)}, ${numberOf(log.length, 'entry', 'entries')}`;
