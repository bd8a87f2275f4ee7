import { type PileLine, readPileLine, type SizeMeant, type Unit, withMeant } from '@lattice/core';
import { useMemo, useState } from 'react';

/** A pile being said in one line: what is typed, what is understood of it, and whether its size is cut or finished. */
export interface SaidPile {
  readonly text: string;
  readonly setText: (text: string) => void;
  /** Null while it is not understood. */
  readonly line: PileLine | null;
  /** What is wrong with it; null while nothing is typed. */
  readonly problem: string | null;
  readonly setMeant: (meant: SizeMeant) => void;
}

export function usePileLine(unit: Unit): SaidPile {
  const [text, setText] = useState('');
  const [meant, setMeant] = useState<SizeMeant | null>(null);
  const read = useMemo(() => readPileLine(text, unit), [text, unit]);
  return {
    text,
    setText: (next) => {
      setText(next);
      if (next === '') setMeant(null);
    },
    line: useMemo(
      () => (read.ok ? (meant ? withMeant(read.value, meant) : read.value) : null),
      [read, meant],
    ),
    problem: read.ok || text.trim() === '' ? null : read.message,
    setMeant,
  };
}
