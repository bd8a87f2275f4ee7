import { Link } from 'react-router';
import { Button } from '../design/controls/Button.tsx';
import { LostPage } from './LostPage.ts';

/** Shown in the place of a screen whose part of the app could not be fetched. */
export function PartGone() {
  return (
    <LostPage>
      <h1>Reload this page</h1>
      <p>
        A part of the app could not be fetched. Most often a newer app has taken its place since this page was
        opened; or the server cannot be reached. What you changed is kept.
      </p>
      <p>
        <Button look="main" onPress={() => window.location.reload()}>
          Reload
        </Button>
      </p>
      <Link to="/">Go to the shelf</Link>
    </LostPage>
  );
}
