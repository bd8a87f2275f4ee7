import { addressOf } from '@lattice/contract';
import { Link, useNavigate, useParams } from 'react-router';
import { Button } from '../design/controls/Button.tsx';
import { undo } from '../state/planSlice.ts';
import { LostPage } from './LostPage.ts';
import { useAppDispatch } from '../sync/thunk.ts';
import { useAppSelector } from '../state/hooks.ts';

/** A quilt whose screen failed while it was drawn: the last change can be taken back, and its file taken away. */
export function CannotDraw() {
  const { id } = useParams();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const canUndo = useAppSelector((s) => s.plan.past.length > 0);
  const back = () => {
    dispatch(undo());
    // The same address again, so that the screen is drawn afresh.
    void navigate('.', { replace: true });
  };
  return (
    <LostPage>
      <h1>This quilt cannot be shown</h1>
      <p>Its screen failed while drawing: a fault of the app, not of your quilt. Nothing saved is lost.</p>
      {canUndo && (
        <p>
          <Button look="main" onPress={back}>
            Take the last change back
          </Button>
        </p>
      )}
      <a href={addressOf('planFile', { id: id ?? '' })}>Download its file</a>
      <br />
      <Link to="/">Go to the shelf</Link>
    </LostPage>
  );
}
