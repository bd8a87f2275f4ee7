import { addressOf, type Backup } from '@lattice/contract';
import { numberOf } from '@lattice/core';
import styled from 'styled-components';
import { serverError } from '../../sync/api.ts';
import { Button } from '../../design/controls/Button.tsx';
import { useBackupsQuery, useMakeBackupMutation } from '../../sync/keepingApi.ts';

const KINDS: Readonly<Record<Backup['kind'], string>> = {
  daily: 'of the day',
  weekly: 'of the week',
  'by-hand': 'asked for',
  'before-restore': 'before going back',
};

const Done = styled.p`
  margin-top: 8px;
`;
const List = styled.ul`
  margin-top: 12px;
  font-size: var(--size-text);
  li {
    display: flex;
    gap: 10px;
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
  span:first-child {
    flex: 1;
  }
  .size {
    color: var(--soft);
  }
`;

/** Bytes as people say them. */
export const sizeInWords = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** Backups there are, one more now, and each to take away. */
export function BackupsSection() {
  const { data: backups = [], error } = useBackupsQuery(undefined, { refetchOnMountOrArgChange: true });
  const [make, made] = useMakeBackupMutation();
  const failure = made.error ?? error;
  return (
    <section>
      <h2>Backups</h2>
      <p>
        One is made each day and kept a week, one each week and kept five. Each holds every quilt, picture and
        note. Take one away to another disk now and then: a copy beside the original burns with it.
      </p>
      <Button look="main" isDisabled={made.isLoading} onPress={() => void make()}>
        Back up now
      </Button>
      {made.data && (
        <Done role="status">
          Made and checked: {numberOf(made.data.quilts, 'quilt')}, {numberOf(made.data.pictures, 'picture')}.
        </Done>
      )}
      {failure !== undefined && <p role="alert">{serverError(failure).message}</p>}
      <List>
        {backups.map(({ file, kind, madeAt, bytes }) => (
          <li key={file}>
            <span>
              {new Date(madeAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })},{' '}
              {KINDS[kind]}
            </span>
            <span className="size">{sizeInWords(bytes)}</span>
            <a href={addressOf('backup', { file })} download>
              Download
            </a>
          </li>
        ))}
      </List>
      <ShelfFile />
      <p>
        To go back to one, stop the app and run <code>./lattice restore FILE</code>. What is there then is
        kept too.
      </p>
    </section>
  );
}

/** Every quilt as one file, for whoever may change them. */
export const ShelfFile = () => (
  <p>
    <a href={addressOf('shelfFile', {})} download>
      The whole shelf as one file
    </a>
    : every quilt with its log and pictures, to be opened on another shelf. It is written while it comes, and
    says at its end what could not be read.
  </p>
);
