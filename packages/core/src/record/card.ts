import { piecedSays } from '../border/words.ts';
import { measuredAfter, measuredSays } from './measured-after.ts';
import { group } from 'd3-array';
import { giverKey } from '../group/group.ts';
import { FIBRES } from '../choice/battings.ts';
import { FINISH_NAMES } from '../choice/edge.ts';
import { sittingsIn } from '../clock/sittings.ts';
import { sayMinutes } from '../clock/words.ts';
import { numberOf } from '../figure/figure.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import { bookingIn } from '../log/booking.ts';
import type { LogEntry } from '../log/entry.ts';
import { mergeLogs } from '../log/merge.ts';
import { RECORD_FIELDS, type RecordField } from '../log/record-fields.ts';
import type { Plan } from '../plan/shape.ts';
import type { Quilt } from '../quilt/quilt.ts';
import { settingOf } from '../setting/registry.ts';

/** A line of the card: what, and what there is to say of it. */
interface CardLine {
  readonly what: string;
  readonly says: string;
}

/** Somebody who gave blocks, and which. */
export interface GaveBlocks {
  readonly who: string;
  readonly blocks: readonly string[];
}

/** A finished quilt on one card. */
export interface RecordCard {
  readonly title: string;
  readonly size: string;
  readonly lines: readonly CardLine[];
  readonly cloths: readonly {
    readonly name: string;
    readonly colour: string;
    readonly says: string;
    readonly cost: number | null;
  }[];
  /** What everything whose price is known came to; null where nothing is. */
  readonly cost: number | null;
  readonly minutes: number;
  readonly makers: readonly GaveBlocks[];
  /** The days between the first entry of its log and the last; null while there is none. */
  readonly made: { readonly from: string; readonly to: string } | null;
  readonly said: Readonly<Record<RecordField, string>>;
}

/** What the maker said of a quilt, the last word on each thing. */
export function recordSaidIn(log: readonly LogEntry[], quilt: string): Record<RecordField, string> {
  const said = Object.fromEntries(RECORD_FIELDS.map((field) => [field, ''])) as Record<RecordField, string>;
  for (const entry of mergeLogs(log.filter((one) => one.quilt === quilt)))
    if (entry.kind === 'record-said') said[entry.body.field] = entry.body.text;
  return said;
}

/** How a quilt is usually washed, by its batting (common practice). What the cloth's and the batting's makers say comes first. */
export function usualCare({ batting }: Pick<Plan, 'batting'>): string {
  const { name } = FIBRES[batting.fibre];
  const warm =
    batting.fibre === 'wool' ? 'by hand, cold, without wringing' : 'cool, on a gentle cycle, mild soap';
  return `Wash ${warm}; dry flat or on low heat. ${name} inside: what its maker says comes first.`;
}

/** Who gave which blocks, by name; blocks nobody is named for are left out. */
function blocksByMaker({ pile }: Pick<Plan, 'pile'>): GaveBlocks[] {
  const by = group(pile, ({ maker }) => giverKey(maker ?? ''));
  by.delete('');
  return [...by.values()]
    .map((blocks) => ({ who: blocks[0]!.maker!.trim(), blocks: blocks.map(({ name }) => name) }))
    .sort((a, b) => a.who.localeCompare(b.who));
}

/** The card of a quilt, from its plan, what was worked out of it, and its log. */
export function recordCard(plan: Plan, quilt: Quilt, log: readonly LogEntry[], id: string): RecordCard {
  const { unit, grid } = plan;
  const own = mergeLogs(log.filter((entry) => entry.quilt === id));
  const minutes = sittingsIn(log, id).sittings.reduce(
    (sum, one) => (one.struck ? sum : sum + one.minutes),
    0,
  );
  const booking = bookingIn(log, id, unit);
  const said = recordSaidIn(log, id);
  const measured = measuredAfter(log, id, unit);
  const { width, height } = quilt.finished;
  const planned = { width: width.value, height: height.value };
  const setting = settingOf(plan.setting.kind);
  const cloths = quilt.fabrics.map(({ fabric, buy, cost }) => ({
    name: fabric.name,
    colour: fabric.colour,
    says: buy.text,
    cost: cost?.value ?? null,
  }));
  const known = [
    ...cloths.flatMap(({ cost }) => (cost === null ? [] : [cost])),
    ...(booking ? [booking.price] : []),
  ];
  const quilted =
    said.quilted !== ''
      ? said.quilted
      : setting.quilted
        ? 'block by block'
        : plan.quilting.by === 'home'
          ? `at home, lines ${formatWithUnit(plan.quilting.spacing, unit)} apart`
          : booking
            ? `on a long-arm, ${booking.number}`
            : 'on a long-arm';
  const line = (what: string, says: string): CardLine[] => (says === '' ? [] : [{ what, says }]);
  return {
    title: plan.title,
    size: formatSize(width.value, height.value, unit),
    lines: [
      ...line('Made by', said.maker),
      ...line('For', said.for),
      ...line('Where', said.place),
      ...line(
        'Top',
        setting.whole
          ? setting.name
          : `${setting.name.toLowerCase()}, ${grid.across} × ${grid.down}; blocks ${formatSize(plan.block.width, plan.block.height, unit)} finished`,
      ),
      ...line(
        'Borders',
        plan.borders
          .map(
            ({ sides, ends, pieced }) =>
              `${sides === ends ? formatWithUnit(sides, unit) : formatSize(sides, ends, unit)}${piecedSays({ pieced })}`,
          )
          .join(', '),
      ),
      ...line('Batting', quilt.layers ? FIBRES[plan.batting.fibre].name : ''),
      ...line('Quilted', quilted),
      ...line('Once quilted', measured.quilted ? measuredSays(measured.quilted, planned, unit) : ''),
      ...line('Once washed', measured.washed ? measuredSays(measured.washed, planned, unit) : ''),
      ...line(
        'Edge',
        plan.edge.finishes.length === 0
          ? ''
          : plan.edge.finishes.map((finish) => FINISH_NAMES[finish].toLowerCase()).join(', '),
      ),
      ...line('Thread', said.thread),
      ...line('Hours', minutes === 0 ? '' : sayMinutes(minutes)),
      ...line('Care', said.care === '' ? usualCare(plan) : said.care),
    ],
    cloths,
    cost: known.length === 0 ? null : Math.round(100 * known.reduce((a, b) => a + b, 0)) / 100,
    minutes,
    makers: blocksByMaker(plan),
    made: own.length === 0 ? null : { from: own[0]!.at.slice(0, 10), to: own.at(-1)!.at.slice(0, 10) },
    said,
  };
}

/** How a list of givers is said on a label: all of them, or how many there are. */
export function giversSaid(makers: readonly GaveBlocks[]): string {
  if (makers.length === 0) return '';
  if (makers.length > 12) return `blocks by ${numberOf(makers.length, 'maker')}`;
  const names = makers.map(({ who }) => who);
  return `blocks by ${names.length === 1 ? names[0] : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`}`;
}

/** What a label says under the quilt's name: who made it, who gave blocks, for whom, where and when, how it is washed. */
export function labelSays({ made, makers, said, lines }: RecordCard): string[] {
  const year = (made?.to ?? '').slice(0, 4);
  const care = lines.find(({ what }) => what === 'Care')?.says ?? '';
  return [
    said.maker === '' ? '' : `made by ${said.maker}`,
    giversSaid(makers),
    said.for === '' ? '' : `for ${said.for}`,
    [said.place, year].filter(Boolean).join(', '),
    care.split('. ')[0] ?? '',
  ].filter(Boolean);
}
