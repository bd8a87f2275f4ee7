/** What a reader says of a page, one thing a line: how deep it lies, what it is and what it is called. */
export interface Said {
  readonly depth: number;
  readonly role: string;
  readonly name: string;
}

/** Reads a snapshot of a page as assistive tools are given it. */
export const saidIn = (snapshot: string): Said[] =>
  snapshot.split('\n').flatMap((line) => {
    const [, indent, role, name] = /^(\s*)- '?([a-z]+)(?: "((?:[^"\\]|\\.)*)")?/.exec(line) ?? [];
    return role === undefined ? [] : [{ depth: indent!.length, role, name: name ?? '' }];
  });

/** Parts that are called what their own heading says: a reader hears both. */
export const saidTwice = (said: readonly Said[]): string[] =>
  said.flatMap(({ depth, role, name }, i) => {
    const next = said[i + 1];
    const heard = next?.role === 'heading' && next.depth > depth && next.name === name;
    return heard && name !== '' && (role === 'region' || role === 'group') ? [`${role} ${name}`] : [];
  });

const FIELDS = new Set(['textbox', 'slider', 'switch', 'checkbox', 'combobox', 'spinbutton', 'searchbox']);

/** Fields that nothing tells apart: neither their name nor that of a part they lie in. And fields without a name. */
export function notToldApart(said: readonly Said[]): string[] {
  const within: Said[] = [];
  const seen = new Set<string>();
  return said.flatMap((one) => {
    while (within.length > 0 && within.at(-1)!.depth >= one.depth) within.pop();
    const place = within.filter(({ name }) => name !== '').map(({ role, name }) => `${role} ${name}`);
    within.push(one);
    if (!FIELDS.has(one.role)) return [];
    const key = [...place, `${one.role} ${one.name}`].join(' > ');
    if (one.name !== '' && !seen.has(key)) {
      seen.add(key);
      return [];
    }
    return [key];
  });
}
