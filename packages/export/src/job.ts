import type { LogEntry, Plan, Quilt } from '@lattice/core';
import type { Letters, PaperName } from './pdf/paper.ts';

/** What something to take along is made from. */
export interface TakeJob {
  readonly plan: Plan;
  readonly quilt: Quilt;
  /** Id of the quilt in its log, and the log; of a plan file alone there is none, and its id is empty. */
  readonly id: string;
  readonly log: readonly LogEntry[];
  /** When it is made, 2026-11-27T10:00:00Z: what is made of the same plan at the same moment is the same, byte by byte. */
  readonly made: string;
  readonly paper: PaperName;
  /** Decimal comma and semicolon in tables. */
  readonly comma: boolean;
  readonly letters: () => Promise<Letters>;
  /** Draws an SVG so many pixels wide as a PNG; whoever has a screen or a library for it knows how. */
  readonly draw: (svg: string, width: number, height: number) => Promise<Uint8Array>;
  /** Photos and pictures the plan and its log name, by their ids; those that cannot be had are left out. */
  readonly picture: (id: string) => Promise<Uint8Array | null>;
}

/** Dates of a moment as they stand on paper: 27 November 2026. */
export const onPaper = (made: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(new Date(made));
