import { same } from '../document/same.ts';
import { VERDICT_NAMES, verdictOn } from '../block/verdict.ts';
import { meantCut } from '../block/usual-size.ts';
import type { Stage } from '../choice/stages.ts';
import { numberOf } from '../figure/figure.ts';
import { isMeasured, measuredBy } from '../border/sizes.ts';
import { formatSize, formatWithUnit } from '../length/format.ts';
import type { EntryBody } from '../log/kinds/registry.ts';
import { type Difference, differences } from '../merge/difference.ts';
import { nameOfField, sayValue } from '../merge/words.ts';
import type { Measured, PileBlock, Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';

/** One thing that was decided or measured, in words. */
export type PlanChange = EntryBody['plan-changed']['changes'][number];

/** At which stage each part of a plan is decided. */
const STAGE_OF: Readonly<Partial<Record<keyof Plan, Stage>>> = {
  block: 'blocks',
  pile: 'blocks',
  wall: 'wall',
  places: 'wall',
  borders: 'borders',
  measured: 'borders',
  measureBy: 'borders',
  backing: 'layers',
  batting: 'layers',
  quilting: 'layers',
  edge: 'edge',
  binding: 'edge',
  hanging: 'edge',
  fabrics: 'cut',
  rotations: 'cut',
  overLong: 'cut',
  stock: 'cut',
  squaring: 'cut',
  spareStrip: 'cut',
};
/** What says itself by other things, or says nothing to anyone. */
const SILENT: ReadonlySet<string> = new Set(['schemaVersion']);
/** More places of a wall or blocks of a pile are told as a count. */
const TOLD_SINGLY = 6;

/**
 * What one plan says otherwise than another, as a journal keeps it: "Sash, finished: 1 1/2″ → 1 3/4″", a block that was
 * measured with its verdict, what was done about it. Things that change together are told as one.
 *
 * @returns nothing where nothing changed that a quilter would speak of
 */
export function planChangesBetween(before: Plan, after: Plan): PlanChange[] {
  if (before.unit !== after.unit)
    return [plain('unit', 'setting', 'Unit', before.unit === 'in' ? 'inches' : 'cm', unitName(after))];
  const { pile, wall, measured, setting, ...rest } = partsOf(differences(before, after));
  return [
    ...(pile ? pileChanges(before, after) : []),
    ...(measured ? topChanges(before, after) : []),
    ...(setting ? settingChanges(before, after, setting) : []),
    ...(wall ? wallChange(before, after) : []),
    ...Object.values(rest)
      .flat()
      .map((one) => fieldChange(before, after, one)),
  ];
}

const unitName = ({ unit }: Plan) => (unit === 'in' ? 'inches' : 'cm');

function partsOf(all: readonly Difference[]): Record<string, Difference[]> {
  const parts: Record<string, Difference[]> = {};
  for (const one of all) {
    const [part] = one.path as [string];
    if (!SILENT.has(part)) (parts[part] ??= []).push(one);
  }
  return parts;
}

const plain = (key: string, stage: Stage, what: string, from: string, to: string): PlanChange => ({
  key,
  kind: 'change',
  stage,
  what: cut(what),
  from: cut(from),
  to: cut(to),
  about: {},
});

/** Names can be as long as they like; the journal's lines cannot. */
const cut = (text: string): string => (text.length <= 300 ? text : `${text.slice(0, 299)}…`);

function fieldChange(before: Plan, after: Plan, { path, from, to }: Difference): PlanChange {
  const [part, id] = path as [keyof Plan, string | undefined];
  // What is gone has its name in the plan that had it.
  const named = to === undefined ? before : after;
  const both = { path, base: from, mine: to, theirs: to };
  const said = (plan: Plan, value: unknown) =>
    value === undefined || value === null ? 'none' : sayValue(plan, { ...both, base: value }, value);
  const change = plain(
    path.join('/'),
    STAGE_OF[part] ?? 'setting',
    nameOfField(named, { path }),
    said(before, from),
    to === undefined || to === null
      ? 'taken away'
      : from === undefined && typeof to === 'object' && path.at(-1) !== 'pieced'
        ? 'added'
        : said(after, to),
  );
  return part === 'borders' && id !== undefined && path.length > 1
    ? { ...change, about: { border: id } }
    : change;
}

function settingChanges(before: Plan, after: Plan, all: readonly Difference[]): PlanChange[] {
  const [was, is] = [settingOf(before.setting.kind), settingOf(after.setting.kind)];
  // Another setting has other lengths: that it is another says it all.
  if (was.kind !== is.kind) return [plain('setting', 'setting', 'The setting', was.name, is.name)];
  return all.map((one) => fieldChange(before, after, one));
}

function wallChange(before: Plan, after: Plan): PlanChange[] {
  const places = Math.max(before.wall.length, after.wall.length);
  const moved = Array.from({ length: places }).filter((_, i) => !same(before.wall[i], after.wall[i])).length;
  const what = before.wall.length === 0 ? 'Laid out' : 'Laid out anew';
  return [plain('wall', 'wall', 'The wall', '', `${what}: ${numberOf(moved, 'place')}`)];
}

function pileChanges(before: Plan, after: Plan): PlanChange[] {
  const was = new Map(before.pile.map((block) => [block.id, block]));
  const is = new Set(after.pile.map(({ id }) => id));
  const added = after.pile.filter(({ id }) => !was.has(id));
  const gone = before.pile.filter(({ id }) => !is.has(id));
  return [
    ...counted('added', added, 'added'),
    ...counted('gone', gone, 'taken off the pile'),
    ...after.pile.flatMap((block) => {
      const had = was.get(block.id);
      return had && had !== block ? blockChanges(after, had, block) : [];
    }),
  ];
}

function counted(key: string, blocks: readonly PileBlock[], did: string): PlanChange[] {
  if (blocks.length === 0) return [];
  const names = blocks.length <= TOLD_SINGLY ? `: ${blocks.map(({ name }) => name).join(', ')}` : '';
  return [
    plain(`pile/${key}`, 'blocks', 'The pile', '', `${numberOf(blocks.length, 'block')} ${did}${names}`),
  ];
}

function blockChanges(plan: Plan, had: PileBlock, block: PileBlock): PlanChange[] {
  const { unit, seam } = plan;
  const about = { block: block.id };
  const size = ({ width, height }: PileBlock) =>
    width === null && height === null
      ? 'not measured'
      : width === null || height === null
        ? 'half measured'
        : formatSize(width, height, unit);
  const changes: PlanChange[] = [];
  const sized = ['width', 'height', 'edges', 'diagonals'] as const;
  if (sized.some((field) => !same(had[field], block[field]))) {
    const verdict = verdictOn(block, meantCut(plan), unit, seam);
    const judged = verdict.kind === 'unmeasured' ? '' : ` · ${VERDICT_NAMES[verdict.kind].toLowerCase()}`;
    const change = plain(`pile/${block.id}/size`, 'blocks', block.name, size(had), `${size(block)}${judged}`);
    changes.push({ ...change, kind: 'measure', about });
  }
  if ((had.settled ?? false) !== (block.settled ?? false)) {
    const verdict = verdictOn(had, meantCut(plan), unit, seam);
    const change = plain(
      `pile/${block.id}/settled`,
      'blocks',
      block.name,
      verdict.text,
      block.settled ? 'done' : 'not done after all',
    );
    changes.push({ ...change, kind: 'verdict', about });
  }
  const told = new Set<string>([...sized, 'settled', 'id', 'colours', 'edge', 'picture']);
  const rest = differences(had, block).filter(({ path }) => !told.has(path[0]!));
  for (const { path, from, to } of rest)
    changes.push({
      ...plain(
        `pile/${block.id}/${path.join('/')}`,
        'blocks',
        `${block.name}, ${path.join(', ')}`,
        say(from),
        say(to),
      ),
      about,
    });
  if (had.picture !== block.picture)
    changes.push({
      ...plain(
        `pile/${block.id}/picture`,
        'blocks',
        block.name,
        '',
        block.picture === undefined ? 'its photo taken off' : 'photographed',
      ),
      about,
    });
  return changes;
}

const say = (value: unknown): string =>
  value === undefined
    ? 'not said'
    : value === true
      ? 'yes'
      : value === false
        ? 'no'
        : typeof value === 'object'
          ? 'changed'
          : String(value);

function topChanges(before: Plan, after: Plan): PlanChange[] {
  const byBorders = (plan: Plan) => new Map(plan.measured.map((one) => [one.borders, one]));
  const [was, is] = [byBorders(before), byBorders(after)];
  const { unit, measureBy } = after;
  const size = (one: Measured | undefined) => {
    const [width, height] = [one?.width, one?.height].map(
      (places) => places && measuredBy(places, measureBy, unit)?.value,
    );
    if (width === undefined && height === undefined) return 'not measured';
    if (height === undefined) return `${formatWithUnit(width!, unit)} wide, its height not measured`;
    if (width === undefined) return `${formatWithUnit(height, unit)} high, its width not measured`;
    return formatSize(width, height, unit);
  };
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((borders) => {
    const [from, to] = [was.get(borders), is.get(borders)];
    if (same(from, to)) return [];
    // A measurement that is begun and has nothing yet says nothing.
    if (![from, to].some((one) => one && isMeasured(one))) return [];
    const what = borders === 0 ? 'The centre' : `The top with ${numberOf(borders, 'border')}`;
    const change = plain(`measured/${borders}`, 'borders', what, size(from), size(to));
    return [{ ...change, kind: 'measure' as const }];
  });
}
