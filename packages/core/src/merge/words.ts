import { MADE_NAMES, PIECED_CORNER_NAMES, PIECED_NAMES } from '../choice/pieced-borders.ts';
import { formatWithUnit } from '../length/format.ts';
import type { Plan } from '../plan/shape.ts';
import { settingOf } from '../setting/registry.ts';
import type { BothChanged } from './three-way.ts';

/** What the parts of a plan are called, in the quilter's words. */
const PARTS: Readonly<Record<keyof Plan, string>> = {
  schemaVersion: 'The plan’s version',
  title: 'The quilt’s name',
  tags: 'The quilt’s tags',
  unit: 'Inches or centimetres',
  seam: 'The seam allowance',
  squaring: 'What squaring an end takes',
  spareStrip: 'A strip to spare',
  block: 'The block’s size',
  pile: 'The blocks',
  wall: 'How the blocks are laid out',
  grid: 'How many blocks',
  setting: 'The setting',
  borders: 'The borders',
  places: 'How blocks lie in their places',
  measured: 'What was measured',
  measureBy: 'How the top is measured',
  target: 'The size to come to',
  backing: 'The backing',
  batting: 'The batting',
  quilting: 'The quilting',
  edge: 'The edge',
  binding: 'The binding',
  hanging: 'What it is hung by',
  fabrics: 'The cloths',
  fabricFor: 'Which cloth is for what',
  rotations: 'Cloths that take turns',
  overLong: 'What is cut over-long',
  stock: 'The pieces in hand',
};

/** What a field is called within its part, where its own name is not a word of the trade. */
const FIELDS: Readonly<Record<string, string>> = {
  across: 'across',
  down: 'down',
  sides: 'width at the sides',
  ends: 'width at top and bottom',
  cut: 'cutting direction',
  cornerFabric: 'cloth of the corners',
  stripWidth: 'strip width',
  usableWidth: 'usable width',
  rollWidth: 'roll width',
  settled: 'verdict done',
  by: 'who quilts',
  way: 'where it comes from',
  made: 'as it was made',
  pieced: 'what it is made of',
};

/** Fields of a pieced border, which are called as those of other parts are. */
const PIECED_FIELDS: Readonly<Record<string, string>> = {
  kind: 'units',
  fabric: 'second cloth',
  made: 'how its units are made',
  corner: 'what stands at its corners',
  rows: 'rows of checkers',
  key: 'width of a piano key',
};

/** What a pieced border was given, in words. */
const PIECED_VALUES: Readonly<Record<string, string>> = {
  ...PIECED_NAMES,
  ...MADE_NAMES,
  ...PIECED_CORNER_NAMES,
};

/**
 * What a field is called that both changed: "The borders: border 2, width at the sides".
 *
 * @param plan one that has what is named
 */
export function nameOfField(plan: Plan, { path }: Pick<BothChanged, 'path'>): string {
  const [part, ...rest] = path as [keyof Plan, ...string[]];
  const list = plan[part];
  const words = rest.map((step, i) => {
    if (i === 0 && Array.isArray(list)) return entryName(part, list as { id: string; name?: string }[], step);
    if (part === 'setting')
      return settingOf(plan.setting.kind).fields.find((f) => f.key === step)?.label ?? step;
    if (rest[i - 1] === 'pieced') return PIECED_FIELDS[step] ?? step;
    return FIELDS[step] ?? step.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  });
  return [PARTS[part], words.join(', ')].filter((word) => word !== '').join(': ');
}

function entryName(part: keyof Plan, list: readonly { id: string; name?: string }[], id: string): string {
  const at = list.findIndex((entry) => entry.id === id);
  if (part === 'borders') return `border ${at + 1}`;
  return list[at]?.name ?? id;
}

/** Numbers of a plan that are no lengths. */
const PLAIN_NUMBERS: ReadonlySet<string> = new Set([
  'across',
  'down',
  'seed',
  'price',
  'shrinkage',
  'turn',
  'rows',
]);

/** What a field was given, in words: a length with its unit, a fabric by its name; of a whole part, what became of it. */
export function sayValue({ unit, fabrics }: Plan, { path, base }: BothChanged, value: unknown): string {
  const field = path.at(-1) ?? '';
  if (value === undefined || value === null) return base === undefined ? 'not there' : 'taken away';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number')
    return PLAIN_NUMBERS.has(field) ? String(value) : formatWithUnit(value, unit);
  if (path.includes('pieced')) {
    const said = typeof value === 'object' && 'kind' in value ? value.kind : value;
    if (typeof said === 'string' && PIECED_VALUES[said] !== undefined) return PIECED_VALUES[said];
  }
  if (typeof value === 'string') return fabrics.find(({ id }) => id === value)?.name ?? value;
  return base === undefined ? 'added' : 'changed as a whole';
}
