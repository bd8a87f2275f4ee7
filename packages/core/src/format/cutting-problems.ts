import { z } from 'zod';
import type { Need, SheetPlan } from '../placing/need.ts';
import { searchAtOnce, searching } from '../placing/search.ts';
import { sheetPlan } from '../placing/sheet-plan.ts';
import { taskOf, unplaceable } from '../placing/task.ts';

const size = z.number().int().positive().max(1_000_000);

const needSchema = z.object({
  key: z.string().min(1),
  name: z.string().optional(),
  width: size,
  length: size,
  count: z.number().int().min(0).max(100_000),
  lengthwise: z.boolean().default(false),
  joins: z.enum(['diagonal', 'straight']).default('diagonal'),
  oneWay: z.enum(['across', 'along']).optional(),
});

/** Cloths to be cut, in whole units: an open format for measuring the planner with scripts. */
const problemsSchema = z.object({
  instances: z.array(
    z.object({
      id: z.string().min(1),
      usable: size,
      seam: z.number().int().min(0),
      needs: z.array(needSchema),
    }),
  ),
});

/** One cloth to be cut. */
export type CuttingProblem = z.infer<typeof problemsSchema>['instances'][number];

/** Problems from a file, or what is wrong with it and where. */
export function readCuttingProblems(
  text: string,
):
  | { readonly ok: true; readonly value: readonly CuttingProblem[] }
  | { readonly ok: false; readonly problem: string } {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    return { ok: false, problem: 'this is not JSON.' };
  }
  const read = problemsSchema.safeParse(document);
  if (read.success) return { ok: true, value: read.data.instances };
  const { path, message } = read.error.issues[0]!;
  return { ok: false, problem: `${path.join('.') || 'the file'}: ${message}.` };
}

/**
 * The plan for one problem.
 *
 * @param goOn asked after every round of a longer search; without it the plan is what is found at once
 * @returns null with what no way of laying can place
 */
export function solveCuttingProblem(
  { needs, usable, seam }: CuttingProblem,
  goOn?: () => boolean,
): SheetPlan | { readonly tooWide: string } {
  const sheet = { usable, seam };
  const wanted = needs.map(({ oneWay, ...need }): Need => ({ ...need, ...(oneWay && { oneWay }) }));
  const [wide] = unplaceable(wanted, sheet);
  if (wide) return { tooWide: wide.key };
  const task = taskOf(wanted, sheet);
  let best = searchAtOnce(task);
  if (!goOn) return sheetPlan(task, best);
  for (const found of searching(task)) {
    if (found.best.length <= best.length) best = found.best;
    if (!goOn()) break;
  }
  return sheetPlan(task, best);
}
