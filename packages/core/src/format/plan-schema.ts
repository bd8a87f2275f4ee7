import { z } from 'zod';
import { planShape } from '../plan/shape.ts';

/**
 * The plan file as a JSON Schema (2020-12), made from the shape every plan is read by. It tells shapes, words and ranges;
 * what hangs together between fields is told when a plan is read.
 */
export const planSchema = (): object => ({
  ...z.toJSONSchema(planShape, { io: 'input', unrepresentable: 'any' }),
  $id: 'https://dapper-lattice.invalid/plan.schema.json',
  title: 'A quilt plan of Dapper Lattice',
});
