import { faultOfAnswer, faultOfRefusal, type Name } from '@lattice/contract';
import type { Response } from 'express';

/** Whether every answer is held against what its operation says of itself: while testing, of everything that is tested. */
const isChecking = process.env['LATTICE_CHECK_ANSWERS'] === 'yes';

const nameOf = (response: Response) => (response.locals['operation'] as Name | undefined) ?? null;

/** Notes what is asked for, so that refusals are known to be its own. */
export const noteOperation = (response: Response, name: Name): void => {
  response.locals['operation'] = name;
};

/** @throws Error of ours: an answer is not what its operation says it is */
export function checkAnswer(response: Response, status: number, body: unknown): void {
  const name = nameOf(response);
  const fault = isChecking && name ? faultOfAnswer(name, status, body) : null;
  if (fault !== null) throw new Error(fault);
}

/** The same of a refusal; what is wrong with it, null for nothing. */
export const faultOfSaid = (response: Response, status: number, body: unknown): string | null =>
  isChecking ? faultOfRefusal(nameOf(response), status, body) : null;
