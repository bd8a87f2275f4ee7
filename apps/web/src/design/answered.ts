import { createContext, useContext } from 'react';

/** What is told that a refusal is said beside the field it is about, so that the page need not say it too. */
export const Answered = createContext<() => void>(() => {});

/**
 * Passes an answer on to where it is said beside its field, and tells the page so.
 *
 * @returns the same answer: null when it was taken, otherwise why not
 */
export function useAnswered(): (problem: string | null) => string | null {
  const answered = useContext(Answered);
  return (problem) => {
    if (problem !== null) answered();
    return problem;
  };
}
