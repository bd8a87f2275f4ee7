import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../app/store.ts';
import { api, type Arrived, serverError } from '../app/api.ts';
import { hearOthers } from '../outbox/hearOthers.ts';
import { addQuilt } from '../quilt/newQuilts.ts';

/** Opening a plan file, or whole quilts in a zip: they go on the shelf, and one alone lies open; what is wrong is said. */
export function usePlanFile() {
  const [problem, setProblem] = useState<string | null>(null);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const open = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    if (/\.zip$/i.test(file.name)) {
      const arrived = await dispatch(api.endpoints.addParcel.initiate(file));
      if (arrived.error !== undefined)
        return setProblem(`${file.name} was not taken. ${serverError(arrived.error).message}`);
      // What came with the quilts is in the server's log.
      await dispatch(hearOthers());
      const { quilts, left } = arrived.data;
      setProblem(left.length > 0 ? notAll(file.name, arrived.data) : null);
      await navigate(quilts.length === 1 && left.length === 0 ? `/quilts/${quilts[0]!.id}/setting` : '/');
      return;
    }
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

/** What came of a file of several quilts, and what did not: by name, with why. */
function notAll(file: string, { quilts, left }: Arrived): string {
  const why = left.map((one) => `“${one.title}”: ${one.why}`).join(' ');
  return `Of ${quilts.length + left.length} quilts in ${file}, ${quilts.length} are on the shelf. Not taken: ${why} Take the file in again for these: what is there already comes as a copy.`;
}
