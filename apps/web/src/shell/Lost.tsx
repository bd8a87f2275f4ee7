import { Link, useRouteError } from 'react-router';
import { LostPage } from './LostPage.ts';
import { isPartGone } from '../browser/part-gone.ts';
import { PartGone } from './PartGone.tsx';

/** Shown for an address that leads nowhere, and when a screen fails: what was kept is still on the shelf. */
export function Lost() {
  const error = useRouteError();
  if (isPartGone(error)) return <PartGone />;
  return (
    <LostPage>
      <h1>This page cannot be shown</h1>
      <p>
        The address leads nowhere, or the screen failed while drawing. Every saved change is safe on the
        shelf.
      </p>
      <Link to="/">Go to the shelf</Link>
    </LostPage>
  );
}
