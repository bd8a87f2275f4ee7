import { formatSize } from '@lattice/core';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { serverError, useRestoreQuiltMutation, useTakenOffQuery } from '../../sync/api.ts';
import { PageFrame } from '../frame/PageFrame.tsx';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Fetching } from './Fetching.tsx';
import { Notice } from './Notice.ts';

const Rows = styled.ul`
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
    padding: 10px 0;
    border-bottom: 1px solid var(--line);
  }
  .what {
    flex: 1 1 260px;
  }
  b {
    font-weight: 650;
  }
  .rest {
    font-size: var(--size-text);
    color: var(--soft);
  }
`;

/** Everything that was taken off the shelf in the last month, each to be put back. */
export function TakenOff() {
  const { data, error, isLoading, refetch } = useTakenOffQuery(undefined, {
    refetchOnMountOrArgChange: true,
  });
  const [restore] = useRestoreQuiltMutation();
  const looking = useAppSelector((s) => s.house.who) === 'view';
  const [said, setSaid] = useState<{ text: string; wrong?: boolean } | null>(null);
  const quilts = data?.quilts ?? [];
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' });
  return (
    <PageFrame title="Taken off the shelf" width={1180}>
      <p>A quilt that was taken off can be put back for a month; after that it is gone.</p>
      {said && (
        <Notice role={said.wrong ? 'alert' : 'status'} data-wrong={said.wrong || undefined}>
          <p>{said.text}</p>
        </Notice>
      )}
      <Fetching waiting={isLoading} error={error} onAgain={() => void refetch()} />
      {data && quilts.length === 0 && <p role="status">Nothing was taken off the shelf this month.</p>}
      <Rows aria-label="Taken off the shelf">
        {quilts.map(({ id, card, removedAt }) => (
          <li key={id}>
            <span className="what">
              <b>{card.title}</b>
              <br />
              <span className="rest">
                {'unreadable' in card ? (
                  'It cannot be read any more'
                ) : (
                  <Lengths
                    text={`${formatSize(card.width, card.height, card.unit)} · ${card.setting.toLowerCase()}`}
                  />
                )}
                {removedAt && ` · taken off on ${day.format(new Date(removedAt))}`}
              </span>
            </span>
            {!looking && (
              <Button
                aria-label={`Put ${card.title} back`}
                onPress={() =>
                  void restore(id)
                    .unwrap()
                    .then(
                      () => setSaid({ text: `“${card.title}” is on the shelf again.` }),
                      (failure) => setSaid({ text: serverError(failure).message, wrong: true }),
                    )
                }
              >
                <Undo2 size={15} aria-hidden />
                Put it back
              </Button>
            )}
          </li>
        ))}
      </Rows>
    </PageFrame>
  );
}
