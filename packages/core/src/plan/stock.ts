import type { StockJob } from './cloth-shape.ts';
import type { InStock, Plan } from './shape.ts';

/** Pieces in hand that are to be used up for a job. */
export const inStockFor = ({ stock }: Pick<Plan, 'stock'>, job: StockJob): InStock[] =>
  stock.filter((piece) => piece.for === job);

/**
 * The plan with what the maker's stash has set aside for it. A piece that came along with the plan and is set aside
 * too counts once.
 */
export function withStock(plan: Plan, setAside: readonly InStock[]): Plan {
  if (setAside.length === 0) return plan;
  const known = new Set(setAside.map(({ id }) => id));
  return { ...plan, stock: [...setAside, ...plan.stock.filter(({ id }) => !known.has(id))] };
}
