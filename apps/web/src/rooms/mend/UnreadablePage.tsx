import { addressOf } from '@lattice/contract';
import type { Plan } from '@lattice/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { serverError, useSaveQuiltMutation } from '../../sync/api.ts';
import { Snapshots } from '../versions/Snapshots.tsx';
import { MendFrame } from './MendPage.tsx';

/** What the server knows of a quilt it cannot read. */
export interface Unreadable {
  readonly id: string;
  readonly revision: number;
  readonly title: string;
}

/** A quilt that cannot be read any more: its file to take away, and the snapshots there are to go back to. */
export function UnreadablePage({ quilt, onMended }: { quilt: Unreadable; onMended: () => void }) {
  const [save] = useSaveQuiltMutation();
  const [failure, setFailure] = useState<string | null>(null);
  const goBack = async (plan: Plan) => {
    try {
      await save({ id: quilt.id, revision: quilt.revision, plan }).unwrap();
      onMended();
    } catch (error) {
      setFailure(serverError(error).message);
    }
  };
  return (
    <MendFrame>
      <h1>{quilt.title}</h1>
      <p role="alert">
        What was kept of this quilt cannot be read any more: it is damaged, or was written by something else.
        It is left as it is until you choose.
      </p>
      {failure !== null && <p role="alert">{failure}</p>}
      <div className="ways">
        <a href={addressOf('planFile', { id: quilt.id })}>Download its file</a>
        <Link to="/keeping">Look for a backup</Link>
        <Link to="/">Go to the shelf</Link>
      </div>
      <Snapshots quilt={quilt.id} onGoBack={(plan) => void goBack(plan)} />
    </MendFrame>
  );
}
