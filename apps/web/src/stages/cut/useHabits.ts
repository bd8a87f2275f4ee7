import type { Fold } from '@lattice/core';
import { useState } from 'react';

/** How one cuts on this device: how the cloth lies, and with which hand the blade is held. */
export interface Habits {
  readonly fold: Fold;
  readonly leftHanded: boolean;
}

const KEY = 'lattice-table';
const USUAL: Habits = { fold: 'once', leftHanded: false };

function kept(): Habits {
  try {
    const read = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Habits>;
    const fold = read.fold === 'open' || read.fold === 'twice' ? read.fold : 'once';
    return { fold, leftHanded: read.leftHanded === true };
  } catch {
    return USUAL;
  }
}

/** These habits, and how to change them; kept in this browser. */
export function useHabits(): [Habits, (change: Partial<Habits>) => void] {
  const [habits, setHabits] = useState(kept);
  return [
    habits,
    (change) => {
      const next = { ...habits, ...change };
      setHabits(next);
      try {
        localStorage.setItem(KEY, JSON.stringify(next));
      } catch {
        // For this visit only.
      }
    },
  ];
}
