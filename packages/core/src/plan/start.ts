import { SIDES } from '../choice/edge.ts';
import type { Unit } from '../length/unit.ts';
import { settingOf, type SettingKind } from '../setting/registry.ts';
import { USUAL } from '../usual/lengths.ts';
import { type Plan, SCHEMA_VERSION } from './shape.ts';

/** Fabrics of a new quilt: our own palette, named for what they do; triangles, borders and binding each have their own. */
const startFabrics = (unit: Unit): Plan['fabrics'] => {
  const cloth = (
    id: string,
    name: string,
    colour: string,
    usableWidth: number = USUAL.usable[unit],
  ): Plan['fabrics'][number] => ({
    id,
    name,
    colour,
    usableWidth,
    price: null,
    direction: 'none',
    alike: false,
    shrinkage: 0,
    washed: false,
    from: '',
  });
  return [
    cloth('sash', 'Sash', '#efe3cb'),
    cloth('accent', 'Accent', '#c4532f'),
    cloth('triangle', 'Triangles', '#7d8f86'),
    cloth('border', 'Border', '#2e4a5f'),
    cloth('binding', 'Binding', '#4b3a4a'),
    cloth('back', 'Backing', '#8fa3ad'),
    cloth('wide-back', 'Wide backing', '#a9b8a4', USUAL.wideUsable[unit]),
    cloth('batting', 'Batting', '#f3efe2', USUAL.battingUsable[unit]),
  ];
};

/** A border as it begins: butted, sides first, cut across the fabric. */
export const startBorder = (id: string, width: number, fabric: string): Plan['borders'][number] => ({
  id,
  sides: width,
  ends: width,
  corners: 'sides-first',
  cut: 'crosswise',
  joins: 'diagonal',
  repeat: null,
  fabric,
  pieced: null,
  cornerFabric: fabric,
});

/**
 * A cloth for a border that is added: one that does nothing beside it yet, the one kept for borders first; never the
 * sash's it would run into, nor that of the border inside it, while there is another.
 */
function clothForBorder({ fabrics, fabricFor, borders, backing, binding }: Plan): string {
  const beside = borders.at(-1)?.fabric ?? fabricFor.sash;
  const under = new Set([
    backing.fabric,
    backing.wide,
    fabricFor['sash-back'],
    fabricFor['sash-batting'],
    'batting',
  ]);
  const free = fabrics.filter(({ id }) => id !== beside && id !== fabricFor.sash && !under.has(id));
  const rank = ({ id }: Plan['fabrics'][number]) =>
    id === 'border' ? 0 : borders.some((border) => border.fabric === id) ? 2 : id === binding.fabric ? 3 : 1;
  return [...free].sort((a, b) => rank(a) - rank(b))[0]?.id ?? beside;
}

/** A border with a cloth of its own, its corner squares in another, added outside those there are. */
export function addedBorder(plan: Plan, id: string, width: number): Plan['borders'][number] {
  const border = startBorder(id, width, clothForBorder(plan));
  const corners = clothForBorder({ ...plan, borders: [...plan.borders, border] });
  return { ...border, cornerFabric: corners };
}

/** Layers as they begin: the best way of backing, cotton batting, a grid quilted at home. */
export const startLayers = (
  unit: Unit,
  back: string,
  wide: string,
): Pick<Plan, 'backing' | 'batting' | 'quilting'> => ({
  backing: {
    overhang: USUAL.overhang[unit],
    fabric: back,
    wide,
    way: 'best',
    stripe: { of: 'fabric', fabric: back },
    made: null,
  },
  batting: {
    fibre: 'cotton',
    colour: 'natural',
    way: 'best',
    rollWidth: USUAL.battingRoll[unit],
  },
  quilting: { by: 'home', marking: 'grid', spacing: USUAL.quiltingLines[unit] },
});

