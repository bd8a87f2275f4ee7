import { readFileSync } from 'node:fs';
import path from 'node:path';
import { computeQuilt } from '@lattice/core';
import { readPlanText } from './read-plan-text.ts';
import { report } from './report.ts';

export interface ComputeOptions {
  readonly json: boolean;
  /** Folder that relative paths start from. */
  readonly base: string;
  readonly out: (line: string) => void;
  readonly complain: (line: string) => void;
}

/** Reads a plan file and prints the whole result. Answers the exit code: 0, or 2 after one line for each problem. */
export function compute(file: string, { json, base, out, complain }: ComputeOptions): number {
  let text: string;
  try {
    text = readFileSync(path.resolve(base, file), 'utf8');
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    complain(`${file}: ${missing ? 'there is no such file.' : 'this file cannot be read.'}`);
    return 2;
  }
  const read = readPlanText(text);
  if (!read.ok) {
    for (const { line, column, place, message } of read.faults) complain(`${file}:${line}:${column}: ${place ? `${place}: ` : ''}${message}`);
    return 2;
  }
  const quilt = computeQuilt(read.plan);
  if (json) out(JSON.stringify({ plan: { title: read.plan.title, unit: read.plan.unit }, ...quilt }, null, 2));
  else for (const line of report(read.plan, quilt)) out(line);
  return 0;
}
