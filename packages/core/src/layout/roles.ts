import type { FabricUse, Role } from './piece.ts';

/** The field's words for each role, singular and plural. */
export const ROLE_NAMES: Readonly<Record<Role, { readonly one: string; readonly many: string }>> = {
  block: { one: 'Block', many: 'Blocks' },
  sash: { one: 'Sash', many: 'Sashes' },
  cornerstone: { one: 'Cornerstone', many: 'Cornerstones' },
  'side-triangle': { one: 'Side triangle', many: 'Side triangles' },
  'corner-triangle': { one: 'Corner triangle', many: 'Corner triangles' },
  border: { one: 'Border', many: 'Borders' },
};

/** Which fabric choice a role of a setting is cut from; null for blocks. A border knows its own. */
export const ROLE_FABRIC: Readonly<Record<Exclude<Role, 'border'>, FabricUse | null>> = {
  block: null,
  sash: { what: 'sash' },
  cornerstone: { what: 'cornerstone' },
  'side-triangle': { what: 'triangle' },
  'corner-triangle': { what: 'triangle' },
};
