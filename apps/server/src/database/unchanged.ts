import type { Statements } from './statements.ts';

/** The most answers that are remembered: some dozens of pages. */
const MOST_KEPT = 60;

/** Answers made of what lies in the database, good until anything in it changes, by whomever. */
export class Unchanged {
  private readonly answers = new Map<string, string>();
  private state = '';

  constructor(private readonly statements: Pick<Statements, 'state'>) {}

  /** The answer to `asked` as it was made, or made now. */
  async of(asked: string, make: () => Promise<string>): Promise<string> {
    const state = this.statements.state();
    if (state !== this.state || this.answers.size >= MOST_KEPT) this.answers.clear();
    this.state = state;
    const known = this.answers.get(asked);
    if (known !== undefined) return known;
    const made = await make();
    // Making it may have written something; and others may have, while it was made.
    if (this.statements.state() === state) this.answers.set(asked, made);
    return made;
  }
}
