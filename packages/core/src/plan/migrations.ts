/** Brings a plan document from the version in its key to the next. A landed one is never edited. */
type Migration = (plan: Record<string, unknown>) => Record<string, unknown>;

type Fields = Record<string, unknown>;

/** Options that version 1 settings did not have, as they were then. */
const NEW_OPTIONS: Readonly<Record<string, Fields>> = { sashed: { strips: '1' }, 'on-point': { plainBetween: false } };

/** By the version each starts from. */
const MIGRATIONS: Readonly<Record<number, Migration>> = {
  // Borders learnt corners, cutting direction and different sides; settings learnt more pieces to find fabric for.
  1: (plan) => ({
    ...plan,
    borders: Array.isArray(plan['borders'])
      ? plan['borders'].map(({ width, ...border }: Fields) => ({ sides: width, ends: width, corners: 'sides-first', cut: 'crosswise', cornerFabric: border['fabric'], ...border }))
      : plan['borders'],
    setting: isFields(plan['setting']) ? { ...NEW_OPTIONS[String(plan['setting']['kind'])], ...plan['setting'] } : plan['setting'],
    fabricFor: isFields(plan['fabricFor'])
      ? { 'middle-sash': plan['fabricFor']['cornerstone'], plain: plan['fabricFor']['triangle'], frame: plan['fabricFor']['triangle'], ...plan['fabricFor'] }
      : plan['fabricFor'],
  }),
};

const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Applies every step from the document's own version upward. Shapes are checked afterwards, by the schema. */
export function migratePlan(raw: { schemaVersion: number }, migrations = MIGRATIONS): unknown {
  let plan: Record<string, unknown> & { schemaVersion: number } = { ...raw };
  for (let step = migrations[plan.schemaVersion]; step !== undefined; step = migrations[plan.schemaVersion]) {
    plan = { ...step(plan), schemaVersion: plan.schemaVersion + 1 };
  }
  return plan;
}
