import { z } from 'zod';
import { type Name, placeOf } from './addresses.ts';
import { ANYWHERE, type ErrorCode, ERRORS } from './errors.ts';
import { operationOf } from './operations/all.ts';
import { DETAILS, refusal } from './shapes/refusal.ts';

const told = (name: Name, status: number, why: string): string => {
  const { method, path } = placeOf(name);
  return `${method} ${path} answered ${status} otherwise than it says: ${why}`;
};

/** What is wrong with an answer, by what its operation says of itself; null for nothing. */
export function faultOfAnswer(name: Name, status: number, body: unknown): string | null {
  const answer = operationOf(name).answers[status];
  if (!answer) return told(name, status, 'no such answer is said');
  if (!answer.schema) return body === undefined ? null : told(name, status, 'nothing was to come');
  const read = answer.schema.safeParse(body);
  return read.success ? null : told(name, status, z.prettifyError(read.error));
}

/** The same of a refusal; `name` is null where it came before anybody knew what was asked. */
export function faultOfRefusal(name: Name | null, status: number, body: unknown): string | null {
  const read = refusal.safeParse(body);
  const where = name ?? 'health';
  if (!read.success) return told(where, status, z.prettifyError(read.error));
  const { code, details } = read.data;
  const expected: readonly string[] = [...ANYWHERE, ...((name && operationOf(name).refuses) ?? [])];
  if (!expected.includes(code)) return told(where, status, `“${code}” is not said`);
  if (ERRORS[code as ErrorCode].status !== status) return told(where, status, `“${code}” has another status`);
  const wanted = DETAILS[code as ErrorCode] ?? z.null();
  const detailsRead = wanted.safeParse(details);
  return detailsRead.success
    ? null
    : told(where, status, `details of “${code}”: ${z.prettifyError(detailsRead.error)}`);
}
