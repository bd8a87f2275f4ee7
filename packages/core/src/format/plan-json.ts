import { type ReadPlan, readPlan } from '../soundness/read.ts';
import type { Plan } from '../plan/shape.ts';

/** A plan as the text of a plan file: JSON, two spaces, a newline at the end. */
export const writePlanJson = (plan: Plan): string => `${JSON.stringify(plan, null, 2)}\n`;

/** Reads the text of a plan file. Never throws; text that is not JSON is a problem like any other. */
export function readPlanJson(text: string): ReadPlan {
  try {
    return readPlan(JSON.parse(text.replace(/^\uFEFF/, '')));
  } catch {
    return {
      ok: false,
      problems: [
        {
          path: [],
          message: 'This file is not a quilt plan: it cannot be read as JSON. It may be cut short.',
        },
      ],
    };
  }
}
