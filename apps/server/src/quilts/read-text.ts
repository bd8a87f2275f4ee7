import { readPlanShape } from '@lattice/core';

/** A kept plan's text as a plan, sound or to be mended. */
export function readText(text: string): ReturnType<typeof readPlanShape> {
  try {
    return readPlanShape(JSON.parse(text));
  } catch {
    return { ok: false, problems: [{ path: [], message: 'What was kept of it is cut short.' }] };
  }
}
