import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../../sync/thunk.ts';

/** Opening a plan file, or whole quilts in a zip: they go on the shelf, and one alone lies open; what is wrong is said. */
export function usePlanFile() {
  const [problem, setProblem] = useState<string | null>(null);
  /** What is being taken in, how far it has come, and what stops it. */
  const [underWay, setUnderWay] = useState<{ readonly says: string; readonly stop: () => void } | null>(null);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const open = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    const { takeFile } = await import('./takeFile.ts');
    const stopping = new AbortController();
    const stop = () => stopping.abort();
    const tell = (says: string) => setUnderWay({ says, stop });
    const taking = takeFile(file, dispatch, { tell, signal: stopping.signal });
    const taken = await taking.finally(() => setUnderWay(null));
    setProblem(taken.problem);
    if (taken.to !== null) await navigate(taken.to);
  };
  return { open, problem, underWay, clear: () => setProblem(null) };
}
