import { useAppSelector } from '../../state/hooks.ts';
import { Paper } from '../../design/Paper.ts';
import { PrintHead } from '../../rooms/paper/PrintHead.tsx';
import { RecordCard } from './RecordCard.tsx';

/** The record card by itself, for paper. */
export function RecordPage() {
  const id = useAppSelector((s) => s.saving.id)!;
  return (
    <Paper>
      <PrintHead title="Record card" back="Back to the journal" to={`/quilts/${id}/journal?leaf=record`} />
      <RecordCard />
    </Paper>
  );
}
