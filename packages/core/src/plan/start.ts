import type { Unit } from '../length/unit.ts';
import { settingOf, type SettingKind } from '../setting/registry.ts';
import { type Plan, SCHEMA_VERSION } from './shape.ts';

/** Fabrics of a new quilt: our own palette, named for what they do. */
const startFabrics = (unit: Unit): Plan['fabrics'] => {
  const usableWidth = unit === 'in' ? 40 : 100;
  return [
    { id: 'sash', name: 'Sash', colour: '#efe3cb', usableWidth },
    { id: 'accent', name: 'Accent', colour: '#c4532f', usableWidth },
    { id: 'border', name: 'Border', colour: '#2e4a5f', usableWidth },
    { id: 'back', name: 'Backing', colour: '#8fa3ad', usableWidth },
    { id: 'batting', name: 'Batting', colour: '#f3efe2', usableWidth: unit === 'in' ? 88 : 220 },
  ];
};

/** A border as it begins: butted, sides first, cut across the fabric. */
export const startBorder = (width: number, fabric: string): Plan['borders'][number] => ({
  sides: width, ends: width, corners: 'sides-first', cut: 'crosswise', joins: 'diagonal', repeat: null, fabric, cornerFabric: fabric,
});

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
  const inches = start.unit === 'in';
  return {
    schemaVersion: SCHEMA_VERSION,
    title: start.name,
    unit: start.unit,
    seam: inches ? 1 / 4 : 0.75,
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
    backing: { overhang: inches ? 4 : 10, fabric: 'back' },
    binding: { stripWidth: inches ? 2.5 : 6.5, fabric: 'border' },
    fabrics: startFabrics(start.unit),
    fabricFor: { sash: 'sash', 'middle-sash': 'accent', 'sash-back': 'back', 'sash-batting': 'batting', coping: 'sash', cornerstone: 'accent', triangle: 'border', plain: 'sash', frame: 'border' },
  };
}
