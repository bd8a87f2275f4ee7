import type { Version } from '@lattice/contract';
import type { Plan } from '@lattice/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { serverError } from '../../sync/api.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import {
  useDropSnapshotMutation,
  useLazySnapshotPlanQuery,
  useSnapshotsQuery,
} from '../../sync/snapshotsApi.ts';

const List = styled.ul`
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 10px;
    padding: 8px 0;
    border-top: 1px solid var(--line);
  }
  .what {
    flex: 1 1 200px;
  }
  .when {
    display: block;
    font-size: var(--size-note);
    color: var(--soft);
  }
`;

const when = (madeAt: string): string =>
  new Date(madeAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
const nameOf = ({ name }: Version): string => name ?? 'As it was that day';

/** How a quilt was, by name and by the day; each can be gone back to. Nothing when there is none. */
export function Snapshots({ quilt, onGoBack }: { quilt: string; onGoBack: (plan: Plan) => void }) {
  const { data: snapshots = [], error } = useSnapshotsQuery(quilt, { refetchOnMountOrArgChange: true });
  const [fetchPlan] = useLazySnapshotPlanQuery();
  const [drop] = useDropSnapshotMutation();
  const [failure, setFailure] = useState<string | null>(null);
  const looking = useAppSelector((s) => s.house.who === 'view');
  const trying = (work: Promise<unknown>) => {
    setFailure(null);
    work.catch((reason: unknown) => setFailure(serverError(reason).message));
  };
  const goBack = async ({ id }: Version) => onGoBack((await fetchPlan({ quilt, id }).unwrap()).plan);
  return (
    <section aria-label="Versions to go back to">
      <h2>Versions to go back to</h2>
      {(failure !== null || error !== undefined) && (
        <p role="alert">{failure ?? serverError(error).message}</p>
      )}
      {snapshots.length === 0 && error === undefined && (
        <p>
          None yet. One is kept of each day the quilt is worked on after, and whenever you give one a name.
        </p>
      )}
      <List>
        {snapshots.map((snapshot) => (
          <li key={snapshot.id}>
            <span className="what">
              {nameOf(snapshot)} <span className="when">{when(snapshot.madeAt)}</span>
            </span>
            <Button
              aria-label={`Go back to ${nameOf(snapshot)}, ${when(snapshot.madeAt)}`}
              onPress={() => trying(goBack(snapshot))}
            >
              Go back to it
            </Button>
            {snapshot.name !== null && !looking && (
              <Button
                look="quiet"
                aria-label={`Let ${snapshot.name} go`}
                onPress={() => trying(drop({ quilt, id: snapshot.id }).unwrap())}
              >
                <X size={14} aria-hidden />
              </Button>
            )}
          </li>
        ))}
      </List>
    </section>
  );
}
