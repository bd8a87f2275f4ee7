import styled from 'styled-components';
import { slim } from '../../design/media.ts';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: var(--size-text);
  th,
  td {
    padding: 6px 4px;
    border-top: 1px solid var(--line);
    text-align: center;
  }
  th:first-child,
  tbody th {
    text-align: left;
    font-weight: 500;
  }
  thead th,
  thead td {
    font-weight: 650;
    border-top: none;
  }
  ${slim} {
    font-size: var(--size-mark);
    th,
    td {
      padding: 6px 1px;
    }
  }
`;

/** What each may do: whoever sits at the machine, who was let in to change quilts, who was let in to look. */
const RULES: readonly (readonly [what: string, owner: boolean, edit: boolean, view: boolean])[] = [
  ['Look at quilts, lists and drawings', true, true, true],
  ['Try changes that are not kept', true, true, true],
  ['Change quilts, add some, take them off the shelf', true, true, false],
  ['Pictures, measurements, bookings, notes', true, true, false],
  ['Keep versions and go back to them', true, true, false],
  ['Take the whole shelf along as one file', true, true, false],
  ['Backups: make them, take them away', true, false, false],
  ['Give out links and take them back', true, false, false],
];

/** A plain table of who may do what. */
export function WhoMayWhat() {
  return (
    <section>
      <h2>Who may do what</h2>
      <Table>
        <thead>
          <tr>
            <td />
            <th scope="col">At the machine</th>
            <th scope="col">Let in to change</th>
            <th scope="col">Let in to look</th>
          </tr>
        </thead>
        <tbody>
          {RULES.map(([what, ...may]) => (
            <tr key={what}>
              <th scope="row">{what}</th>
              {may.map((yes, i) => (
                // Columns have no names but their place.
                <td key={i}>{yes ? 'yes' : 'no'}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
      <p>
        Without sharing, nobody but this machine reaches the app. Shared, whoever says the passphrase is let
        in to change; a link lets in to look or to change, until you take it back. What goes between is
        encrypted.
      </p>
    </section>
  );
}
