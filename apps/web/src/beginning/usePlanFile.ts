import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../app/store.ts';
import { addQuilt } from '../quilt/newQuilts.ts';

/** Opening a plan file: its quilt goes on the shelf and lies open; what is wrong with it is said. */
export function usePlanFile() {
  const [problem, setProblem] = useState<string | null>(null);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const open = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    const { readPlanJson } = await import('../shelf/readPlanFile.ts');
    const read = readPlanJson(await file.text());
    if (read.ok) {
      setProblem(null);
      await navigate(`/quilts/${await dispatch(addQuilt(read.plan))}/setting`);
      return;
    }
    const [first, ...more] = read.problems;
    const place = first!.path.length > 0 ? ` (at ${first!.path.join('.')})` : '';
    setProblem(
      `${file.name} was not taken. ${first!.message}${place}${more.length > 0 ? ` And ${more.length} more like it.` : ''}`,
    );
  };
  return { open, problem, clear: () => setProblem(null) };
}
