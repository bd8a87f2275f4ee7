/** Brings a plan document from the version in its key to the next. A landed one is never edited. */
type Migration = (plan: Record<string, unknown>) => Record<string, unknown>;

/** Version 1 is the first; a change of the format adds its step here, by the version it starts from. */
const MIGRATIONS: Readonly<Record<number, Migration>> = {};

/** Applies every step from the document's own version upward. Shapes are checked afterwards, by the schema. */
export function migratePlan(raw: { schemaVersion: number }, migrations = MIGRATIONS): unknown {
  let plan: Record<string, unknown> & { schemaVersion: number } = { ...raw };
  for (let step = migrations[plan.schemaVersion]; step !== undefined; step = migrations[plan.schemaVersion]) {
    plan = { ...step(plan), schemaVersion: plan.schemaVersion + 1 };
  }
  return plan;
}
