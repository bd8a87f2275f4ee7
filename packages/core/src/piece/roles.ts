import type { FabricUse, Role, SettingRole, TURN_FABRICS } from './piece.ts';

/** The field's words for each role, singular and plural. */
export const ROLE_NAMES: Readonly<Record<Role, { readonly one: string; readonly many: string }>> = {
  block: { one: 'Block', many: 'Blocks' },
  'plain-block': { one: 'Plain block', many: 'Plain blocks' },
  'plain-half': { one: 'Plain half', many: 'Plain halves' },
  sash: { one: 'Sash', many: 'Sashes' },
  cornerstone: { one: 'Cornerstone', many: 'Cornerstones' },
  'side-triangle': { one: 'Side triangle', many: 'Side triangles' },
  'corner-triangle': { one: 'Corner triangle', many: 'Corner triangles' },
  'frame-triangle': { one: 'Frame triangle', many: 'Frame triangles' },
  'coping-strip': { one: 'Coping strip', many: 'Coping strips' },
  border: { one: 'Border', many: 'Borders' },
  'border-patch': { one: 'Border patch', many: 'Border patches' },
  'border-corner': { one: 'Border corner', many: 'Border corners' },
};

/** A strip, a corner or a patch of a border, not of the centre. */
export const isOfBorder = (role: Role): boolean =>
  role === 'border' || role === 'border-patch' || role === 'border-corner';

/** Which fabric choice a role of a setting is cut from; null for blocks. A border knows its own, a part may too. */
export const ROLE_FABRIC: Readonly<Record<SettingRole, FabricUse | null>> = {
  block: null,
  'plain-block': { what: 'plain' },
  'plain-half': { what: 'plain' },
  sash: { what: 'sash' },
  cornerstone: { what: 'cornerstone' },
  'side-triangle': { what: 'triangle' },
  'corner-triangle': { what: 'triangle' },
  'frame-triangle': { what: 'frame' },
  'coping-strip': { what: 'coping' },
};

/** What each job that cloths can take in turns is called, many of them. */
export const JOB_NAMES: Readonly<Record<(typeof TURN_FABRICS)[number], string>> = {
  sash: 'Sashes',
  'middle-sash': 'Middle strips of the sashes',
  cornerstone: 'Cornerstones',
  triangle: 'Triangles',
  plain: 'Plain blocks',
  frame: 'Frames',
  coping: 'Coping strips',
};
