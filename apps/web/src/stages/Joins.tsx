import { useAppSelector } from '../state/hooks.ts';
import { JoinMarks } from '../rooms/drawing/marks.tsx';
import { selectQuilt } from '../state/selectors.ts';

/** Seams where strips are joined, as they are cut; none while a tape is held: they are known when the hand lets go. */
export function Joins() {
  const joins = useAppSelector((s) => (s.view.held ? null : selectQuilt(s).joins));
  return joins && <JoinMarks joins={joins} />;
}
