import { Link } from 'react-router';
import styled from 'styled-components';

export const LostPage = styled.main`
  max-width: 460px;
  margin: 15vh auto;
  padding: 0 20px;
  h1 {
    font: 650 26px/1.2 var(--name);
    margin-bottom: 8px;
  }
  a {
    display: inline-block;
    margin-top: 16px;
    font-weight: 600;
    color: var(--chalk);
  }
`;

/** Shown for an address that leads nowhere, and when a screen fails: what was kept is still on the shelf. */
export function Lost() {
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
