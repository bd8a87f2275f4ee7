import type { Plan } from '../plan/shape.ts';
import type { Names } from '../log/line.ts';
import { METHODS } from '../sewing/registry.ts';

/** What steps after the top are called when they are told of. */
const STEPS: Readonly<Record<string, string>> = {
  layer: 'Layering and basting',
  quilt: 'Quilting',
  trim: 'Squaring it up',
  flange: 'The flange',
  points: 'The prairie points',
  binding: 'Binding',
};

/** What a journal calls things by, from the plan as it is now. What is no longer in it keeps a name all the same. */
export function namesFrom({ fabrics }: Pick<Plan, 'fabrics'>): Names {
  const cloths = new Map(fabrics.map(({ id, name }) => [id, name]));
  return {
    cloth: (id) => cloths.get(id) ?? 'A cloth that is no longer in the quilt',
    way: (id) => METHODS.find((method) => method.id === id)?.name ?? 'A way this app does not know',
    step: (id) => STEPS[id] ?? 'A step of the top, pressed',
  };
}
