import styled from 'styled-components';
import { serverError } from '../app/api.ts';
import { sizeInWords } from './BackupsSection.tsx';
import { useNumbersQuery } from './keepingApi.ts';

const Facts = styled.dl`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 12px;
  font-size: 14px;
  dd {
    font-weight: 600;
    text-align: right;
  }
`;
const EVERY_MS = 5_000;

/** How the server does: looked at again while the page is open. */
export function NumbersSection() {
  const { data, error } = useNumbersQuery(undefined, { pollingInterval: EVERY_MS });
  return (
    <section>
      <h2>The server</h2>
      {error !== undefined && <p role="alert">{serverError(error).message}</p>}
      {data && (
        <Facts>
          <dt>Running since</dt>
          <dd>{new Date(data.since).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}</dd>
          <dt>Asked, refused, failed</dt>
          <dd>
            {data.requests}, {data.refused}, {data.failed}
          </dd>
          <dt>Half are answered within</dt>
          <dd>{data.half.toFixed(1)} ms</dd>
          <dt>All but one in a hundred within</dt>
          <dd>{data.most.toFixed(1)} ms</dd>
          <dt>Everything kept takes</dt>
          <dd>{sizeInWords(data.databaseBytes)}</dd>
          <dt>Last backup</dt>
          <dd>
            {data.lastBackup === null
              ? 'none yet'
              : new Date(data.lastBackup).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}
          </dd>
        </Facts>
      )}
    </section>
  );
}
