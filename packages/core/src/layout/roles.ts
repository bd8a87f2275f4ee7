import type { Role } from './piece.ts';

/** The field's words for each role, singular and plural. */
export const ROLE_NAMES: Readonly<Record<Role, { readonly one: string; readonly many: string }>> = {
  block: { one: 'Block', many: 'Blocks' },
  sash: { one: 'Sash', many: 'Sashes' },
  cornerstone: { one: 'Cornerstone', many: 'Cornerstones' },
  'side-triangle': { one: 'Side triangle', many: 'Side triangles' },
  'corner-triangle': { one: 'Corner triangle', many: 'Corner triangles' },
  border: { one: 'Border', many: 'Borders' },
};
