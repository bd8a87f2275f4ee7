import { same } from '../document/same.ts';
/** A field that reads otherwise in one document than in another. Things of a list are named by their id. */
export interface Difference {
  readonly path: readonly string[];
  readonly from: unknown;
  readonly to: unknown;
}

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isNamedList = (value: unknown): value is readonly (Fields & { readonly id: string })[] =>
  Array.isArray(value) && value.every((entry) => isFields(entry) && typeof entry['id'] === 'string');

/**
 * Every field that differs between two plain documents, as deep as both have it; what only one has is one difference.
 * A list of things with ids is compared thing by thing, whatever their order; any other list as a whole.
 */
export function differences(from: unknown, to: unknown, path: readonly string[] = []): Difference[] {
  if (same(from, to)) return [];
  if (isNamedList(from) && isNamedList(to) && from.length + to.length > 0) {
    const byId = (list: typeof from): Fields => Object.fromEntries(list.map((one) => [one.id, one]));
    return differences(byId(from), byId(to), path);
  }
  if (isFields(from) && isFields(to)) {
    const keys = new Set([...Object.keys(from), ...Object.keys(to)]);
    return [...keys].flatMap((key) => differences(from[key], to[key], [...path, key]));
  }
  return [{ path, from, to }];
}
