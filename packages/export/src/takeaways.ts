import { type Format, TYPES } from './formats.ts';
import {
  cuttingCsv,
  cutsScene,
  diaryOf,
  dueIn,
  forecast,
  hoursIn,
  logCsv,
  pacesFrom,
  placedCsv,
  planKey,
  planSchema,
  quiltScene,
  randomFrom,
  type Scene,
  sceneSvg,
  shoppingCsv,
  sittingsIn,
  sizeDoneIn,
  stashIn,
  templatesOf,
  templatesScene,
  timeCsv,
  toBuy,
  workLeft,
  writeBlocksCsv,
  writePalette,
  writePlanJson,
  writeStashCsv,
} from '@lattice/core';
import { calendarFile } from './calendar.ts';
import { sceneDxf } from './dxf.ts';
import { htmlPage } from './html.ts';
import { FACE_PIXELS, faceAddresses, facesOf, type TakeJob } from './job.ts';
import type { PAPER_PAGES } from './pdf/pages.ts';
import { quiltFiles } from './quilt-zip.ts';
import { fileName, textBytes, zipOf } from './zip.ts';

/** A file that is ready. */
export interface Taken {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** Something that can be taken along: what it is, and as which file. */
export interface Takeaway {
  readonly to: Format;
  /** Told apart by this among those of one format; the first of a format is what is meant when none is named. */
  readonly what: string;
  readonly name: string;
  readonly says: string;
  readonly write: (job: TakeJob) => Promise<Uint8Array>;
}

/** The longer side of a picture, in pixels. */
const PICTURE_PIXELS = 4096;
const RUNS = 600;

type PaperWhat = keyof typeof PAPER_PAGES;
const pdf = (what: PaperWhat, name: string, says: string): Takeaway => ({
  ...{ to: 'pdf', what, name, says },
  write: async (job) => {
    const [{ PaperWriter }, { PAPER_PAGES: pages }, letters, faces] = await Promise.all([
      import('./pdf/paper.ts'),
      import('./pdf/pages.ts'),
      job.letters(),
      facesOf(job, FACE_PIXELS),
    ]);
    const paper = new PaperWriter(job.plan.title, job.paper, letters, job.made, faces);
    pages[what].forEach((write, i) => {
      if (i > 0) paper.page();
      write(paper, job);
    });
    return paper.bytes();
  },
});

/** Drawings, each true to size. */
const SCENES: Readonly<Record<'layout' | 'cuts' | 'templates', (job: TakeJob) => Scene>> = {
  layout: ({ plan, quilt }) => quiltScene(plan, quilt.layout, quilt.joins),
  cuts: ({ plan, quilt }) => cutsScene(plan, quilt),
  templates: ({ plan, quilt }) => templatesScene(plan.title, templatesOf(plan, quilt), plan.unit),
};
type SceneWhat = keyof typeof SCENES;
const svg = (what: SceneWhat, name: string, says: string): Takeaway => ({
  ...{ to: 'svg', what, name, says },
  write: async (job) =>
    textBytes(
      sceneSvg(SCENES[what](job), what === 'layout' ? await faceAddresses(job, FACE_PIXELS) : undefined),
    ),
});
const dxf = (what: SceneWhat, name: string, says: string): Takeaway => ({
  ...{ to: 'dxf', what, name, says },
  write: async (job) => textBytes(sceneDxf(SCENES[what](job))),
});
const csv = (what: string, name: string, says: string, write: (job: TakeJob) => string): Takeaway => ({
  ...{ to: 'csv', what, name, says },
  // A mark at the beginning, so that every spreadsheet reads it as UTF-8.
  write: async (job) => textBytes(`\uFEFF${write(job)}`),
});
const marks = ({ comma }: TakeJob) => (comma ? 'comma' : 'point');

/** Everything that can be taken along. A new one is an entry here. */
export const TAKEAWAYS: readonly Takeaway[] = [
  pdf('booklet', 'The booklet', 'Cover, layout, lists, cutting, sewing, templates, record card and label'),
  pdf('layout', 'The layout', 'The quilt, and where every block goes'),
  pdf('cuts', 'The cutting', 'Each cloth as it is cut, step by step'),
  pdf('shopping', 'To buy and to cut', 'The lists, with boxes to tick'),
  pdf('steps', 'The sewing', 'Step by step, with pictures'),
  pdf('templates', 'Templates', 'True to size, with squares to check the printing by'),
  pdf('measuring-sheet', 'The measuring sheet', 'Black squares to photograph a block beside, true to size'),
  svg('layout', 'The quilt, drawn', 'True to size, a layer for cloth, blocks and seams'),
  svg('cuts', 'The cut pieces, drawn', 'Each cloth, with and without seam allowance'),
  svg('templates', 'Templates, drawn', 'Cut line and seam line of each'),
  dxf('layout', 'The quilt, for machines', 'Every piece a closed outline'),
  dxf('cuts', 'Cut pieces, for machines', 'With and without seam allowance, on layers of their own'),
  dxf('templates', 'Templates, for machines', 'Cut line and seam line of each'),
  csv('cuts', 'The cutting list', 'Every line with its size as cut', (job) =>
    cuttingCsv(job.plan, job.quilt, marks(job)),
  ),
  csv('placed', 'Where it lies on the cloth', 'Every piece, from selvage and end', (job) =>
    placedCsv(job.plan, job.quilt, marks(job)),
  ),
  csv('shopping', 'The shopping list', 'Every cloth, what to ask for', (job) =>
    shoppingCsv(job.plan, toBuy(job.plan, job.quilt, job), marks(job)),
  ),
  csv('blocks', 'The blocks', 'Names, makers and measurements; comes back in', ({ plan }) =>
    writeBlocksCsv(plan.pile, plan.unit),
  ),
  csv('stash', 'The stash', 'Every cloth in hand; comes back in', ({ plan, log }) =>
    writeStashCsv(stashIn(log, plan.unit), plan.unit),
  ),
  csv('log', 'The log', 'Everything that happened, in full', (job) => logCsv(job.log, job.id, marks(job))),
  csv('time', 'The time', 'Every sitting', (job) =>
    timeCsv(sittingsIn(job.log, job.id).sittings, marks(job)),
  ),
  {
    ...{
      to: 'png',
      what: 'layout',
      name: 'A picture',
      says: `${PICTURE_PIXELS} pixels along its longer side`,
    },
    write: async (job) => {
      const { width, height } = job.quilt.finished;
      const scale = PICTURE_PIXELS / Math.max(width.value, height.value);
      return job.draw(
        sceneSvg(SCENES.layout(job), await faceAddresses(job, 2 * FACE_PIXELS)),
        Math.round(width.value * scale),
        Math.round(height.value * scale),
      );
    },
  },
  {
    ...{
      to: 'html',
      what: 'page',
      name: 'One page to share',
      says: 'Picture, lists and steps; opens anywhere, without a network',
    },
    write: async (job) => textBytes(await htmlPage(job)),
  },
  {
    ...{
      to: 'zip',
      what: 'quilt',
      name: 'The whole quilt',
      says: 'Plan, log and pictures in one file; comes back in',
    },
    write: async (job) => zipOf(await quiltFiles(job, '', job), job.made),
  },
  {
    ...{
      to: 'json',
      what: 'plan',
      name: 'The plan file',
      says: 'What was decided and measured; comes back in',
    },
    write: async ({ plan }) => textBytes(writePlanJson(plan)),
  },
  {
    ...{ to: 'ics', what: 'diary', name: 'Sittings and days', says: 'For a calendar, with alarms' },
    write: async (job) => textBytes(diaryFile(job)),
  },
  {
    ...{ to: 'gpl', what: 'palette', name: 'The colours', says: 'The cloths of the quilt as a palette' },
    write: async ({ plan }) => textBytes(writePalette(plan.title, plan.fabrics)),
  },
  {
    ...{ to: 'schema', what: 'plan', name: 'What a plan file is', says: 'JSON Schema, for programs' },
    write: async () => textBytes(`${JSON.stringify(planSchema(), null, 2)}\n`),
  },
];

/** When one would sit, by the maker's hours and pace, as a calendar. */
function diaryFile({ plan, log, id, quilt, made }: TakeJob): string {
  const left = workLeft(plan, log, id);
  const { width, height } = quilt.finished;
  const sizes = new Map([[id, { width: width.value, height: height.value, unit: plan.unit }]]);
  const hours = hoursIn(log);
  const said = forecast(
    {
      quilts: [left.jobs],
      quilt: id,
      hours,
      paces: pacesFrom(sittingsIn(log).sittings, sizeDoneIn(log, sizes)),
      today: made.slice(0, 10),
      runs: RUNS,
    },
    randomFrom(1),
  );
  return calendarFile(
    plan.title,
    // Of a plan file alone the plan itself is what tells its sittings from another's.
    diaryOf({ id: id === '' ? planKey(plan) : id, title: plan.title, due: dueIn(log, id).date }, said, hours),
    made,
  );
}

/** What a format and a name mean; the first of the format where no name is given. Null where there is none such. */
export const takeaway = (to: string, what?: string): Takeaway | null =>
  TAKEAWAYS.find((one) => one.to === to && (what === undefined || one.what === what)) ?? null;

/** Writes it, under the name its file has. */
export async function take(one: Takeaway, job: TakeJob): Promise<Taken> {
  const [type, ending] = TYPES[one.to];
  const first = takeaway(one.to) === one;
  const name = `${fileName(job.plan.title)}${first ? '' : ` ${one.what}`}.${ending}`;
  return { name, type, bytes: await one.write(job) };
}
