import type { Stage } from '@lattice/core';

/** What each stage is called; its place in the address is its own word. */
export const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  blocks: 'Blocks',
  setting: 'Setting',
  wall: 'Wall',
  borders: 'Borders',
  layers: 'Layers',
  edge: 'Edge',
  cut: 'Cut',
  sew: 'Sew',
  journal: 'Journal',
};
