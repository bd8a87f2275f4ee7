import { serverError } from '../../sync/api.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Notice } from './Notice.ts';

/** That quilts are being fetched, or could not be, with another try. */
export function Fetching({
  waiting,
  error,
  onAgain,
}: {
  readonly waiting: boolean;
  /** What the fetching failed with, if it did. */
  readonly error: unknown;
  readonly onAgain: () => void;
}) {
  if (waiting) return <p role="status">Fetching the quilts…</p>;
  if (!error) return null;
  return (
    <Notice role="alert" data-wrong>
      <p>{serverError(error).message}</p>
      <Button onPress={onAgain}>Try again</Button>
    </Notice>
  );
}
