import type { Plan } from '../plan/shape.ts';

/** A name for a plan that has no id of its own, made of all it says: another plan has another (FNV-1a, twice 32 bits). */
export function planKey(plan: Plan): string {
  const text = JSON.stringify(plan);
  const hash = (seed: number) => {
    let value = seed;
    for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193) >>> 0;
    return value.toString(16).padStart(8, '0');
  };
  return `plan-${hash(0x811c9dc5)}${hash(0x9e3779b9)}`;
}
