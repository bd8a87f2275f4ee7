import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Plan } from '@lattice/core';
import { readPlanText } from './read-plan-text.ts';

/** Where a command reads from and prints to. */
export interface Surroundings {
  /** Folder that relative paths start from. */
  readonly base: string;
  readonly out: (line: string) => void;
  readonly complain: (line: string) => void;
}

/** The plan in a file; null after one line for each problem, with its place. */
export function openPlan(file: string, { base, complain }: Surroundings): Plan | null {
  let text: string;
  try {
    text = readFileSync(path.resolve(base, file), 'utf8');
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    complain(`${file}: ${missing ? 'there is no such file.' : 'this file cannot be read.'}`);
    return null;
  }
  const read = readPlanText(text);
  if (read.ok) return read.plan;
  for (const { line, column, place, message } of read.faults)
    complain(`${file}:${line}:${column}: ${place ? `${place}: ` : ''}${message}`);
  return null;
}
