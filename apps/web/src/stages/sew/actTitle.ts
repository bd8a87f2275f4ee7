import type { AtSewing } from './useSewing.ts';

/** What an act is called: its seam, the step where its seams are sewn in one go, or the trip to the iron. */
export function actTitle(
  { kind, seam, step }: AtSewing['at']['acts'][number],
  { way, guide, words }: AtSewing,
): string {
  if (seam !== null && !guide[step]!.inOneGo) return words.seam(way.seams[seam]!);
  return kind === 'press' ? 'Press what was sewn' : guide[step]!.title;
}

/** A sentence's beginning within another. */
export const lowered = (text: string) => text[0]!.toLowerCase() + text.slice(1);
