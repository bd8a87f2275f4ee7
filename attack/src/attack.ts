import type { Random } from '@lattice/core';

/** How long, and by which chance, an attack goes on. */
export interface Wish {
  /** Tries; what one is, each attack says. */
  readonly rounds: number;
  /** The same seed makes the same tries. */
  readonly random: Random;
  /** How many times longer than usual something may take: more than 1 where other work goes on beside it. */
  readonly patience: number;
}

/** What an attack did, and what it found. */
interface Report {
  readonly figures: Readonly<Record<string, number | string>>;
  /** One line for each thing that should not be; none where the house stood. */
  readonly found: readonly string[];
}

/** One way of going at the house. A new one is a file beside this one and a line in `attacks.ts`. */
export interface Attack {
  readonly name: string;
  /** What is tried, in a line. */
  readonly says: string;
  /** Tries when nobody says how many. */
  readonly usual: number;
  run(wish: Wish): Promise<Report>;
}

/** Findings that are alike are told once, with how many there were; at most so many kinds. */
const MOST_TOLD = 25;

/** Collects what is found. */
export class Found {
  private readonly counts = new Map<string, number>();

  add(line: string): void {
    this.counts.set(line, (this.counts.get(line) ?? 0) + 1);
  }

  /** Adds the line unless `right`. */
  unless(right: boolean, line: string): void {
    if (!right) this.add(line);
  }

  lines(): string[] {
    return [...this.counts]
      .slice(0, MOST_TOLD)
      .map(([line, count]) => (count === 1 ? line : `${line} (${count} times)`));
  }
}

/** One of a list, by chance. */
export const oneOf = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** A whole number from 0 to below `below`, by chance. */
export const below = (random: Random, limit: number): number => Math.floor(random() * limit);
