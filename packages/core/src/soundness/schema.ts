import { planProblems } from './problems.ts';
import { planShape } from '../plan/shape.ts';

/**
 * The open file format: a plan file is this document as JSON. The shape first, then the figures and
 * how they go together, each fault with its place and in the quilter's words.
 */
export const planSchema = planShape.superRefine((plan, context) => {
  for (const problem of planProblems(plan))
    context.addIssue({ code: 'custom', path: [...problem.path], message: problem.message });
});
