import type { Unit } from '../length/unit.ts';
import { settingOf, type SettingKind } from '../setting/registry.ts';
import { type Plan, SCHEMA_VERSION } from './shape.ts';

/** Fabrics of a new quilt: our own palette, named for what they do. */
const startFabrics = (unit: Unit): Plan['fabrics'] => {
  const usableWidth = unit === 'in' ? 40 : 100;
  const cloth: Plan['fabrics'] = [
    { id: 'sash', name: 'Sash', colour: '#efe3cb', usableWidth, price: null },
    { id: 'accent', name: 'Accent', colour: '#c4532f', usableWidth, price: null },
    { id: 'border', name: 'Border', colour: '#2e4a5f', usableWidth, price: null },
    { id: 'back', name: 'Backing', colour: '#8fa3ad', usableWidth, price: null },
    { id: 'wide-back', name: 'Wide backing', colour: '#a9b8a4', usableWidth: unit === 'in' ? 104 : 260, price: null },
    { id: 'batting', name: 'Batting', colour: '#f3efe2', usableWidth: unit === 'in' ? 88 : 220, price: null },
  ];
  return cloth;
};

/** The seam that is usual (handbook preamble): a quarter inch, or 7.5 mm. */
export const USUAL_SEAM: Readonly<Record<Unit, number>> = { in: 0.25, cm: 0.75 };

/** A border as it begins: butted, sides first, cut across the fabric. */
export const startBorder = (width: number, fabric: string): Plan['borders'][number] => ({
  sides: width, ends: width, corners: 'sides-first', cut: 'crosswise', joins: 'diagonal', repeat: null, fabric, cornerFabric: fabric,
});

/** Layers as they begin: the best way of backing, cotton batting, a grid quilted at home. */
export const startLayers = (unit: Unit, back: string, wide: string): Pick<Plan, 'backing' | 'batting' | 'quilting'> => {
  const inches = unit === 'in';
  return {
    backing: { overhang: inches ? 4 : 10, fabric: back, wide, way: 'best', oneWay: false, stripe: { of: 'fabric', fabric: back }, made: null },
    batting: { fibre: 'cotton', colour: 'natural', way: 'best', rollWidth: inches ? 96 : 240, pieces: [] },
    quilting: { by: 'home', marking: 'grid', spacing: inches ? 3 : 8, booking: null },
  };
};

/** An edge as it begins: square corners and a double-fold binding, straight grain; flange and points ready to be chosen. */
export const startEdge = (unit: Unit, fabric: string, accent: string): Pick<Plan, 'edge' | 'binding'> => {
  const inches = unit === 'in';
  return {
    edge: {
      shape: 'square', corners: 'all', radius: inches ? 6 : 15, scallop: inches ? { width: 6, depth: 1 } : { width: 15, depth: 2.5 }, around: null, finishes: ['binding'],
      flange: { visible: inches ? 0.25 : 0.5, fabric: accent },
      points: { square: inches ? 4 : 10, overlap: inches ? 0.25 : 0.5, fold: 'nested', spread: 'all', fabrics: [accent], order: 'sequence', opening: inches ? 6 : 15, seed: 1 },
    },
    binding: { stripWidth: inches ? 2.5 : 6.5, fabric, fold: 'double', grain: 'straight', school: 'plus-ten', flange: null, leftovers: [], start: null },
  };
};

/** Starting points offered for a new quilt, each a real job with everyday figures. */
export const STARTS = [
  { id: 'sashed-sampler', name: 'Sashed sampler', unit: 'in', block: 12, across: 3, down: 4, setting: 'sashed', borders: [4] },
  { id: 'edge-to-edge-throw', name: 'Edge-to-edge throw', unit: 'in', block: 9, across: 6, down: 7, setting: 'edge-to-edge', borders: [3] },
  { id: 'on-point-cot', name: 'On-point cot quilt', unit: 'in', block: 8, across: 3, down: 4, setting: 'on-point', borders: [] },
  { id: 'metric-sashed', name: 'Metric, sashed', unit: 'cm', block: 25, across: 5, down: 6, setting: 'sashed', borders: [10] },
] as const satisfies readonly {
  id: string; name: string; unit: Unit; block: number; across: number; down: number; setting: SettingKind; borders: readonly number[];
}[];

export type StartId = (typeof STARTS)[number]['id'];

/** A whole new plan from one of the starting points. */
export function startPlan(id: StartId): Plan {
  const start = STARTS.find((s) => s.id === id)!;
  return {
    schemaVersion: SCHEMA_VERSION,
    title: start.name,
    unit: start.unit,
    seam: USUAL_SEAM[start.unit],
    block: { width: start.block, height: start.block },
    pile: [],
    wall: [],
    grid: { across: start.across, down: start.down },
    setting: settingOf(start.setting).start(start.unit),
    borders: start.borders.map((width) => startBorder(width, 'border')),
    places: { turn: 'none', swap: 'none' },
    measured: [],
    measureBy: 'middle',
    target: null,
    ...startLayers(start.unit, 'back', 'wide-back'),
    ...startEdge(start.unit, 'border', 'accent'),
    fabrics: startFabrics(start.unit),
    fabricFor: { sash: 'sash', 'middle-sash': 'accent', 'sash-back': 'back', 'sash-batting': 'batting', coping: 'sash', cornerstone: 'accent', triangle: 'border', plain: 'sash', frame: 'border' },
  };
}
