import type { Random } from '@lattice/core';
import { randomNormal } from 'd3-random';

/** One squeeze of the tape's button, as the tape sends it: it knows a length, not what it was laid on. */
export interface TapeReading {
  readonly number: number;
  /** Millimetres, to the half. */
  readonly millimetres: number;
}

type Listener = { readonly reading: (reading: TapeReading) => void; readonly gone: () => void };

/** How a hand holds a tape: a scatter of 0.4 mm (1/64"), and now and then a slip. */
const SCATTER_MM = 0.4;
const SLIPS = 1 / 25;
const SLIP_MM = { least: 22, most: 80 };

/**
 * A stand-in for a digital tape measure that talks over the air: whoever listens hears every squeeze.
 * Readings scatter as a hand does, and one in twenty-five is a slip. It can be carried out of reach.
 */
export class Tape {
  private readonly listeners = new Set<Listener>();
  private squeezes = 0;
  private within = true;

  private readonly scatter: () => number;

  constructor(private readonly random: Random) {
    this.scatter = randomNormal.source(random)(0, SCATTER_MM);
  }

  get inReach(): boolean {
    return this.within;
  }

  /** Hears the tape until the answer is called. */
  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Squeezes the button with the tape laid on something so long; null when it is out of reach. */
  squeeze(laidOnMm: number): TapeReading | null {
    if (!this.within) return null;
    const slip =
      this.random() < SLIPS
        ? (this.random() < 0.5 ? -1 : 1) * (SLIP_MM.least + this.random() * (SLIP_MM.most - SLIP_MM.least))
        : 0;
    const scatter = this.scatter();
    const reading = {
      number: ++this.squeezes,
      millimetres: Math.max(0, Math.round(2 * (laidOnMm + slip + scatter)) / 2),
    };
    for (const { reading: hear } of this.listeners) hear(reading);
    return reading;
  }

  /** Carried out of reach, or back. */
  carry(within: boolean): void {
    this.within = within;
    if (within) return;
    for (const { gone } of [...this.listeners]) gone();
    this.listeners.clear();
  }
}
