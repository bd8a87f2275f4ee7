/** A file of a build: what it begins with, what it holds, and the files it needs at once. */
export interface Part {
  readonly fileName: string;
  readonly facadeModuleId: string | null;
  readonly imports: readonly string[];
  readonly moduleIds: readonly string[];
}

/** Pages of a quilt that must have something in common before it is worth bringing to all of them. */
const PAGES_IN_COMMON = 3;

/**
 * Which file of its own a module lies in, by what needs it: `app` what every page begins with, `drawing` what the shelf
 * has besides and draws its quilts with, `quilt` what several pages of a quilt share; packages apart, as they change less
 * often. What a module needs is needed wherever the module is, so no file of an earlier kind needs one of a later.
 *
 * @param parts a build as a bundler makes it by itself
 * @returns the name of a module's file; null where the bundler may do as it likes
 * @throws where the app, the log or the shelf does not begin a part
 */
export function sortParts(parts: readonly Part[]): (id: string) => string | null {
  const byName = new Map(parts.map((part) => [part.fileName, part]));
  const begins = (place: RegExp): Part[] =>
    parts.filter(({ facadeModuleId }) => facadeModuleId !== null && place.test(facadeModuleId));
  /** Everything that is there once the part is. */
  const modulesOf = (part: Part): ReadonlySet<string> => {
    const files = new Set([part.fileName]);
    for (const file of files) for (const next of byName.get(file)?.imports ?? []) files.add(next);
    return new Set([...files].flatMap((file) => byName.get(file)?.moduleIds ?? []));
  };
  const only = (place: RegExp): Part => {
    const [found, ...more] = begins(place);
    if (!found || more.length > 0) throw new Error(`There is not one part that begins with ${place.source}.`);
    return found;
  };
  const app = modulesOf(only(/\/shell\/start\.tsx$/));
  // The log is read on every page, as soon as there is one.
  const shelf = new Set(
    [/\/shelf\/Shelf\.tsx$/, /\/sync\/readLog\.ts$/].flatMap((part) => [...modulesOf(only(part))]),
  );
  const pages = begins(/\/src\/(stages|shell\/quilt|rooms\/(group|paper))\/.*(Stage|Page)\.tsx$/).map(
    modulesOf,
  );
  /** What a part begins with is its own file; the very first, which asks for all others, is kept as small as it is. */
  const apart = new Set([
    ...modulesOf(only(/\/index\.html$/)),
    ...begins(/./).map(({ facadeModuleId }) => facadeModuleId),
  ]);
  return (id) => {
    if (id.startsWith('\0') || apart.has(id)) return null;
    const by = pages.filter((modules) => modules.has(id)).length;
    const kind = app.has(id)
      ? 'app'
      : shelf.has(id) && by > 0
        ? 'drawing'
        : by >= PAGES_IN_COMMON
          ? 'quilt'
          : null;
    return kind && (id.includes('/node_modules/') ? `${kind}-packages` : kind);
  };
}