/** An edge as it begins: square corners and a double-fold binding, straight grain; flange and points ready to be chosen. */
export const startEdge = (unit: Unit, fabric: string, accent: string): Pick<Plan, 'edge' | 'binding'> => ({
  edge: {
    shape: 'square',
    corners: 'all',
    radius: USUAL.cornerRadius[unit],
    cutOut: { across: USUAL.cutOut[unit], down: USUAL.cutOut[unit] },
    scallop: { width: USUAL.scallopWidth[unit], depth: USUAL.scallopDepth[unit], sides: [...SIDES] },
    around: null,
    finishes: ['binding'],
    flange: { visible: USUAL.flange[unit], fabric: accent },
    facing: { width: USUAL.facingStrip[unit], corners: 'flat', fabric },
    selfBinding: { shows: USUAL.selfBinding[unit] },
    piping: { cord: USUAL.cord[unit], fabric: accent },
    points: {
      square: USUAL.pointSquare[unit],
      overlap: USUAL.pointOverlap[unit],
      fold: 'nested',
      spread: 'all',
      fabrics: [accent],
      order: 'sequence',
      sewn: 'quilted',
      opening: USUAL.pointOpening[unit],
      seed: 1,
    },
  },
  binding: {
    stripWidth: USUAL.bindingStrip[unit],
    fabric,
    fold: 'double',
    grain: 'straight',
    school: 'plus-ten',
    seam: null,
    flange: null,
    start: null,
  },
});

/** Everyday quilts to try things on, each a real job with everyday figures. */
export const STARTS = [
  {
    id: 'sashed-sampler',
    name: 'Sashed sampler',
    unit: 'in',
    block: 12,
    across: 3,
    down: 4,
    setting: 'sashed',
    borders: [4],
  },
  {
    id: 'edge-to-edge-throw',
    name: 'Edge-to-edge throw',
    unit: 'in',
    block: 9,
    across: 6,
    down: 7,
    setting: 'edge-to-edge',
    borders: [3],
  },
  {
    id: 'on-point-cot',
    name: 'On-point cot quilt',
    unit: 'in',
    block: 8,
    across: 3,
    down: 4,
    setting: 'on-point',
    borders: [],
  },
  {
    id: 'metric-sashed',
    name: 'Metric, sashed',
    unit: 'cm',
    block: 25,
    across: 5,
    down: 6,
    setting: 'sashed',
    borders: [10],
  },
] as const satisfies readonly {
  id: string;
  name: string;
  unit: Unit;
  block: number;
  across: number;
  down: number;
  setting: SettingKind;
  borders: readonly number[];
}[];

export type StartId = (typeof STARTS)[number]['id'];

/** A whole new plan that is nothing yet but its unit: a dozen blocks edge to edge, without a border. */
export const blankPlan = (unit: Unit): Plan => ({
  schemaVersion: SCHEMA_VERSION,
  title: 'New quilt',
  tags: [],
  unit,
  seam: USUAL.seam[unit],
  squaring: USUAL.squaring[unit],
  spareStrip: false,
  block: { width: USUAL.block[unit], height: USUAL.block[unit] },
  pile: [],
  wall: [],
  grid: { across: 3, down: 4 },
  setting: settingOf('edge-to-edge').start(unit),
  borders: [],
  places: { turn: 'none', swap: 'none' },
  measured: [],
  measureBy: 'middle',
  target: null,
  ...startLayers(unit, 'back', 'wide-back'),
  ...startEdge(unit, 'binding', 'accent'),
  hanging: { as: 'none', depth: USUAL.sleeve[unit], fabric: 'back' },
  fabrics: startFabrics(unit),
  fabricFor: {
    sash: 'sash',
    'middle-sash': 'accent',
    'sash-back': 'back',
    'sash-batting': 'batting',
    coping: 'sash',
    cornerstone: 'accent',
    triangle: 'triangle',
    plain: 'sash',
    frame: 'triangle',
  },
  rotations: [],
  overLong: { sashes: 0, borders: 0 },
  stock: [],
});

/** A whole new plan from one of the starting points. */
export function startPlan(id: StartId): Plan {
  const start = STARTS.find((s) => s.id === id)!;
  return {
    ...blankPlan(start.unit),
    title: start.name,
    block: { width: start.block, height: start.block },
    grid: { across: start.across, down: start.down },
    setting: settingOf(start.setting).start(start.unit),
    borders: start.borders.map((width, i) => startBorder(String(i + 1), width, 'border')),
  };
}
