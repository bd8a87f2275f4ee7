import styled from 'styled-components';
import { serverError } from '../../sync/api.ts';
import { sizeInWords } from './BackupsSection.tsx';
import { useNumbersQuery } from '../../sync/keepingApi.ts';

const Facts = styled.dl`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 12px;
  font-size: var(--size-text);
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
      {data && data.unreadable.entries + data.unreadable.quilts > 0 && (
        <p role="alert">Cannot be read: {unreadableInWords(data.unreadable)}</p>
      )}
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

/** What is damaged, and what that means for the rest. */
export function unreadableInWords({ entries, quilts }: { entries: number; quilts: number }): string {
  const parts = [
    ...(quilts > 0 ? [quilts === 1 ? '1 quilt' : `${quilts} quilts`] : []),
    ...(entries > 0 ? [entries === 1 ? '1 entry of the journal' : `${entries} entries of the journal`] : []),
  ];
  const stay = quilts + entries === 1 ? 'It stays as it lies' : 'They stay as they lie';
  return `${parts.join(' and ')}. ${stay}, and everything else goes on; a backup of an earlier day may have ${quilts + entries === 1 ? 'it' : 'them'} whole.`;
}
