import { same } from '../document/same.ts';
/** A value of a plain document. */
type Value = unknown;
type Fields = Readonly<Record<string, Value>>;

/** A field that both changed, each in its own way. Things of a list are named by their id, not by their place. */
export interface BothChanged {
  readonly path: readonly string[];
  readonly base: Value;
  readonly mine: Value;
  readonly theirs: Value;
}

/** Two documents that began as one, put together; where both changed one field it is as mine. */
export interface Merged {
  readonly value: Value;
  readonly both: readonly BothChanged[];
}

/** What is told apart from others of its list by an id. */
interface Named extends Fields {
  readonly id: string;
}

const isFields = (value: Value): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isNamedList = (value: Value): value is readonly Named[] =>
  Array.isArray(value) && value.every((entry) => isFields(entry) && typeof entry['id'] === 'string');

/** A choice among shapes: fields of one say nothing about another. */
const TAGS = ['kind', 'of'] as const;
const alike = (a: Fields, b: Fields) => TAGS.every((tag) => a[tag] === b[tag]);

/**
 * Puts two changes of one plain document together, field by field: what only one changed is as that one has it; what
 * both changed alike is so; what both changed otherwise is listed. Lists of things with ids are merged thing by thing.
 *
 * @param base what both began with
 */
export function mergeThree(base: Value, mine: Value, theirs: Value, path: readonly string[] = []): Merged {
  if (same(mine, theirs) || same(base, theirs)) return { value: mine, both: [] };
  if (same(base, mine)) return { value: theirs, both: [] };
  if (isNamedList(base) && isNamedList(mine) && isNamedList(theirs))
    return mergeLists(base, mine, theirs, path);
  if (isFields(base) && isFields(mine) && isFields(theirs) && alike(base, mine) && alike(base, theirs))
    return mergeFields(base, mine, theirs, path);
  return { value: mine, both: [{ path, base, mine, theirs }] };
}

function mergeFields(base: Fields, mine: Fields, theirs: Fields, path: readonly string[]): Merged {
  const value: Record<string, Value> = {};
  const both: BothChanged[] = [];
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const merged = mergeThree(base[key], mine[key], theirs[key], [...path, key]);
    both.push(...merged.both);
    if (merged.value !== undefined) value[key] = merged.value;
  }
  return { value, both };
}

function mergeLists(
  base: readonly Named[],
  mine: readonly Named[],
  theirs: readonly Named[],
  path: readonly string[],
): Merged {
  const byId = (list: readonly Named[]) => new Map(list.map((entry) => [entry.id, entry]));
  const [ofBase, ofMine, ofTheirs] = [byId(base), byId(mine), byId(theirs)];
  const both: BothChanged[] = [];
  const value = orderOf(base, mine, theirs).flatMap((id) => {
    const merged = mergeThree(ofBase.get(id), ofMine.get(id), ofTheirs.get(id), [...path, id]);
    both.push(...merged.both);
    return merged.value === undefined ? [] : [merged.value];
  });
  return { value, both };
}

/** All ids in the order of the one who changed it, mine where both did; what the other added follows what it followed there. */
function orderOf(base: readonly Named[], mine: readonly Named[], theirs: readonly Named[]): string[] {
  const ids = (list: readonly Named[]) => list.map(({ id }) => id);
  const among = (list: readonly Named[], others: readonly Named[]) => {
    const known = new Set(ids(others));
    return ids(list).filter((id) => known.has(id));
  };
  const moved = !same(among(mine, base), among(base, mine));
  const [first, second] = moved ? [ids(mine), ids(theirs)] : [ids(theirs), ids(mine)];
  const order = [...first];
  const placed = new Set(order);
  second.forEach((id, i) => {
    if (placed.has(id)) return;
    const after = second.slice(0, i).findLast((earlier) => placed.has(earlier));
    order.splice(after === undefined ? 0 : order.indexOf(after) + 1, 0, id);
    placed.add(id);
  });
  return order;
}
